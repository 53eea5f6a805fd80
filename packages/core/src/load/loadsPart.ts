import type { FastenerLoad, Finding, Hole, Loads, Working } from '@steddo/contract';
import { moves } from '../arm/arm';
import type { Hung } from '../arm/hung';
import type { ReachModel } from '../arm/reachModel';
import { pullWorking, shearWorking } from '../fixing/capacityWorkings';
import { exactShear, utilisation, type Capacity } from '../fixing/fastenerCapacity';
import { NUMBERS, WORKINGS } from '../primitives/arithmetic';
import { finding } from '../primitives/findings';
import { leaf, node, sum } from '../primitives/working';
import { checkFastening, type Carrying, type Checked, type Fastening } from './checkFastening';
import { groupForces } from './groupForces';
import { reachablePoses, type LoadPose } from './loadPoses';
import { pushesOf, weightsOf, type PushPose } from './setPushes';
import type { WorstLoad } from './worstLoad';
import { REACH_STEP_MM } from '../arm/reachTable';
import { SET_THICKNESS_MM } from '../room/usualSizes';

/**
 * What every fastener of the chosen scheme has to hold in the worst pose that this room leaves the arm, against
 * what it may. With a verdict that it cannot be said, the reason alone.
 */
export function loadsPart(
  fastening: Fastening,
  holes: readonly Hole[],
  model: ReachModel | undefined,
): { section?: Loads; findings: Finding[] } {
  const poses = reachablePoses(fastening.hung, model);
  const checked = checkFastening(fastening, poses);
  if (!checked.ok) return { findings: [] };
  const section = loadsOf(fastening.hung, checked, holes, poses);
  return { section, findings: loadFindings(section) };
}

function loadsOf(
  hung: Hung,
  { carrying, worst }: Extract<Checked, { ok: true }>,
  holes: readonly Hole[],
  poses: readonly LoadPose[],
): Loads {
  const forces = forceWorkings(hung, carrying, worst);
  const fasteners = carrying.screws.map((screw, i): FastenerLoad => {
    const capacity = carrying.capacities[i]!;
    const { tension: pull, shear: across, angleDeg } = worst.forces[i]!;
    const { path } = screw.fastener;
    const tension = forces.tension[i]!;
    const shear = forces.shear[i]!.size;
    const allowableTension = pullWorking(capacity, path);
    const allowableShear = shearWorking(capacity, path, angleDeg);
    const may = { tension: allowableTension, shear: allowableShear };
    const share = utilisation(WORKINGS, capacity.by, { tension, shear }, may);
    return {
      hole: holes.find((h) => Math.hypot(h.x - screw.x, h.y - screw.y) < 1 && h.slot === screw.slot)?.id ?? '',
      tension: tension.value,
      shear: shear.value,
      allowableTension: allowableTension.value,
      allowableShear: allowableShear.value,
      utilisation: share.value,
      governs: governing(capacity, { tension: pull, shear: across }, angleDeg),
      workings: { tension, shear, allowableTension, allowableShear, utilisation: share },
    };
  });
  const place = (f: FastenerLoad) => holes.findIndex((h) => h.id === f.hole);
  fasteners.sort((a, b) => place(a) - place(b));
  const most = Math.max(...fasteners.map((f) => f.utilisation));
  const curve = curveOf(poses, worst);
  return {
    pose: { extension: worst.pose.extension, yaw: worst.pose.yaw, x: worst.pose.x, e: worst.pose.standoff },
    handling: worst.handling,
    fasteners,
    worst: most,
    ...(carrying.capacities.every((c) => c.by === 'rating') && most > 0 ? { fourfold: 1 / most } : {}),
    ...(curve.length > 1 ? { curve } : {}),
    weight: forces.down,
    moment: forces.over,
  };
}

/** The statics of the worst pose, from the tape's readings up. It held in the search, so that it holds here. */
function forceWorkings(hung: Hung, { group, at }: Carrying, { pose, handling }: WorstLoad) {
  const { job, mount } = hung;
  const packing = leaf('packing', at.packing, 'mm', { path: 'choices.packing' });
  const placed: PushPose<Working> = {
    x: leaf('mass-x', pose.x, 'mm'),
    out: massOut(hung, pose, packing),
    frontX: leaf('front-x', pose.frontX, 'mm'),
    frontOut: sum('front-out', leaf('pose-front', pose.frontStandoff, 'mm'), packing),
  };
  const pushes = pushesOf(WORKINGS, at, weightsOf(WORKINGS, job.screen, mount), placed, handling);
  return groupForces(WORKINGS, group, pushes, handling === 'left' ? 'right' : 'left')!;
}

/** How far out the set's centre of mass is: what is known by parts for a set that stays, one figure for an arm's pose. */
function massOut({ job, mount, spacer }: Hung, pose: LoadPose, packing: Working): Working {
  if (moves(mount)) return sum('mass-out', leaf('pose-out', pose.standoff, 'mm'), packing);
  const { thickness } = job.screen;
  const guess = thickness === undefined || (job.guessed ?? []).includes('screen.thickness');
  return sum(
    'mass-out',
    leaf('mount-depth', mount.depth.folded, 'mm', { path: 'mount.depth.folded' }),
    ...(spacer ? [leaf('set-spacer', spacer, 'mm')] : []),
    node('half-thickness', '/', 'mm', [
      leaf('set-thickness', thickness ?? SET_THICKNESS_MM, 'mm', { path: 'screen.thickness', guess }),
      leaf('two', 2, 'count'),
    ]),
    packing,
  );
}

/** What asks more of it: the pull, or the shear and how it would give way. */
function governing(capacity: Capacity, force: { tension: number; shear: number }, angleDeg: number): string {
  const held = exactShear(capacity, angleDeg);
  const may = { tension: capacity.tension, shear: held.allowable };
  const share = (f: typeof force) => utilisation(NUMBERS, capacity.by, f, may) || 0;
  const pulls = share({ ...force, shear: 0 }) >= share({ ...force, tension: 0 });
  if (capacity.by === 'rating') return pulls ? 'tension' : 'shear';
  return pulls ? 'withdrawal' : `yield-${held.mode}`;
}

/** The most that any fastener has to hold with the set so far out, whichever way it is turned and pushed. */
function curveOf(poses: readonly LoadPose[], worst: WorstLoad): NonNullable<Loads['curve']> {
  const bins = new Map<number, { extension: number; utilisation: number }>();
  poses.forEach((pose, i) => {
    const bin = Math.floor(pose.extension / REACH_STEP_MM);
    const utilisation = worst.each[i]!;
    const known = bins.get(bin);
    if (!known || utilisation > known.utilisation) bins.set(bin, { extension: pose.extension, utilisation });
  });
  return [...bins.values()].sort((a, b) => a.extension - b.extension);
}

function loadFindings(loads: Loads): Finding[] {
  const percent = Math.ceil(loads.worst * 100 - 1e-9);
  if (loads.worst <= 1) return [finding('loads-checked', 'info', 'holes', { percent }, LOAD_SOURCE)];
  const worst = loads.fasteners.reduce((a, b) => (b.utilisation > a.utilisation ? b : a));
  return [
    finding('load-too-great', 'stop', 'holes', { percent, hole: worst.hole, governs: worst.governs }, LOAD_SOURCE),
  ];
}

const LOAD_SOURCE = 'NDS 2018 chapter 12, AWC TR 12, from memory; pack ratings';
