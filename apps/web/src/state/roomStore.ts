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
  /** React waits for it where it is read before the room has been worked out for the first time. */
  plan: Plan;
  /** The same, undefined so long: for what goes on without it. */
  planned: Plan | undefined;
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

/** What a room's screen is made from. */
export type ShownParts = Omit<RoomShown, 'plan' | 'say' | 'tape'>;

/** What is shown, and who wants to know of a change. */
export class RoomStore implements ShownSource {
  private shown: RoomShown;
  private listeners = new Set<() => void>();
  private planIsThere: () => void = () => undefined;
  /** What reads the plan too early waits for this; where there will be none it is why. */
  private lacking: unknown = new Promise<void>((there) => (this.planIsThere = there));

  constructor(
    private parts: ShownParts,
    readonly actions: RoomActions,
  ) {
    this.shown = this.shownOf(wordsFor(parts.job));
  }

  get = (): RoomShown => this.shown;

  /** Words and tape stay the same as long as the units and the names of things do. */
  set(change: Partial<ShownParts>): void {
    const { job, say, tape } = this.shown;
    this.parts = { ...this.parts, ...change };
    const next = this.parts.job;
    const named = (job.room === next.room && job.units === next.units) || sameContent(wordedBy(job), wordedBy(next));
    this.shown = this.shownOf(named ? { say, tape } : wordsFor(next));
    for (const listener of this.listeners) listener();
  }

  /** The room cannot be worked out, and never could. */
  fail(error: unknown): void {
    this.lacking = error;
    this.planIsThere();
    this.set({});
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private shownOf(words: Pick<RoomShown, 'say' | 'tape'>): RoomShown {
    const { planned } = this.parts;
    if (planned) {
      this.planIsThere();
      return { ...this.parts, ...words, plan: planned };
    }
    const { lacking } = this;
    return {
      ...this.parts,
      ...words,
      get plan(): Plan {
        throw lacking;
      },
    };
  }
}

const wordsFor = (job: Job) => ({ say: wordingFor(job), tape: tapeOf(job.units) });
