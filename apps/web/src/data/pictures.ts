import { PICTURE } from '@steddo/contract';
import { troubleOfStore } from './localStore';
import { pictureKey, type PictureHead, type PictureStore } from './pictureStore';
import { Retry } from './retry';

/** A picture made small, as the worker gives it. */
export interface Reduced {
  bytes: Uint8Array;
  sha256: string;
}

export interface Piece {
  from: number;
  size: number;
  sha256: string;
  bytes: Uint8Array;
}

/** How sending a piece ended: how far the server is, the room is not there yet, no server, or it will not have the picture. */
export type PieceResult =
  | { kind: 'at'; received: number; whole: boolean }
  | { kind: 'no-room' }
  | { kind: 'no-server' }
  | { kind: 'refused'; why: string };

export interface PicturesParts {
  store: PictureStore;
  send: (room: string, id: string, piece: Piece) => Promise<PieceResult>;
  fetchPicture: (room: string, id: string) => Promise<Uint8Array | undefined>;
  /** Which of a room's pictures the server has whole; undefined where it cannot be asked. */
  fetchIds: (room: string) => Promise<readonly string[] | undefined>;
  /** Hash of bytes, in hexadecimal. */
  sum: (bytes: Uint8Array) => Promise<string>;
  now: () => Date;
  later: (work: () => void, ms: number) => void;
  /** Does something that no other tab does at the same time; false where one does it. */
  alone: (work: () => Promise<void>) => Promise<boolean>;
  /** Whoever shows pictures reads them again. */
  changed: () => void;
}

/** Pictures beside the rooms: kept on this device first, sent in pieces when there is a server, oldest first. */
export class Pictures {
  private readonly retry: Retry;
  private sending = false;
  /** Asked to send while it was sending. */
  private again = false;
  /** Pictures that the server would not have since this tab was opened: asked once more by the next one. */
  private readonly unwanted = new Set<string>();
  /** Rooms whose pictures on the server have been looked at since this tab was opened. */
  private readonly compared = new Set<string>();

  constructor(private readonly parts: PicturesParts) {
    this.retry = new Retry(() => this.flush(), parts.later);
  }

  /** Keeps a picture; where the device is full those that the server has make room, and nothing else does. */
  async keep(room: string, id: string, { bytes, sha256 }: Reduced): Promise<void> {
    await this.put(this.headOf(room, id, bytes.length, sha256), bytes);
    this.parts.changed();
    this.flush();
  }

  /** A picture's bytes: of this device, else of the server, and from then on of this device too. */
  async bytesOf(room: string, id: string): Promise<Uint8Array | undefined> {
    const { store, fetchPicture, sum } = this.parts;
    const kept = await store.bytes(pictureKey(room, id)).catch(() => undefined);
    if (kept) return kept;
    const fetched = await fetchPicture(room, id);
    if (!fetched) return undefined;
    const own = this.headOf(room, id, fetched.length, await sum(fetched));
    const head = { ...own, sent: fetched.length, whole: true };
    // what cannot be kept is shown all the same
    await this.put(head, fetched).catch(() => undefined);
    return fetched;
  }

  /** One that was taken by mistake and is in no room. */
  async forget(room: string, id: string): Promise<void> {
    await this.parts.store.drop([pictureKey(room, id)]);
    this.parts.changed();
  }

  /** Pictures of rooms that have gone for good go too. */
  async sweep(rooms: ReadonlySet<string>): Promise<void> {
    const gone = (await this.parts.store.heads()).filter((h) => !rooms.has(h.room));
    if (gone.length > 0) await this.parts.store.drop(gone.map((h) => h.key));
  }

  /** Sends what waits, unless it is being sent. */
  readonly flush = (): void => {
    if (this.sending) {
      this.again = true;
      return;
    }
    this.sending = true;
    void this.parts
      .alone(() => this.sendAll())
      .catch(() => false)
      .then((done) => {
        this.sending = false;
        // another tab may have read what waits before this one wrote
        if (!done) this.retry.plan();
        if (this.again) this.flush();
      });
  };

  /** A picture that has just come to be here, and of which nothing is sent. */
  private headOf(room: string, id: string, size: number, sha256: string): PictureHead {
    const at = this.parts.now().toISOString();
    return { key: pictureKey(room, id), room, id, size, sha256, at, sent: 0, whole: false };
  }

  private async put(head: PictureHead, bytes: Uint8Array): Promise<void> {
    for (;;) {
      try {
        return await this.parts.store.put(head, bytes);
      } catch (error) {
        if (troubleOfStore(error) !== 'full' || !(await this.makeRoom())) throw error;
      }
    }
  }

  /** Drops the oldest that the server has; false where there is none. What is not sent is never dropped. */
  private async makeRoom(): Promise<boolean> {
    const [oldest] = inOrder((await this.parts.store.heads()).filter((h) => h.whole));
    if (!oldest) return false;
    await this.parts.store.drop([oldest.key]);
    return true;
  }

  /** What the server had and has no more, after a backup was put back: it is sent again. */
  private async compare(): Promise<void> {
    const { store, fetchIds } = this.parts;
    const sent = (await store.heads()).filter((h) => h.whole && !this.compared.has(h.room));
    for (const room of new Set(sent.map((h) => h.room))) {
      const there = await fetchIds(room);
      if (!there) return;
      this.compared.add(room);
      for (const h of sent)
        if (h.room === room && !there.includes(h.id)) await store.note(h.key, { sent: 0, whole: false });
    }
  }

  private async sendAll(): Promise<void> {
    this.again = false;
    await this.compare();
    const waiting = inOrder((await this.parts.store.heads()).filter((h) => !h.whole && !this.unwanted.has(h.key)));
    for (const head of waiting) {
      const ended = await this.sendOne(head);
      if (ended === 'held' || ended === 'stop') this.retry.plan();
      if (ended === 'stop') return;
    }
  }

  private async sendOne({
    key,
    room,
    id,
    size,
    sha256,
    sent,
  }: PictureHead): Promise<'done' | 'held' | 'unwanted' | 'stop'> {
    const bytes = await this.parts.store.bytes(key);
    if (!bytes) return 'done';
    for (let from = sent; ;) {
      const piece = bytes.slice(from, from + PICTURE.pieceBytes);
      const result = await this.parts.send(room, id, { from, size, sha256, bytes: piece });
      if (result.kind === 'no-server') return 'stop';
      if (result.kind !== 'at') {
        if (result.kind === 'no-room') return 'held';
        // begun anew the next time: what the server has had of it, it has thrown away
        await this.parts.store.note(key, { sent: 0, whole: false, refused: result.why });
        this.unwanted.add(key);
        this.parts.changed();
        return 'unwanted';
      }
      const { received, whole } = result;
      await this.parts.store.note(key, { sent: received, whole });
      this.retry.reset();
      if (whole) {
        this.parts.changed();
        return 'done';
      }
      from = received;
    }
  }
}

/** The oldest first. */
const inOrder = (heads: readonly PictureHead[]): PictureHead[] =>
  [...heads].sort((a, b) => a.at.localeCompare(b.at) || a.key.localeCompare(b.key));
