import { applyCommand } from '@steddo/core';
import { atticSnug } from '@steddo/samples';
import type { Job } from '@steddo/contract';
import { spanFields } from './spanFields';

const sofa = (job: Job) => job.room.floor!.find((f) => f.kind === 'sofa')!;
const start = sofa(atticSnug);
const [place, size] = spanFields({
  ...{ path: `room.floor.${start.id}`, low: 'left', high: 'right', entry: start },
  now: (job) => job.room.floor?.find((f) => f.id === start.id),
  place: { label: 'left edge', min: 0, max: 10_000 },
  size: { label: 'width', min: 10, max: 10_000 },
} as const);
const take = (job: Job, field = place!, value = 0): Job => applyCommand(job, field.command(value, job)).job;

describe('two edges of a thing', () => {
  it('read as a place and a size', () => {
    expect([place!.value, size!.value]).toEqual([start.left, start.right - start.left]);
  });

  it('a typed place leaves the size, a typed size the place', () => {
    const moved = sofa(take(atticSnug, place, 300));
    expect([moved.left, moved.right - moved.left]).toEqual([300, start.right - start.left]);
    const wider = sofa(take(atticSnug, size, 2500));
    expect([wider.left, wider.right]).toEqual([start.left, start.left + 2500]);
  });

  it('a place is typed for the size that the thing has by then, not for the one that was shown', () => {
    const wider = take(atticSnug, size, 2500);
    const moved = sofa(take(wider, place, 300));
    expect([moved.left, moved.right]).toEqual([300, 2800]);
  });
});
