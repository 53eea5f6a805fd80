import type { Job, Plan } from '@steddo/contract';
import type { PlanStep } from '@steddo/core';
import { LIMIT_MS, TooLong, planApart, type Patience } from '../worker/plan';
import type { PlanHere } from './planHere';
import { planning } from './planning';

/** Why a plan is an earlier one: the job cannot be worked out, it still is being, or it took too long at something. */
export type Late = { why: 'failed' } | { why: 'working' } | { why: 'long'; step: PlanStep };

/** A plan, or the last good one where the job as it is has none. */
export interface Planned {
  plan: Plan;
  late: Late | undefined;
}

/** Planning that takes longer than this holds up a thumb, and goes on in a worker. */
const SLOW_MS = 600;

/**
 * A plan that was ended is tried again, with more time, while nothing else is asked for: the room may be slow, or the phone
 * is, or it was busy with something else.
 */
export const AGAIN: readonly { afterMs: number; limitMs: number }[] = [
  { afterMs: 500, limitMs: 4 * LIMIT_MS },
  { afterMs: 3000, limitMs: 30 * LIMIT_MS },
];

/** What planning rests on beside the core; other ones in tests. */
export interface PlannerParts {
  /** Undefined until what works rooms out has come. */
  here: () => PlanHere | undefined;
  comes: () => Promise<unknown>;
  /** Told before the first plan is made on the page. */
  first: () => void;
  apart: (job: Job, patience: Patience) => Promise<Plan>;
  clock: () => number;
  after: (ms: number, then: () => void) => void;
}

interface Wish {
  job: Job;
  later: (planned: Planned) => void;
  /** How often it was ended already, and how long it may take now. */
  ended: number;
  limitMs: number;
}

type EarlyWish = Pick<Wish, 'job' | 'later'> & { fails: (error: unknown) => void };

/**
 * The one place where a room's plans come from: on the page and at once, keeping what it can from one plan to the
 * next. While a room is slow, in a worker that is ended after two seconds at first, the last good plan standing meanwhile.
 */
export class Planner {
  private slow: boolean;
  private wanted: Wish | undefined;
  private working = false;
  /** Asked for last, while what works rooms out has not come. */
  private early: EarlyWish | undefined;
  /** Counts what was asked for: a plan is not tried again once another one was. */
  private asks = 0;
  /** Ends what is tried again with more time, which nobody waits for once something else is asked for. */
  private again: AbortController | undefined;

  /** `last`: a plan that was made apart, of a room that did not come to an end here. */
  constructor(
    private last?: Plan,
    private readonly parts: PlannerParts = plannerParts(),
  ) {
    this.slow = last !== undefined;
  }

  /**
   * The plan as it can be had now, if any can; what comes later, of a slow room or because the core is still on its way, is
   * handed to `later`, unless another is asked for. `fails` hears where there will be none.
   */
  plan(
    job: Job,
    later: (planned: Planned) => void,
    fails: (error: unknown) => void = () => undefined,
  ): Planned | undefined {
    const { last } = this;
    this.asks += 1;
    this.again?.abort();
    this.again = undefined;
    if (last && this.slow) {
      this.wanted = { job, later, ended: 0, limitMs: LIMIT_MS };
      void this.follow();
      return { plan: last, late: { why: 'working' } };
    }
    const here = this.parts.here();
    if (!here) {
      void this.followEarly({ job, later, fails });
      return last && { plan: last, late: { why: 'working' } };
    }
    this.early = undefined;
    try {
      return { plan: this.timed(() => here(job)), late: undefined };
    } catch (error) {
      if (!last) throw error;
      return { plan: last, late: { why: 'failed' } };
    }
  }

  private async followEarly(asked: EarlyWish): Promise<void> {
    const isWaiting = this.early !== undefined;
    this.early = asked;
    if (isWaiting) return;
    await this.parts.comes();
    // another was asked for since, and could be had at once
    if (!this.early) return;
    const { job, later, fails } = this.early;
    try {
      const planned = this.plan(job, later);
      if (planned) later(planned);
    } catch (error) {
      fails(error);
    }
  }

  private timed(make: () => Plan): Plan {
    const { clock } = this.parts;
    if (!this.last) this.parts.first();
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
      const planned = await this.planned(next);
      if (next !== this.wanted) continue;
      this.wanted = undefined;
      if (planned) next.later(planned);
      if (planned?.late?.why === 'long') this.tryAgain(next);
    }
    this.working = false;
  }

  private tryAgain(wish: Wish): void {
    const { asks } = this;
    const again = AGAIN[wish.ended];
    if (!again) return;
    this.parts.after(again.afterMs, () => {
      if (asks !== this.asks) return;
      this.again = new AbortController();
      this.wanted = { ...wish, ended: wish.ended + 1, limitMs: again.limitMs };
      void this.follow();
    });
  }

  private async planned({ job, limitMs }: Wish): Promise<Planned | undefined> {
    const { apart, clock } = this.parts;
    const start = clock();
    try {
      this.last = await apart(job, { limit: limitMs, unwanted: this.again?.signal });
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

export function plannerParts(first: () => void = () => undefined): PlannerParts {
  let here: PlanHere | undefined;
  return {
    here: () => (here ??= planning.there?.newPlanHere()),
    comes: planning.bring,
    first,
    apart: planApart,
    clock: () => performance.now(),
    after: (ms, then) => void setTimeout(then, ms),
  };
}
