import type { Drilled, Hole, Mark, Plan } from '@steddo/contract';
import { bitText } from './bits';
import { intoName, stepText } from './holds';
import { holeName } from './names';
import { alongFrom } from './wallWords';
import type { Wording } from './wording';

/** One mark as it is said at the wall: the same words on the screen and aloud. */
export interface MarkWords {
  name: string;
  /** The measures, the most important first. */
  measures: string[];
  drill: string;
  steps: string[];
  mind: string;
}

const side = (mm: number): string => (mm === 0 ? '' : mm > 0 ? ' to the right' : ' to the left');

/**
 * What to measure and drill for one hole. Only the first is measured from the floor; the others hang on the level
 * line through it, because floors slope.
 */
export function markWords(hole: Hole, mark: Mark, plan: Plan, say: Wording): MarkWords {
  const { belowLine, fromFirst } = hole.workings;
  const { fromCentre } = mark;
  const along = hole.wall === 'main' && plan.corner?.side === 'right' ? alongFrom(false) : alongFrom(true);
  const aside = hole.wall
    ? `${say.length(mark.fromLeft)} ${along}`
    : `${say.length(Math.abs(fromCentre))}${side(fromCentre)} of the centre line`;
  const first = [`${say.length(mark.fromFloor)} up from the floor`, aside];
  const below = belowLine?.value ?? 0;
  const across = fromFirst?.value ?? 0;
  const level =
    Math.abs(below) < 0.5
      ? 'on the level line through the first hole'
      : `${say.length(Math.abs(below))} ${below > 0 ? 'below' : 'above'} the level line through the first hole`;
  const over =
    Math.abs(across) < 0.5 ? 'straight below it' : `${say.length(Math.abs(across))}${side(across)} of the first hole`;
  return {
    name: holeName(hole, plan.holes ?? []),
    measures: belowLine ? [level, over] : first,
    drill: `bit ${bitText(hole.bit, say)}, ${say.length(hole.depth)} deep, into ${intoName(hole.into)}`,
    steps: hole.steps.map(stepText),
    mind: MIND[hole.hazard],
  };
}

const MIND: Record<Hole['hazard'], string> = {
  'nobody-looked': 'Nobody has looked behind it. Look first; if in doubt, do not drill.',
  'one-side': 'Only one bay beside it was looked into. Look into the other first.',
  clear: 'Both bays were looked into and are clear.',
  seen: 'Something was seen there. Do not drill.',
};

/** The mark in one breath, to be read aloud. */
export const spokenMark = (words: MarkWords): string =>
  [words.name, ...words.measures, words.drill, words.mind]
    .map((line) => line.replace(/\.$/, ''))
    .join('. ')
    .replaceAll(' in ', ' inches ');

const RESULTS: Record<Drilled['result'], string> = {
  good: 'drilled, and good',
  drifted: 'it moved',
  stud: 'it was wood',
  hollow: 'it was hollow',
  metal: 'it was metal',
  blocked: 'it would not go in',
  broken: 'it broke',
  spun: 'it spins',
  joint: 'it met a joint',
  'felt-something': 'I felt something',
};
/** What came of a hole, as the hand says it. */
export const resultName = (result: Drilled['result']): string => RESULTS[result];
