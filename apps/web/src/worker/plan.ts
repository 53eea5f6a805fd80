import * as Comlink from 'comlink';
import type { Job, Plan } from '@steddo/contract';
import type { PlanStep } from '@steddo/core';
import type { Listed } from './listed';
import type { PlanApi } from './plan.worker';

/** As long as a plan may take before it is ended, where nobody allows it more. */
export const LIMIT_MS = 2000;
/** As long as a phone may take to start a worker. */
const START_MS = 10_000;

/** A plan that took longer than anybody waits, and what it was busy with when it was ended. */
export class TooLong extends Error {
  constructor(readonly step: PlanStep) {
    super(`took too long, busy with ${step}`);
  }
}

/** The worker and its one endpoint: Comlink closes a worker whose endpoint nobody holds any more. */
let running: { worker: Worker; api: Comlink.Remote<PlanApi> } | undefined;

function start(): NonNullable<typeof running> {
  const worker = new Worker(new URL('./plan.worker.ts', window.location.href));
  return { worker, api: Comlink.wrap<PlanApi>(worker) };
}

let before: Promise<unknown> = Promise.resolve();

export interface Patience {
  limit: number;
  /** Ends it before its time. */
  unwanted?: AbortSignal | undefined;
}

type Watch = (step: PlanStep) => void;
/** Something that the worker is asked to do, telling how far it is. */
type Work<T> = (api: Comlink.Remote<PlanApi>, watch: Watch) => Promise<T>;

/**
 * Plans in a worker, one job after another; throws `TooLong`, and ends the worker, when a plan takes longer than its limit
 * from its first step on or is no longer wanted, and `Error` where no worker can be had.
 */
export const planApart = (job: Job, patience: Patience = { limit: LIMIT_MS }): Promise<Plan> =>
  inTurn(() => ended((api, watch) => api.plan(job, Comlink.proxy(watch)), patience));

/** Plans a room for the list, as `planApart` does. */
export const listApart = (job: Job, limit: number): Promise<Listed> =>
  inTurn(() => ended((api, watch) => api.listed(job, Comlink.proxy(watch)), { limit }));

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = before.then(work);
  before = mine.catch(() => undefined);
  return mine;
}

/** What the worker answers, unless it has to be ended before. */
async function ended<T>(work: Work<T>, { limit: most, unwanted }: Patience): Promise<T> {
  const { worker, api } = (running ??= start());
  let limit: ReturnType<typeof setTimeout> | undefined;
  // what is told or called off after the answer is no reason to end the worker: another job may be in it
  let answered = false;
  try {
    return await new Promise<T>((resolve, reject) => {
      const endAfter = (ms: number, error: () => Error): void => {
        clearTimeout(limit);
        if (answered) return;
        limit = setTimeout(() => {
          worker.terminate();
          running = undefined;
          reject(error());
        }, ms);
      };
      const missing = () => new Error('no worker answers');
      let at: PlanStep | undefined;
      const watch: Watch = (step) => {
        // counted from its first step: how long a phone takes to start a worker is not the room's fault
        if (at === undefined) endAfter(most, () => new TooLong(at!));
        at = step;
      };
      unwanted?.addEventListener('abort', () => endAfter(0, () => new TooLong(at ?? 'studs')));
      if (unwanted?.aborted) endAfter(0, () => new TooLong('studs'));
      if (!unwanted?.aborted) endAfter(START_MS, missing);
      worker.onerror = () => endAfter(0, missing);
      work(api, watch).then(resolve, reject);
    });
  } finally {
    answered = true;
    clearTimeout(limit);
  }
}
