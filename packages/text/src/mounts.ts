import type { Advice, Job } from '@steddo/contract';
import type { Compared } from '@steddo/core';
import { typeName } from './names';
import { rounded, type Wording } from './wording';

/** What the seats ask for, and why. */
export function adviceText(advice: Advice, say: Wording): string {
  const seat = advice.viewer === undefined ? '' : say.thing(advice.viewer);
  const across = advice.across === undefined ? undefined : say.degrees(Math.abs(advice.across));
  const tilt = advice.tiltNeeded === undefined ? undefined : say.degrees(Math.abs(advice.tiltNeeded));
  const out =
    advice.reachNeeded === undefined
      ? ''
      : `, and the set has to come ${say.length(advice.reachNeeded)} out to turn there`;
  switch (advice.type) {
    case 'full-motion':
      return `The seats ask for full motion: ${seat} is ${across ?? ''} to the side${out}.`;
    case 'tilt':
      return `The seats ask for tilt: ${tilt ?? ''} of it would face them${across ? `, and nobody sits more than ${across} to the side` : ''}.`;
    case 'fixed':
      return `A fixed mount serves the seats${across ? `: nobody sits more than ${across} to the side` : ''}${tilt ? `${across ? ', and' : ':'} ${tilt} of tilt is too little to miss` : ''}.`;
  }
}

const LACKING = '–';
type Kind = 'length' | 'degrees' | 'mass' | 'plain';

function shown(value: number | undefined, kind: Kind, say: Wording): string {
  if (value === undefined) return LACKING;
  if (kind === 'length') return say.length(value);
  if (kind === 'degrees') return say.degrees(value);
  return kind === 'mass' ? say.mass(value) : rounded(value, 2);
}

export interface ComparedRow {
  name: string;
  text: (mount: Compared, say: Wording) => string;
}

const row = (name: string, of: (c: Compared) => number | undefined, kind: Kind): ComparedRow => ({
  name,
  text: (c, say) => shown(of(c), kind, say),
});

/** The rows of the comparison, in the order in which installers ask. */
export const COMPARED_ROWS: readonly ComparedRow[] = [
  { name: 'type', text: (c) => typeName[c.type] },
  row('off the wall, folded', (c) => c.folded, 'length'),
  row('out, at most', (c) => c.extended, 'length'),
  row('tilts down', (c) => c.tiltDown, 'degrees'),
  row('tilts up', (c) => c.tiltUp, 'degrees'),
  row('turns, each way', (c) => c.swivel, 'degrees'),
  row('set slides, each way', (c) => c.slide, 'length'),
  row('trim after hanging', (c) => c.trim, 'length'),
  row('rolls level', (c) => c.roll, 'degrees'),
  row('studs', (c) => c.studs, 'plain'),
  row('mass to spare', (c) => c.massMargin, 'mass'),
  row('price', (c) => c.price, 'plain'),
];

/** The set and what it hangs on, in one line: "43 in · 19 lb · 200 x 200 · Louvre 2". */
export function setLine({ screen, mount }: Pick<Job, 'screen' | 'mount'>, say: Wording): string {
  const { diagonal, mass, pattern } = screen;
  const parts = [say.diagonal(diagonal), say.mass(mass), `${pattern.width} x ${pattern.height}`, mount?.name];
  return parts.filter(Boolean).join(' · ');
}
