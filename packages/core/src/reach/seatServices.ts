import type { Job, SeatPose } from '@steddo/contract';
import { eyeOf } from '../sight/eyeOf';
import { toDeg, toRad } from '../primitives/convert';
import { leaf, minus, node } from '../primitives/working';
import { posed, seatAxis, type ReachModel, type Seat, LONGER_MM } from '../arm/reachModel';
import { reachTable, type Reach } from '../arm/reachTable';
import { bestPose, isFaced, reachNeeded, type Served } from './seatPose';
import { faceOf, type Pose } from '../arm/setShape';

/** Further off axis than this a seat is poorly served, degrees. Ours. */
export const POOR_DEG = 30;

/** Where the search for what is to blame may be coarser, mm. */
const BLAME_STEP_MM = 80;
/** Less than this is no better, radians. */
const BETTER = toRad(0.5);

/** Where the set hangs and how tall it is, mm. */
export interface SetUpright {
  centreY: number;
  height: number;
}

/**
 * What each seat gets: the pose with the least angle off its axis, then the least extension, its
 * tilt, what stops a better one and the reach that one would take.
 */
export function seatServices(job: Job, model: ReachModel, seats: readonly Seat[], set: SetUpright): SeatPose[] {
  return seats.flatMap((seat) => {
    const served = bestPose(model.reach, model.table, [seat]);
    if (!served) return [];
    const at = posed(model, served);
    const axis = seatAxis(model, at, seat);
    const tilt = tiltAt(job, model, { pose: served, seat, set });
    const stoppedBy = isFaced(served.off) ? undefined : blame(model, served, seat);
    const needed = stoppedBy === 'reach' ? reachNeeded(model.reach.arm.root.x, model.reach.shape, seat) : undefined;
    return [
      {
        viewer: seat.viewer,
        offAxis: toDeg(served.off),
        ...at,
        tilt: tilt?.value ?? 0,
        reachable: toDeg(served.off) <= POOR_DEG,
        ...(stoppedBy ? { stoppedBy } : {}),
        ...(needed === undefined ? {} : { reachNeeded: needed }),
        workings: {
          offAxis: node('off-axis-size', 'abs', 'deg', [axis]),
          ...(tilt ? { tilt: tilt.working } : {}),
        },
      },
    ];
  });
}

/**
 * How far the set tilts for a seat at a pose, degrees, positive when its top leans out: as far as the
 * eye asks, the label gives, and the lower back edge has room before the wall:
 * `(h/2) sin(tilt) cos(yaw) <= z of the nearer back corner`. 645 tall, 66 out: 11.8 degrees.
 */
function tiltAt(job: Job, model: ReachModel, { pose, seat, set }: { pose: Pose; seat: Seat; set: SetUpright }) {
  const viewer = job.room.viewers?.find((v) => v.id === seat.viewer);
  const eye = viewer && eyeOf(viewer, job.guessed ?? []);
  if (!eye) return undefined;
  const face = faceOf(model.reach.shape, pose);
  const run = node('eye-run', 'hypot', 'mm', [
    leaf('eye-across', seat.x - face.x, 'mm'),
    leaf('eye-to-face', seat.z - face.z, 'mm'),
  ]);
  const working = node('look-centre', 'atan', 'deg', [
    minus('above-eye', leaf('set-centre', set.centreY, 'mm'), eye),
    run,
  ]);
  const { down = 0, up = 0 } = job.mount?.tilt ?? {};
  const most = Math.min(down, roomBehind(model.reach, pose, set.height));
  const upMost = Math.min(Math.abs(up), roomBehind(model.reach, pose, set.height));
  return { value: Math.min(most, Math.max(-upMost, working.value)), working };
}

/** Degrees of tilt before an edge of the back meets the wall. */
export function roomBehind({ shape }: Reach, pose: Pose, setHeight: number): number {
  const edge = shape.width / 2 + (pose.yaw > 0 ? shape.aside : -shape.aside);
  const behind = pose.z + shape.head * Math.cos(pose.yaw) - edge * Math.sin(Math.abs(pose.yaw));
  const lean = behind / ((setHeight / 2) * Math.cos(pose.yaw));
  return lean >= 1 ? 90 : toDeg(Math.asin(Math.max(0, lean)));
}

/** Without which one thing the seat would be served best: a thing in the way, the swivel, or the reach. */
function blame(model: ReachModel, served: Served, seat: Seat): string | undefined {
  const { reach, table } = model;
  const ends = table.stands.flatMap((s) => [s.loBy, s.hiBy]);
  const suspects = new Set([...table.blockedBy, ...ends]);
  suspects.delete('own-wall');
  suspects.delete('swivel');
  const without: [string, Reach][] = [
    ['reach', { ...reach, arm: longer(reach.arm) }],
    ['swivel', { ...reach, arm: { ...reach.arm, swivel: [-Math.PI, Math.PI] } }],
    ...[...suspects].map((by): [string, Reach] => [
      by,
      { ...reach, obstacles: reach.obstacles.filter((o) => o.by !== by) },
    ]),
  ];
  let best: { by: string; off: number } | undefined;
  for (const [by, freed] of without) {
    const off = bestPose(freed, reachTable(freed, BLAME_STEP_MM), [seat])?.off ?? Infinity;
    if (off < (best?.off ?? served.off) - BETTER) best = { by, off };
  }
  return best?.by ?? endOf(served);
}

/** Where no single thing is to blame: what ended the turn in the best pose, or several things. */
function endOf({ yaw, stand }: Served): string {
  if (yaw >= stand.hi) return stand.hiBy;
  return yaw <= stand.lo ? stand.loBy : 'several';
}

/** An arm that goes straight out as far as anybody wants, to see whether reach is what is missing. */
const longer = (arm: Reach['arm']): Reach['arm'] => ({
  ...arm,
  kind: 'scissor',
  extended: Math.max(arm.extended, arm.folded.z) + LONGER_MM,
});

/** The one pose that serves all seats as well as one can: least worst angle, then least extension. */
export function sharedPose(model: ReachModel, seats: readonly Seat[]) {
  if (seats.length < 2) return undefined;
  const served = bestPose(model.reach, model.table, seats);
  if (!served) return undefined;
  const at = posed(model, served);
  const offs = seats.map((s) => ({ viewer: s.viewer, off: Math.abs(seatAxis(model, at, s).value) }));
  const worst = offs.reduce((a, b) => (b.off > a.off ? b : a));
  return { ...at, worst: worst.off, viewer: worst.viewer };
}
