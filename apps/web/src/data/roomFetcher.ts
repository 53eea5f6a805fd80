import type { RoomReply } from '@steddo/contract';
import type { Fetched } from './api';
import type { Retry } from './retry';
import type { RoomState } from './roomState';
import type { RoomsParts } from './roomsParts';

export type Opened = 'found' | 'missing' | 'deleted' | 'no-server';

export interface FetcherParts extends Pick<RoomsParts, 'fetchRoom' | 'alone' | 'later'> {
  get: (id: string) => RoomState | undefined;
  load: (id: string) => Promise<RoomState | undefined>;
  /** What is known of sending a room; no part of its record. */
  note: (id: string, known: Pick<RoomState, 'lost'>) => void;
  /** The server's version, asked for from a revision; false where the room has come to rest on another one meanwhile. */
  meet: (id: string, reply: RoomReply, from: string | undefined) => Promise<boolean>;
  flush: () => void;
  retry: Retry;
}

/** Asks the server for its version of a room, and asks again until it has answered. */
export class RoomFetcher {
  /** What the server could not be asked for when it was time to. */
  private readonly behind = new Set<string>();

  constructor(private readonly parts: FetcherParts) {}

  /** Loads a room from the device, else from the server, and asks the server for what is newer. */
  async open(id: string): Promise<Opened> {
    this.behind.delete(id);
    const local = this.parts.get(id) ?? (await this.parts.load(id));
    if (local?.deletedAt !== undefined) return 'deleted';
    if (local && local.waiting.length > 0) {
      this.parts.flush();
      return 'found';
    }
    try {
      const asked = await this.ask(id);
      this.parts.retry.reset();
      if (asked.kind === 'found') return (await this.sooner(id)) ? 'found' : 'no-server';
      if (!local) return asked.kind === 'deleted' ? 'deleted' : 'missing';
      // unless it was sent there while the server was asked
      if (local.base && this.parts.get(id)?.base === local.base) this.parts.note(id, { lost: asked });
      return 'found';
    } catch {
      this.behind.add(id);
      this.parts.retry.plan();
      return local ? 'found' : 'no-server';
    }
  }

  /** The server has another version of a room: it is fetched where that room is open. */
  async refetch(id: string): Promise<void> {
    const state = this.parts.get(id);
    if (state && state.waiting.length === 0) await this.open(id);
    else if (state) this.parts.flush();
  }

  /** What could not be asked for before. */
  catchUp(): void {
    for (const id of [...this.behind]) void this.open(id).catch(() => undefined);
  }

  /** A room that the server has and this device has not been told of: kept here too, for where there is no signal. */
  async bring(id: string): Promise<void> {
    const state = this.parts.get(id) ?? (await this.parts.load(id));
    if (state && (state.waiting.length > 0 || state.deletedAt !== undefined)) return;
    await this.ask(id);
  }

  /** Whether the server has what it had confirmed; who asks has the room to itself. */
  async compare(id: string): Promise<void> {
    const asked = await this.ask(id, (_, work) => work().then(() => true));
    if (asked.kind !== 'found') this.parts.note(id, { lost: asked });
  }

  /**
   * The server's version, put here. An answer that comes after the room was sent or fetched otherwise is out of date,
   * and would put back what is there: the server is asked once more.
   */
  private async ask(id: string, alone: RoomsParts['alone'] = this.parts.alone): Promise<Fetched> {
    for (;;) {
      const from = this.parts.get(id)?.base?.revision;
      const asked = await this.parts.fetchRoom(id, from);
      if (asked.kind !== 'found') return asked;
      let met = true;
      await alone(id, async () => {
        met = await this.parts.meet(id, asked.reply, from);
      });
      if (met) return asked;
    }
  }

  /** Where another tab has the room, it is in the store as soon as that tab has fetched it. */
  private async sooner(id: string): Promise<boolean> {
    for (let tries = 0; tries < 20; tries++) {
      if (this.parts.get(id) || (await this.parts.load(id))) return true;
      await new Promise<void>((resolve) => this.parts.later(resolve, 100));
    }
    return false;
  }
}
