import * as Comlink from 'comlink';
import type { Job, Plan } from '@steddo/contract';
import { newMemory, plan, type PlanStep } from '@steddo/core';
import { listedOf, type Listed } from './listed';

/** Rooms that take long, and those of the list, are planned here: it holds up nobody's thumb and can be ended. */
const memory = newMemory();

const api = {
  plan(job: Job, watch: (step: PlanStep) => void): Plan {
    return plan(job, { memory, watch });
  },
  /** A room as the list has it. */
  listed(job: Job, watch: (step: PlanStep) => void): Listed {
    return listedOf(job, plan(job, { memory, watch }));
  },
};

export type PlanApi = typeof api;
Comlink.expose(api);
