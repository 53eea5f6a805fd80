import * as Comlink from 'comlink';
import type { Job } from '@steddo/contract';
import { followAdvice, nextLooks, plan, practiceWall, simulated, type HiddenWall, type NextLooks } from '@steddo/core';

/** Where to look next, and practice walls, are worked out here: a drag never waits for them. */
const api = {
  nextLooks(job: Job, skip: string[]): NextLooks | undefined {
    return nextLooks(job, plan(job), skip);
  },
  practiceWall(job: Job, seed: number): HiddenWall {
    return practiceWall(job, seed);
  },
  /** Pokes that following the advice takes on the same wall. */
  advisedPokes(job: Job, wall: HiddenWall, progress: (steps: number) => void): number {
    let steps = 0;
    return followAdvice(job, simulated(wall, wall.seed), () => progress((steps += 1))).pokes;
  },
};

export type WallApi = typeof api;
Comlink.expose(api);
