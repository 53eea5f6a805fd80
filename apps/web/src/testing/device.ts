import { IDBFactory } from 'fake-indexeddb';
import { Journal } from '../data/journal';
import { openLocalStore, type LocalStore } from '../data/localStore';
import { Rooms } from '../data/rooms';
import { Turns } from '../data/tabs';
import { memoryLocks } from './memoryLocks';
import type { MemoryServer } from './memoryServer';

/** What a browser's storage of text is, for as long as a test. */
export function memoryStorage(): Storage {
  const kept = new Map<string, string>();
  return new Proxy({} as Storage, {
    get: (_, name) =>
      ({
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => void kept.set(key, value),
        removeItem: (key: string) => void kept.delete(key),
      })[name as string],
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  });
}

/** A device of a test's own: its store and journal outlive the tabs that are opened on it. */
export function testDevice(server: MemoryServer, name = 'this phone') {
  const factory = new IDBFactory();
  const storage = memoryStorage();
  let locks = memoryLocks();
  let ids = 0;
  let ended = 0;
  const retries: (() => void)[] = [];
  const onThis = async <T>(work: () => T): Promise<T> => {
    globalThis.indexedDB = factory;
    return work();
  };
  /** A tab; `wrap` may make its store fail. */
  const tab = (wrap: (store: LocalStore) => LocalStore = (s) => s) => {
    globalThis.indexedDB = factory;
    const mine = ++ended;
    // what an ended tab held is let go
    locks = memoryLocks();
    const store = wrap(openLocalStore('steddo'));
    const alive = () => mine === ended;
    const rooms = new Rooms({
      store: tiedTo(alive, store),
      journal: new Journal(storage),
      send: server.send(name),
      act: server.act,
      fetchRoom: server.fetchRoom,
      newId: () => `${name.replace(/\W/g, '')}-${++ids}`,
      now: () => new Date('2026-03-14T09:30:00Z'),
      later: (work) => retries.push(work),
      alone: new Turns(locks).alone,
      tell: () => undefined,
    });
    return { rooms, store };
  };
  return { tab, storage, onThis, factory, retry: () => retries.splice(0).forEach((work) => work()) };
}

/** A store whose tab has ended does nothing any more. */
function tiedTo(alive: () => boolean, store: LocalStore): LocalStore {
  return new Proxy(store, {
    get: (target, name) => {
      const method = target[name as keyof LocalStore] as (...args: unknown[]) => Promise<unknown>;
      return (...args: unknown[]) => (alive() ? method(...args) : new Promise(() => undefined));
    },
  });
}

/** Until nothing more happens by itself. */
export async function atRest(): Promise<void> {
  for (let i = 0; i < 60; i++) await new Promise((resolve) => setImmediate(resolve));
}
