import type { Job, Plan } from '@steddo/contract';
import { stageName } from '@steddo/text';
import { momentText } from '../../ui/moment';
import { nextStep, type NextStep } from '../../state/nextStep';
import { STAGES, type BuiltStage } from '../../state/stageIds';
import { LACKS, stageState } from '../../state/stageNeeds';
import type { Listed } from '../../worker/listed';

/** A room as the list shows it: worked out as in the room itself, or not at all. */
export interface ListedPlan extends Partial<Pick<Listed, 'plan' | 'sketch'>> {
  job: Job;
  /** Where its work goes on. */
  stage: BuiltStage;
  /** What it waits for, in a few words and a sentence. */
  waits: string;
}

export function listedPlan(job: Job, { plan, sketch, stop }: Listed): ListedPlan {
  const stage = reached(job, plan);
  return { job, plan, sketch, stage, waits: waitsFor(job, plan, stage, stop) };
}

/** One that could not be worked out, or not in the time that a line of a list is worth. */
export const unlistedPlan = (job: Job, tookLong: boolean): ListedPlan => ({
  job,
  stage: 'set',
  waits: tookLong
    ? 'It takes too long to be worked out here; open it to see what it has.'
    : 'It cannot be worked out; open it to see what it has.',
});

const BEFORE_HOLES = STAGES.slice(0, STAGES.indexOf('holes') + 1);

/** Once all is drilled: the level, then the hanging, whichever is not done yet. */
function afterHoles(job: Job, made: Plan): NextStep {
  const next = nextStep('holes', job, made);
  if (next.to !== 'stage' || next.stage !== 'level' || LACKS.level(job, made)) return next;
  return LACKS.hang(job, made) ? { to: 'stage', stage: 'hang' } : { to: 'done' };
}

/** The first stage that lacks something or is stopped; the holes where none does. */
const reached = (job: Job, made: Plan): BuiltStage =>
  BEFORE_HOLES.find((s) => LACKS[s](job, made) || stageState(s, job, made).worst === 'stop') ?? 'holes';

function waitsFor(job: Job, made: Plan, stage: BuiltStage, stop: string | undefined): string {
  if (job.record?.done !== undefined) return `done ${momentText(job.record.done)}`;
  if (stop !== undefined) return stop;
  return stage === 'holes' ? stepText(afterHoles(job, made)) : `next: ${stageName[stage]}`;
}

function stepText(next: NextStep): string {
  switch (next.to) {
    case 'ladder':
      return next.left === 1 ? 'one hole to drill' : `${next.left} holes to drill`;
    case 'box':
      return next.left === 1 ? 'one step at the box' : `${next.left} steps at the box`;
    case 'timber':
      return next.left === 1 ? 'one hole of the timber to drill' : `${next.left} holes of the timber to drill`;
    case 'stage':
      return `next: ${stageName[next.stage]}`;
    case 'done':
      return 'to hand over';
    default:
      return 'all drilled';
  }
}
