import type { Mount, Screen } from '@steddo/contract';
import {
  durationOf,
  edgeShare,
  reductionAt,
  shearCapacity,
  utilisation,
  type Capacity,
  type YieldTable,
} from '../fixing/fastenerCapacity';
import { DURATION } from '../fixing/lagTables';
import { LANES, laneAt, type Lanes } from '../primitives/arithmetic';
import { toDeg } from '../primitives/convert';
import { forcesOf } from './besideForces';
import type { FastenerGroup } from './fastenerGroup';
import type { GroupForces } from './groupForces';
import type { LoadPose } from './loadPoses';
import { handlingsOf, onRoad, pulledBy, pushesOf, weightsOf, type Handling, type PushPlace } from './setPushes';

/** What a load is made of and what it acts on. */
export interface LoadCase {
  screen: Pick<Screen, 'mass'>;
  mount: Mount;
  group: FastenerGroup;
  /** What each of the group's fasteners may hold. */
  capacities: readonly Capacity[];
  at: PushPlace;
}

/** What poses ask of the worst fastener, each pose by itself: over what it may hold, and over what a label may cover. */
export interface PoseShares {
  use: number[];
  /** Over 1: nearer to first yield than 1.4 times, or 1.5 times the tables, whichever comes first. */
  beyond: number[];
}

/** The pose and the hand that ask most of any one fastener. */
export interface WorstLoad {
  utilisation: number;
  pose: LoadPose;
  handling: Handling;
  /** The duration factor of that case. */
  duration: number;
  /** Of each fastener, N. */
  forces: { tension: number; shear: number; angleDeg: number; right: number; up: number }[];
  /** The most with nobody's hand on it, and with one (absent: nobody pushes it about). */
  standing: number;
  leaned?: number;
  /** The most on the road, folded; absent where nobody drives it. */
  travel?: number;
  each: PoseShares;
  /** For each hand, and for none, the pose that asks most with it. */
  extremes: LoadCaseAt[];
}

/** One case: a pose with what a hand does to it. */
export interface LoadCaseAt {
  pose: LoadPose;
  handling: Handling;
  duration: number;
}

/** A rating carries this much above the tables for timber, never more, and leaves this much to first yield. Ours. */
const COVER = { most: 1.5, toYield: 1.4 } as const;

/** How far above the tables a maker's label may carry a fastener in one case: 5/16 in across the grain by hand 1.5, 1/4 in along it about 1. */
const coverOf = (reduction: number, duration: number): number =>
  Math.max(1, Math.min(COVER.most, reduction / (COVER.toYield * duration)));

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
  const times = poses.some((p) => p.travel) ? laneOf(poses, (p) => p.travel ?? 1) : undefined;
  const cases = handlingsOf(mount).map((handling) => {
    const hung = times !== undefined && handling === 'none' ? onRoad(LANES, weights, times) : weights;
    const pushes = pushesOf(LANES, at, hung, lanes, handling);
    const duration = laneOf(poses, (p) => durationIn(p, handling));
    return { handling, duration, forces: forcesOf(LANES, group, pushes, pulledBy(handling)) };
  });
  const held = cases.flatMap(({ handling, duration, forces }) =>
    forces ? [{ handling, duration, forces, shares: sharesOf(forces, capacities, duration, poses.length, table) }] : [],
  );
  if (held.length < cases.length) return undefined;
  const each: PoseShares = { use: poses.map(() => 0), beyond: poses.map(() => 0) };
  let [standing, leaned, travel] = [0, 0, 0];
  let worst: { utilisation: number; pose: number; by: (typeof held)[number] } | undefined;
  const most = held.map(() => ({ use: -1, pose: 0 }));
  for (let i = 0; i < poses.length; i++)
    for (const [k, by] of held.entries()) {
      const onTheRoad = poses[i]!.travel !== undefined;
      if (onTheRoad && by.handling !== 'none') continue;
      const use = mostAt(by.shares, i);
      if (use > most[k]!.use) most[k] = { use, pose: i };
      if (onTheRoad) travel = use;
      else if (by.handling === 'none') standing = Math.max(standing, use);
      else leaned = Math.max(leaned, use);
      each.use[i] = Math.max(each.use[i]!, use);
      each.beyond[i] = Math.max(each.beyond[i]!, use <= 1 ? use : beyondAt(by, capacities, i, table));
      if (!worst || use > worst.utilisation) worst = { utilisation: use, pose: i, by };
    }
  if (!worst) return undefined;
  const { pose: i, by } = worst;
  const forces = by.forces.tension.map((tension, k) => {
    const shear = by.forces.shear[k]!;
    const [right, up] = [laneAt(shear.right ?? 0, i), laneAt(shear.up, i)];
    return { tension: laneAt(tension, i), shear: laneAt(shear.size, i), angleDeg: grainAt(shear, i), right, up };
  });
  return {
    ...{ utilisation: worst.utilisation, pose: poses[i]!, handling: by.handling, forces, standing, each },
    duration: laneAt(by.duration, i),
    ...(held.length > 1 ? { leaned } : {}),
    ...(times === undefined ? {} : { travel }),
    extremes: held.map((h, k) => ({
      pose: poses[most[k]!.pose]!,
      handling: h.handling,
      duration: laneAt(h.duration, most[k]!.pose),
    })),
  };
}

/** The shortest load of a combination sets its duration (NDS 2.3.2, from memory). */
export const durationIn = ({ stays }: LoadPose, handling: Handling): number =>
  handling === 'none' ? (stays ? DURATION.stays : DURATION.passing) : DURATION.hand;

type Shear = GroupForces<Lanes>['shear'][number];

/** The direction of a shear against the grain of an upright stud, degrees: 0 up or down, 90 across. */
const grainAt = ({ right = 0, up }: Shear, i: number): number =>
  toDeg(Math.atan2(Math.abs(laneAt(right, i)), Math.abs(laneAt(up, i))));

/** How much of what it may hold each fastener has to, in every pose. */
const sharesOf = (
  { tension, shear }: GroupForces<Lanes>,
  capacities: readonly Capacity[],
  duration: Lanes,
  poses: number,
  table: YieldTable | undefined,
): Lanes[] =>
  capacities.map((capacity, k) => {
    const out = new Float64Array(poses);
    const across = new Float64Array(poses);
    for (let i = 0; i < poses; i++) {
      const lasts = durationOf(capacity, laneAt(duration, i));
      out[i] = capacity.tension * lasts;
      const { right = 0, up } = shear[k]!;
      const edge = edgeShare(capacity, laneAt(right, i), laneAt(up, i));
      across[i] = shearCapacity(capacity, grainAt(shear[k]!, i), table) * lasts * edge;
    }
    const force = { tension: tension[k]!, shear: shear[k]!.size };
    return utilisation(LANES, capacity.by, force, { tension: out, shear: across });
  });

/** What the fasteners have to hold in one pose over what a label may cover; beyond any where a rating is passed. */
function beyondAt(
  { shares, forces, duration }: { shares: readonly Lanes[]; forces: GroupForces<Lanes>; duration: Lanes },
  capacities: readonly Capacity[],
  i: number,
  table: YieldTable | undefined,
): number {
  return capacities.reduce<number>((most, capacity, k) => {
    const use = laneAt(shares[k]!, i) || 0;
    const cover = coverOf(reductionAt(capacity, grainAt(forces.shear[k]!, i), table), laneAt(duration, i));
    return Math.max(most, use / cover);
  }, 0);
}

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
