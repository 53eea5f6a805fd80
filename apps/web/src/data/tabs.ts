/** What the tabs of one device tell each other: a room has another version here, own mounts or pictures have changed. */
export type TabNews = { room: string } | 'mounts' | 'rooms' | 'pictures';

/** A channel between tabs; where the browser has none nothing is told, and every tab reads when it comes to the front. */
export function tabChannel(hear: (news: TabNews) => void): (news: TabNews) => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel('steddo');
  channel.onmessage = ({ data }: MessageEvent<TabNews>) => hear(data);
  return (news) => channel.postMessage(news);
}

/**
 * Rooms that this tab has the turn to edit. The turn is a lock of the browser, so that it ends with the tab; who
 * holds it may write the room's record, and nobody else.
 */
export class Turns {
  private readonly held = new Set<string>();
  /** The last thing that this tab does with a room. */
  private readonly works = new Map<string, Promise<boolean>>();

  constructor(private readonly locks: LockManager | undefined) {}

  /** Waits for the turn, then does something and keeps it until it is let go. */
  async take(id: string, signal: AbortSignal, mine: () => Promise<void>, held: Promise<void>): Promise<void> {
    const keep = async () => {
      this.held.add(id);
      try {
        await mine();
        await held;
      } finally {
        this.held.delete(id);
      }
    };
    if (!this.locks) return keep();
    await this.locks.request(nameOf(id), { signal }, keep);
  }

  /**
   * Does something that nobody else may do to the room meanwhile; false where another tab has it for longer than
   * `patience` (ms). What this tab itself is doing to it is waited for.
   */
  readonly alone = (id: string, work: () => Promise<void>, patience = 0): Promise<boolean> => {
    const mine = () => aloneUnder(nameOf(id), this.held.has(id) ? undefined : this.locks, work, patience);
    const done = (this.works.get(id) ?? Promise.resolve()).then(mine, mine);
    this.works.set(id, done);
    const clear = () => {
      if (this.works.get(id) === done) this.works.delete(id);
    };
    done.then(clear, clear);
    return done;
  };
}

/**
 * Does something that no other tab does meanwhile; false where one does it, for longer than `patience` (ms). Without
 * locks it is done at once.
 */
export async function aloneUnder(
  name: string,
  locks: LockManager | undefined,
  work: () => Promise<void>,
  patience = 0,
): Promise<boolean> {
  if (!locks) {
    await work();
    return true;
  }
  const signal = patience > 0 ? AbortSignal.timeout(patience) : undefined;
  let ours = false;
  const asked = locks.request(name, signal ? { signal } : { ifAvailable: true }, async (lock) => {
    ours = lock !== null;
    if (ours) await work();
    return ours;
  });
  return asked.catch((error: unknown) => {
    if (signal?.aborted && !ours) return false;
    throw error;
  });
}

const nameOf = (id: string): string => `steddo-room-${id}`;
