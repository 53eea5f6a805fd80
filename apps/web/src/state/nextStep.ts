import type { Job, Plan } from '@steddo/contract';
import { STAGES, type BuiltStage } from './stageIds';
import { LACKS, stageState } from './stageNeeds';

/** What the big button does: the next thing that is not done. */
export type NextStep =
  | { to: 'stage'; stage: BuiltStage }
  /** The timber that the plate goes onto, with so many of its own holes still to drill. */
  | { to: 'timber'; left: number }
  /** A box that is to be let into the wall, with so many of its steps left. */
  | { to: 'box'; left: number }
  /** At the wall, with so many holes still to drill. */
  | { to: 'ladder'; left: number }
  /** The set onto the wall, with so many steps left. */
  | { to: 'hanging'; left: number }
  | { to: 'done' }
  /** Nowhere: what stands here has to be settled first. */
  | { to: 'here' };

const AT_HOLES = STAGES.indexOf('holes');

/** How many steps of a box are left, where the next of them can be done as it is; it comes before the plate. */
export function boxLeft({ recess }: Pick<Plan, 'recess'>): number {
  const open = (recess?.steps ?? []).filter((s) => !s.done);
  return open[0]?.needs.length === 0 ? open.length : 0;
}

/**
 * The next thing that is not done: forward through what is still to be measured or chosen, then the holes, the
 * wall, the level, and the end. Never the stage where one is, and never past a stop: a stage that has one is where
 * it is seen to, and would be come back to.
 */
export function nextStep(current: BuiltStage, job: Job, plan: Plan): NextStep {
  const at = STAGES.indexOf(current);
  const box = boxLeft(plan);
  // what it still lacks it shows by itself: the faces are taped through its first cut
  if (current === 'wall' && box > 0) return { to: 'box', left: box };
  if (at < AT_HOLES)
    return holdsUp(current, job, plan) ? { to: 'here' } : { to: 'stage', stage: onTheWay(current, job, plan) };
  const stopped = STAGES.filter((s) => holdsUp(s, job, plan) || isMissing(s, job, plan));
  if (box > 0 && stopped.every((s) => s === 'wall')) return { to: 'box', left: box };
  const elsewhere = stopped.find((s) => s !== current);
  if (elsewhere) return { to: 'stage', stage: elsewhere };
  if (stopped.length > 0) return { to: 'here' };
  const left = (plan.holes ?? []).filter((h) => !h.done).length;
  const timber = timberLeft(plan);
  if (timber > 0) return { to: 'timber', left: timber };
  if (left > 0) return { to: 'ladder', left };
  if (current === 'holes') return { to: 'stage', stage: 'level' };
  if (current === 'level') return { to: 'stage', stage: 'hang' };
  const steps = (plan.hang?.steps ?? []).filter((s) => !s.done).length;
  return steps > 0 ? { to: 'hanging', left: steps } : { to: 'done' };
}

/** How many holes of the timber under the plate are still to be drilled: they come before the plate's. */
export const timberLeft = ({ timber }: Pick<Plan, 'timber'>): number =>
  (timber?.holes ?? []).filter((h) => !h.done).length;

/** The first stage ahead that lacks something or is stopped, else the holes. */
function onTheWay(current: BuiltStage, job: Job, plan: Plan): BuiltStage {
  // an arm is looked at where it moves before anything is drilled for it
  if (current === 'height' && plan.reach) return 'reach';
  const ahead = STAGES.slice(STAGES.indexOf(current) + 1, AT_HOLES);
  return ahead.find((s) => LACKS[s](job, plan) || holdsUp(s, job, plan)) ?? 'holes';
}

/** A stop, or what is still to be found out at a wall that has no holes before. */
function holdsUp(stage: BuiltStage, job: Job, plan: Plan): boolean {
  const { worst } = stageState(stage, job, plan);
  return worst === 'stop' || (worst === 'todo' && stage === 'wall' && !plan.holes);
}

/** Without these nothing can be drilled; what else is lacking is a guess that shows. */
const isMissing = (stage: BuiltStage, job: Job, plan: Plan): boolean =>
  (stage === 'mount' || stage === 'holes') && LACKS[stage](job, plan);
