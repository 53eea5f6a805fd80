import { Followed } from '../data/followed';
import { Journal } from '../data/journal';

/** What of the device's store parts of a room use, in memory: jsdom has no IndexedDB. */
export function memoryStore() {
  const kept = new Map<string, unknown>();
  return {
    localStore: {
      keep: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
      kept: (key: string) => Promise.resolve(kept.get(key)),
      forget: (key: string) => Promise.resolve(void kept.delete(key)),
    },
    journal: new Journal(globalThis.localStorage),
    rooms: {},
    device: new Followed('test phone'),
  };
}
