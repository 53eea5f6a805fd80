import type { Job, Plan } from '@steddo/contract';
import { newMemory, plan } from '@steddo/core';

/** A plan, or the last good one where the job as it is cannot be worked out. */
export interface Planned {
  plan: Plan;
  late: boolean;
}

/** The one place where a room's plans come from. */
export type Planner = (job: Job) => Planned;

/** Plans here and at once, keeping what it can from one plan to the next. */
export function plannerHere(): Planner {
  const memory = newMemory();
  let last: Plan | undefined;
  return (job) => {
    try {
      last = plan(job, { memory });
      return { plan: last, late: false };
    } catch (error) {
      if (!last) throw error;
      return { plan: last, late: true };
    }
  };
}
