import type { Job, Plan } from '@steddo/contract';
import { newMemory, plan } from '@steddo/core';

/** All of the core that works out whole rooms, in a file of its own: it comes after the page, see `planning`. */
export { fixingPolicies, offeredHeights } from '@steddo/core';

/** Works a room out on the page, keeping what it can from one plan to the next. */
export type PlanHere = (job: Job) => Plan;

export function newPlanHere(): PlanHere {
  const memory = newMemory();
  return (job) => plan(job, { memory });
}
