import type { Build, BuildKind, HoleInto, Mount } from '@steddo/contract';

/** What is true of a kind of wall, wherever it stands. */
export interface WallKind {
  /** What a hole in it is made into before anything else; nothing can be said of a wall that nobody has named. */
  main?: HoleInto;
  /** There is a hollow behind its board, for anchors. */
  hollow: boolean;
  /** Board on it when nobody has measured it, mm: 1/2 in (common practice). */
  boardMm: number;
}

const HALF_INCH_MM = 12.7;

/** Every kind of wall; one that is missing here does not compile. */
export const WALL_KINDS: Record<BuildKind, WallKind> = {
  'timber-stud': { main: 'stud', hollow: true, boardMm: HALF_INCH_MM },
  'metal-stud': { main: 'metal-stud', hollow: true, boardMm: HALF_INCH_MM },
  masonry: { main: 'masonry', hollow: false, boardMm: 0 },
  'timber-backing': { main: 'backing', hollow: false, boardMm: HALF_INCH_MM },
  'metal-backing': { main: 'backing', hollow: false, boardMm: HALF_INCH_MM },
  unknown: { hollow: false, boardMm: HALF_INCH_MM },
};

/** Whether a hole into that can be made in a wall of a kind: a toggle in the hollow of any stud wall. */
export const takesHole = (name: BuildKind, into: HoleInto): boolean =>
  into === 'board' ? WALL_KINDS[name].hollow : WALL_KINDS[name].main === into;

/** A wall of metal studs that a mount's label says nothing of. */
export const isUnnamedSteel = (mount: Pick<Mount, 'walls'>, { kind }: Pick<Build, 'kind'>): boolean =>
  kind === 'metal-stud' && mount.walls['metal-stud'] === undefined;

/** The most of a flat TV and its mount together on metal studs that the label does not name, kg. Ours. */
export const UNNAMED_STEEL_KG = 20;
