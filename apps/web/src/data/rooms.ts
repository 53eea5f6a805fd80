import { checkFile, job as jobFormat, type Fault, type Job } from '@steddo/contract';
import {
  EMPTY_HISTORY,
  applyChanges,
  changesBetween,
  edit,
  stepHistory,
  type Change,
  type Command,
  type Step,
} from '@steddo/core';
import type { JournalEntry } from './journal';
import { troubleOfStore, type StoredRoom, type StoreTrouble } from './localStore';
import type { OutboxEntry } from './records';
import { Retry } from './retry';
import type { RoomsParts } from './roomsParts';
import { RoomFetcher, type Opened } from './roomFetcher';
import { RoomSender } from './roomSender';
import { viewOf, type RoomState } from './roomState';
import { baseOf, passing, recordOf, replayed, withEntry, withStep } from './roomSteps';

/**
 * Rooms on this device first, then on the server: an edit is written down at once, committed to the store, and
 * leaves through an ordered outbox. Screens subscribe to a room's state.
 */
export class Rooms {
  private readonly states = new Map<string, RoomState>();
  private readonly listeners = new Set<() => void>();
  private readonly toWrite = new Set<string>();
  private writing: Promise<void> | undefined;
  private readonly retry: Retry;
  readonly sender: RoomSender;
  private readonly fetcher: RoomFetcher;

  constructor(private readonly parts: RoomsParts) {
    this.retry = new Retry(() => this.catchUp(), parts.later);
    this.sender = new RoomSender({
      ...parts,
      get: this.get,
      open: () => this.states.values(),
      begin: (state) => {
        this.set(state.id, state);
        this.write(state.id);
      },
      note: (id, known) => this.note(id, known),
      load: (id) => this.load(id),
      update: (id, change) => this.update(id, change),
      settled: () => this.settled(),
      retry: this.retry,
    });
    this.fetcher = new RoomFetcher({
      ...parts,
      get: this.get,
      load: (id) => this.load(id),
      note: (id, known) => this.note(id, known),
      meet: (id, reply, from) => this.sender.meet(id, reply, from),
      flush: () => this.flush(),
      retry: this.retry,
    });
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get = (id: string): RoomState | undefined => this.states.get(id);

  /** Loads a room from the device, else from the server, and asks the server for what is newer. */
  open = (id: string): Promise<Opened> => this.fetcher.open(id);

  /** The server has another version of a room: it is fetched where that room is open. */
  refetch = (id: string): Promise<void> => this.fetcher.refetch(id);

  /** A room that the server has and this device has not been told of: kept here too, for where there is no signal. */
  bring = (id: string): Promise<void> => this.fetcher.bring(id);

  /** Whoever has the turn to edit: reads the device's store again, with what the journal has beyond it. */
  async takeTurn(id: string): Promise<void> {
    await this.load(id, true);
    await this.settled();
    this.flush();
  }

  /** Another tab has committed something: it is shown here too. */
  async refresh(id: string): Promise<void> {
    if (this.states.has(id)) await this.load(id);
  }

  /** Everything may have changed on the server: every room that is open is looked at. */
  refetchOpen(): void {
    for (const id of this.states.keys()) void this.refetch(id).catch(() => undefined);
  }

  async create(job: Job): Promise<string> {
    const id = `r-${this.parts.newId().replaceAll('-', '').slice(0, 20)}`;
    this.start(id, job);
    await this.settled();
    this.flush();
    return id;
  }

  /** Applies a command, or gives the faults and changes nothing. */
  dispatch(id: string, command: Command): Fault[] {
    const state = this.states.get(id);
    if (!state) return [{ path: '(room)', reason: 'is not open' }];
    return this.take(id, edit(state.job, state.history, command), 'do');
  }

  step(id: string, way: 'undo' | 'redo'): void {
    const state = this.states.get(id);
    const step = state && stepHistory(state.job, state.history, way);
    if (!step) return;
    if (step.since) this.update(id, { history: step.history, notUndone: step.since });
    else this.take(id, step, way);
  }

  /** What was said about an undo has been read. */
  noteRead(id: string): void {
    const state = this.states.get(id);
    if (!state?.notUndone) return;
    const { notUndone: _, ...rest } = state;
    this.set(id, rest);
  }

  /** Settles what two people changed; whatever is chosen, undo brings the other back. */
  choose(id: string, thing: string, whose: 'mine' | 'theirs'): Fault[] {
    const state = this.states.get(id);
    const dispute = state?.disputes.find((d) => d.thing === thing);
    if (!state || !dispute) return [];
    const disputes = state.disputes.filter((d) => d !== dispute);
    if (whose === 'mine') {
      const waiting = [...state.waiting, this.entry(id, dispute.changes)];
      const job = viewOf(state.base?.job, waiting, disputes);
      const checked = checkFile(jobFormat, applyChanges(job, dispute.changes));
      if (!checked.ok) return checked.faults;
      this.update(id, { waiting, disputes, job });
    } else {
      const job = viewOf(state.base?.job, state.waiting, disputes);
      const back = changesBetween(state.job, job);
      this.update(id, { disputes, job, history: withStep(state.history, back) });
    }
    void this.settled().then(this.flush);
    return [];
  }

  /** The server has lost what it had: this device's goes there again, or the server's is taken; one choice. */
  settleLost(id: string, whose: 'mine' | 'theirs'): void {
    const state = this.states.get(id);
    if (!state?.lost) return;
    const { lost, obstacle: _, ...rest } = state;
    const theirs = lost.kind === 'older' ? lost.theirs : undefined;
    const { base: _base, ...unsent } = rest;
    if (whose === 'mine') {
      const base = theirs ? { base: baseOf(theirs, lost.database) } : {};
      const back = lost.kind === 'deleted' ? [this.act(id, 'take-back')] : [];
      const whole = this.entry(id, [{ path: [], ...(theirs ? { before: theirs.job } : {}), after: state.job }]);
      this.states.set(id, lost.kind === 'deleted' ? { ...rest } : { ...unsent, ...base });
      const waiting = lost.kind === 'deleted' ? [...back, ...rest.waiting] : [whole];
      this.update(id, { waiting });
    } else if (theirs) {
      const step = changesBetween(state.job, theirs.job);
      this.states.set(id, { ...unsent, base: baseOf(theirs, lost.database) });
      this.update(id, { waiting: [], disputes: [], job: theirs.job, history: withStep(state.history, step) });
    } else {
      this.states.set(id, { ...rest });
      this.update(id, { waiting: [], deletedAt: this.parts.now().toISOString() });
    }
    void this.settled().then(this.flush);
  }

  /** Takes a room away, here at once and on the server when it can be reached; thirty days to take it back. */
  async remove(id: string): Promise<void> {
    const state = this.states.get(id) ?? (await this.load(id));
    if (!state) return;
    const act = state.base || state.waiting.length > 0 ? [this.act(id, 'delete')] : [];
    this.update(id, { deletedAt: this.parts.now().toISOString(), waiting: [...state.waiting, ...act] });
    await this.settled();
    this.flush();
  }

  /** One of the rooms that the server has lost: there again, from the list; false where another tab has it. */
  async sendAgain(id: string): Promise<boolean> {
    const again = async () => {
      const state = this.states.get(id) ?? (await this.load(id));
      if (state?.base && !state.lost) await this.fetcher.compare(id).catch(() => undefined);
      this.settleLost(id, 'mine');
      await this.settled();
    };
    return this.parts.alone(id, again, TURN_MS);
  }

  /** A room that was taken away is here again; false where another tab has it. */
  async takeBack(id: string): Promise<boolean> {
    const done = await this.parts.alone(id, () => this.back(id), TURN_MS);
    this.flush();
    return done;
  }

  private async back(id: string): Promise<void> {
    const state = this.states.get(id) ?? (await this.load(id));
    if (!state) return;
    const { deletedAt: _, ...rest } = state;
    this.states.set(id, rest);
    const waits = rest.waiting.some((e) => e.act === 'delete');
    const waiting = waits
      ? rest.waiting.filter((e) => e.act !== 'delete')
      : [...rest.waiting, this.act(id, 'take-back')];
    this.update(id, { waiting: rest.base || waits ? waiting : rest.waiting });
    await this.settled();
  }

  /** Sends what waits, in order; called after edits, when the network is back, and at start. */
  flush = (): void => this.sender.flush();

  /** Sends what waits, and asks for what the server could not be asked for. */
  catchUp = (): void => {
    this.flush();
    this.fetcher.catchUp();
  };

  /** Edits that a tab left in the journal and nobody has opened since. */
  async recover(): Promise<void> {
    for (const id of this.parts.journal.rooms())
      await this.parts.alone(id, async () => {
        await this.load(id, true);
        await this.settled();
      });
  }

  /** Everything that was done is committed, or it is known why not. */
  async settled(): Promise<void> {
    while (this.writing) await this.writing;
  }

  private start(id: string, job: Job): void {
    const entry = this.entry(id, [{ path: [], after: job }]);
    this.parts.journal.write({ roomId: id, editId: entry.editId, n: 1, way: 'do', changes: entry.changes });
    this.set(id, { id, job, history: EMPTY_HISTORY, disputes: [], edits: 1, waiting: [entry], kept: 0 });
    this.write(id);
  }

  /**
   * From the store; undefined where it has nothing. Whoever has the turn takes in what the journal has beyond it.
   * What this tab has is left where the store has nothing newer: edits are counted, and only who has the turn makes any.
   */
  private async load(id: string, withJournal = false): Promise<RoomState | undefined> {
    let stored: StoredRoom | undefined;
    try {
      stored = await this.parts.store.room(id);
    } catch (error) {
      const now = this.states.get(id);
      if (now) this.set(id, { ...now, trouble: troubleOfStore(error) });
      return now;
    }
    const now = this.states.get(id);
    const isNewer = now && now.edits >= (stored?.room.edits ?? 0);
    const kept = stored && { ...stored.room, waiting: stored.waiting, kept: stored.room.edits, ...passing(now) };
    const known = isNewer ? now : kept;
    const state = withJournal ? this.replay(id, known) : known;
    if (!state || state === now) return state;
    this.set(id, state);
    if (state.kept < state.edits) this.write(id);
    return state;
  }

  private replay(id: string, stored: RoomState | undefined): RoomState | undefined {
    return this.parts.journal
      .of(id)
      .filter((e) => e.n > (stored?.edits ?? 0))
      .reduce(replayed, stored);
  }

  private take(id: string, step: Step, way: JournalEntry['way']): Fault[] {
    const state = this.states.get(id);
    if (!state || step.changes.length === 0) return [];
    const checked = checkFile(jobFormat, step.job);
    if (!checked.ok) return checked.faults;
    const entry = this.entry(id, step.changes);
    const n = state.edits + 1;
    this.parts.journal.write({ roomId: id, editId: entry.editId, n, way, changes: step.changes });
    const { notUndone: _, ...rest } = state;
    this.set(id, { ...withEntry(rest, entry), job: step.job, history: step.history, edits: n });
    this.write(id);
    return [];
  }

  private entry = (roomId: string, changes: Change[]): OutboxEntry => ({ roomId, editId: this.parts.newId(), changes });
  private act = (roomId: string, act: 'delete' | 'take-back'): OutboxEntry => ({
    roomId,
    editId: this.parts.newId(),
    changes: [],
    act,
  });

  private update(id: string, change: Partial<RoomState>): void {
    const state = this.states.get(id);
    if (!state) return;
    this.set(id, { ...state, ...change, edits: state.edits + 1 });
    this.write(id);
  }

  private note(id: string, known: Pick<RoomState, 'obstacle' | 'lost'>): void {
    const state = this.states.get(id);
    if (!state) return;
    const { obstacle: _, lost: _lost, ...rest } = state;
    this.set(id, { ...rest, ...known });
  }

  private write(id: string): void {
    this.toWrite.add(id);
    this.writing ??= this.writeAll();
  }

  /** One commit after the other, each with the latest of its room. */
  private async writeAll(): Promise<void> {
    // in a turn of its own, so that what one tap does is one commit
    await Promise.resolve();
    while (this.toWrite.size > 0) {
      const [id] = [...this.toWrite];
      this.toWrite.delete(id!);
      const state = this.states.get(id!);
      if (state) await this.commit(state);
    }
    this.writing = undefined;
    this.flush();
  }

  private async commit(state: RoomState): Promise<void> {
    const { id, edits } = state;
    try {
      await this.parts.store.commit(recordOf(state), state.waiting);
    } catch (error) {
      this.noteTrouble(id, troubleOfStore(error));
      return;
    }
    this.parts.journal.committed(id, edits);
    const now = this.states.get(id);
    if (now) {
      const { trouble: _, ...rest } = now;
      this.set(id, { ...rest, kept: Math.max(now.kept, edits) });
    }
    this.parts.tell(id);
  }

  private noteTrouble(id: string, trouble: StoreTrouble): void {
    const now = this.states.get(id);
    if (now) this.set(id, { ...now, trouble });
    this.parts.later(() => this.write(id), TRY_AGAIN_MS);
  }

  private set(id: string, state: RoomState): void {
    this.states.set(id, state);
    for (const listener of this.listeners) listener();
  }
}

/** A store that could not write is tried again after so long, ms. */
const TRY_AGAIN_MS = 3000;
/** Somebody who asked for something waits so long for another tab to let go of the room, ms. */
const TURN_MS = 10_000;

export type { Opened } from './roomFetcher';
export { syncOf, type RoomState, type SyncState } from './roomState';
