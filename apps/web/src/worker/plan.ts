import * as Comlink from 'comlink';
import type { Job, Plan } from '@steddo/contract';
import type { PlanStep } from '@steddo/core';
import type { PlanApi } from './plan.worker';

/** As long as a plan may take before it is ended. */
export const LIMIT_MS = 2000;
/** As long as a phone may take to start a worker. */
const START_MS = 10_000;

/** A plan that took longer than anybody waits, and what it was busy with when it was ended. */
export class TooLong extends Error {
  constructor(readonly step: PlanStep) {
    super(`took longer than ${LIMIT_MS} ms, busy with ${step}`);
  }
}

/** The worker and its one endpoint: Comlink closes a worker whose endpoint nobody holds any more. */
let running: { worker: Worker; api: Comlink.Remote<PlanApi> } | undefined;

function start(): NonNullable<typeof running> {
  const worker = new Worker(new URL('./plan.worker.ts', window.location.href));
  return { worker, api: Comlink.wrap<PlanApi>(worker) };
}

let before: Promise<unknown> = Promise.resolve();

/**
 * Plans in a worker, one job after another; throws `TooLong`, and ends the worker, when a plan takes more than two
 * seconds from its first step on, and `Error` where no worker can be had.
 */
export function planApart(job: Job): Promise<Plan> {
  const mine = before.then(() => planned(job));
  before = mine.catch(() => undefined);
  return mine;
}

async function planned(job: Job): Promise<Plan> {
  const { worker, api } = (running ??= start());
  let limit: ReturnType<typeof setTimeout> | undefined;
  try {
    return await new Promise<Plan>((resolve, reject) => {
      const endAfter = (ms: number, error: () => Error): void => {
        clearTimeout(limit);
        limit = setTimeout(() => {
          worker.terminate();
          running = undefined;
          reject(error());
        }, ms);
      };
      const missing = () => new Error('no worker answers');
      let at: PlanStep | undefined;
      const watch = (step: PlanStep): void => {
        // counted from its first step: how long a phone takes to start a worker is not the room's fault
        if (at === undefined) endAfter(LIMIT_MS, () => new TooLong(at!));
        at = step;
      };
      endAfter(START_MS, missing);
      worker.onerror = () => endAfter(0, missing);
      api.plan(job, Comlink.proxy(watch)).then(resolve, reject);
    });
  } finally {
    clearTimeout(limit);
  }
}
