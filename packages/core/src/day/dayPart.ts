import type { DayPlan, DayStep, Job, LeadPlan, Part, Plan, StepId } from '@steddo/contract';
import { isStepDone } from '../hang/doneSteps';
import { isStep, stepNeeds, stepsFor, waitsFor, type StepContext } from '../hang/stepTable';
import { packList } from './packList';

export interface DayInput {
  context: StepContext;
  screen: Plan['screen'];
  /** What the holes need. */
  parts: readonly Part[];
  leads: readonly LeadPlan[];
}

/**
 * All the steps of a job in order, with who, tools, minutes and what waits for what; what to pack, and what stays
 * open. A fixed mount on four lags with one lead plugged in while it is hooked: about 40 minutes.
 */
export function dayPart({ context, screen, parts, leads }: DayInput): DayPlan {
  const { job, people } = context;
  const ids = stepsFor(context);
  const present = new Set<StepId>(ids);
  const steps = ids.map((id): DayStep => {
    const { who, tools, minutes } = stepNeeds(id, context);
    return { id, who, tools, minutes, after: waitsFor(id, present), done: isStepDone(id, context) };
  });
  return {
    steps,
    pack: packList({ job, steps, parts, screen, leads }),
    people: Math.max(people, ...steps.map((s) => (s.who === 'two' ? 2 : 1))),
    minutes: steps.reduce((sum, s) => sum + s.minutes, 0),
    open: openPoints(job),
  };
}

/** What was ticked with a word about it, leads that come another day, and what the record has. */
function openPoints(job: Job): DayPlan['open'] {
  const noted = (job.ticks ?? []).flatMap(({ step, note }) =>
    note && isStep(step) ? [{ what: 'step' as const, id: step, text: note }] : [],
  );
  const later = (job.leads ?? [])
    .filter((l) => l.later)
    .map((l) => ({ what: 'lead' as const, id: l.id, text: l.what }));
  const notes = (job.record?.open ?? []).map((n) => ({
    what: 'note' as const,
    text: typeof n === 'string' ? n : n.text,
  }));
  return [...noted, ...later, ...notes];
}
