import type { Fault, Job, Plan, Stage } from '@steddo/contract';
import { tapeOf, type Command, type TapeStyle } from '@steddo/core';
import { wordedBy, wordingFor, type Wording } from '@steddo/text';
import { sameContent } from '../ui/useSame';
import type { Late } from './planner';

/** What a room's screen shows now. */
export interface RoomShown {
  id: string;
  /** The document with the crew's kit where it has none, or what it would be with the drag in hand. */
  job: Job;
  plan: Plan;
  /** Why the plan is the last good one and not the job's as it is; undefined where it is the job's. */
  late: Late | undefined;
  readOnly: boolean;
  /** Something is shown that has not been taken: a drag or a nudge in hand, somebody else's value. */
  previewing: boolean;
  say: Wording;
  tape: TapeStyle;
}

/** What can be done in a room; the same functions as long as it is open. */
export interface RoomActions {
  /** Applies a command; gives the faults and changes nothing when it would not be valid. */
  dispatch: (command: Command) => Fault[];
  /** Shows a command without doing it; undefined ends the showing. `paced` follows a finger, a frame behind it. */
  preview: (command: Command | undefined, when?: 'now' | 'paced') => void;
  goTo: (stage: Stage) => void;
}

/** Where a component gets what is shown, and hears of a change. */
export interface ShownSource {
  get: () => RoomShown;
  subscribe: (listener: () => void) => () => void;
  readonly actions: RoomActions;
}

/** What is shown, and who wants to know of a change. */
export class RoomStore implements ShownSource {
  private shown: RoomShown;
  private listeners = new Set<() => void>();

  constructor(
    first: Omit<RoomShown, 'say' | 'tape'>,
    readonly actions: RoomActions,
  ) {
    this.shown = { ...first, ...wordsFor(first.job) };
  }

  get = (): RoomShown => this.shown;

  /** Words and tape stay the same as long as the units and the names of things do. */
  set(next: Omit<RoomShown, 'say' | 'tape'>): void {
    const { job, say, tape } = this.shown;
    const named =
      (job.room === next.job.room && job.units === next.job.units) || sameContent(wordedBy(job), wordedBy(next.job));
    this.shown = { ...next, ...(named ? { say, tape } : wordsFor(next.job)) };
    for (const listener of this.listeners) listener();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
}

const wordsFor = (job: Job) => ({ say: wordingFor(job), tape: tapeOf(job.units) });
