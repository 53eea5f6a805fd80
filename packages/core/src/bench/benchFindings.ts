import type { BenchPlan, Finding, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { SAME_MM } from '../primitives/epsilons';
import { isPortrait } from '../room/hungSides';

/** An upper edge is at the eyes or a little below them: so far off is still that, mm. Common practice; the figures are ours. */
const ABOVE_EYES_MM = 15;
const BELOW_EYES_MM = 150;

/** About an arm's length from the eyes to the face, mm: common practice; 450 to 800 are ours. */
const NEAR_MM = 450;
const FAR_MM = 800;

/** A set stands on its end over a bench only. */
export const portraitFindings = (job: Job): Finding[] =>
  job.choices?.portrait && !isPortrait(job) ? [finding('portrait-on-wall', 'caution', 'mount', {})] : [];

/** What a head over a bench cannot do where it hangs, and what is wrong for the eyes before it. */
export function benchFindings({ clearances, eyes }: BenchPlan): Finding[] {
  const moves = clearances.flatMap(({ side, by, until, limit, rest, free }): Finding[] => {
    if (rest > free + SAME_MM)
      return [finding('bench-no-room', 'caution', 'reach', { side, by, shortMm: rest - free })];
    if (until === undefined) return [];
    const values = { side, by, untilDeg: Math.floor(until), limitDeg: limit };
    return [finding('bench-moves-short', 'caution', 'reach', values)];
  });
  const turns = clearances.filter((c) => c.rest <= c.free + SAME_MM && c.turned > c.free + SAME_MM);
  const worst = turns.reduce<(typeof turns)[number] | undefined>(
    (a, b) => (!a || b.turned - b.free > a.turned - a.free ? b : a),
    undefined,
  );
  const turn = worst
    ? [
        finding('bench-turn-short', 'info', 'reach', {
          side: worst.side,
          by: worst.by,
          shortMm: worst.turned - worst.free,
        }),
      ]
    : [];
  const sights = eyes.flatMap(({ viewer, top, near, far }): Finding[] => [
    ...(top > ABOVE_EYES_MM ? [finding('bench-above-eyes', 'caution', 'height', { viewer, byMm: top })] : []),
    ...(top < -BELOW_EYES_MM ? [finding('bench-below-eyes', 'info', 'height', { viewer, byMm: -top })] : []),
    ...(near !== undefined && near > FAR_MM
      ? [finding('bench-too-far', 'caution', 'reach', { viewer, awayMm: near })]
      : []),
    ...(far !== undefined && far < NEAR_MM
      ? [finding('bench-too-near', 'caution', 'reach', { viewer, awayMm: far })]
      : []),
  ]);
  return [...moves, ...turn, ...sights];
}
