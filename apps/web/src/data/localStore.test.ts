/** @jest-environment node */
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { guestRoom } from '@steddo/samples';
import { applyChanges } from '@steddo/core';
import { openLocalStore, troubleOfStore } from './localStore';
import { faultOfRoom, type LocalRoom } from './records';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

const titled = (title: string) => ({ ...guestRoom, title });

const openFirst = () =>
  openDB('steddo', 1, {
    upgrade(made) {
      made.createObjectStore('rooms', { keyPath: 'id' });
      made.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true }).createIndex('room', 'roomId');
      made.createObjectStore('kept');
    },
  });

/** The store as the first version of the app left it. */
async function firstVersion(
  fill: (put: (store: string, value: unknown, key?: string) => Promise<unknown>) => Promise<void>,
) {
  const db = await openFirst();
  await fill((store, value, key) => db.put(store, value, key));
  db.close();
}
const history = { undo: [{ do: 'put', path: 'title', value: 'before' }], redo: [] };
const room = (over: Partial<LocalRoom> = {}): LocalRoom => ({
  id: 'a',
  job: guestRoom,
  history: { undo: [], redo: [] },
  disputes: [],
  edits: 1,
  ...over,
});

describe('data of the first version of the app', () => {
  it('a room that was sent is as it was, undo too', async () => {
    await firstVersion(
      async (put) => void (await put('rooms', { id: 'a', job: titled('now'), history, serverVersion: 4 })),
    );
    const { room: kept, waiting } = (await openLocalStore().room('a'))!;
    expect([kept.job.title, kept.base!.version, kept.base!.job.title, waiting]).toEqual(['now', 4, 'now', []]);
    expect(kept.history.undo).toEqual([[{ path: ['title'], before: 'before', after: 'now' }]]);
  });
  it('what waited goes on waiting, in order, and comes to the room as it is', async () => {
    await firstVersion(async (put) => {
      await put('rooms', { id: 'a', job: titled('three'), history, serverVersion: 4 });
      for (const title of ['one', 'two', 'three'])
        await put('outbox', { roomId: 'a', editId: `e-${title}`, touched: ['title'], job: titled(title) });
    });
    const { room: kept, waiting } = (await openLocalStore().room('a'))!;
    expect(waiting.map((e) => e.editId)).toEqual(['e-one', 'e-two', 'e-three']);
    expect(kept.base).toBeUndefined();
    expect(
      applyChanges(
        undefined as never,
        waiting.flatMap((e) => e.changes),
      ),
    ).toEqual(titled('three'));
  });
  it('own mounts, drafts and the catalogue that was seen are there', async () => {
    await firstVersion(async (put) => {
      await put('kept', [{ editId: 'm1', mount: guestRoom.mount }], 'own-mounts');
      await put('kept', { some: 'thing' }, 'catalogue');
    });
    const store = openLocalStore();
    expect((await store.mountEdits()).map((e) => e.editId)).toEqual(['m1']);
    expect(await store.kept('catalogue')).toEqual({ some: 'thing' });
  });
  it('one room that is spoilt is set aside; the others come over', async () => {
    await firstVersion(async (put) => {
      await put('rooms', { id: 'bad', job: null, history: 7, serverVersion: 4 });
      await put('rooms', { id: 'good', job: titled('good'), history, serverVersion: 1 });
    });
    const store = openLocalStore();
    expect((await store.rooms()).map((r) => r.id)).toEqual(['good']);
    expect((await store.aside()).map((r) => r.key)).toEqual(['room:bad']);
  });
});

describe('one bad record', () => {
  it.each([
    ['no document', { job: undefined }],
    ['a document without aim', { job: { ...guestRoom, aim: undefined } }],
    ['units that are none', { job: { ...guestRoom, units: 'feet' } }],
    ['no history', { history: undefined }],
    ['a history that is no list', { history: { undo: 'all', redo: [] } }],
    ['a base that is no document', { base: { version: 3, job: { title: 'x' } } }],
    ['disputes that are none', { disputes: 'many' }],
    ['no count of edits', { edits: undefined }],
  ])('%s: set aside, named, and out of the way of the others', async (_, over) => {
    const store = openLocalStore();
    await store.commit(room({ id: 'good' }), []);
    const bad = { ...room({ id: 'bad' }), ...over } as LocalRoom;
    expect(faultOfRoom(bad)).toBeDefined();
    await store.commit(bad, [{ roomId: 'bad', editId: 'e1', changes: [] }]);
    expect((await store.rooms()).map((r) => r.id)).toEqual(['good']);
    expect(await store.room('bad')).toBeUndefined();
    const [aside] = await store.aside();
    expect([aside!.key, aside!.record]).toEqual(['room:bad', bad]);
    expect(aside!.reason.length).toBeGreaterThan(5);
  });
  it('an edit that is none leaves the outbox, and the rest is sent', async () => {
    const store = openLocalStore();
    const entry = (editId: string, changes: unknown) => ({ roomId: 'a', editId, changes }) as never;
    await store.commit(room(), [entry('bad', 'all of it'), entry('good', [])]);
    expect((await store.room('a'))!.waiting.map((e) => e.editId)).toEqual(['good']);
    expect((await store.aside()).map((r) => r.what)).toEqual(['edit']);
  });
});

describe('the store', () => {
  it('commits a room and what waits in one step, and keeps the order', async () => {
    const store = openLocalStore();
    const entry = (editId: string) => ({ roomId: 'a', editId, changes: [{ path: ['title'], after: editId }] });
    await store.commit(room(), [entry('one'), entry('two')]);
    await store.commit(room({ edits: 2 }), [entry('two'), entry('three')]);
    const kept = (await store.room('a'))!;
    expect([kept.room.edits, kept.waiting.map((e) => e.editId)]).toEqual([2, ['two', 'three']]);
    expect([...(await store.waiting())]).toEqual([['a', 2]]);
  });
  it('that a newer app has opened is not touched, and said to be newer', async () => {
    (await openDB('steddo', 99)).close();
    const error: unknown = await openLocalStore()
      .room('a')
      .catch((e: unknown) => e);
    expect(troubleOfStore(error)).toBe('newer');
  });
  it('that another tab holds is said to be held, and used as soon as it is free', async () => {
    const held = await openFirst();
    const store = openLocalStore('steddo', 30);
    const error: unknown = await store.rooms().catch((e: unknown) => e);
    expect(troubleOfStore(error)).toBe('blocked');
    held.close();
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(await store.rooms()).toEqual([]);
  });
  it('that was closed under it is opened again', async () => {
    const store = openLocalStore();
    await store.commit(room(), []);
    const newer = openDB('steddo', 3, { upgrade: () => undefined });
    await (await newer).close();
    expect(troubleOfStore(await store.room('a').catch((e: unknown) => e))).toBe('newer');
  });
});
