import type { Correction, Finding, LevelGroup, LevelReading, LevelResult, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { toRad } from '../primitives/convert';
import type { Part } from '../primitives/part';
import { leaf, node } from '../primitives/working';
import { LEVEL_GOOD_MM, riseWorking, setCorrections, type SetTrim } from './setCorrections';
import type { Term } from '../primitives/terms';

/** Over the set's width everybody sees so much, mm. Ours. */
const LEVEL_SEEN_MM = 3;

/** What the level needs to know of the plan: spans and play, mm. */
export interface LevelContext extends SetTrim {
  plateSpanMm?: number;
  /** Up and down play of the plate's slots around the screw, both ends together. */
  slotPlayMm?: number;
}

/**
 * Slope, the level's own error and what to do about it, from readings in the wall's frame.
 * Unturned a and turned b: slope (a + b) / 2, own error (a - b) / 2; positive: right end high.
 * 0.2 and 0.1 degrees: slope 0.15, error 0.05. A later single reading of the same level counts less its error, one
 * that was taken turned counts more. Nothing when nobody has read a level.
 */
export function readLevel(readings: readonly LevelReading[], context: LevelContext): Part<LevelResult> {
  // what a level is known to be off by, from the last time it was turned
  const errors = new Map<string, Working>();
  const groups = grouped(readings).map((g) => {
    const level = levelOf(g[0]!.reading);
    const group = groupOf(g, context, errors.get(level));
    if (group.errorWorking) errors.set(level, group.errorWorking);
    return group;
  });
  const latest = groups.at(-1);
  if (!latest) return { findings: [] };
  return {
    section: {
      slope: latest.slope,
      ...(latest.instrumentError === undefined ? {} : { instrumentError: latest.instrumentError }),
      corrections: corrections(latest, context),
      groups,
    },
    findings: levelFindings(latest, context),
  };
}

const levelOf = ({ level = 'level' }: LevelReading): string => level;

interface Indexed {
  reading: LevelReading;
  index: number;
}

/** Readings of one plate or set at one moment, in the order in which the moments were first read. */
function grouped(readings: readonly LevelReading[]): Indexed[][] {
  const groups = new Map<string, Indexed[]>();
  readings.forEach((reading, index) => {
    const key = `${reading.on ?? 'plate'} ${reading.when ?? 'snug'}`;
    groups.set(key, [...(groups.get(key) ?? []), { reading, index }]);
  });
  return [...groups.values()].sort((a, b) => a.at(-1)!.index - b.at(-1)!.index);
}

/** A division of a spirit level when it does not say, mm/m. Ours. */
const DIVISION_MM_PER_M = 0.5;

/**
 * A reading's angle, degrees, right end high positive. 0.5 mm over 1000 mm is 0.0286 degrees, and so is one division
 * of a bubble, or a low end lifted 0.5 over 1000 until it is centred.
 */
export function readingAngle({ reading, index }: Indexed): Working {
  const path = `levelReadings.${reading.id ?? index}`;
  if (reading.instrument === 'digital')
    return leaf('level-angle', reading.angle ?? 0, 'deg', { path: `${path}.angle` });
  const sign = leaf('high-end', reading.high === 'left' ? -1 : 1, 'ratio', { path: `${path}.high` });
  const over = (gap: Working, length: Working) =>
    node('level-angle', 'atan', 'deg', [node('level-gap', '*', 'mm', [sign, gap]), length]);
  if (reading.bubble !== undefined) {
    const division = leaf('level-division', reading.division ?? DIVISION_MM_PER_M, 'mm', { path: `${path}.division` });
    const off = leaf('level-bubble', reading.bubble, 'count', { path: `${path}.bubble` });
    return over(node('gap', '*', 'mm', [off, division]), leaf('level-length', 1000, 'mm'));
  }
  if (reading.lifted !== undefined)
    return over(
      leaf('gap', reading.lifted, 'mm', { path: `${path}.lifted` }),
      leaf('level-length', reading.span ?? 0, 'mm', { path: `${path}.span` }),
    );
  return over(
    leaf('gap', reading.gap ?? 0, 'mm', { path: `${path}.gap` }),
    leaf('level-length', reading.length ?? 0, 'mm', { path: `${path}.length` }),
  );
}

function groupOf(group: readonly Indexed[], context: LevelContext, known: Working | undefined): LevelGroup {
  const mean = (label: Term, some: readonly Indexed[]) =>
    some.length === 0 ? undefined : node(label, 'mean', 'deg', some.map(readingAngle));
  const unturned = mean(
    'level-unturned',
    group.filter((g) => !g.reading.turned),
  );
  const turned = mean(
    'level-turned',
    group.filter((g) => g.reading.turned),
  );
  const both = [unturned, turned].filter((w) => w !== undefined);
  const working =
    both.length < 2 && known
      ? unturned
        ? node('slope', '-', 'deg', [unturned, known])
        : node('slope', '+', 'deg', [turned!, known])
      : node('slope', 'mean', 'deg', both);
  const first = group[0]!.reading;
  const on = first.on ?? 'plate';
  const spanMm = on === 'plate' ? context.plateSpanMm : context.setWidthMm;
  const error =
    unturned && turned
      ? node('level-error', '/', 'deg', [
          node('level-difference', '-', 'deg', [unturned, turned]),
          leaf('two', 2, 'count'),
        ])
      : known;
  return {
    on,
    when: first.when ?? 'snug',
    slope: working.value,
    ...(error ? { instrumentError: error.value, errorWorking: error } : {}),
    high: working.value > 0 ? 'right' : working.value < 0 ? 'left' : 'neither',
    ...(spanMm === undefined ? {} : { span: spanMm, rise: riseOver(spanMm, working.value) }),
    working,
  };
}

/** How much higher one end is over a span, mm: 0.1 degree over 400 mm is 0.70 mm. */
export const riseOver = (spanMm: number, slopeDeg: number): number => Math.abs(spanMm * Math.tan(toRad(slopeDeg)));

function corrections(group: LevelGroup, context: LevelContext): Correction[] {
  const slope = group.working;
  if (group.high === 'neither' || !slope) return [];
  const low = group.high === 'right' ? 'left' : 'right';
  if (group.on === 'set') return setCorrections(slope, low, context);
  return group.span === undefined ? [] : plateCorrections(slope, low, { ...context, spanMm: group.span });
}

/** The plate by the play of its slots; where that is not enough by a new hole beside. */
function plateCorrections(
  slope: Working,
  where: 'left' | 'right',
  { spanMm, slotPlayMm, setWidthMm }: LevelContext & { spanMm: number },
): Correction[] {
  const working = riseWorking(spanMm, slope);
  const base = { where, by: working.value, unit: 'mm', working } as const;
  const hole: Correction = { ...base, kind: 'hole', left: 0, fits: true };
  if (slotPlayMm === undefined) return [hole];
  const beyond = Math.max(0, working.value - slotPlayMm);
  const left = (beyond * setWidthMm) / spanMm;
  const slots: Correction = { ...base, kind: 'slots', limit: slotPlayMm, left, fits: beyond === 0 };
  return slots.fits ? [slots] : [slots, hole];
}

function levelFindings(group: LevelGroup, context: LevelContext): Finding[] {
  const found: Finding[] = [];
  if (group.instrumentError === undefined) found.push(finding('level-not-turned', 'info', 'level', { on: group.on }));
  const spanMm = context.setWidthMm;
  const riseMm = riseOver(spanMm, group.slope);
  if (riseMm <= LEVEL_GOOD_MM) found.push(finding('level-good', 'info', 'level', { riseMm, spanMm }));
  else {
    const level = riseMm >= LEVEL_SEEN_MM ? 'caution' : 'info';
    found.push(finding('level-off', level, 'level', { riseMm, spanMm, high: group.high }));
  }
  const needMm = group.rise ?? 0;
  const playMm = context.slotPlayMm;
  if (group.on === 'plate' && playMm !== undefined && needMm > playMm)
    found.push(finding('level-beyond-slots', 'caution', 'level', { needMm, playMm }));
  return found;
}
