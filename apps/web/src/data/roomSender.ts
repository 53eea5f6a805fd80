import type { Job, RevisionHead, RoomReply } from '@steddo/contract';
import { applyChanges, rebase, renamed, sameValue, shared, type Change, type Dispute } from '@steddo/core';
import type { OpenDispute, OutboxEntry } from './records';
import type { Retry } from './retry';
import { isReadable, readable, viewOf, type RoomState } from './roomState';
import type { RoomsParts } from './roomsParts';
import type { SendResult } from './sendResult';

export interface SenderParts extends RoomsParts {
  get: (id: string) => RoomState | undefined;
  load: (id: string) => Promise<RoomState | undefined>;
  open: () => Iterable<RoomState>;
  /** Changes a room's state and commits it. */
  update: (id: string, change: Partial<RoomState>) => void;
  /** A room that this device did not have. */
  begin: (state: RoomState) => void;
  /** What is known of sending a room; no part of its record. */
  note: (id: string, known: Pick<RoomState, 'obstacle' | 'lost'>) => void;
  settled: () => Promise<void>;
  retry: Retry;
}

type Stale = Extract<SendResult, { kind: 'stale' }>;
/** How sending a room's edits ended: all gone, held up at this room, or no sense in trying others. */
type Ended = 'done' | 'held' | 'stop';

/** Takes what waits to the server, room by room and in order, and puts it on top of what others have saved. */
export class RoomSender {
  private flushing = false;
  private again = false;

  constructor(private readonly parts: SenderParts) {}

  flush(): void {
    if (this.flushing) {
      this.again = true;
      return;
    }
    this.flushing = true;
    void this.sendAll().finally(() => {
      this.flushing = false;
      if (!this.again) return;
      this.again = false;
      this.flush();
    });
  }

  /**
   * The server's version of a room, asked for from a revision: on top of it goes what waits here. False, and nothing
   * is done, where the room rests on another revision by now.
   */
  async meet(id: string, { database, known, ...theirs }: RoomReply, from: string | undefined): Promise<boolean> {
    const state = this.parts.get(id);
    if (state?.base?.revision !== from) return false;
    if (!state) {
      const { job, version, revision } = theirs;
      this.parts.begin({ ...FRESH, id, job, base: { version, revision, database, job } });
      await this.parts.settled();
      return true;
    }
    const { base } = state;
    if (base?.revision === theirs.revision) {
      if (state.lost) this.parts.note(id, {});
      return true;
    }
    if (base && (base.revision === undefined ? theirs.version < base.version : !known)) {
      this.parts.note(id, { lost: { kind: 'older', theirs, database } });
      return true;
    }
    if (!base && state.waiting.length > 0) return true;
    this.rebase(id, theirs, database, []);
    await this.parts.settled();
    return true;
  }

  private async sendAll(): Promise<void> {
    const ids = await this.waitingRooms();
    for (const id of ids) {
      let ended: Ended = 'done';
      await this.parts.alone(id, async () => {
        ended = await this.sendRoom(id);
      });
      if ((ended as Ended) !== 'done') this.parts.retry.plan();
      if ((ended as Ended) === 'stop') return;
    }
  }

  private async waitingRooms(): Promise<string[]> {
    const open = [...this.parts.open()].filter((s) => s.waiting.length > 0).map((s) => s.id);
    try {
      return [...new Set([...open, ...(await this.parts.store.waiting()).keys()])];
    } catch {
      return open;
    }
  }

  private async sendRoom(id: string): Promise<Ended> {
    // another tab may have had the room since this one read it
    await this.parts.load(id);
    for (;;) {
      const state = this.parts.get(id);
      const entry = state?.waiting[0];
      if (!state || !entry) return 'done';
      if (state.lost && !(await this.isBack(state))) return 'held';
      const ended = entry.act ? await this.sendAct(id, entry) : await this.sendEntry(state, entry);
      if (ended !== 'next') return ended;
    }
  }

  /** Whether a server that had lost the room has it again: another one answered for a while. */
  private async isBack({ id, base }: RoomState): Promise<boolean> {
    const asked = await this.parts.fetchRoom(id, base?.revision).catch(() => undefined);
    const back = asked?.kind === 'found' && asked.reply.known && base !== undefined;
    if (back) this.parts.note(id, {});
    return back;
  }

  private async sendAct(id: string, { act, editId }: OutboxEntry): Promise<Ended | 'next'> {
    const result = await this.parts.act(id, act!);
    if (result.kind === 'done') {
      this.arrived(id, editId, {});
      return 'next';
    }
    this.parts.note(id, { obstacle: result.obstacle });
    return result.obstacle.why === 'no-server' ? 'stop' : 'held';
  }

  private async sendEntry({ id, base }: RoomState, { editId, changes }: OutboxEntry): Promise<Ended | 'next'> {
    const job = readable(applyChanges(base?.job as Job, changes));
    if (!job) {
      this.ask(id, changes);
      return 'next';
    }
    const result = await this.parts.send(id, {
      editId,
      baseVersion: base?.version ?? 0,
      ...(base?.revision === undefined ? {} : { baseRevision: base.revision }),
      touched: touchedBy(changes),
      job,
    });
    // somebody has chosen meanwhile what is to be sent instead
    if (result.kind !== 'sent' && !this.parts.get(id)?.waiting.some((e) => e.editId === editId)) return 'next';
    switch (result.kind) {
      case 'sent': {
        const { version, revision, database } = result;
        this.arrived(id, editId, { base: { version, revision, database, job } });
        return 'next';
      }
      case 'stale':
        if (result.known) {
          this.rebase(id, result.theirs, result.database, result.since);
          return 'next';
        }
        this.parts.note(id, { lost: { kind: 'older', theirs: result.theirs, database: result.database } });
        return 'held';
      case 'unknown':
      case 'deleted':
        this.parts.note(id, { lost: result });
        return 'held';
      case 'obstacle':
        this.parts.note(id, { obstacle: result.obstacle });
        return result.obstacle.why === 'no-server' || result.obstacle.why === 'in-between' ? 'stop' : 'held';
    }
  }

  /** An edit is on the server; it leaves the outbox in one transaction with the version that it became. */
  private arrived(id: string, editId: string, change: Partial<RoomState>): void {
    const state = this.parts.get(id);
    if (!state) return;
    this.parts.retry.reset();
    const waiting = state.waiting.filter((e) => e.editId !== editId);
    this.parts.note(id, {});
    this.parts.update(id, { ...change, waiting });
  }

  /** What waits, on top of theirs; what both have changed becomes a question. */
  private rebase(id: string, theirs: Stale['theirs'], database: string, since: readonly RevisionHead[]): void {
    const state = this.parts.get(id);
    if (!state) return;
    const { base, waiting, disputes, history } = state;
    const pending = waiting.filter((e) => !e.act).map((e) => ({ id: e.editId, changes: e.changes }));
    const merged = rebase(base?.job, theirs.job, { pending, disputes }, isReadable);
    const changes = new Map(merged.pending.map((p) => [p.id, p.changes]));
    const left = waiting.flatMap((e): OutboxEntry[] => {
      if (e.act) return [e];
      const own = changes.get(e.editId);
      return own ? [{ ...e, changes: own }] : [];
    });
    const asked = merged.disputes.map((d) => withWho(d, disputes, theirs, since));
    const job = shared(state.job, viewOf(theirs.job, left, asked));
    const { version, revision } = theirs;
    this.parts.update(id, {
      base: { version, revision, database, job: theirs.job },
      waiting: left,
      disputes: asked,
      job,
      history: {
        undo: history.undo.map((step) => renamed(step, merged.renaming)),
        redo: history.redo.map((step) => renamed(step, merged.renaming)),
      },
    });
  }

  /** An edit that cannot be done on what the server has: asked about, never dropped. */
  private ask(id: string, changes: readonly Change[]): void {
    const state = this.parts.get(id);
    if (!state) return;
    const { base, disputes } = state;
    const dispute: OpenDispute = {
      thing: '',
      changes: [{ path: [], before: base?.job, after: state.job }],
      who: '',
      when: '',
    };
    const waiting = state.waiting.filter((e) => e.changes !== changes);
    if (sameValue(base?.job, state.job)) return this.parts.update(id, { waiting });
    this.parts.update(id, { waiting, disputes: [...disputes.filter((d) => d.thing !== ''), dispute] });
  }
}

const FRESH = { history: { undo: [], redo: [] }, disputes: [], edits: 0, waiting: [], kept: -1 };

/** Paths as the server notes them: not more, nor longer, than it takes. */
const touchedBy = (changes: readonly Change[]): string[] =>
  changes.slice(0, 400).map((c) => (c.path.length === 0 ? '(all)' : c.path.join('.').slice(0, 400)));

/** Who saved the other value: the latest revision since then that touched it; an earlier question keeps its own. */
function withWho(
  dispute: Dispute,
  earlier: readonly OpenDispute[],
  theirs: Stale['theirs'],
  since: readonly RevisionHead[],
): OpenDispute {
  const paths = dispute.changes.map((c) => c.path.join('.'));
  const meets = (touched: string) =>
    paths.some((p) => `${touched}.`.startsWith(`${p}.`) || `${p}.`.startsWith(`${touched}.`));
  const by = since.find((r) => r.touched.some(meets)) ?? (since.length > 0 ? theirs : undefined);
  const before = earlier.find((d) => d.thing === dispute.thing);
  if (by) return { ...dispute, who: whoOf(by), when: by.savedAt };
  return { ...dispute, who: before?.who ?? whoOf(theirs), when: before?.when ?? theirs.savedAt };
}

const whoOf = ({ person, device }: { person: string; device: string }): string =>
  person === '' ? device : `${person}, ${device}`;
