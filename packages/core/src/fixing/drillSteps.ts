import type { DrillStep, Job } from '@steddo/contract';
import type { FixingAt } from './boreOf';
import { FIXING_KINDS } from './fixingKinds';

/** How the marks come onto the wall: one bolt first and the plate hung on it, the plate held up, or a template. */
export type SetOut = NonNullable<NonNullable<Job['choices']>['setOut']>;

export const setOutOf = ({ choices }: Pick<Job, 'choices'>): SetOut => choices?.setOut ?? 'one-bolt';

/** What comes before the first hole, and what after it, by the way of setting out. */
const SET_OUT: Record<SetOut, { before: readonly DrillStep[]; after: readonly DrillStep[] }> = {
  'one-bolt': { before: [], after: ['hang-plate', 'level'] },
  'held-up': { before: ['hold-up', 'level', 'mark-all'], after: ['snug'] },
  template: { before: ['template-up', 'level', 'mark-all'], after: ['snug'] },
};

/** Made for the wall or for the plate; for a thing that hangs by itself they are not done. */
const OF_PLATE: ReadonlySet<DrillStep> = new Set<DrillStep>(['mark-through', 'plate-aside', 'plate-on']);

/**
 * What is done at a hole, in the order of the trade: by its fixing's own table; the first by the way of setting out,
 * the others drawn snug. A lag in one: thin bit, pilot, washer, lag, hang the plate, level.
 */
export function stepsOf(place: FixingAt, first: boolean, setOut: SetOut): DrillStep[] {
  const { before, after } = SET_OUT[setOut];
  const own = fixingSteps(place);
  const marked = setOut === 'one-bolt' ? own : own.filter((s) => s !== 'mark-through');
  return first ? [...before, ...marked, ...after] : [...marked, 'snug'];
}

/** What is done with the fixing of something light, which has no plate. */
export const lightSteps = (place: Pick<FixingAt, 'fastener' | 'into'>): DrillStep[] =>
  fixingSteps(place).filter((s) => !OF_PLATE.has(s) && s !== 'washer');

function fixingSteps({ fastener, into }: Pick<FixingAt, 'fastener' | 'into'>): DrillStep[] {
  const { steps } = FIXING_KINDS[fastener.kind];
  return steps
    .filter((s) => s !== 'washer' || Boolean(fastener.washer))
    .map((s) => (s === 'drill-metal' && into === 'backing' ? 'pilot' : s));
}
