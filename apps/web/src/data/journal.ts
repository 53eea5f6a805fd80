import type { Change } from '@steddo/core';

/** An edit as it is written down at the moment of the tap, before the device's store has it. */
export interface JournalEntry {
  roomId: string;
  editId: string;
  /** Counts the room's edits on this device; the store knows up to which it has them. */
  n: number;
  way: 'do' | 'undo' | 'redo';
  changes: Change[];
}

const EDIT = 'steddo:edit:';
const DRAFT = 'steddo:draft:';
const OPENING = 'steddo:opening:';

/**
 * The part of the device that can be written between a tap and the tab's end: edits that the store does not have
 * yet, and what is half typed. Where even this cannot be written nothing is thrown; the store is what counts.
 */
export class Journal {
  constructor(private readonly storage: Storage | undefined) {}

  write(entry: JournalEntry): boolean {
    return this.put(`${EDIT}${entry.roomId}:${String(entry.n).padStart(9, '0')}`, JSON.stringify(entry));
  }

  /** The room's edits from one number on, in order; what cannot be read is left out. */
  of(roomId: string): JournalEntry[] {
    return this.keys(`${EDIT}${roomId}:`)
      .sort()
      .flatMap((key) => this.read(key));
  }

  /** Rooms that have edits here. */
  rooms(): string[] {
    return [...new Set(this.keys(EDIT).map((key) => key.slice(EDIT.length, key.lastIndexOf(':'))))];
  }

  /** The store has the room's edits up to this number. */
  committed(roomId: string, n: number): void {
    for (const key of this.keys(`${EDIT}${roomId}:`))
      if (Number(key.slice(key.lastIndexOf(':') + 1)) <= n) this.drop(key);
  }

  draft(key: string): string | undefined {
    return this.get(`${DRAFT}${key}`) ?? undefined;
  }

  keepDraft(key: string, text: string): void {
    this.put(`${DRAFT}${key}`, text);
  }

  forgetDraft(key: string): void {
    this.drop(`${DRAFT}${key}`);
  }

  /** The room is about to be worked out for the first time since the page was opened. */
  begin(roomId: string): void {
    this.put(`${OPENING}${roomId}`, '1');
  }

  /** It came to an end. */
  end(roomId: string): void {
    this.drop(`${OPENING}${roomId}`);
  }

  /** A page began and nobody heard of the end: it was closed meanwhile, or the room is one that holds it up for ever. */
  wasLeft(roomId: string): boolean {
    return this.get(`${OPENING}${roomId}`) !== null;
  }

  private read(key: string): JournalEntry[] {
    try {
      return [JSON.parse(this.get(key) ?? '') as JournalEntry];
    } catch {
      return [];
    }
  }

  private keys(start: string): string[] {
    try {
      const { storage } = this;
      return storage ? Object.keys(storage).filter((key) => key.startsWith(start)) : [];
    } catch {
      return [];
    }
  }

  private get(key: string): string | null {
    try {
      return this.storage?.getItem(key) ?? null;
    } catch {
      return null;
    }
  }

  private put(key: string, value: string): boolean {
    try {
      this.storage?.setItem(key, value);
      return this.storage !== undefined;
    } catch {
      return false;
    }
  }

  private drop(key: string): void {
    try {
      this.storage?.removeItem(key);
    } catch {
      // nothing can be done about it, and nothing depends on it
    }
  }
}

/** The browser's own, or none where it is refused. */
export function browserStorage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}
