import type { Point } from '../primitives/convex';
import { wrapped } from './arm';

/** The set from above, as it hangs on its pivot: it turns about the pivot as one piece. */
export interface SetShape {
  width: number;
  thickness: number;
  /** From the pivot to its back, mm. */
  head: number;
  /** How far right of the pivot its middle hangs when it looks straight out, mm. */
  aside: number;
}

/** Where the pivot is and how far the set is turned, radians, positive to the right. */
export interface Pose {
  x: number;
  z: number;
  yaw: number;
}

/**
 * A point of the set on the floor plan: `along` to its right and `out` in front of the pivot.
 * Its right is (cos yaw, -sin yaw), its front (sin yaw, cos yaw): turned to the right, its right end goes back.
 */
export function setPoint({ x, z, yaw }: Pose, along: number, out: number): Point {
  const [sin, cos] = [Math.sin(yaw), Math.cos(yaw)];
  return { x: x + along * cos + out * sin, z: z - along * sin + out * cos };
}

/** Its four corners: back left, back right, front right, front left. */
export function cornersOf(shape: SetShape, pose: Pose): Point[] {
  const [left, right] = [shape.aside - shape.width / 2, shape.aside + shape.width / 2];
  const [back, front] = [shape.head, shape.head + shape.thickness];
  return [
    setPoint(pose, left, back),
    setPoint(pose, right, back),
    setPoint(pose, right, front),
    setPoint(pose, left, front),
  ];
}

/** The middle of its face. */
export const faceOf = (shape: SetShape, pose: Pose): Point => setPoint(pose, shape.aside, shape.head + shape.thickness);

/** How far the middle of its back stands from the wall, mm. */
export const extensionOf = (shape: SetShape, pose: Pose): number => setPoint(pose, shape.aside, shape.head).z;

/** The furthest of its points from the pivot, mm. */
export const radiusOf = ({ width, thickness, head, aside }: SetShape): number =>
  Math.hypot(width / 2 + Math.abs(aside), head + thickness);

/**
 * How far off its axis a seat sits, radians, positive to the right: the seat's bearing from the middle
 * of the face less the yaw. A seat straight in front: 0.
 */
export function offAxis(shape: SetShape, pose: Pose, seat: Point): number {
  const face = faceOf(shape, pose);
  return wrapped(Math.atan2(seat.x - face.x, seat.z - face.z) - pose.yaw);
}

/**
 * The yaw that looks straight at a seat from a pivot. With D the seat's distance and f its bearing from
 * the pivot, the set's axis runs `aside` to the right of the pivot, so that
 *
 *   D sin(f - yaw) = aside          yaw = f - asin(aside / D)
 *
 * Seat 1000 right and 1000 out, nothing aside: 45 degrees. Undefined for a seat nearer than `aside`.
 */
export function aimAt({ aside }: SetShape, pivot: Point, seat: Point): number | undefined {
  const [dx, dz] = [seat.x - pivot.x, seat.z - pivot.z];
  const away = Math.hypot(dx, dz);
  if (away <= Math.abs(aside)) return undefined;
  return Math.atan2(dx, dz) - Math.asin(aside / away);
}
