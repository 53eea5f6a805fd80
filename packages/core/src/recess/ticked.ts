import type { BoxStepId, Job } from '@steddo/contract';

/** Whether a step of a box was ticked. */
export const isTicked = ({ ticks }: Job, step: BoxStepId): boolean => (ticks ?? []).some((t) => t.step === step);
