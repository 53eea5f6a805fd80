import type { Job, Side, Working } from '@steddo/contract';
import { boxGap, type Bounds, type Point } from '../primitives/convex';
import { toDeg, toRad } from '../primitives/convert';
import { memo } from '../primitives/memo';
import { leaf, minus, node } from '../primitives/working';
import { armOf, type Arm } from './arm';
import type { Hung } from './hung';
import { obstaclesAt, standingIn, type Band, type Obstacle } from './obstacles';
import { reachTable, standAt, type Reach, type ReachTable, type Stand } from './reachTable';
import { extensionOf, faceOf, offAxis, radiusOf, type Pose, type SetShape } from './setShape';
import { patternAt } from '../room/hungSides';
import { SET_THICKNESS_MM } from '../room/usualSizes';

/** How much further an arm could come out for it to be called too short, mm. Ours. */
export const LONGER_MM = 1500;

/** The arm of a job with everything around it, ready to be asked. */
export interface ReachModel {
  reach: Reach;
  table: ReachTable;
  plateX: number;
  /** How far the plate's back is in front of the wall. */
  plane: number;
  fold: Side;
  band: Band;
  folded: Pose;
  /** Where it stays when nobody moves it: folded; over a bench pushed back where the set is wanted. */
  rest: Pose;
}

/**
 * The arm as the plan hangs it. Undefined for a mount that does not move. The set settles by its sag:
 * on its way it takes up everything from its bottom to its top before it has settled.
 */
export function reachModel(hung: Hung, memory: ReachMemory = newReachMemory()): ReachModel | undefined {
  const { job, mount, fold } = hung;
  const { plane = 0 } = hung;
  const arm = memory.arm(mount, hung.plateX, fold, hung.spacer, plane);
  if (!arm) return undefined;
  const band = { bottom: hung.bottom, top: hung.top + (job.aim.sag ?? 0) };
  const shape = {
    width: hung.right - hung.left,
    thickness: job.screen.thickness ?? SET_THICKNESS_MM,
    head: arm.head,
    // a monitor arm brings its head to where the set hangs; any other has the set slid on its plate
    aside: mount.type === 'monitor-arm' ? -patternAt(job).right.value : hung.centre.x - arm.folded.x,
  };
  const near = around(arm, shape);
  const plateX = mount.plate && hung.plateX;
  const obstacles = obstaclesAt(memory.standing(job.room, plateX, mount.plate?.width), band).filter(
    (o) => boxGap(near, o, 0) <= 0,
  );
  const reach = { arm, shape, obstacles };
  const table = memory.table(arm, shape.width, shape.thickness, shape.aside, ...obstacles);
  const folded = { x: arm.folded.x, z: arm.folded.z, yaw: 0 };
  const rest = mount.type === 'monitor-arm' ? { ...folded, x: hung.centre.x - shape.aside } : folded;
  return { reach, table, plateX: hung.plateX, plane, fold, band, folded, rest };
}

/** A box that holds everything an arm can bring the set to, and what a longer one could. */
function around(arm: Arm, shape: SetShape): Bounds {
  const far = Math.max(arm.a + arm.b, Math.abs(arm.folded.x - arm.root.x)) + radiusOf(shape);
  const out = Math.max(arm.extended, arm.folded.z) + LONGER_MM + radiusOf(shape);
  return { left: arm.root.x - far, right: arm.root.x + far, near: -1, far: out };
}

/** What is kept from one model to the next: moving the set up and down seldom changes its table. */
export interface ReachMemory {
  arm: typeof armOf;
  standing: typeof standingIn;
  table: typeof tableAmong;
}

export const newReachMemory = (): ReachMemory => ({
  arm: memo(armOf),
  standing: memo(standingIn),
  table: memo(tableAmong),
});

/** The table of an arm with a set of a size among obstacles. */
const tableAmong = (arm: Arm, width: number, thickness: number, aside: number, ...obstacles: Obstacle[]): ReachTable =>
  reachTable({ arm, shape: { width, thickness, head: arm.head, aside }, obstacles });

/** A seat from above, mm. */
export interface Seat extends Point {
  viewer: string;
}

/** Viewers whose place sideways and away from the wall is known. */
export const seatsOf = (job: Pick<Job, 'room'>): Seat[] =>
  (job.room.viewers ?? []).flatMap((v) =>
    v.x === undefined || v.distance === undefined ? [] : [{ viewer: v.id, x: v.x, z: v.distance }],
  );

/** A pose as a person would say it: how far out, turned by so many degrees to the right. */
export interface SetPoseMm {
  x: number;
  z: number;
  yaw: number;
  extension: number;
}

/** Radians into degrees, and how far out the set's back is. */
export const posed = ({ reach }: ReachModel, pose: Pose): SetPoseMm => ({
  x: pose.x,
  z: pose.z,
  yaw: toDeg(pose.yaw),
  extension: extensionOf(reach.shape, pose),
});

/** The pose again, from degrees. */
export const poseOf = ({ x, z, yaw }: Pick<SetPoseMm, 'x' | 'z' | 'yaw'>): Pose => ({
  x,
  z,
  yaw: toRad(yaw),
});

/**
 * Degrees between the set's axis and a seat, positive to the right, with its working: the seat's
 * bearing from the middle of the face less the yaw.
 */
export function seatAxis(model: ReachModel, at: SetPoseMm, seat: Seat): Working {
  const face = faceOf(model.reach.shape, poseOf(at));
  const path = (field: string) => `room.viewers.${seat.viewer}.${field}`;
  const bearing = node('seat-bearing', 'atan', 'deg', [
    minus('eye-across', leaf('eye-x', seat.x, 'mm', { path: path('x') }), leaf('face-x', face.x, 'mm')),
    minus('eye-to-face', leaf('eye-distance', seat.z, 'mm', { path: path('distance') }), leaf('face-z', face.z, 'mm')),
  ]);
  return node('off-axis', '-', 'deg', [bearing, leaf('yaw', at.yaw, 'deg')]);
}

/** Without its working, for drags: degrees off the axis, positive to the right. */
export const seatOff = (model: ReachModel, at: SetPoseMm, seat: Point): number =>
  toDeg(offAxis(model.reach.shape, poseOf(at), seat));

/** A pose that a hand asked for, and what kept it from there. */
export interface Moved extends SetPoseMm {
  stoppedBy?: string;
}

/**
 * The pose nearest to what a hand asks for, that the set can be brought to: the place of the pivot
 * first, then the yaw as far as it turns there. What ended the turn is named.
 */
export function nearestPose(model: ReachModel, wanted: Pick<SetPoseMm, 'x' | 'z' | 'yaw'>): Moved {
  const exact = standAt(model.reach, wanted);
  const stand = typeof exact === 'object' ? exact : nearestStand(model, wanted);
  if (!stand) return posed(model, model.folded);
  const asked = toRad(wanted.yaw);
  const yaw = Math.min(stand.hi, Math.max(stand.lo, asked));
  const turned = asked > stand.hi ? stand.hiBy : asked < stand.lo ? stand.loBy : undefined;
  const stoppedBy = turned ?? (typeof exact === 'string' ? exact : undefined);
  return { ...posed(model, { x: stand.x, z: stand.z, yaw }), ...(stoppedBy ? { stoppedBy } : {}) };
}

function nearestStand({ table }: ReachModel, { x, z }: Point): Stand | undefined {
  let [best, least]: [Stand | undefined, number] = [undefined, Infinity];
  for (const stand of table.stands) {
    const off = Math.hypot(stand.x - x, stand.z - z);
    if (off < least) [best, least] = [stand, off];
  }
  return best;
}

/** Where the middle of the set's back is: what a finger holds. */
export function heldAt({ reach }: ReachModel, at: SetPoseMm): Point {
  const { x, z } = faceOf({ ...reach.shape, thickness: 0 }, poseOf(at));
  return { x, z };
}

/** The pivot for a place of the back's middle, at a yaw. */
export function pivotFor(model: ReachModel, held: Point, yaw: number): Point {
  const from = heldAt(model, { x: 0, z: 0, yaw, extension: 0 });
  return { x: held.x - from.x, z: held.z - from.z };
}
