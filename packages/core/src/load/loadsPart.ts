import type { FastenerLoad, Finding, Hole, Loads } from '@steddo/contract';
import { finding } from '../findings';
import type { ReachModel } from '../reach/reachModel';
import { judgeScheme, loadPlace, type Hanging, type Judged } from '../scheme/judgeScheme';
import type { Candidate } from '../scheme/schemeSearch';
import { REACH_STEP_MM } from '../tolerances';
import { exactShear, utilised, type Holds } from './holds';
import { pullHeldWorking, shearHeldWorking, useWorking } from './holdWorkings';
import { grainAngle, shearOf, type WorstUse } from './groupUse';
import { reachablePoses, type LoadPose } from './loadPoses';
import { groupWorkings } from './loadWorkings';

/**
 * What every fastener of the chosen scheme has to hold in the worst pose that this room leaves the arm, against
 * what it may. With a verdict that it cannot be said, the reason alone.
 */
export function loadsPart(
  hanging: Hanging,
  candidate: Candidate,
  holes: readonly Hole[],
  model: ReachModel | undefined,
): { loads?: Loads; judged: Judged; findings: Finding[] } {
  const poses = reachablePoses(loadPlace(hanging, candidate), model);
  const judged = judgeScheme(hanging, candidate, poses);
  if (!judged.ok) return { judged, findings: [] };
  const loads = loadsOf(hanging, judged, holes, poses);
  return { loads, judged, findings: loadFindings(loads) };
}

function loadsOf(
  hanging: Hanging,
  { carrying, worst }: Extract<Judged, { ok: true }>,
  holes: readonly Hole[],
  poses: readonly LoadPose[],
): Loads {
  const made = groupWorkings(hanging, carrying, worst);
  const fasteners = carrying.places.map((place, i): FastenerLoad => {
    const holds = carrying.holds[i]!;
    const force = worst.forces[i]!;
    const angle = grainAngle(force);
    const path = place.fastener.path;
    const workings = {
      tension: made.tension(i),
      shear: made.shear(i),
      allowableTension: pullHeldWorking(holds, path),
      allowableShear: shearHeldWorking(holds, path, angle),
    };
    const { tension, shear, allowableTension, allowableShear } = workings;
    const utilisation = useWorking(holds, tension, shear, allowableTension, allowableShear);
    return {
      hole: holes.find((h) => Math.hypot(h.x - place.x, h.y - place.y) < 1 && h.slot === place.slot)?.id ?? '',
      tension: tension.value,
      shear: shear.value,
      allowableTension: allowableTension.value,
      allowableShear: allowableShear.value,
      utilisation: utilisation.value,
      governs: governing(holds, force.tension, shearOf(force), angle),
      workings: { ...workings, utilisation },
    };
  });
  const place = (f: FastenerLoad) => holes.findIndex((h) => h.id === f.hole);
  fasteners.sort((a, b) => place(a) - place(b));
  const most = Math.max(...fasteners.map((f) => f.utilisation));
  const curve = curveOf(poses, worst);
  return {
    pose: { extension: worst.pose.extension, yaw: worst.pose.yaw, x: worst.pose.x, e: worst.pose.e },
    handling: worst.handling,
    fasteners,
    worst: most,
    ...(carrying.holds.every((h) => h.by === 'rating') && most > 0 ? { fourfold: 1 / most } : {}),
    ...(curve.length > 1 ? { curve } : {}),
    weight: made.weight,
    moment: made.moment,
  };
}

/** What asks more of it: the pull, or the shear and how it would give way. */
function governing(holds: Holds, tension: number, shear: number, angle: number): string {
  const held = exactShear(holds, angle);
  const pull = utilised(holds, held.allowable, tension, 0);
  const across = utilised(holds, held.allowable, 0, shear);
  if (holds.by === 'rating') return pull >= across ? 'tension' : 'shear';
  return pull >= across ? 'withdrawal' : `yield-${held.mode}`;
}

/** The most that any fastener has to hold with the set so far out, whichever way it is turned and pushed. */
function curveOf(poses: readonly LoadPose[], worst: WorstUse): NonNullable<Loads['curve']> {
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
