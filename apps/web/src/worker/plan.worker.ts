import * as Comlink from 'comlink';
import type { Job, Plan } from '@steddo/contract';
import { newMemory, plan, type PlanStep } from '@steddo/core';

/** A room that takes long is planned here, where it holds up nobody's thumb and can be ended. */
const memory = newMemory();

const api = {
  plan(job: Job, watch: (step: PlanStep) => void): Plan {
    return plan(job, { memory, watch });
  },
};

export type PlanApi = typeof api;
Comlink.expose(api);
