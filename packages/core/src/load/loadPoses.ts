import type { SeatPose } from '@steddo/contract';
import { armOf, moves, reachedBy, type Arm } from '../arm/arm';
import type { Hung } from '../arm/hung';
import { poseOf, type ReachModel } from '../arm/reachModel';
import { extensionOf, faceOf, setPoint, type Pose, type SetShape } from '../arm/setShape';
import { toDeg } from '../primitives/convert';
import { isVehicle } from '../room/roomKind';
import { SET_THICKNESS_MM } from '../room/usualSizes';

/** Where a pose puts the set's weight, and where a hand would lean on it. mm from the wall's left end and out of the wall. */
export interface LoadPose {
  /** The set's centre of mass: half its thickness in front of its back. */
  x: number;
  standoff: number;
  /** The front's lower edge. */
  frontX: number;
  frontStandoff: number;
  /** How far out the middle of its back is, mm, and how far it is turned, degrees. */
  extension: number;
  yaw: number;
  /** The set is left so: folded, or turned to a seat. Any other pose is passing. */
  stays: boolean;
  /** On the road: what hangs there counts so many times, and nobody leans on it. */
  travel?: number;
}

/** On the road a set counts so many times its weight. Ours. */
export const TRAVEL_TIMES = 3;

/** In a vehicle also folded on the road. */
export const withTravel = (poses: LoadPose[], vehicle: boolean): LoadPose[] =>
  vehicle && poses[0] ? [...poses, { ...poses[0], stays: false, travel: TRAVEL_TIMES }] : poses;

/** By the plate's back, which is so far in front of the wall that the pose is measured from. */
function poseAt(shape: SetShape, pose: Pose, stays: boolean, plane = 0): LoadPose {
  const heart = setPoint(pose, shape.aside, shape.head + shape.thickness / 2);
  const face = faceOf(shape, pose);
  return {
    x: heart.x,
    standoff: heart.z - plane,
    frontX: face.x,
    frontStandoff: face.z - plane,
    extension: extensionOf(shape, pose),
    yaw: toDeg(pose.yaw),
    stays,
  };
}

/** The one pose of a set that does not move: its centre of mass in front of its middle. */
function restingPose({ job, mount, centre, spacer }: Hung): LoadPose {
  const back = mount.depth.folded + spacer;
  const thickness = job.screen.thickness ?? SET_THICKNESS_MM;
  return {
    x: centre.x,
    standoff: back + thickness / 2,
    frontX: centre.x,
    frontStandoff: back + thickness,
    extension: back,
    yaw: 0,
    stays: true,
  };
}

const ELBOWS = 7;
const SHOULDERS = 9;

/**
 * Poses that an arm could bring the set to if nothing were in its way: the ends of its joints and between,
 * each turned as far as it goes to both sides and straight out. For comparing schemes; what is
 * reported goes by the poses that this room leaves. A mount that does not move has its one pose.
 */
export function freePoses(hung: Hung): LoadPose[] {
  const own = (hung.carried ?? []).map((c): LoadPose => ({ ...c, extension: c.standoff, yaw: 0, stays: true }));
  // a rack has no other: its links carry the set where it is
  if (hung.carried && !hung.mount.arm?.links) return own;
  return withTravel([...own, ...armPoses(hung)], isVehicle(hung.job));
}

function armPoses(hung: Hung): LoadPose[] {
  const arm = armOf(hung.mount, hung.plateX, hung.fold, hung.spacer);
  if (!arm) return [restingPose(hung)];
  const shape = shapeOf(hung, arm);
  return [
    poseAt(shape, { ...arm.folded, yaw: 0 }, true),
    ...pivots(arm).flatMap((p) => turns(arm.swivel).map((yaw) => poseAt(shape, { ...p, yaw }, false))),
  ];
}

const shapeOf = ({ job, centre }: Hung, arm: Arm): SetShape => ({
  // the width bears no part in where the weight is
  width: 0,
  thickness: job.screen.thickness ?? SET_THICKNESS_MM,
  head: arm.head,
  aside: centre.x - arm.folded.x,
});

function pivots(arm: Arm): { x: number; z: number }[] {
  const { root, folded } = arm;
  switch (arm.kind) {
    case 'none':
      return [folded];
    case 'scissor':
      return [folded, { x: root.x, z: arm.extended }];
    case 'one':
      return [
        folded,
        ...between(arm.shoulder, SHOULDERS).map((shoulder) => reachedBy({ ...arm, b: 0 }, { shoulder, elbow: 0 })),
      ];
    case 'two': {
      const elbows = [0, ...between(arm.elbow, ELBOWS)];
      const reached = between(arm.shoulder, SHOULDERS).flatMap((shoulder) =>
        elbows.map((elbow) => reachedBy(arm, { shoulder, elbow })),
      );
      return [folded, ...reached.filter((p) => p.z >= folded.z)];
    }
  }
}

const between = ([lo, hi]: readonly [number, number], count: number): number[] =>
  Array.from({ length: count }, (_, i) => lo + ((hi - lo) * i) / (count - 1));

const turns = ([lo, hi]: readonly [number, number]): number[] => [...new Set([lo, Math.min(hi, Math.max(lo, 0)), hi])];

/**
 * The poses that the arm can bring the set to in this room, each turned to both ends and as straight out
 * as it goes; the folded one and those of the seats first, in which it stays. Nothing moves, or everything is in the
 * way: the folded set.
 */
export function reachablePoses(
  hung: Hung,
  model: ReachModel | undefined,
  seats: readonly Pick<SeatPose, 'x' | 'z' | 'yaw'>[],
): LoadPose[] {
  if (!moves(hung.mount) || !model) return freePoses(hung);
  const { plane } = model;
  const { shape } = model.reach;
  const left = [model.folded, ...seats.map(poseOf)];
  const all = [
    ...left.map((pose) => poseAt(shape, pose, true, plane)),
    ...model.table.stands.flatMap((s) =>
      turns([s.lo, s.hi]).map((yaw) => poseAt(shape, { x: s.x, z: s.z, yaw }, false, plane)),
    ),
  ];
  return withTravel(all, isVehicle(hung.job));
}

/**
 * The poses that are left where something holds the set's middle within so much of the fasteners' middle: those
 * further aside end there, as far out.
 */
export const heldWithin = (poses: readonly LoadPose[], middleX: number, most: number): LoadPose[] =>
  poses.map((p) => atAside(p, middleX, Math.sign(p.x - middleX) * Math.min(Math.abs(p.x - middleX), most)));

/** A pose moved sideways until its set's middle is so far from the fasteners' middle, mm. */
export const atAside = (pose: LoadPose, middleX: number, aside: number): LoadPose => {
  const by = middleX + aside - pose.x;
  return by === 0 ? pose : { ...pose, x: pose.x + by, frontX: pose.frontX + by };
};
