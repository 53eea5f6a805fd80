import { boxGap, type Bounds, type Plane, type Point, type Polygon } from '../primitives/convex';
import { jointsFor, reachedBy, type Arm, type Joints } from './arm';
import type { Obstacle } from './obstacles';
import { cornersOf, radiusOf, type Pose, type SetShape } from './setShape';
import { SAME_MM } from '../primitives/epsilons';

/** The set nearer to a thing than this counts as touching it on its way, mm. Ours. */
const TOUCH_MM = 0.5;

/** Where the pivot is at each share of its way, and how far it goes at most per share, mm. */
export interface ArmWay {
  at: (share: number) => Point;
  speed: number;
}

/** What stands in the way, or nothing. */
export type Blocked = string | undefined;

/**
 * How the set is pulled out: from folded to a pivot, looking straight out, the joints turning evenly.
 * The label's folded place may be off the linkage; what is between them fades along the way.
 * The joints stay within their limits, for limits are a box and the way is straight in it. No point of
 * the set moves further per share than |shoulder| (a + b) + |elbow| b + the fading part.
 */
export function wayOut(arm: Arm, joints: Joints | undefined, pivot: Point): ArmWay {
  const { folded } = arm;
  if (!joints) {
    const [dx, dz] = [pivot.x - folded.x, pivot.z - folded.z];
    return {
      at: (t) => ({ x: folded.x + t * dx, z: folded.z + t * dz }),
      speed: Math.hypot(dx, dz),
    };
  }
  const from = arm.foldedJoints;
  const start = reachedBy(arm, from);
  const off = { x: folded.x - start.x, z: folded.z - start.z };
  const turn = { shoulder: joints.shoulder - from.shoulder, elbow: joints.elbow - from.elbow };
  return {
    at: (t) => {
      const on = reachedBy(arm, {
        shoulder: from.shoulder + t * turn.shoulder,
        elbow: from.elbow + t * turn.elbow,
      });
      return { x: on.x + (1 - t) * off.x, z: on.z + (1 - t) * off.z };
    },
    speed: Math.abs(turn.shoulder) * (arm.a + arm.b) + Math.abs(turn.elbow) * arm.b + Math.hypot(off.x, off.z),
  };
}

/** The ways that put the pivot at a place: one for each elbow within the limits, that of the fold first. */
export function waysTo(arm: Arm, pivot: Point): ArmWay[] {
  if (arm.kind === 'none' || arm.kind === 'scissor') return [wayOut(arm, undefined, pivot)];
  const sameWay = (j: Joints) => Math.sign(j.elbow) === Math.sign(arm.foldedJoints.elbow);
  return jointsFor(arm, pivot)
    .sort((p, q) => Number(sameWay(q)) - Number(sameWay(p)))
    .map((joints) => wayOut(arm, joints, pivot));
}

/**
 * Whether the set, looking straight out, meets anything on its way: never missed, at worst reported
 * where it passes within half a millimetre. A stretch is free when the gap at its middle is more than
 * anything can move from there to its ends; else it is halved.
 */
export function meetsOnWay(way: ArmWay, shape: SetShape, obstacles: readonly Obstacle[]): Blocked {
  for (const o of obstacles) if (meets(way, shape, o, 0, 1)) return o.by;
  return undefined;
}

function meets(way: ArmWay, shape: SetShape, o: Obstacle, from: number, to: number): boolean {
  const middle = (from + to) / 2;
  const reach = (way.speed * (to - from)) / 2;
  const gap = boxGap(straightBox(shape, way.at(middle)), o, reach);
  if (gap > reach) return false;
  if (gap < TOUCH_MM && reach <= TOUCH_MM) return true;
  if (gap <= -TOUCH_MM) return true;
  return meets(way, shape, o, from, middle) || meets(way, shape, o, middle, to);
}

/** The set looking straight out. */
const straightBox = ({ width, thickness, head, aside }: SetShape, { x, z }: Point): Bounds => ({
  left: x + aside - width / 2,
  right: x + aside + width / 2,
  near: z + head,
  far: z + head + thickness,
});

/** How far the set can turn to each side where its pivot is, radians, and what ends it. */
export interface Turn {
  lo: number;
  hi: number;
  loBy: string;
  hiBy: string;
}

/** Beginning straight out, where the set has to be free. */
export function turnAt(arm: Arm, shape: SetShape, pivot: Point, obstacles: readonly Obstacle[]): Turn {
  let [lo, hi] = arm.swivel;
  let [loBy, hiBy] = ['swivel', 'swivel'];
  for (const o of obstacles) {
    const right = turnLimit(shape, pivot, o, 1, hi);
    if (right < hi) [hi, hiBy] = [right, o.by];
    const left = -turnLimit(shape, pivot, o, -1, -lo);
    if (left > lo) [lo, loBy] = [left, o.by];
  }
  return { lo, hi, loBy, hiBy };
}

const turnLimit = (shape: SetShape, pivot: Point, o: Obstacle, way: 1 | -1, most: number): number =>
  o.kind === 'plane' ? wallTurn(shape, pivot, o, way, most) : thingTurn(shape, pivot, o, way, most);

/**
 * How far the set turns before a corner of it meets a wall, in closed form, radians; at most `most`.
 * A corner u to the right and v in front of the pivot stands, turned by y,
 *
 *   g + nx (u cos y + v sin y) + nz (v cos y - u sin y) = g + A cos y + B sin y = g + R cos(y - k)
 *
 * from it, with g the pivot's own distance, A = nx u + nz v, B = nx v - nz u, R = hypot(A, B), k = atan2(B, A).
 * It meets where cos(y - k) = -g / R, first at k + acos(-g / R) turning right. For the own wall and the
 * right back corner this is `z = pivot + c cos(yaw) - (w/2) sin(yaw) = 0`.
 * A set 1100 wide with the joint at its back, 275 out: 30 degrees.
 */
export function wallTurn(shape: SetShape, pivot: Point, wall: Plane, way: 1 | -1, most: number): number {
  const g = wall.nx * pivot.x + wall.nz * pivot.z - wall.d;
  let limit = most;
  for (const { x: u, z: v } of cornersOf(shape, { x: 0, z: 0, yaw: 0 })) {
    const a = wall.nx * u + wall.nz * v;
    const b = way * (wall.nx * v - wall.nz * u);
    const r = Math.hypot(a, b);
    if (r === 0 || g >= r) continue;
    const meet = Math.atan2(b, a) + Math.acos(Math.max(-1, -g / r));
    limit = Math.min(limit, Math.max(0, meet));
  }
  return limit;
}

/**
 * The same against a polygon: where first a corner of the set meets an edge of it, or a corner of it an
 * edge of the set, which seen from the set turns the other way.
 */
function thingTurn(shape: SetShape, pivot: Point, thing: Polygon, way: 1 | -1, most: number): number {
  const { left, right, near, far } = thing.bounds;
  const [dx, dz] = [Math.max(left - pivot.x, 0, pivot.x - right), Math.max(near - pivot.z, 0, pivot.z - far)];
  if (Math.hypot(dx, dz) > radiusOf(shape)) return most;
  const set = cornersOf(shape, { x: pivot.x, z: pivot.z, yaw: 0 });
  return Math.min(
    most,
    firstMeet(set, thing.points, pivot, way),
    firstMeet(thing.points, set, pivot, way === 1 ? -1 : 1),
  );
}

/** Before this share of a turn nothing is met anew: what touches at the beginning may turn away. */
const TURN_START = 1e-9;

/**
 * The least turn about a pivot at which one of the points meets an edge, radians. A point at r from the
 * pivot in the direction f meets the line n.p = d, e = d - n.pivot away from the pivot in the direction k, where
 *
 *   r cos(f + y - k) = e          y = k - f + acos(e / r)  or  k - f - acos(e / r)
 *
 * and counts when it is then between the ends of the edge.
 */
function firstMeet(points: readonly Point[], edges: readonly Point[], pivot: Point, way: 1 | -1): number {
  let first = Infinity;
  for (let i = 0; i < edges.length; i++) {
    const p = edges[i]!;
    const q = edges[(i + 1) % edges.length]!;
    const long = Math.hypot(q.x - p.x, q.z - p.z);
    if (long === 0) continue;
    const [tx, tz] = [(q.x - p.x) / long, (q.z - p.z) / long];
    const e = tz * (p.x - pivot.x) - tx * (p.z - pivot.z);
    const along = (pivot.x - p.x) * tx + (pivot.z - p.z) * tz;
    for (const point of points) {
      const [rx, rz] = [point.x - pivot.x, point.z - pivot.z];
      const r = Math.hypot(rx, rz);
      if (r < Math.abs(e)) continue;
      // half of the chord that the edge's line cuts from the point's circle
      const chord = Math.sqrt(r * r - e * e);
      if (along + chord < 0 || along - chord > long) continue;
      const base = Math.atan2(tz, -tx) - Math.atan2(rx, rz);
      const reach = Math.acos(e / r);
      for (const y of [base + reach, base - reach]) {
        const turn = positive(way * y);
        if (turn >= first) continue;
        const [sin, cos] = [Math.sin(way * turn), Math.cos(way * turn)];
        const at = along + (rx * cos + rz * sin) * tx + (rz * cos - rx * sin) * tz;
        if (at >= -SAME_MM && at <= long + SAME_MM) first = turn;
      }
    }
  }
  return first;
}

/** Between no turn and a whole one. */
function positive(rad: number): number {
  const turn = rad - 2 * Math.PI * Math.floor(rad / (2 * Math.PI));
  return turn > 2 * Math.PI - TURN_START ? 0 : turn;
}

/** Where the set is on the way to a pose: pulled out looking straight out, then turned. */
export function motionTo(arm: Arm, shape: SetShape, pose: Pose, way: ArmWay, steps: number): Pose[] {
  const turned = Math.abs(pose.yaw) * radiusOf(shape);
  const share = way.speed + turned > 0 ? way.speed / (way.speed + turned) : 0;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps;
    if (t < share) return { ...way.at(t / share), yaw: 0 };
    const rest = share < 1 ? (t - share) / (1 - share) : 1;
    return { x: pose.x, z: pose.z, yaw: pose.yaw * rest };
  });
}
