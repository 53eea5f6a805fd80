import { z } from 'zod';
import { side } from './parts';
import { working } from './working';

/** What an arm can do in this room. Lengths mm, angles degrees, positive to the right. */

const num = z.number();

/** Where the arm's head joint is, how far the set is turned, how far out the middle of its back is. */
const pose = { x: num, z: num, yaw: num, extension: num };

const seat = z.strictObject({
  viewer: z.string(),
  /** Degrees off the set's axis in the pose that serves this seat best. */
  offAxis: num,
  ...pose,
  tilt: num,
  /** Within 30 degrees off the axis. */
  reachable: z.boolean(),
  /** What keeps the seat from being faced: `swivel`, `reach`, `wall:left`, `object:o2`, `floor:f1`, `door:o3`. */
  stoppedBy: z.string().optional(),
  /** How far out an arm would have to bring the set's back to face it past its own wall. */
  reachNeeded: num.optional(),
  /** Mounts of the catalogue that nothing stops and that turn to every seat, best first. */
  servedBy: z.array(z.string()).optional(),
  workings: z.strictObject({ offAxis: working, tilt: working.optional() }).optional(),
});

/** One pose for all the seats at once: the least worst angle. */
const shared = z.strictObject({ ...pose, worst: num, viewer: z.string() });

const fold = z.strictObject({
  fold: side,
  centreOffset: num,
  plateX: num,
  /** Off the place where the set hangs in its middle; absent where no stud comes under the slots. */
  shift: num.optional(),
  /** Middles of the studs that its slots come over. */
  studs: z.array(num),
  chosen: z.boolean(),
});

const clearance = z.strictObject({
  below: num.optional(),
  belowBy: z.string().optional(),
  above: num.optional(),
  aboveBy: z.string().optional(),
  workings: z.strictObject({ below: working.optional(), above: working.optional() }),
});

export const reach = z.strictObject({
  folded: num,
  extended: num.optional(),
  /** The folded set's middle, right of the plate's. */
  centreOffset: num,
  seats: z.array(seat),
  shared: shared.optional(),
  folds: z.array(fold).optional(),
  clearance: clearance.optional(),
  /** Cable that the arm takes up between folded and fully out. */
  cableSlack: num.optional(),
  /** How far the folded set's front stands out of the wall. */
  protrusion: num.optional(),
  workings: z.strictObject({ cableSlack: working.optional(), protrusion: working.optional() }).optional(),
});

export type ReachPlan = z.infer<typeof reach>;
export type SeatPose = ReachPlan['seats'][number];
