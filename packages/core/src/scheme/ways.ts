import type { HoleInto, Job, Mount, SchemeKind } from '@steddo/contract';
import type { FindingCode } from '../findings';
import { boardOf } from '../mount/fitMount';
import { moves } from '../reach/arm';
import { plateOf } from '../load/holds';
import { ANCHOR_SET_MM, RATED_BOARD_MM } from '../tolerances';
import { fromAnchor, fromMount, HOLLOW_KINDS, MASONRY_KINDS, strengthOf, type Fastener, type Kit } from './kit';

export type FixingSchool = NonNullable<NonNullable<Job['fixing']>['school']>;

export const schoolOf = (job: Job): FixingSchool => job.fixing?.school ?? 'stud-first';

/** One way of holding a plate: what goes into the timber or the solid wall, and what into the hollow. */
export interface Way {
  kind: SchemeKind;
  into: HoleInto;
  /** Into studs, masonry or backing; absent where only the board holds. */
  main?: Fastener;
  board?: Fastener;
  count: number;
}

/** What stands in the way of any hole in this wall, before any place is looked for. */
export type NoWay = {
  code: 'wall-kind-unknown' | 'no-rating' | 'no-fixing' | 'never-in-board';
  kind: string;
};

/**
 * The ways that a mount can be held on a wall, in the order in which the trade prefers them: wood before
 * board. With nothing that fits, why.
 */
export function waysOf(job: Job, mount: Mount, kit: Kit): Way[] | NoWay {
  const { build } = job.room.wall;
  switch (build.kind) {
    case 'unknown':
      return { code: 'wall-kind-unknown', kind: build.kind };
    case 'timber-stud':
      return studWays(job, mount, kit, 'stud');
    case 'metal-stud':
      return studWays(job, mount, kit, 'metal-stud');
    case 'masonry':
      return solidWays(mount, job, kit, 'masonry');
    default:
      return solidWays(mount, job, kit, 'backing');
  }
}

const USUAL_COUNT = 4;

function studWays(job: Job, mount: Mount, kit: Kit, into: 'stud' | 'metal-stud'): Way[] | NoWay {
  const { build } = job.room.wall;
  const own = fromMount(mount, build.kind);
  const count = mount.walls[build.kind]?.fixing?.count ?? USUAL_COUNT;
  const forStud = own && !HOLLOW_KINDS.has(own.kind) && !MASONRY_KINDS.has(own.kind) ? own : undefined;
  if (own && MASONRY_KINDS.has(own.kind)) return { code: 'never-in-board', kind: own.kind };
  const anchor = own && HOLLOW_KINDS.has(own.kind) ? own : bestAnchor(job, mount, kit);
  const ways: Way[] = [];
  if (forStud)
    ways.push({ kind: forStud.kind === 'lag' ? 'lags-in-studs' : 'screws-in-studs', into, main: forStud, count });
  if (forStud?.kind === 'lag' && anchor)
    ways.push({ kind: 'lags-and-anchors', into, main: forStud, board: anchor, count });
  if (anchor) {
    ways.push({ kind: 'anchors', into: 'board', board: anchor, count });
    if (count <= ANCHOR_SET_MM.fewCount)
      ways.push({ kind: 'anchors', into: 'board', board: anchor, count: ANCHOR_SET_MM.fewCount + 2 });
  }
  return ways.length > 0 ? ways : { code: 'no-fixing', kind: build.kind };
}

function solidWays(mount: Mount, job: Job, kit: Kit, into: 'masonry' | 'backing'): Way[] | NoWay {
  const { kind } = job.room.wall.build;
  const own = fromMount(mount, kind);
  if (own && into === 'masonry' && !MASONRY_KINDS.has(own.kind) && own.kind !== 'bolt')
    return { code: 'no-rating', kind: own.kind };
  const main = own ?? (into === 'masonry' ? masonryAnchor(kit) : undefined);
  if (!main) return { code: 'no-fixing', kind };
  const count = mount.walls[kind]?.fixing?.count ?? USUAL_COUNT;
  return [{ kind: into, into, main, count }];
}

const ultimate = ({ tension = 0, shear = 0 }: Fastener): number => Math.min(tension, shear);

const strongest = (anchors: readonly Fastener[]): Fastener | undefined =>
  [...anchors].sort((a, b) => ultimate(b) - ultimate(a) || strengthOf(b.kind) - strengthOf(a.kind))[0];

const masonryAnchor = (kit: Kit): Fastener | undefined =>
  strongest(kit.anchors.flatMap((a) => fromAnchor(a) ?? []).filter((a) => MASONRY_KINDS.has(a.kind)));

/** The strongest hollow-wall anchor of the kit that is rated for this board and reaches through plate and board. */
export function bestAnchor(job: Job, mount: Mount, kit: Kit): Fastener | undefined {
  return strongest(hollowAnchors(job, kit, plateOf(mount) + (job.choices?.packing ?? 0)));
}

/** Every rated hollow-wall anchor of the kit for this wall and so much in front of its board, mm. */
export function hollowAnchors(job: Job, kit: Kit, infrontMm: number): Fastener[] {
  const { build } = job.room.wall;
  const board = boardOf(build);
  return kit.anchors
    .flatMap((a) => fromAnchor(a) ?? [])
    .filter((a) => HOLLOW_KINDS.has(a.kind) && (a.walls?.includes(build.kind) ?? true))
    .filter((a) => Boolean(a.tension && a.shear))
    .filter((a) => a.board === undefined || Math.abs(a.board - board) <= RATED_BOARD_MM)
    .filter(
      ({ grip, washer = 0 }) =>
        !grip || (infrontMm + board + washer >= grip.min && infrontMm + board + washer <= grip.max),
    );
}

/** What a school says of a way, whatever it holds; undefined where it has nothing against it. */
export function refusedBy(way: Way, job: Job, mount: Mount): FindingCode | undefined {
  if (!way.board) return undefined;
  const school = schoolOf(job);
  if (school === 'studs-only') return 'anchors-refused';
  if (moves(mount)) return school === 'rated-anchors' ? 'arm-on-anchors' : 'arm-on-anchors-refused';
  if (way.kind !== 'anchors') return undefined;
  const limit = way.count > ANCHOR_SET_MM.fewCount ? ANCHOR_SET_MM.many : ANCHOR_SET_MM.few;
  if (job.screen.diagonal <= limit) return undefined;
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
