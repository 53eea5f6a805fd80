import type { Misfit, Screen, Stack } from '@steddo/contract';
import { patternClass } from '@steddo/core';
import { rounded, type Wording } from './wording';

/** `M6 x 16`. */
export const screwName = (screw: Pick<Stack, 'thread' | 'length'>): string =>
  `${screw.thread} x ${rounded(screw.length, 1)}`;

/** What goes under its head: `washer 1.6 mm, spacer 10 mm`. */
export function washersText({ washers, spacer }: Pick<Stack, 'washers' | 'spacer'>): string {
  const parts = [
    ...washers.map((mm) => `washer ${rounded(mm, 1)} mm`),
    ...(spacer > 0 ? [`spacer ${rounded(spacer, 1)} mm`] : []),
  ];
  return parts.length > 0 ? parts.join(', ') : 'nothing under its head';
}

/** Why a screw of the bag does not serve, in millimetres and turns. */
export function misfitText(misfit: Misfit): string {
  if (misfit.why === 'thread') return 'wrong thread for this insert';
  const by = `${rounded(misfit.by ?? 0, 1)} mm`;
  const turns = misfit.turns === undefined ? '' : ` (${rounded(misfit.turns, 1)} turns)`;
  const way = misfit.washers.length > 0 || misfit.spacer > 0 ? ` even with ${washersText(misfit)}` : '';
  return misfit.why === 'short'
    ? `too short by ${by}${turns}${way}: it would pull out`
    : `too long by ${by}${turns}${way}: it would bottom out`;
}

/** What the interface standard says of a pattern: class, thread, the most it is meant for. */
export function classText(screen: Screen, say: Wording): string {
  const found = patternClass(screen.pattern, screen.mass);
  const takes = found.takes
    .map((t) => (t.limitKg === undefined ? t.thread : `${t.thread} to ${say.mass(t.limitKg)}`))
    .join(', ');
  return found.name === 'between'
    ? `Between the sizes of the interface standard, common and accepted; usually ${takes}.`
    : `Class ${found.name} of the interface standard (VESA FDMI, from memory): ${takes}.`;
}
