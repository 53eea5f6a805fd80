import type { ChangesReply } from '@steddo/contract';

export interface LiveParts {
  fetchChanges: (since: string) => Promise<ChangesReply>;
  onChanges: (changes: ChangesReply) => void;
  /** Whether anybody looks at this tab. */
  visible: () => boolean;
  later: (work: () => void, ms: number) => void;
}

const EVERY_MS = 3000;
const LONGEST_MS = 30_000;

/** Asks the server every three seconds what has changed, for as long as somebody looks; less often while it is away. */
export class Live {
  private cursor = '';
  private waitMs = EVERY_MS;
  private planned = false;
  private asking = false;
  private stopped = false;

  constructor(private readonly parts: LiveParts) {}

  /** Asks at once: the tab has come to the front, or the network is back. */
  readonly ask = (): void => {
    this.waitMs = EVERY_MS;
    void this.round();
  };

  stop(): void {
    this.stopped = true;
  }

  private async round(): Promise<void> {
    if (this.asking || this.stopped || !this.parts.visible()) return;
    this.asking = true;
    try {
      const changes = await this.parts.fetchChanges(this.cursor);
      const first = this.cursor === '';
      this.cursor = changes.cursor;
      this.waitMs = EVERY_MS;
      if (first || changes.rooms.length > 0 || changes.catalogue || changes.everything) this.parts.onChanges(changes);
    } catch {
      this.waitMs = Math.min(this.waitMs * 2, LONGEST_MS);
    } finally {
      this.asking = false;
      this.plan();
    }
  }

  private plan(): void {
    if (this.planned) return;
    this.planned = true;
    this.parts.later(() => {
      this.planned = false;
      void this.round();
    }, this.waitMs);
  }
}
