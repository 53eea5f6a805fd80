import * as Comlink from 'comlink';
import type { Job } from '@steddo/contract';
import { COVERAGE_STEP_MM, coverageRow, coverageStands, gridOver, plan, reachModelOf } from '@steddo/core';
import { floorDepth, floorSides, type FloorMap } from '@steddo/drawing';

/** The map of the floor is worked out here, a few rows at a time, so that it can be called off. */
let turn = 0;
const ROWS_AT_ONCE = 6;
const pause = () => new Promise<void>((resolve) => setTimeout(resolve));

const api = {
  /** Undefined when it was called off, or for a mount that does not move. */
  async coverage(job: Job, progress: (done: number, of: number) => void): Promise<FloorMap | undefined> {
    turn += 1;
    const mine = turn;
    const model = reachModelOf(job, plan(job));
    if (!model) return undefined;
    const { left, right } = floorSides(job);
    const grid = gridOver(left, right, floorDepth(job), COVERAGE_STEP_MM);
    const stands = coverageStands(model.reach);
    const rows: Float32Array[] = [];
    while (rows.length < grid.rows) {
      for (let i = 0; i < ROWS_AT_ONCE && rows.length < grid.rows; i++)
        rows.push(coverageRow(model.reach, stands, grid, rows.length));
      progress(rows.length, grid.rows);
      await pause();
      if (mine !== turn) return undefined;
    }
    return { left: grid.left, near: grid.near, step: grid.step, rows };
  },
  cancel(): void {
    turn += 1;
  },
};

export type ReachApi = typeof api;
Comlink.expose(api);
