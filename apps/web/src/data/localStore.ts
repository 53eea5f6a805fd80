import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import {
  faultOfEntry,
  faultOfRoom,
  fromV1,
  type AsideRecord,
  type LocalRoom,
  type MountEdit,
  type OutboxEntry,
  type OutboxV1,
  type RoomV1,
} from './records';

interface Schema extends DBSchema {
  rooms: { key: string; value: LocalRoom };
  outbox: { key: number; value: OutboxEntry; indexes: { room: string } };
  kept: { key: string; value: unknown };
  mountEdits: { key: number; value: MountEdit };
  aside: { key: string; value: AsideRecord };
}

/** A room and what waits of it. */
export interface StoredRoom {
  room: LocalRoom;
  waiting: OutboxEntry[];
}

/** What is on the device first: rooms, the ordered outbox, own mounts, and what cannot be read any more. */
export interface LocalStore {
  rooms: () => Promise<LocalRoom[]>;
  room: (id: string) => Promise<StoredRoom | undefined>;
  /** The room and all that waits of it, in one transaction; nothing has happened before it is done. */
  commit: (room: LocalRoom, waiting: readonly OutboxEntry[]) => Promise<void>;
  /** A room that was never sent, or whose thirty days are over: gone for good. */
  forgetRoom: (id: string) => Promise<void>;
  /** Ids of the rooms that have something to send, each with how much. */
  waiting: () => Promise<Map<string, number>>;
  mountEdits: () => Promise<MountEdit[]>;
  addMountEdit: (edit: MountEdit) => Promise<void>;
  dropMountEdit: (editId: string) => Promise<void>;
  aside: () => Promise<AsideRecord[]>;
  forgetAside: (key: string) => Promise<void>;
  keep: (key: string, value: unknown) => Promise<void>;
  kept: (key: string) => Promise<unknown>;
  forget: (key: string) => Promise<void>;
}

/** Why the device's store cannot be used. */
export type StoreTrouble = 'full' | 'blocked' | 'newer' | 'refused';

export const VERSION = 2;
/** A store that does not open by then is held by another tab, ms. */
const OPENING_MS = 4000;

export function troubleOfStore(error: unknown): StoreTrouble {
  const { name } = (error ?? {}) as { name?: string };
  if (name === 'QuotaExceededError') return 'full';
  if (name === 'VersionError') return 'newer';
  return error instanceof StoreBlocked ? 'blocked' : 'refused';
}

class StoreBlocked extends Error {}

/** Whether another connection may do what this one could not. */
const mayPass = (error: unknown): boolean =>
  !['QuotaExceededError', 'VersionError', 'DataCloneError', 'DataError', 'SecurityError'].includes(
    (error as { name?: string }).name ?? '',
  ) && !(error instanceof StoreBlocked);

/** The store of the browser. A connection that was closed under it is opened again at the next use. */
export function openLocalStore(name = 'steddo', openingMs = OPENING_MS): LocalStore {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const forgetIt = () => {
    opened = undefined;
  };
  const open = (): Promise<IDBPDatabase<Schema>> => {
    opened ??= openDB<Schema>(name, VERSION, {
      upgrade: (db, from, _to, tx) => migrate(db, from, tx),
      blocking: (_from, _to, event) => {
        (event.target as IDBDatabase).close();
        forgetIt();
      },
      terminated: forgetIt,
    });
    const mine = opened;
    mine.catch(forgetIt);
    return soon(mine, openingMs);
  };
  const using = async <T>(work: (db: IDBPDatabase<Schema>) => Promise<T>): Promise<T> => {
    try {
      return await work(await open());
    } catch (error) {
      if (!mayPass(error)) throw error;
      // the connection may be dead: cleared, or closed by the browser
      const dead = opened;
      forgetIt();
      void dead?.then((db) => db.close()).catch(() => undefined);
      return work(await open());
    }
  };
  return {
    rooms: () => using(readRooms),
    room: (id) => using((db) => readRoom(db, id)),
    commit: (room, waiting) => using((db) => commit(db, room, waiting)),
    forgetRoom: (id) => using((db) => forgetRoom(db, id)),
    waiting: () => using(countWaiting),
    mountEdits: () => using((db) => db.getAll('mountEdits')),
    addMountEdit: (edit) => using(async (db) => void (await db.add('mountEdits', edit))),
    dropMountEdit: (editId) => using((db) => dropMountEdit(db, editId)),
    aside: () => using((db) => db.getAll('aside')),
    forgetAside: (key) => using((db) => db.delete('aside', key)),
    keep: (key, value) => using(async (db) => void (await db.put('kept', value, key))),
    kept: (key) => using((db) => db.get('kept', key)),
    forget: (key) => using((db) => db.delete('kept', key)),
  };
}

async function soon<T>(work: Promise<T>, ms: number): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new StoreBlocked('another tab holds the store')), ms);
  });
  try {
    return await Promise.race([work, late]);
  } finally {
    clearTimeout(timer);
  }
}

type Upgrade = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

/** Brings the store of any earlier version to this one; everything that waited goes on waiting. */
async function migrate(db: IDBPDatabase<Schema>, from: number, tx: Upgrade): Promise<void> {
  if (from < 1) {
    db.createObjectStore('rooms', { keyPath: 'id' });
    const outbox = db.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
    outbox.createIndex('room', 'roomId');
    db.createObjectStore('kept');
  }
  db.createObjectStore('mountEdits', { keyPath: 'seq', autoIncrement: true });
  db.createObjectStore('aside', { keyPath: 'key' });
  if (from !== 1) return;
  const rooms = (await tx.objectStore('rooms').getAll()) as unknown as RoomV1[];
  const outbox = (await tx.objectStore('outbox').getAll()) as unknown as OutboxV1[];
  for (const old of rooms) {
    try {
      const made = fromV1(
        old,
        outbox.filter((e) => e.roomId === old.id),
      );
      await tx.objectStore('rooms').put(made.room);
      for (const entry of made.waiting) await tx.objectStore('outbox').put(entry);
    } catch (error) {
      await setAside(tx, 'room', old.id, reasonOf(error), old);
    }
  }
  const own = (await tx.objectStore('kept').get('own-mounts')) as MountEdit[] | undefined;
  for (const { editId, mount } of Array.isArray(own) ? own : [])
    await tx.objectStore('mountEdits').add({ editId, mount });
  await tx.objectStore('kept').delete('own-mounts');
}

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

type Writing = IDBPTransaction<Schema, StoreNames<Schema>[], 'readwrite' | 'versionchange'>;

/** A record that cannot be read leaves the others' way; it is kept as it is. */
async function setAside(tx: Writing, what: AsideRecord['what'], id: string | number, reason: string, record: unknown) {
  await tx.objectStore('aside').put({ key: `${what}:${id}`, what, reason, record });
  if (what === 'room') await tx.objectStore('rooms').delete(String(id));
  if (what === 'edit') await tx.objectStore('outbox').delete(Number(id));
}

const writing = (db: IDBPDatabase<Schema>) =>
  db.transaction(['rooms', 'outbox', 'kept', 'mountEdits', 'aside'], 'readwrite', { durability: 'strict' });

async function readRooms(db: IDBPDatabase<Schema>): Promise<LocalRoom[]> {
  const all = await db.getAll('rooms');
  const bad = all.filter((r) => faultOfRoom(r) !== undefined);
  if (bad.length === 0) return all;
  const tx = writing(db);
  for (const record of bad) await setAside(tx, 'room', record.id, faultOfRoom(record)!, record);
  await tx.done;
  return all.filter((r) => !bad.includes(r));
}

async function readRoom(db: IDBPDatabase<Schema>, id: string): Promise<StoredRoom | undefined> {
  const tx = db.transaction(['rooms', 'outbox']);
  const room = await tx.objectStore('rooms').get(id);
  const entries = await tx.objectStore('outbox').index('room').getAll(id);
  await tx.done;
  const fault = room && faultOfRoom(room);
  const bad = entries.filter((e) => faultOfEntry(e) !== undefined);
  if (fault !== undefined || bad.length > 0) {
    const aside = writing(db);
    if (fault !== undefined) await setAside(aside, 'room', id, fault, room);
    for (const e of bad) await setAside(aside, 'edit', e.seq!, faultOfEntry(e)!, e);
    await aside.done;
  }
  if (!room || fault !== undefined) return undefined;
  return { room, waiting: entries.filter((e) => !bad.includes(e)) };
}

async function commit(db: IDBPDatabase<Schema>, room: LocalRoom, waiting: readonly OutboxEntry[]): Promise<void> {
  const tx = db.transaction(['rooms', 'outbox'], 'readwrite', { durability: 'strict' });
  const outbox = tx.objectStore('outbox');
  const there = await outbox.index('room').getAll(room.id);
  const bySent = new Map(there.map((e) => [e.editId, e]));
  const wanted = new Set(waiting.map((e) => e.editId));
  for (const e of there) if (!wanted.has(e.editId)) await outbox.delete(e.seq!);
  for (const entry of waiting) {
    const known = bySent.get(entry.editId);
    if (!known) await outbox.add(entry);
    else if (known.changes !== entry.changes) await outbox.put({ ...entry, seq: known.seq! });
  }
  await tx.objectStore('rooms').put(room);
  await tx.done;
}

async function forgetRoom(db: IDBPDatabase<Schema>, id: string): Promise<void> {
  const tx = db.transaction(['rooms', 'outbox'], 'readwrite', { durability: 'strict' });
  const keys = await tx.objectStore('outbox').index('room').getAllKeys(id);
  await Promise.all(keys.map((key) => tx.objectStore('outbox').delete(key)));
  await tx.objectStore('rooms').delete(id);
  await tx.done;
}

async function countWaiting(db: IDBPDatabase<Schema>): Promise<Map<string, number>> {
  const counts = new Map<string, number>();
  let cursor = await db.transaction('outbox').store.index('room').openKeyCursor();
  while (cursor) {
    counts.set(cursor.key, (counts.get(cursor.key) ?? 0) + 1);
    cursor = await cursor.continue();
  }
  return counts;
}

async function dropMountEdit(db: IDBPDatabase<Schema>, editId: string): Promise<void> {
  const tx = db.transaction('mountEdits', 'readwrite', { durability: 'strict' });
  for (const e of await tx.store.getAll()) if (e.editId === editId) await tx.store.delete(e.seq!);
  await tx.done;
}
