import type { Job, Mount, Side } from '@steddo/contract';
import { gapTo, type Point } from '../primitives/convex';
import { toDeg, toRad } from '../primitives/convert';
import { armOf, type Arm } from '../arm/arm';
import { wallsOf, type Obstacle } from '../arm/obstacles';
import { aimAt, cornersOf, offAxis, type SetShape } from '../arm/setShape';
import { turnAt } from '../arm/sweep';
import { patternAt } from '../room/hungSides';

/** The set and the walls about it, for judging any mount; things in the room do not count here. */
export interface RoughRoom {
  centreX: number;
  width: number;
  thickness: number;
  aside: number;
  walls: readonly Obstacle[];
  /** The arm of a mount over a plate at 0. */
  armAtZero: typeof armAtZero;
  /** Chosen by hand; else the better of both. */
  fold?: Side;
}

/** The walls about a job's set: its own, and side walls that are there. */
export function roughRoom(
  job: Job,
  set: Pick<RoughRoom, 'centreX' | 'width' | 'thickness'>,
  arm: typeof armAtZero = armAtZero,
): RoughRoom {
  const fold = job.choices?.fold;
  const aside = -patternAt(job).right.value;
  return { ...set, aside, walls: wallsOf(job.room.wall), armAtZero: arm, ...(fold ? { fold } : {}) };
}

/**
 * The least angle off the set's axis that an arm leaves a seat, degrees, by its own wall and the side
 * walls alone: tried straight out and along the arm's furthest arc, in closed form at each place. For
 * judging thousands of mounts; never less than with the room's things in the way.
 * Undefined for a mount that does not move. Half a set of 550, 275 out, seat at 30 degrees: 0.
 */
export function roughOff(mount: Mount, room: RoughRoom, seat: Point): number | undefined {
  let least: number | undefined;
  for (const fold of room.fold ? [room.fold] : (['left', 'right'] as const)) {
    const arm = room.armAtZero(mount, fold);
    if (!arm) return undefined;
    const shape = { width: room.width, thickness: room.thickness, head: arm.head, aside: room.aside };
    // hung so that the folded set has its middle where it is wanted
    const shift = room.centreX - room.aside - arm.folded.x;
    for (const { x, z } of places(arm)) {
      const off = offAt(arm, shape, { x: x + shift, z }, room.walls, seat);
      if (off === 0) return 0;
      if (off !== undefined && (least === undefined || off < least)) least = off;
    }
  }
  return least;
}

/** The arm of a mount whose plate stands at 0. */
export const armAtZero = (mount: Mount, fold: Side): Arm | undefined => armOf(mount, 0, fold);

/**
 * Degrees off after the best yaw with the pivot here; undefined where the set does not fit at all.
 * Its back edge comes ever nearer to its own wall as it turns: free when turned, free all the way.
 */
function offAt(arm: Arm, shape: SetShape, pivot: Point, walls: readonly Obstacle[], seat: Point): number | undefined {
  const aim = aimAt(shape, pivot, seat);
  if (aim === undefined) return undefined;
  const beside = walls.length > 1;
  if (!beside && aim >= arm.swivel[0] && aim <= arm.swivel[1]) {
    const edge = shape.width / 2 + (aim > 0 ? shape.aside : -shape.aside);
    if (pivot.z + shape.head * Math.cos(aim) >= edge * Math.sin(Math.abs(aim))) return 0;
  }
  if (beside) {
    const straight = cornersOf(shape, { x: pivot.x, z: pivot.z, yaw: 0 });
    for (const w of walls) if (gapTo(straight, w) < 0) return undefined;
  }
  const { lo, hi } = turnAt(arm, shape, pivot, walls);
  if (aim >= lo && aim <= hi) return 0;
  const yaw = aim > hi ? hi : lo;
  return toDeg(Math.abs(offAxis(shape, { x: pivot.x, z: pivot.z, yaw }, seat)));
}

const STEPS = 6;
const ARC_DEG = [15, -15, 30, -30, 50, -50, 70, -70];

/** Straight out first: it serves most seats; then the arc, then the way in between, then folded. */
function* places(arm: Arm): Generator<Point> {
  const { root, folded, extended } = arm;
  yield { x: root.x, z: extended };
  if (arm.kind === 'two' || arm.kind === 'one') {
    const most = arm.a + arm.b;
    for (const deg of ARC_DEG) {
      const f = toRad(deg);
      if (f < arm.shoulder[0] || f > arm.shoulder[1]) continue;
      yield { x: root.x + most * Math.sin(f), z: root.z + most * Math.cos(f) };
    }
  }
  if (arm.kind === 'two' || arm.kind === 'scissor')
    for (let i = STEPS - 1; i > 0; i--) yield { x: root.x, z: folded.z + ((extended - folded.z) * i) / STEPS };
  yield folded;
}
