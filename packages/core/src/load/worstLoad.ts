import type { Mount, Screen } from '@steddo/contract';
import { shearCapacity, utilisation, type Capacity, type YieldTable } from '../fixing/fastenerCapacity';
import { LANES, laneAt, type Lanes } from '../primitives/arithmetic';
import { toDeg } from '../primitives/convert';
import type { FastenerGroup } from './fastenerGroup';
import { groupForces, type GroupForces } from './groupForces';
import type { LoadPose } from './loadPoses';
import { handlingsOf, pushesOf, weightsOf, type Handling, type PushPlace } from './setPushes';

/** What a load is made of and what it acts on. */
export interface LoadCase {
  screen: Pick<Screen, 'mass'>;
  mount: Mount;
  group: FastenerGroup;
  /** What each of the group's fasteners may hold. */
  capacities: readonly Capacity[];
  at: PushPlace;
}

/** The pose and the hand that ask most of any one fastener. */
export interface WorstLoad {
  utilisation: number;
  pose: LoadPose;
  handling: Handling;
  /** Of each fastener, N. */
  forces: { tension: number; shear: number; angleDeg: number }[];
  /** Of every pose, the most that any fastener has to hold. */
  each: number[];
}

/**
 * The worst of all poses and hands, all poses side by side. Undefined where the group cannot hold the
 * load at all (a torque on one screw, nothing to turn about).
 */
export function worstLoad(load: LoadCase, poses: readonly LoadPose[], table?: YieldTable): WorstLoad | undefined {
  const { screen, mount, group, capacities, at } = load;
  const weights = weightsOf(LANES, screen, mount);
  const lanes = {
    x: laneOf(poses, (p) => p.x),
    out: laneOf(poses, (p) => p.standoff + at.packing),
    frontX: laneOf(poses, (p) => p.frontX),
    frontOut: laneOf(poses, (p) => p.frontStandoff + at.packing),
  };
  const cases = handlingsOf(mount).map((handling) => {
    const pushes = pushesOf(LANES, at, weights, lanes, handling);
    return { handling, forces: groupForces(LANES, group, pushes, handling === 'left' ? 'right' : 'left') };
  });
  const held = cases.flatMap(({ handling, forces }) =>
    forces ? [{ handling, forces, shares: sharesOf(forces, capacities, poses.length, table) }] : [],
  );
  if (held.length < cases.length) return undefined;
  const each = poses.map(() => 0);
  let worst: { utilisation: number; pose: number; by: (typeof held)[number] } | undefined;
  for (let i = 0; i < poses.length; i++)
    for (const by of held) {
      const utilisation = mostAt(by.shares, i);
      each[i] = Math.max(each[i]!, utilisation);
      if (!worst || utilisation > worst.utilisation) worst = { utilisation, pose: i, by };
    }
  if (!worst) return undefined;
  const { pose: i, by } = worst;
  const forces = by.forces.tension.map((tension, k) => {
    const shear = by.forces.shear[k]!;
    return { tension: laneAt(tension, i), shear: laneAt(shear.size, i), angleDeg: grainAt(shear, i) };
  });
  return { utilisation: worst.utilisation, pose: poses[i]!, handling: by.handling, forces, each };
}

type Shear = GroupForces<Lanes>['shear'][number];

/** The direction of a shear against the grain of an upright stud, degrees: 0 up or down, 90 across. */
const grainAt = ({ right = 0, up }: Shear, i: number): number =>
  toDeg(Math.atan2(Math.abs(laneAt(right, i)), Math.abs(laneAt(up, i))));

/** How much of what it may hold each fastener has to, in every pose. */
const sharesOf = (
  { tension, shear }: GroupForces<Lanes>,
  capacities: readonly Capacity[],
  poses: number,
  table: YieldTable | undefined,
): Lanes[] =>
  capacities.map((capacity, k) => {
    const may = new Float64Array(poses);
    for (let i = 0; i < poses; i++) may[i] = shearCapacity(capacity, grainAt(shear[k]!, i), table);
    const force = { tension: tension[k]!, shear: shear[k]!.size };
    return utilisation(LANES, capacity.by, force, { tension: capacity.tension, shear: may });
  });

/** The largest share in one pose; with nothing to hold at all none over none, which is nothing. */
const mostAt = (shares: readonly Lanes[], i: number): number =>
  shares.reduce<number>((most, s) => Math.max(most, laneAt(s, i) || 0), 0);

/** One number for each pose; the only one by itself. */
function laneOf(poses: readonly LoadPose[], of: (p: LoadPose) => number): Lanes {
  if (poses.length === 1) return of(poses[0]!);
  const lane = new Float64Array(poses.length);
  for (let i = 0; i < poses.length; i++) lane[i] = of(poses[i]!);
  return lane;
}
