import type { Job, Plan, TolerancePlan } from '@steddo/contract';
import { platedJob } from '../mount/plateVariants';
import { inferStuds, readingsOf } from '../wall/inferStuds';
import { toleranceRun } from './drawTolerance';
import { toleranceModel, type ToleranceModel } from './toleranceModel';

/** Enough for three digits of a chance. */
export const TOLERANCE_DRAWS = 20_000;

/** What there is to draw of a planned job; undefined while it has no holes. */
export const toleranceOfJob = (job: Job, plan: Plan): ToleranceModel | undefined =>
  toleranceModel(platedJob(job, plan), plan, inferStuds(...readingsOf(job)));

/** How sure a planned job is, from its tape to its finished plate; undefined while it has no holes. */
export function toleranceOf(job: Job, plan: Plan, seed: number, draws = TOLERANCE_DRAWS): TolerancePlan | undefined {
  const model = toleranceOfJob(job, plan);
  if (!model) return undefined;
  const run = toleranceRun(model, seed);
  run.draw(draws);
  return run.result();
}
