import bidiFactory from 'bidi-js';
import { NotMade } from './roomAndPlan';

/** Which letters a font has. */
export interface Covers {
  has: (codePoint: number) => boolean;
}

/** A stretch of a line as it is drawn, left to right: one font, one direction, no space in the middle of it. */
export interface GlyphRun {
  text: string;
  /** The fallback where the line's own font lacks a letter. */
  fallback: boolean;
  rightToLeft: boolean;
}

const bidi = bidiFactory();

/**
 * One line of text as runs in the order in which they stand on the paper, by the Unicode bidirectional algorithm; a letter
 * that the font lacks is the fallback's, and one that neither has is a named fault.
 * `runsOf('mark אב 3', fonts)` puts the Hebrew word where it stands between both.
 */
export function runsOf(line: string, own: Covers, fallback: Covers): GlyphRun[] {
  const text = line.replace(/\p{Cc}/gu, ' ');
  const { levels } = bidi.getEmbeddingLevels(text, 'auto');
  const mirrored = bidi.getMirroredCharactersMap(text, levels);
  const order = bidi.getReorderedIndices(text, {
    levels,
    paragraphs: [{ start: 0, end: text.length - 1, level: levels[0] ?? 0 }],
  });
  const place = new Map(order.map((index, at) => [index, at]));
  const tokens: (GlyphRun & { at: number })[] = [];
  let last: { level: number; fallback: boolean; space: boolean } | undefined;
  for (let i = 0; i < text.length;) {
    const code = text.codePointAt(i)!;
    const units = code > 0xffff ? 2 : 1;
    const letter = mirrored.get(i) ?? text.slice(i, i + units);
    const lacks = !own.has(code);
    if (lacks && !isUnseen(code) && !fallback.has(code))
      throw new NotMade(
        `no font of the sheet has the letter ${letter} (U+${code.toString(16).toUpperCase().padStart(4, '0')})`,
      );
    const level = levels[i] ?? 0;
    const space = /\s/.test(letter);
    const at = place.get(i) ?? i;
    const known = tokens.at(-1);
    const joins = known && last && last.level === level && last.fallback === lacks && last.space === space;
    if (isUnseen(code)) {
      i += units;
      continue;
    }
    if (joins) {
      known.text += letter;
      known.at = Math.min(known.at, at);
    } else tokens.push({ text: letter, fallback: lacks, rightToLeft: level % 2 === 1, at });
    last = { level, fallback: lacks, space };
    i += units;
  }
  return tokens
    .sort((a, b) => a.at - b.at)
    .map(({ text: t, fallback: f, rightToLeft }) => ({ text: t, fallback: f, rightToLeft }));
}

/** Marks that steer a text and are not seen: joiners, directions, a variant of the letter before. */
const isUnseen = (code: number): boolean =>
  (code >= 0x200b && code <= 0x200f) ||
  (code >= 0x202a && code <= 0x202e) ||
  (code >= 0x2060 && code <= 0x2069) ||
  (code >= 0xfe00 && code <= 0xfe0f) ||
  code === 0xfeff;
