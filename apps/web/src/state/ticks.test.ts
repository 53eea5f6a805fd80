import type { Job } from '@steddo/contract';
import { applyCommand } from '@steddo/core';
import { guestRoom as fitted } from '@steddo/samples';
import { noteOf, tickStep, untick } from './ticks';

const { ticks: _, ...guestRoom } = fitted;

describe('ticks', () => {
  const after = (job: Job, ...steps: ((j: Job) => Parameters<typeof applyCommand>[1])[]) =>
    steps.reduce((j, step) => applyCommand(j, step(j)).job, job);
  const ids = (job: Job) => (job.ticks ?? []).map((t) => t.step);

  it('a step is ticked once, with what was said last', () => {
    const job = after(
      guestRoom,
      (j) => tickStep(j, 'fit.box'),
      (j) => tickStep(j, 'hang.lock', 'left one out of reach'),
      (j) => tickStep(j, 'fit.box'),
    );
    expect(ids(job)).toEqual(['hang.lock', 'fit.box']);
    expect([noteOf(job, 'hang.lock'), noteOf(job, 'fit.box')]).toEqual(['left one out of reach', undefined]);
  });
  it('is taken away with every tick of it that two devices made, and undone as it was', () => {
    const both: Job = {
      ...guestRoom,
      ticks: [{ step: 'fit.box' }, { step: 'fit.arms' }, { step: 'fit.box', at: '2026-01-01' }],
    };
    const { job, inverse } = applyCommand(both, untick(both, 'fit.box'));
    expect(ids(job)).toEqual(['fit.arms']);
    expect(applyCommand(job, inverse).job).toEqual(both);
    expect(
      after(
        guestRoom,
        (j) => tickStep(j, 'fit.box'),
        (j) => untick(j, 'fit.box'),
      ).ticks,
    ).toBeUndefined();
  });
});
