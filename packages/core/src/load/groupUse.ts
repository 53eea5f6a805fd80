import type { Mount, Screen } from '@steddo/contract';
import { GRAVITY_N_PER_KG, HANDLING, MOUNT_MASS_KG } from '../tolerances';
import { moves } from '../reach/arm';
import { toDeg } from '../units/convert';
import { forcesOn, groupStatics, groupLoad, type FastenerForce, type FastenerGroup, type Push } from './fastenerForces';
import { shearHeld, utilised, type Holds } from './holds';
import type { LoadPose } from './loadPoses';

/** What hangs on the plate: N, and how much of it comes out with the set. */
export interface Weights {
  set: number;
  moving: number;
  /** Of the mount, what stays at the plate. */
  still: number;
}

export const massOf = (mount: Mount): number =>
  mount.mass ?? (moves(mount) ? MOUNT_MASS_KG.moving : MOUNT_MASS_KG.still);

/** All of the mount moves with the set where nobody has said what does: the heavier case. */
export function weightsOf(screen: Pick<Screen, 'mass'>, mount: Mount): Weights {
  const whole = massOf(mount);
  const moving = Math.min(whole, mount.movingMass ?? whole);
  return {
    set: screen.mass * GRAVITY_N_PER_KG,
    moving: moving * GRAVITY_N_PER_KG,
    still: (whole - moving) * GRAVITY_N_PER_KG,
  };
}

export type Handling = 'none' | 'left' | 'right';

/** Heights on the wall and packing: what turns a pose into pushes. */
export interface PushPlace {
  weights: Weights;
  plateX: number;
  plateY: number;
  centreY: number;
  bottomY: number;
  /** Behind the plate: everything hangs further out by so much, mm. */
  packing: number;
}

/** The forces of a pose: weights, and a hand that leans on the front's lower edge and pushes it aside. */
export function pushesOf(pose: LoadPose, handling: Handling, at: PushPlace): Push[] {
  const { weights, packing } = at;
  const pushes: Push[] = [
    { x: pose.x, y: at.centreY, e: pose.e + packing, down: weights.set + weights.moving, side: 0 },
    { x: at.plateX, y: at.plateY, e: packing, down: weights.still, side: 0 },
  ];
  if (handling !== 'none')
    pushes.push({
      x: pose.frontX,
      y: at.bottomY,
      e: pose.frontE + packing,
      down: HANDLING.downN,
      side: handling === 'right' ? HANDLING.sideN : -HANDLING.sideN,
    });
  return pushes;
}

/** A mount with an arm is pushed about by hand; one that stays where it is carries its weight. */
export const handlingsOf = (mount: Mount): Handling[] => (moves(mount) ? ['none', 'left', 'right'] : ['none']);

export interface WorstUse {
  use: number;
  pose: LoadPose;
  handling: Handling;
  forces: FastenerForce[];
  /** Of every pose, the most that any fastener has to hold. */
  each: number[];
}

/** The direction of a shear against the grain of an upright stud, degrees: 0 up or down, 90 across. */
export const grainAngle = ({ shearX, shearY }: FastenerForce): number =>
  toDeg(Math.atan2(Math.abs(shearX), Math.abs(shearY)));

export const shearOf = ({ shearX, shearY }: FastenerForce): number => Math.sqrt(shearX * shearX + shearY * shearY);

/**
 * The pose and the hand that ask most of any one fastener. Undefined where the group cannot hold the
 * load at all (a torque on one screw, nothing to turn about).
 */
export function worstUse(
  group: FastenerGroup,
  holds: readonly Holds[],
  poses: readonly LoadPose[],
  handlings: readonly Handling[],
  at: PushPlace,
): WorstUse | undefined {
  const statics = groupStatics(group);
  let worst: Omit<WorstUse, 'each'> | undefined;
  const each: number[] = [];
  for (const pose of poses) {
    let here = 0;
    for (const handling of handlings) {
      const forces = forcesOn(statics, groupLoad(statics.middle, pushesOf(pose, handling, at)));
      if (!forces) return undefined;
      let use = 0;
      for (let i = 0; i < forces.length; i++) {
        const [f, h] = [forces[i]!, holds[i]!];
        use = Math.max(use, utilised(h, shearHeld(h, grainAngle(f)), f.tension, shearOf(f)));
      }
      here = Math.max(here, use);
      if (!worst || use > worst.use) worst = { use, pose, handling, forces };
    }
    each.push(here);
  }
  return worst && { ...worst, each };
}
