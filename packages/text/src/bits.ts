import { rounded, type Wording } from './wording';

/** Sixty-fourths of an inch, reduced; undefined for what is none. */
function inchesOf(mm: number, most = 64): string | undefined {
  const ticks = (mm / 25.4) * most;
  if (Math.abs(ticks - Math.round(ticks)) > 0.15) return undefined;
  const whole = Math.floor(Math.round(ticks) / most);
  let [top, bottom] = [Math.round(ticks) - whole * most, most];
  while (top > 0 && top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2];
  return [...(whole > 0 ? [`${whole}`] : []), ...(top > 0 ? [`${top}/${bottom}`] : [])].join(' ');
}

const isImperial = (say: Pick<Wording, 'length'>): boolean => say.length(25.4).endsWith('in');

const isWhole = (mm: number): boolean => Math.abs(mm - Math.round(mm)) < 0.05;

/**
 * A bit as it is stamped: in an imperial job sixty-fourths of an inch where it is one; in a metric one millimetres, an
 * inch size by its name with its millimetres.
 */
export function bitText(mm: number, say: Pick<Wording, 'length'>): string {
  const inches = inchesOf(mm);
  if (isImperial(say)) return inches === undefined ? `${rounded(mm, 1)} mm` : `${inches} in`;
  if (isWhole(mm) || inches === undefined) return `${rounded(mm, 1)} mm`;
  return `${rounded(mm, 1)} mm (${inches} in)`;
}

/** A screw's size in the job's own units: `5/16 x 2 1/2 in`, `8 x 64 mm`. */
export function screwSize(diameter: number, length: number | undefined, say: Pick<Wording, 'length'>): string {
  if (!isImperial(say)) return `${rounded(diameter, 1)}${length === undefined ? '' : ` x ${rounded(length, 0)}`} mm`;
  const across = inchesOf(diameter) ?? rounded(diameter / 25.4, 2);
  const along = length === undefined ? '' : ` x ${inchesOf(Math.round((length / 25.4) * 8) * (25.4 / 8), 8) ?? ''}`;
  return `${across}${along} in`;
}
