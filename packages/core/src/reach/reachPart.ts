import type { Finding, Job, Mount, Placement, Plan, Ranked, ReachPlan, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import type { Part } from '../primitives/part';
import { faceOut, type FurtherOut } from '../sight/viewerAngles';
import { moves, reachOf } from '../arm/arm';
import { cableSlack } from '../arm/armCable';
import { clearances } from './clearances';
import type { Hung } from '../arm/hung';
import { labelFindings, reachFindings } from './reachFindings';
import { reachModel, seatsOf, type ReachMemory, type ReachModel } from '../arm/reachModel';
import { seatServices, sharedPose } from './seatServices';
import { patternAt } from '../room/hungSides';
import { overWalkway } from './walkway';

export interface ReachInput extends FurtherOut {
  job: Job;
  placement: Placement;
  ranking?: readonly Ranked[] | undefined;
  /** What each fold does to the plate. */
  folds: NonNullable<ReachPlan['folds']>;
  plateX: number;
  memory: ReachMemory;
}

/**
 * What the mount can do in this room, for the plan: absent for one that does not move, of which only
 * what it sticks out is judged.
 */
export function reachPart(input: ReachInput): Part<ReachPlan> & { model?: ReachModel } {
  const { job, placement: placed } = input;
  const { mount } = job;
  if (!mount || placed.conflict) return { findings: [] };
  const front = faceOut(job, input);
  const around = walkwayFinding(job, placed, front);
  const model = moves(mount) ? modelOf(input, mount) : undefined;
  if (!model) return { findings: around };
  const section = sectionOf(input, mount, model, front);
  const found = [...labelFindings(mount), ...foldedFinding(model), ...reachFindings(job, section)];
  return { section, model, findings: [...found, ...around] };
}

/** The model of a plan: for screens that move the arm, and for the coverage map. */
export function reachModelOf(job: Job, plan: Plan, memory?: ReachMemory): ReachModel | undefined {
  const { mount } = job;
  const { placement, reach } = plan;
  if (!mount || !placement || placement.conflict || !reach) return undefined;
  const plateX = placement.centre.x - patternAt(job).right.value - reach.centreOffset;
  const out = { spacer: spacerOf(plan), plane: placement.plane ?? 0 };
  return reachModel(hungIn(job, mount, placement, placement.plate?.x ?? plateX, out), memory);
}

function spacerOf({ screen }: Plan): number {
  return screen.screws?.find((s) => s.id === screen.screwCheck?.chosen)?.spacer ?? 0;
}

/** What hangs where, by a plan's placement. */
function hungIn(job: Job, mount: Mount, placed: Placement, plateX: number, out: Pick<Hung, 'spacer' | 'plane'>): Hung {
  const { centre, left, right, bottom, top, fold = 'left' } = placed;
  return { job, mount, centre, left, right, bottom, top, fold, plateX, ...out };
}

const modelOf = ({ job, placement, plateX, spacer, plane, memory }: ReachInput, mount: Mount) =>
  reachModel(hungIn(job, mount, placement, plateX, { spacer: spacer?.value ?? 0, plane: plane?.value ?? 0 }), memory);

function sectionOf(input: ReachInput, mount: Mount, model: ReachModel, front: Working): ReachPlan {
  const { job, placement: p, ranking, folds } = input;
  const { arm } = model.reach;
  const seats = seatsOf(job);
  const services = seatServices(job, model, seats, { centreY: p.centre.y, height: p.top - p.bottom });
  const shared = sharedPose(model, seats);
  const slack = cableSlack(mount, arm);
  const served = ranking && servedBy(ranking);
  return {
    folded: mount.depth.folded,
    extended: reachOf(mount),
    centreOffset: arm.folded.x - model.plateX,
    seats: services.map((s) => (s.stoppedBy && served ? { ...s, servedBy: served } : s)),
    ...(shared ? { shared } : {}),
    folds,
    clearance: clearances(job, model.reach, p.bottom, p.top),
    cableSlack: slack.value,
    protrusion: front.value,
    workings: { cableSlack: slack, protrusion: front },
  };
}

const MOST_NAMED = 5;

/** The mounts that nothing stops and whose worst seat is well served; the list is ranked already. */
function servedBy(ranking: readonly Ranked[]): string[] {
  const serves = ranking.filter((r) => r.verdict !== 'stop' && r.reasons.some((f) => f.rule === 'reach' && f.ok));
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
  return [finding('over-walkway', 'info', stage, values, 'ADA 2010, 307.2')];
}
