import type { Correction, LevelReading } from '@steddo/contract';
import { rounded, type Wording } from './wording';

const BY_WORDS: Record<Correction['kind'], string> = {
  slots: 'with the play of the slots',
  hole: 'with a new hole beside',
  shim: 'with paper between hook and rail',
  trim: 'with the levelling screws',
  roll: 'by turning the head',
};

const amountOf = ({ kind }: Pick<Correction, 'kind'>, value: number): string =>
  kind === 'roll' ? `${rounded(value, 1)}°` : `${rounded(value, 1)} mm`;

/** How an end is raised, and how far that can go: "with the play of the slots: within 2.1 mm". */
export function correctionWay(c: Correction): string {
  if (c.limit === undefined) return BY_WORDS[c.kind];
  return `${BY_WORDS[c.kind]}: ${c.fits ? 'within' : 'beyond its'} ${amountOf(c, c.limit)}`;
}

export const raiseText = ({ where }: Pick<Correction, 'where'>): string => `raise the ${where} end`;

/** The level of a plan in one line: that it is level, or which end has to come up, by how much and how. */
export function levelLine(corrections: readonly Correction[]): string {
  const first = corrections.find((c) => c.fits) ?? corrections[0];
  if (!first) return 'level';
  return `${raiseText(first)} by ${amountOf(first, first.by)}, ${BY_WORDS[first.kind]}`;
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
