import * as Comlink from 'comlink';
import type { Job, Side, TolerancePlan } from '@steddo/contract';
import {
  followAdvice,
  looksOnWall,
  plan,
  practiceWalls,
  simulated,
  toleranceOfJob,
  toleranceRun,
  TOLERANCE_DRAWS,
  type NextLooks,
  type PracticeWalls,
} from '@steddo/core';

/** Draws between two looks at whether it was called off. */
const DRAWS_AT_ONCE = 1000;
let turn = 0;
const pause = () => new Promise<void>((resolve) => setTimeout(resolve));

/** Where to look next, practice walls, and how sure a job is, are worked out here: a drag never waits for them. */
const api = {
  nextLooks(job: Job, skip: string[], wall: 'main' | Side): NextLooks | undefined {
    return looksOnWall(job, plan(job), wall, skip);
  },
  practiceWalls(job: Job, seed: number): PracticeWalls {
    return practiceWalls(job, seed);
  },
  /** Pokes that following the advice takes on the same wall; in a corner on one after the other. */
  advisedPokes(job: Job, { main, other }: PracticeWalls, progress: (steps: number) => void): number {
    let steps = 0;
    const count = () => progress((steps += 1));
    const first = followAdvice(job, simulated(main, main.seed), count);
    if (!other) return first.pokes;
    return first.pokes + followAdvice(first.job, simulated(other.wall, other.wall.seed), count, other.side).pokes;
  },
  /** How sure a job is, a thousand draws at a time; undefined when it was called off, or for a job without holes. */
  async tolerance(job: Job, seed: number, progress: (share: number) => void): Promise<TolerancePlan | undefined> {
    turn += 1;
    const mine = turn;
    const model = toleranceOfJob(job, plan(job));
    if (!model) return undefined;
    const run = toleranceRun(model, seed);
    for (let drawn = 0; drawn < TOLERANCE_DRAWS; drawn += DRAWS_AT_ONCE) {
      run.draw(DRAWS_AT_ONCE);
      progress((drawn + DRAWS_AT_ONCE) / TOLERANCE_DRAWS);
      await pause();
      if (mine !== turn) return undefined;
    }
    return run.result();
  },
  cancelTolerance(): void {
    turn += 1;
  },
};

export type WallApi = typeof api;
Comlink.expose(api);
