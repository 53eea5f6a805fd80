import { useEffect, useState } from 'react';
import type { Job } from '@steddo/contract';
import { withKit, type PlanStep } from '@steddo/core';
import { journal } from '../data/shared';
import { Planner, plannerParts } from '../state/planner';
import { useKit } from '../state/useKit';
import { TooLong, planApart } from '../worker/plan';

/** How far a room that is being opened is with its first plan. */
export type FirstPlan = { is: 'ready'; planner: Planner } | { is: 'working' } | { is: 'long'; step: PlanStep };

/**
 * A room is worked out on the page as it opens, as soon as what does that is there. One that did not come to an end the
 * last time is worked out in a worker first: what would hold the page up for ever is ended after two seconds and named.
 */
export function useFirstPlan(id: string, document: Job): FirstPlan {
  const kit = useKit();
  const [first, setFirst] = useState<FirstPlan>(() => {
    if (journal.wasLeft(id)) return { is: 'working' };
    const parts = plannerParts(() => journal.begin(id));
    return { is: 'ready', planner: new Planner(undefined, parts) };
  });
  const waiting = first.is !== 'ready';
  useEffect(() => {
    if (!waiting) return;
    let wanted = true;
    setFirst({ is: 'working' });
    planApart(withKit(document, kit)).then(
      (plan) => wanted && setFirst({ is: 'ready', planner: new Planner(plan) }),
      // where no worker can be had, or the plan fails, the page does it and says so
      (error: unknown) =>
        wanted &&
        setFirst(error instanceof TooLong ? { is: 'long', step: error.step } : { is: 'ready', planner: new Planner() }),
    );
    return () => {
      wanted = false;
    };
  }, [waiting, document, kit]);
  return first;
}
