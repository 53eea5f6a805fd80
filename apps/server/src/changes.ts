import type { ChangesReply } from '@steddo/contract';

/** Changes that are remembered; who asks about an earlier one is told everything. */
const REMEMBERED = 1000;

interface Noted {
  n: number;
  room?: { id: string; revision: string };
}

/**
 * What has changed since the server started, so that another tab or device can ask every few seconds for little.
 * A cursor names the start and the number of the last change; one of another start is told everything.
 */
export class Changes {
  private readonly noted: Noted[] = [];
  private n = 0;

  constructor(private readonly start: string) {}

  room(id: string, revision: string): void {
    this.note({ n: ++this.n, room: { id, revision } });
  }

  catalogue(): void {
    this.note({ n: ++this.n });
  }

  get cursor(): string {
    return `${this.start}.${this.n}`;
  }

  /** Undefined where the cursor is another start's, or too old. */
  since(cursor: string): Pick<ChangesReply, 'rooms' | 'catalogue'> | undefined {
    const [start, number] = [
      cursor.slice(0, cursor.lastIndexOf('.')),
      Number(cursor.slice(cursor.lastIndexOf('.') + 1)),
    ];
    const first = this.noted[0]?.n ?? this.n + 1;
    if (start !== this.start || !Number.isInteger(number) || number < first - 1) return undefined;
    const later = this.noted.filter((c) => c.n > number);
    const rooms = new Map(later.flatMap(({ room }) => (room ? [[room.id, room] as const] : [])));
    return { rooms: [...rooms.values()], catalogue: later.some((c) => !c.room) };
  }

  private note(change: Noted): void {
    this.noted.push(change);
    if (this.noted.length > REMEMBERED) this.noted.shift();
  }
}
