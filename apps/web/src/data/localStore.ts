import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Job } from '@steddo/contract';
import type { History } from '@steddo/core';

/** A room as it is on this device. */
export interface LocalRoom {
  id: string;
  job: Job;
  history: History;
  /** The server's version that this document was built on; 0 before the first save. */
  serverVersion: number;
}

/** An edit on its way to the server, in order. */
export interface OutboxEntry {
  seq?: number;
  roomId: string;
  editId: string;
  touched: string[];
  job: Job;
}

interface Schema extends DBSchema {
  rooms: { key: string; value: LocalRoom };
  outbox: { key: number; value: OutboxEntry; indexes: { room: string } };
  kept: { key: string; value: unknown };
}

/** What is on the device first: rooms, the ordered outbox, drafts and the last catalogue. */
export interface LocalStore {
  rooms: () => Promise<LocalRoom[]>;
  room: (id: string) => Promise<LocalRoom | undefined>;
  /** The room and, with it in one transaction, what is to be sent. */
  save: (room: LocalRoom, send?: OutboxEntry) => Promise<void>;
  nextToSend: (skip: ReadonlySet<string>) => Promise<OutboxEntry | undefined>;
  waiting: (roomId: string) => Promise<number>;
  /** The edit has arrived: it leaves the outbox and the room's version moves on. */
  sent: (entry: OutboxEntry, version: number) => Promise<void>;
  dropWaiting: (roomId: string) => Promise<void>;
  keep: (key: string, value: unknown) => Promise<void>;
  kept: (key: string) => Promise<unknown>;
  forget: (key: string) => Promise<void>;
}

export function openLocalStore(name = 'steddo'): LocalStore {
  const opened = openDB<Schema>(name, 1, {
    upgrade(db) {
      db.createObjectStore('rooms', { keyPath: 'id' });
      const outbox = db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
      outbox.createIndex('room', 'roomId');
      db.createObjectStore('kept');
    },
  });
  return {
    rooms: async () => (await opened).getAll('rooms'),
    room: async (id) => (await opened).get('rooms', id),
    save: async (room, send) => saveRoom(await opened, room, send),
    nextToSend: async (skip) => {
      const all = await (await opened).getAll('outbox');
      return all.find((e) => !skip.has(e.roomId));
    },
    waiting: async (roomId) => (await opened).countFromIndex('outbox', 'room', roomId),
    sent: async (entry, version) => markSent(await opened, entry, version),
    dropWaiting: async (roomId) => {
      const tx = (await opened).transaction('outbox', 'readwrite');
      const keys = await tx.store.index('room').getAllKeys(roomId);
      await Promise.all(keys.map((k) => tx.store.delete(k)));
      await tx.done;
    },
    keep: async (key, value) => {
      await (await opened).put('kept', value, key);
    },
    kept: async (key) => (await opened).get('kept', key),
    forget: async (key) => (await opened).delete('kept', key),
  };
}

async function saveRoom(db: IDBPDatabase<Schema>, room: LocalRoom, send?: OutboxEntry): Promise<void> {
  const tx = db.transaction(['rooms', 'outbox'], 'readwrite', { durability: 'strict' });
  const known = await tx.objectStore('rooms').get(room.id);
  const serverVersion = Math.max(room.serverVersion, known?.serverVersion ?? 0);
  await tx.objectStore('rooms').put({ ...room, serverVersion });
  if (send) await tx.objectStore('outbox').add(send);
  await tx.done;
}

async function markSent(db: IDBPDatabase<Schema>, entry: OutboxEntry, version: number): Promise<void> {
  const tx = db.transaction(['rooms', 'outbox'], 'readwrite', { durability: 'strict' });
  if (entry.seq !== undefined) await tx.objectStore('outbox').delete(entry.seq);
  const room = await tx.objectStore('rooms').get(entry.roomId);
  if (room) await tx.objectStore('rooms').put({ ...room, serverVersion: version });
  await tx.done;
}
