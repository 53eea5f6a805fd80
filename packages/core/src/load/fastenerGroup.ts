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

/** What a plate turns about: its lowest row, its edge, or its outermost line of fasteners; and where that is, mm. */
export interface TurnsAbout {
  line: 'row' | 'plate-edge' | 'outermost';
  at: number;
}

/** The line itself, in the wall's own axes: height for the top, x for a side. Undefined where there is none. */
export function turnsAbout(
  { points, pulling = [], plate, solid }: FastenerGroup,
  pulled: Pulled,
): TurnsAbout | undefined {
  const sign = pulled === 'left' ? -1 : 1;
  const along = [...points, ...pulling].map((p) => (pulled === 'up' ? p.y : sign * p.x));
  const outer = Math.min(...along);
  if (!solid && Math.max(...along) - outer >= ONE_LINE_MM)
    return { line: pulled === 'up' ? 'row' : 'outermost', at: sign * outer };
  if (!plate) return undefined;
  return { line: 'plate-edge', at: pulled === 'up' ? plate.bottom : pulled === 'left' ? plate.right : plate.left };
}

/** Each fastener above the line that the plate turns about, or to one side of it, mm; undefined where there is none. */
export function leverArms(group: FastenerGroup, pulled: Pulled): number[] | undefined {
  const about = turnsAbout(group, pulled);
  if (!about) return undefined;
  const sign = pulled === 'left' ? -1 : 1;
  const along = (p: { x: number; y: number }) => (pulled === 'up' ? p.y : p.x);
  return [...group.points, ...(group.pulling ?? [])].map((p) => Math.max(0, sign * (along(p) - about.at)));
}
