import type { EntryUnit } from './fields';

/** What a key of the pad does to the text; `fresh` text is replaced by the first key. */
export interface PadText {
  text: string;
  fresh: boolean;
}

export const FRACTIONS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const;

export const hasFractions = (unit: EntryUnit): boolean => unit === 'in' || unit === 'ft';

const FRACTION_AT_END = /\s*\d+\/\d+$/;

/** `press({ text: '58', fresh: false }, '3/8')` is `58 3/8`; another fraction takes its place. */
export function press(pad: PadText, key: string): PadText {
  if (key === 'back') {
    if (pad.fresh) return { text: '', fresh: false };
    const shorter = FRACTION_AT_END.test(pad.text) ? pad.text.replace(FRACTION_AT_END, '') : pad.text.slice(0, -1);
    return { text: shorter.trimEnd(), fresh: false };
  }
  const before = pad.fresh ? '' : pad.text;
  if (key === 'sign') {
    const text = pad.text.startsWith('-') ? pad.text.slice(1) : `-${pad.text}`;
    return { text, fresh: pad.fresh };
  }
  if (key.includes('/')) return { text: `${before.replace(FRACTION_AT_END, '')} ${key}`.trim(), fresh: false };
  if (FRACTION_AT_END.test(before)) return { text: before, fresh: false };
  return { text: before + key, fresh: false };
}
