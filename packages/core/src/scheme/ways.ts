import type { Build, HoleInto, Job, Mount, SchemeKind } from '@steddo/contract';
import { moves } from '../arm/arm';
import { bestAnchor, masonryAnchor } from '../fixing/anchors';
import { fromMount, type Kit } from '../fixing/kit';
import { buildsOf, type Wall } from '../room/wallAt';
import { isUnnamedSteel, UNNAMED_STEEL_KG, WALL_KINDS } from '../room/wallKinds';
import { wholeMassOf } from '../load/setPushes';
import { STUD_WIDTH_MM } from '../primitives/wallFacts';
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
  code: 'wall-kind-unknown' | 'no-rating' | 'fixing-unknown' | 'never-in-board' | 'steel-refused';
  kind: string;
};

/**
 * The ways that a mount can be held on a wall, in the order in which the trade prefers them: wood before
 * board; where parts of the wall are of another build, the ways of each, and each hole in what is behind it. With
 * nothing that fits, why.
 */
export function waysOf(job: Job, mount: Mount, kit: Kit): FixingWay[] | NoWay {
  const made = kindsOf(job.room.wall).map((build) => waysIn(build, job, mount, kit));
  const ways = made.flatMap((w) => ('code' in w ? [] : w));
  const [first] = made;
  if (ways.length === 0 && first && 'code' in first) return first;
  // a timber across studs takes all of the plate
  if (job.choices?.timber) return ways.filter((w) => w.into === 'backing');
  return [...ways, ...mixedWays(ways)];
}

/** One build of each kind that the wall has somewhere, its own first. */
function kindsOf(wall: Wall): Build[] {
  const seen = new Set<HoleInto | undefined>();
  return buildsOf(wall).filter(({ kind }) => {
    const { main } = WALL_KINDS[kind];
    return !seen.has(main) && seen.add(main);
  });
}

function waysIn(build: Build, job: Job, mount: Mount, kit: Kit): FixingWay[] | NoWay {
  const { main } = WALL_KINDS[build.kind];
  if (!main) return { code: 'wall-kind-unknown', kind: build.kind };
  const given = { build, mount, kit, packing: job.choices?.packing ?? 0 };
  if (isUnnamedSteel(mount, build)) return steelWays(given, job);
  return main === 'stud' || main === 'metal-stud' ? studWays(given, main) : solidWays(given, main);
}

/** Stiffest first: what does not give takes all that is across. Ours. */
const STIFFNESS: readonly HoleInto[] = ['masonry', 'backing', 'stud', 'metal-stud'];

export const stiffness = (into: HoleInto): number => STIFFNESS.indexOf(into);

/** Screws of each kind of wall that a plate may span, half of what each leaflet asks for; two at least. */
function mixedWays(ways: readonly FixingWay[]): FixingWay[] {
  const solid = ways.filter((w) => w.main && !w.board);
  if (solid.length < 2) return [];
  const pairs = solid.flatMap((a, i) => solid.slice(i + 1).map((b) => [a, b]));
  return [...(solid.length > 2 ? [solid] : []), ...pairs].map((group): FixingWay => {
    const parts = [...group]
      .sort((a, b) => stiffness(a.into) - stiffness(b.into))
      .map(({ into, main, count }) => ({ into, fastener: main!, count: Math.max(2, Math.ceil(count / group.length)) }));
    const [stiffest] = parts;
    const count = parts.reduce((n, p) => n + p.count, 0);
    return { kind: 'mixed', into: stiffest!.into, main: stiffest!.fastener, count, parts };
  });
}

const USUAL_COUNT = 4;

interface Given {
  build: Build;
  mount: Mount;
  kit: Kit;
  packing: number;
}

function studWays({ build, mount, kit, packing }: Given, into: 'stud' | 'metal-stud'): FixingWay[] | NoWay {
  const own = fromMount(mount, build.kind);
  const count = mount.walls[build.kind]?.fixing?.count ?? USUAL_COUNT;
  const forStud = own && !isHollow(own.kind) && !isMasonry(own.kind) ? own : undefined;
  if (own && isMasonry(own.kind)) return { code: 'never-in-board', kind: own.kind };
  const anchor = own && isHollow(own.kind) ? own : bestAnchor(build, mount, kit, packing);
  const ways: FixingWay[] = [];
  if (forStud)
    ways.push({ kind: forStud.kind === 'lag' ? 'lags-in-studs' : 'screws-in-studs', into, main: forStud, count });
  if (forStud?.kind === 'lag' && anchor)
    ways.push({ kind: 'lags-and-anchors', into, main: forStud, board: anchor, count });
  if (anchor) {
    ways.push({ kind: 'anchors', into: 'board', board: anchor, count });
    if (count <= FEW) ways.push({ kind: 'anchors', into: 'board', board: anchor, count: FEW + 2 });
  }
  return ways.length > 0 ? ways : { code: 'fixing-unknown', kind: build.kind };
}

/** A flange holds a toggle upright in its middle from this width on, mm. Ours. */
const LEAST_FLANGE_MM = 32;

/** A flat mount on metal studs that its label does not name: toggles in the flanges, which carry everything, or all in the board. */
function steelWays({ build, mount, kit, packing }: Given, job: Job): FixingWay[] | NoWay {
  const massKg = job.screen.mass + wholeMassOf(mount);
  const refused = { code: 'steel-refused', kind: build.kind } as const;
  const toggle = bestAnchor(build, mount, kit, packing);
  if (moves(mount) || massKg > UNNAMED_STEEL_KG) return refused;
  if (!toggle) return { code: 'fixing-unknown', kind: build.kind };
  const counts = [USUAL_COUNT, USUAL_COUNT + 2].filter((n) => massKg <= anchorLimit(n));
  const flange = (build.studWidth ?? STUD_WIDTH_MM) >= LEAST_FLANGE_MM;
  return [
    ...(flange
      ? counts.map((count): FixingWay => ({ kind: 'screws-in-studs', into: 'metal-stud', main: toggle, count }))
      : []),
    ...counts.map((count): FixingWay => ({ kind: 'anchors', into: 'board', board: toggle, count })),
  ];
}

function solidWays({ build: { kind }, mount, kit }: Given, into: HoleInto): FixingWay[] | NoWay {
  const own = fromMount(mount, kind);
  if (own && into === 'masonry' && !isMasonry(own.kind) && own.kind !== 'bolt')
    return { code: 'no-rating', kind: own.kind };
  const main = own ?? (into === 'masonry' ? masonryAnchor(kit) : undefined);
  if (!main) return { code: 'fixing-unknown', kind };
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
  'mixed',
  'lags-and-anchors',
  'anchors',
];

export const kindRank = (kind: SchemeKind): number => WOOD_FIRST.indexOf(kind);
