import type { Finding, Job, Mount, Plan, Working } from '@steddo/contract';
import { finding } from '../findings';
import { faceOut } from '../sight/viewerAngles';
import type { StudsFound } from '../wall/inferStuds';
import { moves, reachOf } from './arm';
import { cornerOut } from './cornerOut';
import { cableRun } from './cableRun';
import { clearances } from './clearances';
import { foldChoices } from './foldChoices';
import { labelFindings, plugFindings, reachFindings } from './reachFindings';
import { reachModel, seatsOf, type ReachMemory, type ReachModel } from './reachModel';
import { seatServices, sharedPose } from './seatServices';
import { overWalkway } from './walkway';

export interface ReachInput {
  job: Job;
  plan: Plan;
  found: StudsFound;
  centreX: Working;
  plateX: number;
  spacer?: Working;
  memory: ReachMemory;
}

/**
 * What the mount can do in this room, for the plan: absent for one that does not move, of which only
 * what it sticks out is judged.
 */
export function reachPart(input: ReachInput): { reach?: Plan['reach']; model?: ReachModel; findings: Finding[] } {
  const { job, plan, spacer } = input;
  const { mount } = job;
  const placed = plan.placement;
  if (!mount || !placed || placed.conflict) return { findings: [] };
  const front = faceOut(job, spacer);
  const around = [
    ...plugFindings(job, placed, mount.depth.folded + (spacer?.value ?? 0)),
    ...walkwayFinding(job, placed, front),
    ...(mount.type === 'corner'
      ? [finding('corner-out', 'info', 'reach', { outMm: cornerOut(placed.right - placed.left) })]
      : []),
  ];
  const model = moves(mount) ? modelOf(input, mount) : undefined;
  if (!model) return { findings: around };
  const part = sectionOf(input, mount, model, front);
  const found = [...labelFindings(mount), ...foldedFinding(model), ...reachFindings(job, part)];
  return { reach: part, model, findings: [...found, ...around] };
}

/** The model of a plan: for screens that move the arm, and for the coverage map. */
export function reachModelOf(job: Job, plan: Plan, memory?: ReachMemory): ReachModel | undefined {
  const { mount } = job;
  const { placement, reach } = plan;
  if (!mount || !placement || placement.conflict || !reach) return undefined;
  const plateX = placement.centre.x - (job.screen.patternCentre?.right ?? 0) - reach.centreOffset;
  const spacer = spacerOf(plan);
  return reachModel(job, mount, { ...placement, plateX: placement.plate?.x ?? plateX, spacer }, memory);
}

function spacerOf({ screen }: Plan): number {
  return screen.screws?.find((s) => s.id === screen.screwCheck?.chosen)?.spacer ?? 0;
}

const modelOf = ({ job, plan, plateX, spacer, memory }: ReachInput, mount: Mount) =>
  reachModel(job, mount, { ...plan.placement!, plateX, spacer: spacer?.value ?? 0 }, memory);

function sectionOf({ job, plan, found, centreX }: ReachInput, mount: Mount, model: ReachModel, front: Working) {
  const p = plan.placement!;
  const { arm } = model.reach;
  const seats = seatsOf(job);
  const services = seatServices(job, model, seats, p.centre.y, p.top - p.bottom);
  const shared = sharedPose(model, seats);
  const rootY = p.plate ? (p.plate.bottom + p.plate.top) / 2 : p.centre.y;
  const { cableSlack, leads } = cableRun(job, mount, arm, rootY);
  const served = servedBy(plan);
  return {
    folded: mount.depth.folded,
    extended: reachOf(mount),
    centreOffset: arm.folded.x - model.plateX,
    seats: services.map((s) => (s.stoppedBy && plan.ranking ? { ...s, servedBy: served } : s)),
    ...(shared ? { shared } : {}),
    folds: foldChoices(job, mount, found, centreX, p.fold),
    clearance: clearances(job, model.reach, p.bottom, p.top),
    cableSlack: cableSlack.value,
    ...(leads.length > 0 ? { leads } : {}),
    protrusion: front.value,
    workings: { cableSlack, protrusion: front },
  };
}

const MOST_NAMED = 5;

/** The mounts that nothing stops and whose worst seat is well served; the list is ranked already. */
function servedBy(plan: Plan): string[] {
  const serves = (plan.ranking ?? []).filter(
    (r) => r.verdict !== 'stop' && r.reasons.some((f) => f.rule === 'reach' && f.ok),
  );
  return serves.slice(0, MOST_NAMED).map((r) => r.id);
}

/** Folded it already stands in something. */
function foldedFinding({ table, reach, folded }: ReachModel): Finding[] {
  const first = table.stands[0];
  if (first && first.x === folded.x && first.z === folded.z) return [];
  const by = [...table.blockedBy][0] ?? '';
  const edgeMm = reach.shape.width / 2;
  return [finding('folded-blocked', 'stop', 'reach', { by, edgeMm })];
}

function walkwayFinding(job: Job, placed: NonNullable<Plan['placement']>, front: Working): Finding[] {
  if (!overWalkway(job, placed, front)) return [];
  const values = { outMm: front.value, bottomMm: placed.bottom };
  const stage = job.mount && moves(job.mount) ? 'reach' : 'height';
  return [finding('over-walkway', 'caution', stage, values, 'ADA 2010, 307.2')];
}
