import type { Working } from '@steddo/contract';
import type { Point } from '../primitives/convex';
import { toRad } from '../primitives/convert';
import { leaf, sum } from '../primitives/working';
import { jointsFor, reachedBy, type Arm } from './arm';
import { poseOf, posed, type ReachModel, type SetPoseMm } from './reachModel';
import { standAt } from './reachTable';
import { cornersOf, setPoint } from './setShape';
import { motionTo } from './sweep';

/** What a drawing needs of an arm in a pose, mm on the floor plan. */
export interface ArmDrawn {
  /** Root, elbow where there is one, pivot, and the middle of the head's end on the set. */
  links: Point[];
  corners: Point[];
  face: Point;
}

/** The arm and the set in a pose; between folded and the linkage the elbow stays as folded. */
export function armDrawn({ reach }: ReachModel, at: SetPoseMm): ArmDrawn {
  const { arm, shape } = reach;
  const pose = poseOf(at);
  return {
    links: [...linkagePlaces(arm, { x: at.x, z: at.z }), setPoint(pose, 0, shape.head)],
    corners: cornersOf(shape, pose),
    face: setPoint(pose, shape.aside, shape.head + shape.thickness),
  };
}

/**
 * Where an arm's joints are for a place of its pivot, mm: root, elbow where there is one, pivot. The elbow stays on
 * the side where it is when folded. Links 100 and 50, folded left, pivot 150 straight out: (0, 0), (0, 100), (0, 150).
 */
export function linkagePlaces(arm: Arm, pivot: Point): Point[] {
  return [arm.root, ...(arm.kind === 'two' ? [elbowAt(arm, pivot)] : []), pivot];
}

function elbowAt(arm: Arm, pivot: Point): Point {
  const like = Math.sign(arm.foldedJoints.elbow);
  const found = jointsFor(arm, pivot);
  const joints = found.find((j) => Math.sign(j.elbow) === like) ?? found[0] ?? arm.foldedJoints;
  return reachedBy({ ...arm, b: 0 }, joints);
}

/** The set on its way from folded to a pose, in so many steps; only the pose when no way leads there. */
export function wayTo(model: ReachModel, at: SetPoseMm, steps: number): SetPoseMm[] {
  const stand = standAt(model.reach, at);
  if (typeof stand !== 'object') return [at];
  return motionTo(model.reach.arm, model.reach.shape, poseOf(at), stand.way, steps).map((pose) => posed(model, pose));
}

/** The furthest places of the pivot, as a line over the floor. */
export function furthest({ reach }: ReachModel): Point[] {
  const { arm } = reach;
  if (arm.kind === 'none') return [];
  if (arm.kind === 'scissor') return [arm.folded, { x: arm.root.x, z: arm.extended }];
  const [lo, hi] = arm.shoulder;
  const r = arm.a + arm.b;
  return Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
    const f = lo + ((hi - lo) * i) / ARC_STEPS;
    return { x: arm.root.x + r * Math.sin(f), z: Math.max(arm.folded.z, arm.root.z + r * Math.cos(f)) };
  });
}
const ARC_STEPS = 48;

/** How far out the middle of the set's back is, with its working, mm. */
export function outWorking({ reach }: ReachModel, at: SetPoseMm): Working {
  const yaw = toRad(at.yaw);
  const { head, aside } = reach.shape;
  return sum(
    'set-out',
    leaf('pivot-out', at.z, 'mm'),
    leaf('head-out', head * Math.cos(yaw), 'mm'),
    ...(Math.abs(aside * Math.sin(yaw)) > 1e-9 ? [leaf('aside-out', -aside * Math.sin(yaw), 'mm')] : []),
  );
}

/** The yaw with its sign as a number to show. */
export const yawWorking = (at: SetPoseMm): Working => leaf('yaw', at.yaw, 'deg');
