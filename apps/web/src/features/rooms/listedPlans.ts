import { useEffect, useMemo, useRef, useSyncExternalStore } from 'react';
import type { Job } from '@steddo/contract';
import { withKit } from '@steddo/core';
import { useSame } from '../../ui/useSame';
import { useKit } from '../../state/useKit';
import { LIMIT_MS, TooLong, listApart } from '../../worker/plan';
import type { Listed } from '../../worker/listed';
import { listedPlan, unlistedPlan, type ListedPlan } from './listedPlan';

/** So many rooms stay worked out while nobody looks at them. */
const KEPT = 60;
/** What came to nothing is tried once more after all others, with so much time: the phone may have been busy, or the worker long on its way. */
const AGAIN_MS = 4 * LIMIT_MS;

/** Rooms of the list, worked out one after the other beside the page; those first that are in sight. */
export class ListedPlans {
  private readonly known = new Map<string, ListedPlan>();
  private readonly wanted = new Map<string, { job: Job; by: number }>();
  /** Those that came to nothing once. */
  private readonly late = new Set<string>();
  private readonly listeners = new Set<() => void>();
  private working = false;

  constructor(private readonly list: (job: Job, limit: number) => Promise<Listed>) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get = (key: string): ListedPlan | undefined => this.known.get(key);

  /** Somebody looks at it; to be called again when nobody does. */
  want(key: string, job: Job): () => void {
    this.wanted.set(key, { job, by: (this.wanted.get(key)?.by ?? 0) + 1 });
    void this.work();
    return () => {
      const left = this.wanted.get(key)!.by - 1;
      if (left > 0) this.wanted.set(key, { job, by: left });
      else this.wanted.delete(key);
    };
  }

  private async work(): Promise<void> {
    if (this.working) return;
    this.working = true;
    for (let next = this.next(); next; next = this.next()) {
      await this.make(...next);
      for (const listener of this.listeners) listener();
    }
    this.working = false;
  }

  private next(): [string, Job] | undefined {
    const wanted = [...this.wanted].map(([key, { job }]): [string, Job] => [key, job]);
    return wanted.find(([key]) => !this.known.has(key)) ?? wanted.find(([key]) => this.late.has(key));
  }

  /** No room takes another one off the list. */
  private async make(key: string, job: Job): Promise<void> {
    const again = this.late.delete(key);
    try {
      this.keep(key, listedPlan(job, await this.list(job, again ? AGAIN_MS : LIMIT_MS)));
    } catch (error) {
      if (!again) this.late.add(key);
      this.keep(key, unlistedPlan(job, error instanceof TooLong));
    }
  }

  private keep(key: string, made: ListedPlan): void {
    this.known.set(key, made);
    const spare = [...this.known.keys()].filter((k) => !this.wanted.has(k));
    for (const old of spare.slice(0, Math.max(0, spare.length - KEPT))) this.known.delete(old);
  }
}

const plans = new ListedPlans(listApart);

/** A room as the list shows it; what was there before while it is worked out anew, and nothing at first. */
export function useListedPlan(document: Job): ListedPlan | undefined {
  const kit = useKit();
  const same = useSame(document);
  const job = useMemo(() => withKit(same, kit), [same, kit]);
  const key = useMemo(() => JSON.stringify(job), [job]);
  useEffect(() => plans.want(key, job), [key, job]);
  const now = useSyncExternalStore(plans.subscribe, () => plans.get(key));
  const before = useRef(now);
  useEffect(() => {
    if (now) before.current = now;
  }, [now]);
  return now ?? before.current;
}
