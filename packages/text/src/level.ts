import type { Correction, LevelReading } from '@steddo/contract';
import { rounded, type Wording } from './wording';

const BY_WORDS: Record<Correction['kind'], string> = {
  slots: 'with the play of the slots',
  hole: 'with a new hole beside',
  screw: 'with the levelling screws',
  drop: 'with one arm loosened and let down',
  roll: 'by turning the head',
  shim: 'with paper between hook and rail',
};

const UNITS: Record<Correction['unit'], (value: number) => string> = {
  mm: (value) => `${rounded(value, 1)} mm`,
  deg: (value) => `${rounded(value, 1)}°`,
  turn: (value) => `${rounded(value, 2)} ${rounded(value, 2) === '1' ? 'turn' : 'turns'}`,
};

/** How much of it: "0.6 turns", "17 sheets, 1.7 mm". */
export function correctionAmount({ by, unit, sheets }: Correction): string {
  const amount = UNITS[unit](by);
  return sheets === undefined ? amount : `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, ${amount}`;
}

/** What is left over the set's width afterwards, worth saying from a tenth on. */
const leftText = ({ left }: Correction): string => (left < 0.05 ? '' : `, ${rounded(left, 1)} mm left over the set`);

/** How an end is brought level, and how far that can go: "with the play of the slots: within 2.1 mm". */
export function correctionWay(c: Correction): string {
  const way = BY_WORDS[c.kind];
  if (c.limit === undefined) return `${way}${leftText(c)}`;
  return `${way}: ${c.fits ? 'within' : 'beyond its'} ${UNITS[c.unit](c.limit)}${leftText(c)}`;
}

/** What is done at which end. */
export const correctionText = (c: Correction): string =>
  `${c.kind === 'drop' ? 'let down' : 'raise'} the ${c.where} end`;

/** The level of a plan in one line: that it is level, or which end has to be worked on, by how much and how. */
export function levelLine(corrections: readonly Correction[]): string {
  const first = corrections.find((c) => c.fits) ?? corrections[0];
  if (!first) return 'level';
  return `${correctionText(first)}: ${correctionAmount(first)}, ${BY_WORDS[first.kind]}`;
}

/** One reading as it was taken: "lifted 3 mm over 600, right high on the plate, turned". */
export function readingText(r: LevelReading, say: Wording): string {
  const where = ` on the ${r.on ?? 'plate'}${r.turned ? ', turned' : ''}${r.level ? `, ${r.level}` : ''}`;
  const high = `, ${r.high ?? 'neither'} high`;
  if (r.instrument === 'digital') return `${say.degrees(r.angle ?? 0)}${where}`;
  if (r.bubble !== undefined)
    return r.bubble === 0 ? `bubble centred${where}` : `bubble ${rounded(r.bubble, 2)} lines off${high}${where}`;
  if (r.lifted !== undefined) return `lifted ${rounded(r.lifted, 1)} mm over ${rounded(r.span ?? 0, 0)}${high}${where}`;
  return `${rounded(r.gap ?? 0, 1)} mm in ${rounded(r.length ?? 0, 0)}${high}${where}`;
}
