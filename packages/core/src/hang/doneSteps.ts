import type { BoxStepId, Job, StepId } from '@steddo/contract';
import type { StepContext } from './stepTable';

const readOn = (job: Job, on: 'plate' | 'set'): boolean =>
  (job.levelReadings ?? []).some((r) => (r.on ?? 'plate') === on);

/** Of a box by its own list. */
function boxShows(id: BoxStepId) {
  return ({ recess }: StepContext): boolean => recess?.steps.some((s) => s.id === id && s.done) ?? false;
}

/** What shows by itself that a step was done; all others are ticked. */
const SHOWS: Partial<Record<StepId, (c: StepContext) => boolean>> = {
  'fit.stage': ({ job }) => (job.measured ?? []).some((m) => m.from === 'bottom' || m.from === 'top'),
  'wall.holes': ({ holes }) => holes.length > 0 && holes.every((h) => h.done),
  'wall.timber': ({ timber }) => timber !== undefined && timber.holes.length > 0 && timber.holes.every((h) => h.done),
  'box.first-cut': boxShows('box.first-cut'),
  'box.look': boxShows('box.look'),
  'box.faces': boxShows('box.faces'),
  'wall.level': ({ job }) => readOn(job, 'plate'),
  'hang.centre': ({ job }) => job.hang?.gaps?.left !== undefined && job.hang.gaps.right !== undefined,
  'hang.level': ({ job }) => readOn(job, 'set'),
};

/** Whether a step was ticked, or shows that it was done. */
export const isStepDone = (id: StepId, context: StepContext): boolean =>
  (context.job.ticks ?? []).some((t) => t.step === id) || (SHOWS[id]?.(context) ?? false);
