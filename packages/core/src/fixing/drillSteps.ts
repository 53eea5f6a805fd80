import type { Build, DrillStep, Job } from '@steddo/contract';
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

/** What comes before the drill meets what is behind the covering. */
const THROUGH_COVER: Record<NonNullable<Build['cover']>, readonly DrillStep[]> = {
  gypsum: [],
  // its bit wanders and its hammer cracks it: tape, a bit of its own, no hammer until it is through
  tile: ['tape-tile', 'tile-bit'],
  // a wood bit is blunt after an inch of plaster, and a hammer brings it off its laths
  lath: ['plaster-bit'],
  panel: [],
  none: [],
};

/** What lies at a hole before its fixing: how the wall is covered there, and packing. */
export interface Surface {
  cover?: Build['cover'];
  /** The first hole over packing: the packing goes up before it. */
  firstOverPacking?: boolean;
  /** A skin that has to stay tight. */
  vehicle?: boolean;
}

/**
 * What is done at a hole, in the order of the trade: by its fixing's own table; the first by the way of setting out,
 * the others drawn snug. A lag in one: thin bit, pilot, washer, lag, hang the plate, level.
 */
export function stepsOf(
  place: FixingAt,
  first: boolean,
  setOut: SetOut,
  { cover = 'gypsum', firstOverPacking, vehicle }: Surface = {},
): DrillStep[] {
  const { before, after } = SET_OUT[setOut];
  const own = [
    ...(firstOverPacking ? (['fit-packing'] as const) : []),
    ...THROUGH_COVER[cover],
    ...sealed(fixingSteps(place), vehicle),
  ];
  const marked = setOut === 'one-bolt' ? own : own.filter((s) => s !== 'mark-through');
  return first ? [...before, ...marked, ...after] : [...marked, 'snug'];
}

/** What draws a fixing in; sealant goes onto its point before that. */
const DRIVES: ReadonlySet<DrillStep> = new Set<DrillStep>(['lag', 'drive-screw', 'cut-thread', 'bolt', 'turn-in']);

const sealed = (steps: readonly DrillStep[], vehicle = false): DrillStep[] =>
  vehicle ? steps.flatMap((s): DrillStep[] => (DRIVES.has(s) ? ['seal', s] : [s])) : [...steps];

/** What is done with the fixing of something light, which has no plate. */
export const lightSteps = (place: Pick<FixingAt, 'fastener' | 'into'>): DrillStep[] =>
  fixingSteps(place).filter((s) => !OF_PLATE.has(s) && s !== 'washer');

function fixingSteps({ fastener, into }: Pick<FixingAt, 'fastener' | 'into'>): DrillStep[] {
  const { steps } = FIXING_KINDS[fastener.kind];
  return steps
    .filter((s) => s !== 'washer' || Boolean(fastener.washer))
    .map((s) => (s === 'drill-metal' && into === 'backing' ? 'pilot' : s));
}
