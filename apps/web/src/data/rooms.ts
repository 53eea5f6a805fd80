import { checkFile, job as jobFormat, type Fault, type Job, type RoomSummary } from '@steddo/contract';
import { EMPTY_HISTORY, edit, replaceJob, stepHistory, type Command, type Step } from '@steddo/core';
import type { SendResult } from './api';
import type { LocalRoom, LocalStore } from './localStore';
import { Retry } from './retry';

/** Where an edit is: on this device only, on its way, or on the server too. */
export type SyncState =
  | { kind: 'sent' }
  | { kind: 'sending'; waiting: number }
  | { kind: 'waiting'; waiting: number }
  | { kind: 'stale'; theirs: RoomSummary }
  | { kind: 'refused'; message: string };

export interface RoomState extends LocalRoom {
  sync: SyncState;
}

export interface RoomsParts {
  store: LocalStore;
  send: (id: string, save: { editId: string; baseVersion: number; touched: string[]; job: Job }) => Promise<SendResult>;
  fetchRoom: (id: string) => Promise<RoomSummary | undefined>;
  newId: () => string;
  later: (work: () => void, ms: number) => void;
}

/**
 * Rooms on this device first, then on the server: an edit goes to the local store before the
 * network and leaves through an ordered outbox. Screens subscribe to a room's state.
 */
export class Rooms {
  private readonly states = new Map<string, RoomState>();
  private readonly listeners = new Set<() => void>();
  /** Local writes happen in the order of the edits. */
  private writes: Promise<unknown> = Promise.resolve();
  private flushing = false;
  private again = false;
  private readonly retry: Retry;

  constructor(private readonly parts: RoomsParts) {
    this.retry = new Retry(() => this.flush(), parts.later);
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get = (id: string): RoomState | undefined => this.states.get(id);

  /** Loads a room from the device, else from the server; takes the server's newer one when nothing waits. */
  async open(id: string): Promise<'found' | 'missing' | 'no-server'> {
    const { store } = this.parts;
    const local = await store.room(id);
    const waiting = await store.waiting(id);
    if (local)
      this.set(id, {
        ...local,
        sync: waiting > 0 ? { kind: 'waiting', waiting } : { kind: 'sent' },
      });
    if (waiting > 0) {
      this.flush();
      return 'found';
    }
    try {
      const remote = await this.parts.fetchRoom(id);
      if (remote) await this.adopt(remote, local);
      return remote || local ? 'found' : 'missing';
    } catch {
      if (local) return 'found';
      return 'no-server';
    }
  }

  async create(job: Job): Promise<string> {
    const id = `r-${this.parts.newId().slice(0, 12)}`;
    this.set(id, {
      id,
      job,
      history: EMPTY_HISTORY,
      serverVersion: 0,
      sync: { kind: 'sending', waiting: 1 },
    });
    await this.write(id, [], job);
    return id;
  }

  /** Applies a command, or gives the faults and changes nothing. */
  dispatch(id: string, command: Command): Fault[] {
    const state = this.states.get(id);
    if (!state) return [{ path: '(room)', reason: 'is not open' }];
    return this.take(id, edit(state.job, state.history, command));
  }

  step(id: string, way: 'undo' | 'redo'): void {
    const state = this.states.get(id);
    const step = state && stepHistory(state.job, state.history, way);
    if (step) this.take(id, step);
  }

  /** Two versions: save mine on top of theirs; both stay among the revisions. */
  async keepMine(id: string): Promise<void> {
    const state = this.states.get(id);
    if (state?.sync.kind !== 'stale') return;
    const { theirs } = state.sync;
    await this.parts.store.dropWaiting(id);
    this.set(id, {
      ...state,
      serverVersion: theirs.version,
      sync: { kind: 'sending', waiting: 1 },
    });
    await this.write(id, ['(all)'], state.job);
  }

  /** Two versions: take theirs; mine comes back with undo. */
  async takeTheirs(id: string): Promise<void> {
    const state = this.states.get(id);
    if (state?.sync.kind !== 'stale') return;
    const { theirs } = state.sync;
    await this.parts.store.dropWaiting(id);
    const { job, history } = edit(state.job, state.history, replaceJob(state.job, theirs.job));
    this.set(id, { id, job, history, serverVersion: theirs.version, sync: { kind: 'sent' } });
    await this.parts.store.save({ id, job, history, serverVersion: theirs.version });
  }

  /** Sends what waits, in order; called after edits, when the network is back, and at start. */
  flush = (): void => {
    if (this.flushing) {
      this.again = true;
      return;
    }
    this.flushing = true;
    void this.sendAll().finally(() => {
      this.flushing = false;
      if (this.again) {
        this.again = false;
        this.flush();
      }
    });
  };

  private async adopt(remote: RoomSummary, local: LocalRoom | undefined): Promise<void> {
    const now = this.states.get(remote.id);
    const editedMeanwhile = now && now.sync.kind !== 'sent';
    if (editedMeanwhile || (local && local.serverVersion >= remote.version)) return;
    const history = local?.history ?? EMPTY_HISTORY;
    const room: LocalRoom = {
      id: remote.id,
      job: remote.job,
      history,
      serverVersion: remote.version,
    };
    this.set(remote.id, { ...room, sync: { kind: 'sent' } });
    await this.parts.store.save(room);
  }

  private take(id: string, step: Step): Fault[] {
    const state = this.states.get(id);
    const checked = checkFile(jobFormat, step.job);
    if (!state || !checked.ok) return checked.ok ? [] : checked.faults;
    const sync = state.sync.kind === 'stale' ? state.sync : ({ kind: 'sending', waiting: 1 } as const);
    this.set(id, { ...state, job: step.job, history: step.history, sync });
    void this.write(id, step.touched, step.job);
    return [];
  }

  private write(id: string, touched: string[], job: Job): Promise<void> {
    const state = this.states.get(id);
    if (!state) return Promise.resolve();
    const { history, serverVersion } = state;
    const entry = { roomId: id, editId: this.parts.newId(), touched, job };
    const write = this.writes.then(() => this.parts.store.save({ id, job, history, serverVersion }, entry));
    this.writes = write.catch(() => undefined);
    return write.then(this.flush);
  }

  private async sendAll(): Promise<void> {
    const { store, send } = this.parts;
    const stuck = new Set([...this.states.values()].filter((s) => s.sync.kind === 'stale').map((s) => s.id));
    for (;;) {
      const entry = await store.nextToSend(stuck);
      if (!entry) return;
      const { roomId, editId, touched, job } = entry;
      const local = await store.room(roomId);
      const result = await send(roomId, {
        editId,
        baseVersion: local?.serverVersion ?? 0,
        touched,
        job,
      });
      if (result.kind === 'sent') {
        this.retry.reset();
        await store.sent(entry, result.version);
        await this.noteSent(roomId, result.version);
        continue;
      }
      if (result.kind === 'offline') {
        await this.noteWaiting();
        this.retry.plan();
        return;
      }
      stuck.add(roomId);
      const state = this.states.get(roomId);
      if (state)
        this.set(roomId, {
          ...state,
          sync:
            result.kind === 'stale'
              ? { kind: 'stale', theirs: result.theirs }
              : { kind: 'refused', message: result.message },
        });
    }
  }

  private async noteSent(id: string, version: number): Promise<void> {
    const waiting = await this.parts.store.waiting(id);
    const state = this.states.get(id);
    if (!state) return;
    const sync: SyncState = waiting > 0 ? { kind: 'sending', waiting } : { kind: 'sent' };
    this.set(id, { ...state, serverVersion: version, sync });
  }

  private async noteWaiting(): Promise<void> {
    for (const state of this.states.values()) {
      const waiting = await this.parts.store.waiting(state.id);
      if (waiting > 0 && state.sync.kind !== 'stale')
        this.set(state.id, {
          ...(this.states.get(state.id) ?? state),
          sync: { kind: 'waiting', waiting },
        });
    }
  }

  private set(id: string, state: RoomState): void {
    this.states.set(id, state);
    for (const listener of this.listeners) listener();
  }
}
