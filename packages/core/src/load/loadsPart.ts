import type { FastenerLoad, Finding, Hole, Loads, SeatPose, Verdict, Working } from '@steddo/contract';
import { moves } from '../arm/arm';
import type { Hung } from '../arm/hung';
import type { ReachModel } from '../arm/reachModel';
import { pullWorking, shearWorking } from '../fixing/capacityWorkings';
import {
  durationOf,
  edgeShare,
  exactShear,
  utilisation,
  type Capacity,
  type YieldTable,
} from '../fixing/fastenerCapacity';
import { packingOf } from '../fixing/leadHole';
import { WORKINGS } from '../primitives/arithmetic';
import { finding } from '../primitives/findings';
import { leaf, node, sum } from '../primitives/working';
import { forcesOf } from './besideForces';
import { checkFastening, loadCaseOf, posesLeft, type Carrying, type Checked } from './checkFastening';
import type { Fastening } from './fastening';
import { aboutOf, loadCases } from './loadCases';
import { heldWithin, reachablePoses, TRAVEL_TIMES, type LoadPose } from './loadPoses';
import { onRoad, pulledBy, pushesOf, weightsOf, type PushPose } from './setPushes';
import { swingLimit, type SwingLimit } from './swingLimit';
import { worstLoad, type WorstLoad } from './worstLoad';
import { REACH_STEP_MM } from '../arm/reachTable';
import { SET_THICKNESS_MM } from '../room/usualSizes';

export interface LoadsInput {
  fastening: Fastening;
  holes: readonly Hole[];
  model: ReachModel | undefined;
  /** What each seat turns the arm to. */
  seats: readonly SeatPose[];
  /** The yields of lags, kept from one plan to the next. */
  yieldTable: YieldTable;
}

/**
 * What every fastener of the chosen scheme has to hold in the worst pose that this room leaves the arm, against
 * what it may. With a verdict that it cannot be said, the reason alone.
 */
export function loadsPart({ fastening, holes, model, seats, yieldTable }: LoadsInput): {
  section?: Loads;
  verdict?: Verdict;
  findings: Finding[];
} {
  const poses = reachablePoses(fastening.hung, model, seats);
  const checked = checkFastening(fastening, poses, yieldTable);
  if (!checked.ok) return { findings: [] };
  const left = posesLeft(fastening.hung.job, poses, checked.carrying);
  const limit = swingLimit(loadCaseOf(fastening.hung, checked.carrying), left, checked.worst);
  const section = loadsOf(fastening.hung, checked, holes, left, limit);
  const told = toldShare(fastening, left, checked);
  return { section, verdict: checked.verdict, findings: loadFindings(section, checked.verdict, told) };
}

/** What it comes to where somebody was only told how far the arm may go: said beside the figure that counts. */
function toldShare({ hung }: Fastening, poses: readonly LoadPose[], { carrying }: CheckedOk): Told | undefined {
  const { maxAside, asideHeld } = hung.job.choices ?? {};
  if (maxAside === undefined || asideHeld) return undefined;
  const within = worstLoad(loadCaseOf(hung, carrying), heldWithin(poses, carrying.at.middle.x, maxAside));
  return within && { toldMm: maxAside, toldPercent: percentOf(within.utilisation) };
}

interface Told {
  toldMm: number;
  toldPercent: number;
}

type CheckedOk = Extract<Checked, { ok: true }>;

function loadsOf(
  hung: Hung,
  { carrying, worst }: CheckedOk,
  holes: readonly Hole[],
  poses: readonly LoadPose[],
  limit: SwingLimit,
): Loads {
  const forces = forceWorkings(hung, carrying, worst);
  const fasteners = carrying.screws.map((screw, i): FastenerLoad => {
    const capacity = carrying.capacities[i]!;
    const { tension: pull, shear: across, angleDeg, right, up } = worst.forces[i]!;
    const { path } = screw.fastener;
    const tension = forces.tension[i]!;
    const shear = forces.shear[i]!.size;
    const allowableTension = pullWorking(capacity, path, worst.duration);
    const allowableShear = shearWorking(capacity, path, angleDeg, worst.duration, edgeShare(capacity, right, up));
    const may = { tension: allowableTension, shear: allowableShear };
    const share = utilisation(WORKINGS, capacity.by, { tension, shear }, may);
    return {
      hole: holes.find((h) => Math.hypot(h.x - screw.x, h.y - screw.y) < 1 && h.slot === screw.slot)?.id ?? '',
      tension: tension.value,
      shear: shear.value,
      allowableTension: allowableTension.value,
      allowableShear: allowableShear.value,
      utilisation: share.value,
      governs: governing(capacity, { tension: pull, shear: across }, angleDeg, worst.duration),
      workings: { tension, shear, allowableTension, allowableShear, utilisation: share },
    };
  });
  const cases = loadCases(
    hung,
    carrying,
    poses,
    worst,
    fasteners.map((f) => f.hole),
  );
  const place = (f: FastenerLoad) => holes.findIndex((h) => h.id === f.hole);
  fasteners.sort((a, b) => place(a) - place(b));
  const most = Math.max(...fasteners.map((f) => f.utilisation));
  const middleX = carrying.at.middle.x;
  const curve = curveOf(poses, worst, (p) => p.extension).map(([extension, utilisation]) => ({
    extension,
    utilisation,
  }));
  const swing = curveOf(poses, worst, (p) => Math.abs(p.x - middleX)).map(([aside, utilisation]) => ({
    aside,
    utilisation,
  }));
  return {
    about: aboutOf(carrying),
    cases,
    pose: { extension: worst.pose.extension, yaw: worst.pose.yaw, x: worst.pose.x, e: worst.pose.standoff },
    handling: worst.handling,
    duration: worst.duration,
    fasteners,
    worst: most,
    // the case that governs by its own angle; the other by the whole degree that the search goes by
    standing: worst.handling === 'none' && !worst.pose.travel ? most : worst.standing,
    ...(worst.leaned === undefined ? {} : { leaned: worst.handling === 'none' ? worst.leaned : most }),
    ...(worst.travel === undefined
      ? {}
      : { travel: { times: TRAVEL_TIMES, utilisation: worst.pose.travel ? most : worst.travel } }),
    ...(limit.go === undefined && limit.label === undefined ? {} : { maxAside: limit }),
    ...(carrying.capacities.every((c) => c.by === 'rating') && most > 0 ? { fourfold: 1 / most } : {}),
    ...(curve.length > 1 ? { curve } : {}),
    ...(swing.length > 1 ? { swing } : {}),
    weight: forces.down,
    moment: forces.over,
  };
}

/** The statics of the worst pose, from the tape's readings up. It held in the search, so that it holds here. */
function forceWorkings(hung: Hung, { group, at }: Carrying, { pose, handling }: WorstLoad) {
  const { job, mount } = hung;
  const packing = packingOf(at.packing, job.choices?.packing ?? 0);
  const placed: PushPose<Working> = {
    x: leaf('mass-x', pose.x, 'mm'),
    out: massOut(hung, pose, packing),
    frontX: leaf('front-x', pose.frontX, 'mm'),
    frontOut: sum('front-out', leaf('pose-front', pose.frontStandoff, 'mm'), packing),
  };
  const weights = weightsOf(WORKINGS, job.screen, mount);
  const hangs = pose.travel ? onRoad(WORKINGS, weights, leaf('travel-times', pose.travel, 'ratio')) : weights;
  const pushes = pushesOf(WORKINGS, at, hangs, placed, handling);
  return forcesOf(WORKINGS, group, pushes, pulledBy(handling))!;
}

/** How far out the set's centre of mass is: what is known by parts for a set that stays, one figure for an arm's pose. */
function massOut({ job, mount, spacer, carried }: Hung, pose: LoadPose, packing: Working): Working {
  const known = carried?.find((c) => c.x === pose.x && c.standoff === pose.standoff);
  if (known) return sum('mass-out', known.working, packing);
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
function governing(
  capacity: Capacity,
  force: { tension: number; shear: number },
  angleDeg: number,
  duration: number,
): string {
  const held = exactShear(capacity, angleDeg);
  const lasts = durationOf(capacity, duration);
  const pulls = force.tension / (capacity.tension * lasts) >= force.shear / (held.allowable * lasts);
  if (capacity.by === 'rating') return pulls ? 'tension' : 'shear';
  return pulls ? 'withdrawal' : `yield-${held.mode}`;
}

/** The most that any fastener has to hold with the set so far out or aside, whichever way it is turned and pushed. */
function curveOf(poses: readonly LoadPose[], worst: WorstLoad, of: (p: LoadPose) => number): [number, number][] {
  const bins = new Map<number, [number, number]>();
  poses.forEach((pose, i) => {
    const bin = Math.floor(of(pose) / REACH_STEP_MM);
    const use = worst.each.use[i]!;
    const known = bins.get(bin);
    if (!known || use > known[1]) bins.set(bin, [of(pose), use]);
  });
  return [...bins.values()].sort((a, b) => a[0] - b[0]);
}

/** Upwards, so that what is above the limit never reads as being at it. */
const percentOf = (share: number): number => Math.ceil(share * 100 - 1e-9);

/** Set aside by more than this it is an arm's swing that counts, mm. */
const ASIDE_MM = 25;

function loadFindings(loads: Loads, verdict: Verdict, told: Told | undefined): Finding[] {
  const percent = percentOf(loads.worst);
  if (verdict === 'go') return [finding('loads-checked', 'info', 'holes', { percent }, LOAD_SOURCE)];
  const worst = loads.fasteners.reduce((a, b) => (b.utilisation > a.utilisation ? b : a));
  const { go, label } = loads.maxAside ?? {};
  const values = {
    percent,
    hole: worst.hole,
    governs: worst.governs,
    handling: loads.travel?.utilisation === loads.worst ? 'travel' : loads.handling,
    standingPercent: percentOf(loads.standing),
    ...(go !== undefined && go >= ASIDE_MM ? { goMm: go } : {}),
    ...told,
  };
  if (verdict === 'caution') return [finding('held-by-label', 'caution', 'holes', values, LOAD_SOURCE)];
  const covered = label !== undefined && label >= ASIDE_MM ? { labelMm: label } : {};
  return [finding('load-too-great', 'stop', 'holes', { ...values, ...covered }, LOAD_SOURCE)];
}

const LOAD_SOURCE = 'NDS 2018 chapter 12, AWC TR 12, EC5 8.28, from memory; pack ratings';
