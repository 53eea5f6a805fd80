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

  /** Does something that nobody else may do to the room meanwhile; false where another tab has it. */
  readonly alone = async (id: string, work: () => Promise<void>): Promise<boolean> => {
    return aloneUnder(nameOf(id), this.held.has(id) ? undefined : this.locks, work);
  };
}

/** Does something that no other tab does meanwhile; false where one does it. Without locks it is done at once. */
export async function aloneUnder(
  name: string,
  locks: LockManager | undefined,
  work: () => Promise<void>,
): Promise<boolean> {
  if (!locks) {
    await work();
    return true;
  }
  return locks.request(name, { ifAvailable: true }, async (lock) => {
    if (lock) await work();
    return lock !== null;
  });
}

const nameOf = (id: string): string => `steddo-room-${id}`;
