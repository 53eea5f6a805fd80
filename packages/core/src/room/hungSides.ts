import type { Job, Working } from '@steddo/contract';
import { leaf } from '../primitives/working';
import { roomKindOf } from './roomKind';

/** Whether a set stands on its end: over a bench only, where the head of an arm turns it. */
export const isPortrait = (job: Pick<Job, 'room' | 'mount' | 'choices'>): boolean =>
  job.choices?.portrait === true && roomKindOf(job) === 'bench';

/**
 * Where the pattern's middle is off the outline's as the set hangs, mm. On its end it has been turned to the right, as seen
 * from the front: what was up is to the right, what was to the right is down. 30 up and 10 to the right: 30 right, 10 down.
 */
export function patternAt(job: Job): { right: Working; up: Working } {
  const { patternCentre } = job.screen;
  const on = (label: 'pattern-right' | 'pattern-up', side: 'right' | 'up', sign: 1 | -1): Working => {
    const path = `screen.patternCentre.${side}`;
    const guess = patternCentre === undefined || (job.guessed ?? []).includes(path);
    return leaf(label, sign * (patternCentre?.[side] ?? 0) || 0, 'mm', { path, guess });
  };
  if (isPortrait(job)) return { right: on('pattern-right', 'up', 1), up: on('pattern-up', 'right', -1) };
  return { right: on('pattern-right', 'right', 1), up: on('pattern-up', 'up', 1) };
}
