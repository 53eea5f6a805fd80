import { rounded, type Wording } from './wording';

/** A bit: sixty-fourths of an inch where it is one, else millimetres. */
export function bitText(mm: number, say: Pick<Wording, 'length'>): string {
  const ticks = (mm / 25.4) * 64;
  const imperial = say.length(25.4).endsWith('in');
  if (!imperial || Math.abs(ticks - Math.round(ticks)) > 0.15) return `${rounded(mm, 1)} mm`;
  let [top, bottom] = [Math.round(ticks), 64];
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2];
  return `${top}/${bottom} in`;
}
