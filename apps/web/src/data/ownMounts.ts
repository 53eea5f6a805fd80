import { useSyncExternalStore } from 'react';
import { checkFile, mount as format, type Mount } from '@steddo/contract';
import type { LocalStore } from './localStore';
import type { MountEdit } from './records';
import { Retry } from './retry';

export interface OwnParts {
  store: Pick<LocalStore, 'mountEdits' | 'addMountEdit' | 'dropMountEdit'>;
  send: (edit: MountEdit) => Promise<'sent' | 'offline' | 'refused'>;
  newId: () => string;
  /** Told when something has reached the server. */
  onSent: () => void;
  /** Other tabs are told that there is another one. */
  tell: () => void;
  later: (work: () => void, ms: number) => void;
}

/** Mounts that somebody added or changed here: on the device first, then on the server, in order. */
export class OwnMounts {
  /** What could not be written to the store, for as long as this tab is open. */
  private unkept: MountEdit[] = [];
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
    this.opened ??= this.read();
    return this.opened;
  }

  /** Reads the store again: another tab has added something. */
  readonly read = async (): Promise<void> => {
    const kept = await this.parts.store.mountEdits().catch((): MountEdit[] => []);
    this.edits = [...kept.filter((e) => checkFile(format, e.mount).ok), ...this.unkept];
    this.newest = [...new Map(this.edits.map((e) => [e.mount.id, e.mount])).values()];
    this.listeners.forEach((l) => l());
  };

  async save(mount: Mount): Promise<void> {
    await this.open();
    const edit = { editId: this.parts.newId(), mount };
    try {
      await this.parts.store.addMountEdit(edit);
    } catch {
      this.unkept.push(edit);
    }
    await this.read();
    this.parts.tell();
    void this.flush();
  }

  /** Sends what waits, one after the other; what cannot be sent stays, and holds up nothing else. */
  readonly flush = async (): Promise<void> => {
    await this.open();
    if (this.sending) return;
    this.sending = true;
    try {
      const refused = new Set<string>();
      const next = () => this.edits.find((e) => !refused.has(e.editId));
      for (let edit = next(); edit; edit = next()) {
        const result = await this.parts.send({ editId: edit.editId, mount: edit.mount });
        if (result === 'offline') return this.retry.plan();
        if (result === 'refused') {
          refused.add(edit.editId);
          continue;
        }
        this.retry.reset();
        await this.drop(edit.editId);
        this.parts.onSent();
      }
      if (refused.size > 0) this.retry.plan();
    } finally {
      this.sending = false;
    }
  };

  private async drop(editId: string): Promise<void> {
    this.unkept = this.unkept.filter((e) => e.editId !== editId);
    await this.parts.store.dropMountEdit(editId).catch(() => undefined);
    await this.read();
    this.edits = this.edits.filter((e) => e.editId !== editId);
    this.parts.tell();
  }
}

/** The mounts that wait on this device, kept up to date. */
export const useOwn = (own: OwnMounts): Mount[] => useSyncExternalStore(own.subscribe, own.list);
