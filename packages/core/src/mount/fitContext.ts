import type { Build, Fit, Job, Mount } from '@steddo/contract';
import { feasible } from '../primitives/intervals';
import type { Estimate } from './estimateUtilisation';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { frameOf, wantedHeight } from '../placement/frameOf';
import { heightLimits } from '../placement/heightLimits';
import { onMainWall, plateMayCover } from '../room/roomThings';
import { anglesAt, edges, spotAt, tiltOf, type Frame } from '../placement/placeSet';
import { roughRoom, type RoughRoom } from '../reach/roughReach';
import { outlineOf } from '../screen/outlineOf';
import { seatAngles } from '../sight/seatAngles';
import { judgeLift, liftOf, type JudgedLift } from '../lift/judgeLift';
import { newMountMemory, type MountMemory } from './mountMemory';
import type { RoomForPlate } from './plateRoom';
import { cornerSideOf, isCorner, isVehicle } from '../room/roomKind';
import { cornerReachRule } from '../corner/mountInCorner';
import { sideWallOf, type SideWall } from '../twoWalls/sideWall';
import { partsBehind, type Wall } from '../room/wallAt';
import type { Seats } from './typeAdvice';
import { SET_THICKNESS_MM } from '../room/usualSizes';
import { isPortrait, patternAt } from '../room/hungSides';

/** What the room asks of any mount, worked out once for the whole catalogue. */
export interface FitContext {
  seats: Seats;
  /** How the wall is built behind the set where it is wanted; absent while that is not known. */
  behind?: readonly Build[];
  /** What a mount's worst fastener would have to hold on this wall, over what it may. */
  estimate: (mount: Mount) => Estimate | undefined;
  /** The yields of lags, kept for the whole list. */
  yieldTable: YieldTable;
  /** A mount with its two brackets as one plate. */
  plated: (mount: Mount) => Mount;
  /** What is kept of where a mount's arm can go. */
  reachOf: MountMemory['reachOf'];
  /** The set and its walls, for how far an arm brings it; absent while its centre line is not known. */
  rough?: RoughRoom;
  /** How heavy the set is to lift onto a mount. */
  lift: (mount: Mount) => JudgedLift;
  /** In a corner: what its other wall is, and whether a mount reaches the walls there. */
  corner?: { side: () => SideWall; reaches: (mount: Mount) => Fit[] };
  /** Absent while no height is wanted, or the set alone, without a plate, finds no place. */
  room?: RoomForPlate;
}

/**
 * The seats, the wanted height and the obstacles of a job, whatever mount it has now: so that a
 * mount is judged alike whether it is picked or only on the list.
 */
export function fitContext(job: Job, memory: MountMemory = newMountMemory()): FitContext {
  const { mount: _, measured: _m, ...bare } = job;
  const outline = outlineOf(job.screen, job.guessed ?? [], isPortrait(job));
  const { height } = outline;
  const thickness = job.screen.thickness ?? SET_THICKNESS_MM;
  const liftTo = (hungBottom: number) => {
    const lift = liftOf(job, { setHeight: height.value, thickness, hungBottom });
    return (mount: Mount) => judgeLift(job, mount, lift);
  };
  const packing = job.choices?.packing ?? 0;
  const { yieldTable } = memory;
  const vehicle = isVehicle(job);
  const estimateOn = (walls: readonly Wall[]) => (mount: Mount) => {
    const wall = walls.find((w) => mount.walls[w.build.kind]) ?? job.room.wall;
    return memory.estimateUtilisation(mount, job.screen, wall, packing, vehicle, yieldTable);
  };
  const base = {
    estimate: estimateOn([job.room.wall]),
    yieldTable,
    reachOf: memory.reachOf,
    plated: (mount: Mount) => (mount.brackets ? memory.platedMount(mount) : mount),
    lift: liftTo((job.room.wall.height - height.value) / 2),
  };
  const framed = frameOf(bare, outline);
  if (!framed.ok) return { ...base, seats: { seats: [] } };
  const { frame } = framed;
  if (isCorner(job)) return inCorner(job, { ...base, liftTo }, frame);
  const { width, centreX } = frame;
  const seats = seatAngles(bare, centreX);
  const rough = roughRoom(job, { centreX: centreX.value, width: width.value, thickness }, memory.armAtZero);
  const wanted = wantedHeight(frame).section;
  if (!wanted) return { ...base, seats: { seats }, rough };
  const spot = spotAt(frame, wanted);
  const tilt = tiltOf(anglesAt(frame, spot), bare);
  const bottom = spot.bottom.value;
  const { wall } = job.room;
  const { own, parts } = partsBehind(wall, { ...edges(frame), bottom, top: bottom + height.value });
  const walls = [...(own ? [wall] : []), ...parts.map((z) => memory.likePart(wall, z))];
  const placed = {
    ...base,
    behind: walls.map((w) => w.build),
    estimate: estimateOn(walls),
    seats: { seats, ...(tilt ? { tilt } : {}) },
    rough,
    lift: liftTo(bottom),
  };
  // where the set alone finds no height the room is to blame, and no mount
  const forSet = heightLimits({ job: bare, height, set: edges(frame) });
  if (feasible(forSet).length === 0) return placed;
  return {
    ...placed,
    room: {
      forSet,
      obstacles: onMainWall(job.room.objects).filter((i) => !plateMayCover(i, job.leads)),
      wallHeight: job.room.wall.height,
      setHeight: height.value,
      patternUp: patternAt(job).up.value,
      patternX: centreX.value + patternAt(job).right.value,
      wanted: wanted.value,
      sag: job.aim.sag ?? 0,
    },
  };
}

/** In a corner: seats by its middle line, both walls behind the mount, and its feet by statics of their own instead of the closed form. */
function inCorner(
  job: Job,
  base: Pick<FitContext, 'yieldTable' | 'reachOf' | 'lift' | 'plated'> & {
    liftTo: (bottom: number) => FitContext['lift'];
  },
  frame: Frame,
): FitContext {
  const { liftTo, ...kept } = base;
  const { mount: _, ...bare } = job;
  const seats = seatAngles(bare, frame.centreX, frame);
  let side: SideWall | undefined;
  const known = () => (side ??= sideWallOf(job));
  const own = job.room.sideWalls?.[cornerSideOf(job)]?.build;
  const { build } = job.room.wall;
  const wanted = wantedHeight(frame).section;
  const spot = wanted && spotAt(frame, wanted);
  const tilt = spot && tiltOf(anglesAt(frame, spot), bare);
  return {
    ...kept,
    estimate: () => undefined,
    seats: { seats, ...(tilt ? { tilt } : {}) },
    behind: own ? [build, { ...build, ...own }] : [build],
    corner: { side: known, reaches: (mount) => cornerReachRule(job, mount, frame.width) },
    ...(spot ? { lift: liftTo(spot.bottom.value) } : {}),
  };
}
