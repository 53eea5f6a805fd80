import type { Job, Mount } from '@steddo/contract';
import { feasible } from '../geometry/intervals';
import { centreRule } from '../placement/centreRule';
import { heightLimits } from '../placement/heightLimits';
import { onMainWall, plateMayCover } from '../placement/itemRules';
import { edges, placeSideways, spotAt, anglesAt, tiltOf, type Frame } from '../placement/placeSet';
import { wishOf } from '../placement/schools';
import { roughRoom, type RoughRoom } from '../reach/roughReach';
import { outlineOf } from '../screen/outlineOf';
import { seatAngles } from '../sight/seatAngles';
import { SET_THICKNESS_MM } from '../tolerances';
import { leaf } from '../working';
import { liftLimitKg } from './liftPeople';
import { newMountMemory, type MountMemory } from './mountMemory';
import type { RoomForPlate } from './plateRoom';
import type { Seats } from './typeAdvice';

/** What the room asks of any mount, worked out once for the whole catalogue. */
export interface FitContext {
  seats: Seats;
  /** What a mount's worst fastener would have to hold on this wall, over what it may. */
  estimate: (mount: Mount) => number | undefined;
  /** The set and its walls, for how far an arm brings it; absent while its centre line is not known. */
  rough?: RoughRoom;
  liftLimitKg: number;
  /** Absent while no height is wanted, or the set alone, without a plate, finds no place. */
  room?: RoomForPlate;
}

/**
 * The seats, the wanted height and the obstacles of a job, whatever mount it has now: so that a
 * mount is judged alike whether it is picked or only on the list.
 */
export function fitContext(job: Job, memory: MountMemory = newMountMemory()): FitContext {
  const { width, height } = outlineOf(job.screen, job.guessed ?? []);
  const thickness = job.screen.thickness ?? SET_THICKNESS_MM;
  const bare: Job = { ...job };
  delete bare.mount;
  delete bare.measured;
  const centre = centreRule(bare);
  const lift = (centreMm: number) =>
    liftLimitKg({
      fromCm: height.value / 20,
      toCm: centreMm / 10,
      thicknessCm: thickness / 10,
    });
  const packing = job.choices?.packing ?? 0;
  const estimate = (mount: Mount) => memory.estimateUtilisation(mount, job.screen, job.room.wall, packing);
  if (!centre.ok) return { seats: { seats: [] }, estimate, liftLimitKg: lift(job.room.wall.height / 2) };
  const { centreX } = placeSideways(bare, width, centre.x);
  const frame: Frame = { job: bare, width, height, centreX };
  const seats = seatAngles(bare, centreX);
  const rough = roughRoom(job, { centreX: centreX.value, width: width.value, thickness }, memory.armAtZero);
  const chosen = job.choices?.centreY;
  const wish = wishOf(job.aim.height, bare, height, edges(frame));
  const wanted = chosen === undefined ? (wish.ok ? wish.centre : undefined) : leaf('centre-chosen', chosen, 'mm');
  if (!wanted) return { seats: { seats }, estimate, rough, liftLimitKg: lift(job.room.wall.height / 2) };
  const spot = spotAt(frame, wanted);
  const tilt = tiltOf(anglesAt(frame, spot), bare);
  // where the set alone finds no height the room is to blame, and no mount
  const forSet = heightLimits({ job: bare, height, set: edges(frame) });
  const base = {
    seats: { seats, ...(tilt ? { tilt } : {}) },
    estimate,
    rough,
    liftLimitKg: lift(spot.centre.value),
  };
  if (feasible(forSet).length === 0) return base;
  return {
    ...base,
    room: {
      forSet,
      obstacles: onMainWall(job.room.objects).filter((i) => !plateMayCover(i)),
      wallHeight: job.room.wall.height,
      setHeight: height.value,
      patternUp: job.screen.patternCentre?.up ?? 0,
      patternX: centreX.value + (job.screen.patternCentre?.right ?? 0),
      wanted: wanted.value,
      sag: job.aim.sag ?? 0,
    },
  };
}
