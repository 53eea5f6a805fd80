import type { Fit, FitOf } from '@steddo/contract';
import { roomKindFit } from './cornerFindings';
import { buildName } from './names';
import { rounded, shareText, type Wording } from './wording';

/** A fit rule in words with its margin: `11 mm short in pattern height`. */
export function fitText(fit: Fit, say: Wording): string {
  const by = Math.abs(fit.margin);
  switch (fit.rule) {
    case 'mass':
      return fit.ok ? `carries it with ${say.mass(by)} to spare` : `rated ${say.mass(by)} too little`;
    case 'pattern':
      return fit.ok
        ? by === 0
          ? 'pattern is just what it takes'
          : `pattern fits with ${rounded(by, 1)} mm to spare in ${fit.axis}`
        : `${rounded(by, 1)} mm ${short(fit)} in pattern ${fit.axis}`;
    case 'screen-size':
      return fit.ok
        ? 'made for this size'
        : `${say.length(by)} ${fit.axis === 'largest' ? 'over its largest' : 'under its smallest'} size`;
    case 'wall-kind':
      return fit.ok
        ? `made for a ${buildName(fit.value)}`
        : fit.value === 'unknown'
          ? 'what the wall is has not been said'
          : `not made for a ${buildName(fit.value)}`;
    case 'covering':
      return fit.ok ? `covering thin enough by ${say.length(by)}` : `covering ${say.length(by)} too thick`;
    case 'plate-room':
      return fit.ok ? plateWords(fit, say) : `its plate is ${say.length(by)} short of room`;
    case 'reach':
      return fit.ok
        ? `every seat within ${say.degrees(fit.value)} of straight`
        : `leaves ${say.thing(fit.axis)} ${say.degrees(fit.value)} off straight`;
    case 'tilt':
      return tiltWords(fit, say);
    case 'people':
      return peopleWords(fit);
    case 'holds':
      return fit.ok
        ? `its fixings have ${shareText(fit.value)} of what they may hold at worst`
        : `its fixings would have ${shareText(fit.value)} of what they may hold`;
    case 'scheme':
      if (fit.value === 'none') return 'searched: no holes that hold on this wall';
      return fit.ok
        ? `searched: holes found, ${shareText(fit.value)} of what they may hold`
        : `searched: ${shareText(fit.value)} of what its fixings may hold`;
    case 'room-kind':
      return roomKindFit(fit.ok, fit.value, fit.limit);
    case 'corner-reach':
      return fit.ok
        ? `its links reach with ${say.length(by)} to spare`
        : `its links are ${say.length(by)} short of the walls`;
    case 'stud-spacing':
      return fit.ok ? 'stud spacing fits' : `stud spacing off by ${say.length(by)}`;
  }
}

function peopleWords({ ok, value, people }: FitOf<'people'>): string {
  if (value === 'none') return 'nobody can lift the set so high';
  const who = people === 1 ? 'one can lift the set' : 'two people lift the set';
  return ok ? who : `${who}, ${rounded(value, 1)} times what they should`;
}

/** The mount's pattern is short of a larger set; a smaller set is short of the mount. */
const short = ({ value, limit }: FitOf<'pattern'>): string => (value < limit ? 'too small' : 'short');

const plateWords = (fit: FitOf<'plate-room'>, say: Wording): string =>
  fit.value > 0.5
    ? `its plate fits with the set moved ${say.length(fit.value)}`
    : `its plate fits, free over ${say.length(fit.margin)}`;

function tiltWords(fit: FitOf<'tilt'>, say: Wording): string {
  const lacking = say.degrees(Math.abs(fit.margin));
  if (!fit.ok) return `tilts ${lacking} too little`;
  if (fit.margin >= 0) return `tilts enough, ${lacking} to spare`;
  return `${lacking} of tilt lacking, too little to see`;
}
