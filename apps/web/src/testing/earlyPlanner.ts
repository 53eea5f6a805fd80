import { Planner, type PlannerParts } from '../state/planner';

/** A planner whose core is on its way: `parts` say when it comes, `first` hears of the first plan. */
export const earlyPlanner = (
  parts: Pick<PlannerParts, 'here' | 'comes'>,
  first: () => void = () => undefined,
): Planner =>
  new Planner(undefined, {
    ...parts,
    first,
    apart: () => Promise.reject(new Error('not asked for')),
    clock: () => 0,
    after: () => undefined,
  });
