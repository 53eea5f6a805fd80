import { useSyncExternalStore } from 'react';
import { checkFile, mount as format, type Mount } from '@steddo/contract';
import type { LocalStore } from './localStore';
import { Retry } from './retry';

/** A change of a mount that is on this device and on its way to the server. */
export interface MountEdit {
  editId: string;
  mount: Mount;
}

export interface OwnParts {
  store: Pick<LocalStore, 'keep' | 'kept'>;
  send: (edit: MountEdit) => Promise<'sent' | 'offline' | 'refused'>;
  newId: () => string;
  /** Told when something has reached the server. */
  onSent: () => void;
  later: (work: () => void, ms: number) => void;
}

const KEY = 'own-mounts';

/** Mounts that somebody added or changed here: on the device first, then on the server, in order. */
export class OwnMounts {
  private edits: MountEdit[] = [];
  private readonly listeners = new Set<() => void>();
  private opened: Promise<void> | undefined;
  private sending = false;
  private newest: Mount[] = [];

  private readonly retry: Retry;

  constructor(private readonly parts: OwnParts) {
    this.retry = new Retry(() => void this.flush(), parts.later);
  }

  /** What waits, the latest of each; the same list until something changes. */
  readonly list = (): Mount[] => this.newest;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  open(): Promise<void> {
    this.opened ??= this.parts.store.kept(KEY).then((kept) => {
      this.edits = (Array.isArray(kept) ? (kept as MountEdit[]) : []).filter((e) => checkFile(format, e.mount).ok);
      this.changed();
    });
    return this.opened;
  }

  async save(mount: Mount): Promise<void> {
    await this.open();
    this.edits = [...this.edits, { editId: this.parts.newId(), mount }];
    await this.parts.store.keep(KEY, this.edits);
    this.changed();
    void this.flush();
  }

  /** Sends what waits, one after the other; what cannot be sent stays. */
  readonly flush = async (): Promise<void> => {
    await this.open();
    if (this.sending) return;
    this.sending = true;
    try {
      for (let next = this.edits[0]; next; next = this.edits[0]) {
        const result = await this.parts.send(next);
        if (result === 'offline') return this.retry.plan();
        if (result === 'refused') return;
        this.retry.reset();
        const { editId } = next;
        this.edits = this.edits.filter((e) => e.editId !== editId);
        await this.parts.store.keep(KEY, this.edits);
        this.parts.onSent();
        this.changed();
      }
    } finally {
      this.sending = false;
    }
  };

  private changed(): void {
    this.newest = [...new Map(this.edits.map((e) => [e.mount.id, e.mount])).values()];
    this.listeners.forEach((l) => l());
  }
}

/** The mounts that wait on this device, kept up to date. */
export const useOwn = (own: OwnMounts): Mount[] => useSyncExternalStore(own.subscribe, own.list);
