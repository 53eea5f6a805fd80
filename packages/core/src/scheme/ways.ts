import type { HoleInto, Job, Mount, SchemeKind } from '@steddo/contract';
import { moves } from '../arm/arm';
import { bestAnchor, masonryAnchor } from '../fixing/anchors';
import { fromMount, type Kit } from '../fixing/kit';
import { WALL_KINDS } from '../room/wallKinds';
import type { FixingWay } from '../plate/chooseSlots';
import type { FindingCode } from '../primitives/findings';
import { isHollow, isMasonry } from '../fixing/fixingKinds';

/** What anchors alone may carry of set and mount, kg, by how many there are, and how far out, mm. Ours. */
const ANCHOR_LOADS_KG = [
  { atLeast: 6, kg: 30 },
  { atLeast: 4, kg: 20 },
  { atLeast: 2, kg: 10 },
] as const;
export const ANCHOR_OUT_MM = 100;

/** As many kilograms as so many anchors may carry; none where there is only one. */
export const anchorLimit = (count: number): number => ANCHOR_LOADS_KG.find((l) => count >= l.atLeast)?.kg ?? 0;

/** Of four or fewer a second scheme with two more is tried. */
const FEW = 4;

export type FixingPolicy = NonNullable<NonNullable<Job['fixing']>['school']>;

export const policyOf = (job: Job): FixingPolicy => job.fixing?.school ?? 'stud-first';

/** What stands in the way of any hole in this wall, before any place is looked for. */
export type NoWay = {
  code: 'wall-kind-unknown' | 'no-rating' | 'no-fixing' | 'never-in-board';
  kind: string;
};

/**
 * The ways that a mount can be held on a wall, in the order in which the trade prefers them: wood before
 * board. With nothing that fits, why.
 */
export function waysOf(job: Job, mount: Mount, kit: Kit): FixingWay[] | NoWay {
  const { kind } = job.room.wall.build;
  const { main } = WALL_KINDS[kind];
  if (!main) return { code: 'wall-kind-unknown', kind };
  return main === 'stud' || main === 'metal-stud' ? studWays(job, mount, kit, main) : solidWays(mount, job, kit, main);
}

const USUAL_COUNT = 4;

function studWays(job: Job, mount: Mount, kit: Kit, into: 'stud' | 'metal-stud'): FixingWay[] | NoWay {
  const { build } = job.room.wall;
  const own = fromMount(mount, build.kind);
  const count = mount.walls[build.kind]?.fixing?.count ?? USUAL_COUNT;
  const forStud = own && !isHollow(own.kind) && !isMasonry(own.kind) ? own : undefined;
  if (own && isMasonry(own.kind)) return { code: 'never-in-board', kind: own.kind };
  const anchor = own && isHollow(own.kind) ? own : bestAnchor(job, mount, kit);
  const ways: FixingWay[] = [];
  if (forStud)
    ways.push({ kind: forStud.kind === 'lag' ? 'lags-in-studs' : 'screws-in-studs', into, main: forStud, count });
  if (forStud?.kind === 'lag' && anchor)
    ways.push({ kind: 'lags-and-anchors', into, main: forStud, board: anchor, count });
  if (anchor) {
    ways.push({ kind: 'anchors', into: 'board', board: anchor, count });
    if (count <= FEW) ways.push({ kind: 'anchors', into: 'board', board: anchor, count: FEW + 2 });
  }
  return ways.length > 0 ? ways : { code: 'no-fixing', kind: build.kind };
}

function solidWays(mount: Mount, job: Job, kit: Kit, into: HoleInto): FixingWay[] | NoWay {
  const { kind } = job.room.wall.build;
  const own = fromMount(mount, kind);
  if (own && into === 'masonry' && !isMasonry(own.kind) && own.kind !== 'bolt')
    return { code: 'no-rating', kind: own.kind };
  const main = own ?? (into === 'masonry' ? masonryAnchor(kit) : undefined);
  if (!main) return { code: 'no-fixing', kind };
  const count = mount.walls[kind]?.fixing?.count ?? USUAL_COUNT;
  return [{ kind: into === 'masonry' ? 'masonry' : 'backing', into, main, count }];
}

/** What hangs on the plate and how far out, for what anchors may carry. */
export interface Hanging {
  massKg: number;
  outMm: number;
}

/** What a school says of a way, whatever it holds; undefined where it has nothing against it. */
export function refusedBy(way: FixingWay, job: Job, mount: Mount, hanging: Hanging): FindingCode | undefined {
  if (!way.board) return undefined;
  const school = policyOf(job);
  if (school === 'studs-only') return 'anchors-refused';
  if (moves(mount)) return school === 'rated-anchors' ? 'arm-on-anchors' : 'arm-on-anchors-refused';
  if (way.kind !== 'anchors') return undefined;
  if (hanging.massKg <= anchorLimit(way.count) && hanging.outMm <= ANCHOR_OUT_MM) return undefined;
  return school === 'rated-anchors' ? 'large-on-anchors' : 'large-on-anchors-refused';
}

/** What may still be done once somebody has read the numbers and said so. */
export const isRefusal = (code: FindingCode): boolean => code !== 'arm-on-anchors' && code !== 'large-on-anchors';

const WOOD_FIRST: readonly SchemeKind[] = [
  'lags-in-studs',
  'screws-in-studs',
  'masonry',
  'backing',
  'lags-and-anchors',
  'anchors',
];

export const kindRank = (kind: SchemeKind): number => WOOD_FIRST.indexOf(kind);
