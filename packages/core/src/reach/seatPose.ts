import type { Point } from '../primitives/convex';
import { toRad } from '../primitives/convert';
import { besides, standAt, type Reach, type ReachTable, type Stand } from '../arm/reachTable';
import { aimAt, extensionOf, offAxis, type Pose, type SetShape } from '../arm/setShape';
import { SAME_MM } from '../primitives/epsilons';

/** A seat this far off the set's axis or less is faced, degrees. Ours. */
const FACES_DEG = 0.5;

/** A pose with what it gives. */
export interface Served extends Pose {
  /** The worst seat's angle off the set's axis, radians, without sign. */
  off: number;
  extension: number;
  /** How far aside of its folded place the pivot is, mm. */
  aside: number;
  stand: Stand;
}

/** Off the axis by less than this is on it, radians: rounding. */
const SAME_OFF = 1e-6;
/** The finest step of the refinement, mm. */
const FINEST_MM = 1;

/**
 * The best pose for one seat, or for several at once: least worst angle off axis, then the pivot
 * least far out, then least aside. Searched over the table and refined by a pattern search down to 1 mm. Undefined when
 * the set cannot hang there at all. A seat straight ahead: folded, 0.
 */
export function bestPose(reach: Reach, table: ReachTable, seats: readonly Point[]): Served | undefined {
  let found: Served | undefined;
  for (const stand of table.stands) found = better(found, poseAt(reach, stand, seats));
  if (!found) return undefined;
  let best: Served = found;
  for (let step = 32; step >= FINEST_MM;) {
    const next: Served = besides(reach.arm, best, step)
      .map((p) => standAt(reach, p))
      .filter((s) => typeof s === 'object')
      .map((s) => poseAt(reach, s, seats))
      .reduce<Served>(better, best);
    if (next === best) step /= 2;
    best = next;
  }
  return best;
}

/** The first wins where they are equal. One number decides, so that a search cannot go round in circles. */
function better(a: Served | undefined, b: Served): Served {
  return !a || costOf(b) < costOf(a) - SAME_MM ? b : a;
}

/** Millimetres of extension that a radian off the axis is worth: a hundredth of a degree, 17 mm. */
const RADIAN_MM = 1e5;
/** And of two equal ones the one with less to carry aside. */
const ASIDE = 1e-3;
const costOf = ({ off, z, aside }: Served): number => Math.max(0, off - SAME_OFF) * RADIAN_MM + z + aside * ASIDE;

/** With the pivot where it stands, the yaw that serves the seats best. */
function poseAt(reach: Reach, stand: Stand, seats: readonly Point[]): Served {
  const { shape } = reach;
  let [least, most] = [Infinity, -Infinity];
  for (const seat of seats) {
    const aim = aimAt(shape, stand, seat);
    if (aim === undefined) continue;
    least = Math.min(least, aim);
    most = Math.max(most, aim);
  }
  const wanted = least <= most ? (least + most) / 2 : 0;
  const yaw = Math.min(stand.hi, Math.max(stand.lo, wanted));
  const pose = { x: stand.x, z: stand.z, yaw };
  let off = 0;
  for (const seat of seats) off = Math.max(off, Math.abs(offAxis(shape, pose, seat)));
  const aside = Math.abs(stand.x - reach.arm.folded.x);
  const extension = extensionOf(shape, pose);
  return { x: stand.x, z: stand.z, yaw, off, extension, aside, stand };
}

/**
 * How far out an arm would have to bring the set's back, straight out over its root, for a seat to be
 * faced past the own wall, mm from the wall: least z with `z + c cos(yaw) - h sin(yaw) >= 0` at the yaw
 * that aims there. Undefined when no reach does it. Half a set of 550, joint at its back, seat at
 * 30 degrees: 275.
 */
export function reachNeeded(rootX: number, shape: SetShape, seat: Point): number | undefined {
  const lacking = (z: number): number => {
    const yaw = aimAt(shape, { x: rootX, z }, seat);
    if (yaw === undefined) return Infinity;
    const edge = shape.width / 2 + (yaw > 0 ? shape.aside : -shape.aside);
    return edge * Math.sin(Math.abs(yaw)) - shape.head * Math.cos(yaw) - z;
  };
  let [low, high] = [0, seat.z];
  if (lacking(low) <= 0) return shape.head;
  if (lacking(high / 2) > 0) return undefined;
  high /= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (lacking(middle) > 0) low = middle;
    else high = middle;
  }
  return high + shape.head;
}

export const isFaced = (off: number): boolean => off <= toRad(FACES_DEG);
