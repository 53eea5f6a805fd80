/** The part of the device's store that keeps drafts, in memory: jsdom has no IndexedDB. */
export function memoryStore() {
  const kept = new Map<string, unknown>();
  return {
    localStore: {
      keep: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)),
      kept: (key: string) => Promise.resolve(kept.get(key)),
      forget: (key: string) => Promise.resolve(void kept.delete(key)),
    },
    rooms: {},
  };
}
