import { SAME_MM } from '../tolerances';

/** Fasteners of one plate and what the plate bears against. Lengths mm, on the wall. */
export interface FastenerGroup {
  points: readonly { x: number; y: number }[];
  /** The plate's outline: what it turns about where the fasteners give no line of their own. */
  plate?: { left: number; right: number; bottom: number; top: number } | undefined;
  /** Masonry, backing and packing bear at the plate's edge; board only where a fastener draws it to the stud. */
  solid: boolean;
}

/** One force on the set: where it acts on the wall's plane, how far out, and how large. Down is positive. */
export interface Push {
  x: number;
  y: number;
  /** Out of the wall, mm. */
  e: number;
  /** N. */
  down: number;
  /** N, to the right. */
  side: number;
}

/** All forces as they come to the group's middle. N and N mm. */
export interface GroupLoad {
  down: number;
  side: number;
  /** In the wall's plane, about the fasteners' middle; positive lifts the right side. */
  torque: number;
  /** Pulls the top off the wall. */
  over: number;
  /** Pulls one side off; positive presses the right side and pulls the left. */
  swing: number;
}

export interface FastenerForce {
  tension: number;
  /** In the wall's plane: to the right, and up. */
  shearX: number;
  shearY: number;
}

export const middleOf = (points: FastenerGroup['points']): { x: number; y: number } => ({
  x: points.reduce((s, p) => s + p.x, 0) / points.length,
  y: points.reduce((s, p) => s + p.y, 0) / points.length,
});

/**
 * The pushes together at the fasteners' middle. 100 N down at 300 mm out and 50 mm right of the middle:
 * 30 000 N mm over, 5 000 N mm that lowers the right side (-5 000).
 */
export function groupLoad(middle: { x: number; y: number }, pushes: readonly Push[]): GroupLoad {
  const total = { down: 0, side: 0, torque: 0, over: 0, swing: 0 };
  for (const { x, y, e, down, side } of pushes) {
    total.down += down;
    total.side += side;
    total.torque += -(x - middle.x) * down - (y - middle.y) * side;
    total.over += down * e;
    total.swing += side * e;
  }
  return total;
}

/** What of a group is the same for every load on it. */
export interface GroupStatics {
  middle: { x: number; y: number };
  /** Sum of the squares of the fasteners' distances from their middle. */
  polar: number;
  points: FastenerGroup['points'];
  up: Lever | undefined;
  left: Lever | undefined;
  right: Lever | undefined;
}

interface Lever {
  arms: readonly number[];
  squares: number;
}

export function groupStatics(group: FastenerGroup): GroupStatics {
  const { points } = group;
  const middle = middleOf(points);
  const lever = (pulled: 'up' | 'left' | 'right'): Lever | undefined => {
    const arms = leverArms(group, pulled);
    return arms && { arms, squares: arms.reduce((s, a) => s + a * a, 0) };
  };
  return {
    middle,
    points,
    polar: points.reduce((s, p) => s + (p.x - middle.x) ** 2 + (p.y - middle.y) ** 2, 0),
    up: lever('up'),
    left: lever('left'),
    right: lever('right'),
  };
}

/**
 * What each fastener has to hold, all of them equal (elastic bolt group, common practice in mechanics):
 *
 *   in plane    W/n down, H/n across, torque * r / sum r^2 square to r
 *   over        T_i = M y_i / sum y^2, y above the line it turns about: the lowest row on board, the plate's
 *               bottom edge where the bearing is solid or all fasteners share one row
 *   swing       likewise from the outermost line on the pressed side, or the plate's edge there
 *
 * Two lags 130 apart in one line, 100 N at 300 out: the upper one is pulled with 100 * 300 / 130 = 231 N.
 * Undefined where nothing can hold it: no plate outline where its edge is needed, or a torque on one fastener.
 */
export const fastenerForces = (group: FastenerGroup, load: GroupLoad): FastenerForce[] | undefined =>
  forcesOn(groupStatics(group), load);

/** The same for a group that was prepared once, for many loads. */
export function forcesOn(
  { points, middle, polar, up, left, right }: GroupStatics,
  load: GroupLoad,
): FastenerForce[] | undefined {
  const n = points.length;
  if (polar < SAME_MM && Math.abs(load.torque) > SAME_MM) return undefined;
  const twist = polar < SAME_MM ? 0 : load.torque / polar;
  const side = load.swing >= 0 ? left : right;
  if (!canTurn(up, load.over) || !canTurn(side, load.swing)) return undefined;
  const over = perArm(up!, load.over);
  const swing = perArm(side!, Math.abs(load.swing));
  return points.map((p, i) => ({
    tension: over * up!.arms[i]! + swing * side!.arms[i]!,
    shearX: load.side / n - twist * (p.y - middle.y),
    shearY: -load.down / n + twist * (p.x - middle.x),
  }));
}

const canTurn = (lever: Lever | undefined, moment: number): boolean =>
  lever !== undefined && (lever.squares >= SAME_MM || moment === 0);

const perArm = ({ squares }: Lever, moment: number): number => (moment === 0 ? 0 : moment / squares);

/** Fasteners above the line that the plate turns about, or to one side of it; mm. */
export function leverArms(
  { points, plate, solid }: FastenerGroup,
  pulled: 'up' | 'left' | 'right',
): number[] | undefined {
  const along = points.map((p) => (pulled === 'up' ? p.y : pulled === 'left' ? -p.x : p.x));
  const outer = Math.min(...along);
  const oneLine = Math.max(...along) - outer < SAME_MM;
  if (!solid && !oneLine) return along.map((a) => a - outer);
  if (!plate) return undefined;
  const edge = pulled === 'up' ? plate.bottom : pulled === 'left' ? -plate.right : plate.left;
  return along.map((a) => Math.max(0, a - edge));
}
