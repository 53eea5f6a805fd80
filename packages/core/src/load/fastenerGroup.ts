/** One of two brackets: where the set hangs on it, its outline, and which of the group's fasteners are its own, by index. */
export interface Bracket {
  x: number;
  plate: NonNullable<FastenerGroup['plate']>;
  own: readonly number[];
}

/** Fasteners of one plate and what the plate bears against. Lengths mm, on the wall. */
export interface FastenerGroup {
  points: readonly { x: number; y: number }[];
  /** The plate's outline: what it turns about where the fasteners give no line of their own. */
  plate?: { left: number; right: number; bottom: number; top: number } | undefined;
  /** Screws in what gives more than the rest: they take part in the pull alone. */
  pulling?: readonly { x: number; y: number }[] | undefined;
  /** Anchors beside lags: they take part in the turning alone. */
  beside?: readonly { x: number; y: number }[] | undefined;
  /** Two brackets that stand apart, each with its own fasteners and its own edges: the set hangs between them. */
  apart?: readonly [Bracket, Bracket] | undefined;
  /** Masonry, backing and packing bear at the plate's edge; board only where a fastener draws it to the stud. */
  solid: boolean;
}

export const middleOf = (points: FastenerGroup['points']): { x: number; y: number } => ({
  x: points.reduce((s, p) => s + p.x, 0) / points.length,
  y: points.reduce((s, p) => s + p.y, 0) / points.length,
});

/** Which way the plate is pulled off the wall: at its top, or at one side. */
export type Pulled = 'up' | 'left' | 'right';

/**
 * Holes of one row or one stud are never drilled quite in line: fasteners no further apart than that are one line, and
 * the plate bears at its edge. About the outermost of them it would turn on a lever of no length. Ours, mm.
 */
const ONE_LINE_MM = 20;

/** Each fastener above the line that the plate turns about, or to one side of it, mm; undefined where there is none. */
export function leverArms({ points, pulling = [], plate, solid }: FastenerGroup, pulled: Pulled): number[] | undefined {
  const along = [...points, ...pulling].map((p) => (pulled === 'up' ? p.y : pulled === 'left' ? -p.x : p.x));
  const outer = Math.min(...along);
  const oneLine = Math.max(...along) - outer < ONE_LINE_MM;
  if (!solid && !oneLine) return along.map((a) => a - outer);
  if (!plate) return undefined;
  const edge = pulled === 'up' ? plate.bottom : pulled === 'left' ? -plate.right : plate.left;
  return along.map((a) => Math.max(0, a - edge));
}
