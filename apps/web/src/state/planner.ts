import type { Job, Plan } from '@steddo/contract';
import { newMemory, plan, type PlanStep } from '@steddo/core';
import { TooLong, planApart } from '../worker/plan';

/** Why a plan is an earlier one: the job cannot be worked out, it still is being, or it took too long at something. */
export type Late = { why: 'failed' } | { why: 'working' } | { why: 'long'; step: PlanStep };

/** A plan, or the last good one where the job as it is has none. */
export interface Planned {
  plan: Plan;
  late: Late | undefined;
}

/** Planning that takes longer than this holds up a thumb, and goes on in a worker. */
const SLOW_MS = 600;

/** What planning rests on beside the core; other ones in tests. */
export interface PlannerParts {
  here: (job: Job) => Plan;
  apart: (job: Job) => Promise<Plan>;
  clock: () => number;
}

/**
 * The one place where a room's plans come from: on the page and at once, keeping what it can from one plan to the
 * next. While a room is slow, in a worker that is ended after two seconds, the last good plan standing meanwhile.
 */
export class Planner {
  private slow: boolean;
  private wanted: { job: Job; later: (planned: Planned) => void } | undefined;
  private working = false;

  /** `last`: a plan that was made apart, of a room that did not come to an end here. */
  constructor(
    private last?: Plan,
    private readonly parts: PlannerParts = browserParts(),
  ) {
    this.slow = last !== undefined;
  }

  /** The plan as it can be had now; what comes later of a slow room is handed to `later`, unless another is asked for. */
  plan(job: Job, later: (planned: Planned) => void): Planned {
    const { last } = this;
    if (last && this.slow) {
      this.wanted = { job, later };
      void this.follow();
      return { plan: last, late: { why: 'working' } };
    }
    try {
      return { plan: this.timed(() => this.parts.here(job)), late: undefined };
    } catch (error) {
      if (!last) throw error;
      return { plan: last, late: { why: 'failed' } };
    }
  }

  private timed(make: () => Plan): Plan {
    const { clock } = this.parts;
    const start = clock();
    this.last = make();
    this.slow = clock() - start > SLOW_MS;
    return this.last;
  }

  /** Plans apart, one at a time, until what was asked for last is there. */
  private async follow(): Promise<void> {
    if (this.working) return;
    this.working = true;
    for (let next = this.wanted; next; next = this.wanted) {
      const planned = await this.planned(next.job);
      if (next !== this.wanted) continue;
      this.wanted = undefined;
      if (planned) next.later(planned);
    }
    this.working = false;
  }

  private async planned(job: Job): Promise<Planned | undefined> {
    const { apart, clock } = this.parts;
    const start = clock();
    try {
      this.last = await apart(job);
      this.slow = clock() - start > SLOW_MS;
      return { plan: this.last, late: undefined };
    } catch (error) {
      if (!this.last) return undefined;
      return {
        plan: this.last,
        late: error instanceof TooLong ? { why: 'long', step: error.step } : { why: 'failed' },
      };
    }
  }
}

function browserParts(): PlannerParts {
  const memory = newMemory();
  return { here: (job) => plan(job, { memory }), apart: planApart, clock: () => performance.now() };
}
