import { newMemory, plan } from '@steddo/core';
import type { PlanHere } from './planning';

/** All of the core that works out whole rooms, in a file of its own: it comes after the page, see `planning`. */
export { fixingPolicies, offeredHeights } from '@steddo/core';

export function newPlanHere(): PlanHere {
  const memory = newMemory();
  return (job) => plan(job, { memory });
}
