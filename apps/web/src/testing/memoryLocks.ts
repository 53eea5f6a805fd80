type Held = (lock: Lock | null) => Promise<unknown>;

/** The browser's locks for as long as a test: one holder of a name at a time, in the order of asking. */
export function memoryLocks(): LockManager {
  const queues = new Map<string, Promise<unknown>>();
  const request = async (name: string, { ifAvailable, signal }: LockOptions, work: Held): Promise<unknown> => {
    if (ifAvailable && queues.has(name)) return work(null);
    const before = queues.get(name) ?? Promise.resolve();
    const given = before.then(() => (signal?.aborted ? undefined : work({ name, mode: 'exclusive' })));
    const ended = given.catch(() => undefined);
    queues.set(name, ended);
    void ended.then(() => queues.get(name) === ended && queues.delete(name));
    if (!signal) return given;
    let started = false;
    void before.then(() => (started = true));
    const late = new Promise((_, reject) =>
      signal.addEventListener('abort', () => !started && reject(signal.reason as Error)),
    );
    return Promise.race([given, late]);
  };
  return { request } as unknown as LockManager;
}
