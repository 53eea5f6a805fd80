import type { Job, TickId } from '@steddo/contract';
import type { Command } from '@steddo/core';

/** Ticks a step or something of the pack list; with a note where it could not be done as it should be. */
export function tickStep(job: Job, step: TickId, note?: string, at = new Date()): Command {
  const value = { step, at: at.toISOString(), ...(note ? { note } : {}) };
  return { do: 'all', commands: [untick(job, step), { do: 'put', path: `ticks.${remaining(job, step)}`, value }] };
}

/** Ticks steps of which none is ticked yet. */
export const tickAll = ({ ticks = [] }: Job, steps: readonly { id: TickId }[], at = new Date()): Command => ({
  do: 'all',
  commands: steps.map(({ id: step }, i): Command => ({
    do: 'put',
    path: `ticks.${ticks.length + i}`,
    value: { step, at: at.toISOString() },
  })),
});

/** Takes every tick of a step away, the last one first so that the others keep their places. */
export function untick({ ticks = [] }: Job, step: TickId): Command {
  const places = ticks.flatMap((t, i) => (t.step === step ? [i] : [])).reverse();
  return { do: 'all', commands: places.map((i): Command => ({ do: 'drop', path: `ticks.${i}` })) };
}

const remaining = ({ ticks = [] }: Job, step: TickId): number => ticks.filter((t) => t.step !== step).length;

/** What was said about a step that could not be done. */
export const noteOf = ({ ticks = [] }: Job, step: TickId): string | undefined =>
  ticks.find((t) => t.step === step && t.note)?.note;
