import type { Job } from '@steddo/contract';
import { applyCommand, newMemory, plan, withKit, type Memory } from '@steddo/core';
import { atticSnug, breakfastBar, demoCatalogue, guestRoom } from '../src';
import { randomJobs } from './randomJobs';
import { freshSeed } from './seeds';

/* A plan follows from its job alone: the same one whatever was planned before, with the same mounts in hand. */

const mounts = demoCatalogue.mounts.slice(0, 8);
const bases = [guestRoom, atticSnug, breakfastBar].map((job) => withKit(job, demoCatalogue));
const text = (job: Job, memory: Memory) => JSON.stringify(plan(job, { mounts, memory }));
const fresh = (job: Job) => JSON.stringify(plan(structuredClone(job), { mounts: structuredClone(mounts) }));

describe('a plan', () => {
  it('does not remember the packing that was planned before', () => {
    const [room] = bases;
    const packed = applyCommand(room!, { do: 'put', path: 'choices.packing', value: 30 }).job;
    const memory = newMemory();
    const plain = text(room!, memory);
    expect(text(packed, memory) === fresh(packed)).toBe(true);
    expect(text(room!, memory) === plain).toBe(true);
    expect(plain === fresh(packed)).toBe(false);
  });
  it('is the same whatever was planned before, for random pairs of jobs', () => {
    const seed = freshSeed('a pure plan', []);
    const jobs = randomJobs(bases, 15, seed);
    const memory = newMemory();
    for (const base of bases) text(base, memory);
    jobs.forEach((job, i) => {
      // now and then the room that it was made from comes in between, as undo would have it
      if (i % 3 === 0) text(bases[i % bases.length]!, memory);
      expect({ seed, i, same: text(job, memory) === fresh(job) }).toEqual({ seed, i, same: true });
    });
    expect(jobs).toHaveLength(15);
  });
});
