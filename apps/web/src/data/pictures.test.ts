/** @jest-environment node */
import 'fake-indexeddb/auto';
import { Pictures, type Piece, type PieceResult, type PicturesParts } from './pictures';
import { openPictureStore, pictureKey, type PictureStore } from './pictureStore';
import { sha256 } from './sha256';

/* Pictures on the device and on their way: nothing that is not on the server is ever dropped, whatever is cut off. */

const PIECE = 256 * 1024;
let name = 0;
const bytesOf = (size: number, seed = 1) => Uint8Array.from({ length: size }, (_, i) => (i * 31 + seed) % 251);
const made = async (size: number, seed = 1) => {
  const bytes = bytesOf(size, seed);
  return { bytes, sha256: await sha256(bytes) };
};

/** A server that keeps what it is sent, and can be away. */
class Server {
  readonly have = new Map<string, Uint8Array>();
  readonly whole = new Set<string>();
  readonly order: string[] = [];
  away = false;
  /** Goes away after so many pieces. */
  after = Infinity;
  rooms = new Set(['den']);
  async send(room: string, id: string, { from, size, bytes }: Piece): Promise<PieceResult> {
    if (this.away || this.after-- <= 0) return { kind: 'no-server' };
    if (!this.rooms.has(room)) return { kind: 'no-room' };
    this.order.push(`${id}@${from}`);
    const known = this.have.get(id) ?? new Uint8Array();
    if (from === known.length) this.have.set(id, Uint8Array.from(Buffer.concat([known, bytes])));
    const received = this.have.get(id)!.length;
    if (received === size) this.whole.add(id);
    return { kind: 'at', received, whole: received === size };
  }
}

let busy = 0;

interface Opening extends Partial<PicturesParts> {
  server?: Server;
  /** Whether no other tab is sending. */
  free?: () => boolean;
}

function open({ server = new Server(), store, free = () => true, ...more }: Opening = {}) {
  const waits: (() => void)[] = [];
  let moment = Date.parse('2026-03-14T09:00:00Z');
  const kept = store ?? openPictureStore(`pictures-${++name}`);
  const pictures = new Pictures({
    store: kept,
    send: (room, id, piece) => server.send(room, id, piece),
    fetchPicture: async (_, id) => (server.whole.has(id) ? server.have.get(id) : undefined),
    fetchIds: async () => (server.away ? undefined : [...server.whole]),
    sum: sha256,
    now: () => new Date((moment += 1000)),
    later: (work) => waits.push(work),
    changed: () => undefined,
    ...more,
    alone: async (work) => {
      if (!free()) return false;
      busy += 1;
      await work().finally(() => (busy -= 1));
      return true;
    },
  });
  const again = async () => {
    for (const work of waits.splice(0)) work();
    await rest();
  };
  return { pictures, server, store: kept, again, waits };
}

/** Until nothing is being sent any more. */
async function rest() {
  do await new Promise((resolve) => setTimeout(resolve, 5));
  while (busy > 0);
}

describe('pictures', () => {
  it('are kept, then sent in pieces, the oldest first', async () => {
    const { pictures, server, store } = open();
    server.away = true;
    await pictures.keep('den', 'p-1', await made(2 * PIECE + 10));
    await pictures.keep('den', 'p-2', await made(100, 2));
    expect((await store.heads()).map((h) => h.whole)).toEqual([false, false]);
    await rest();
    server.away = false;
    pictures.flush();
    await rest();
    expect(server.order).toEqual(['p-1@0', `p-1@${PIECE}`, `p-1@${2 * PIECE}`, 'p-2@0']);
    expect(Buffer.compare(server.have.get('p-1')!, bytesOf(2 * PIECE + 10))).toBe(0);
    expect((await store.heads()).map((h) => h.whole)).toEqual([true, true]);
  });

  it('that were cut off go on from the piece that came last, in another tab too', async () => {
    const first = open();
    first.server.after = 1;
    await first.pictures.keep('den', 'p-1', await made(3 * PIECE));
    await rest();
    expect(first.server.order).toEqual(['p-1@0']);
    first.server.after = Infinity;
    const later = open({ server: first.server, store: first.store });
    later.pictures.flush();
    await rest();
    expect(later.server.order.slice(1)).toEqual([`p-1@${PIECE}`, `p-1@${2 * PIECE}`]);
    expect(later.server.whole.has('p-1')).toBe(true);
  });

  it('wait for their room, and do not hold up those of another', async () => {
    const { pictures, server, again } = open();
    await pictures.keep('not-sent-yet', 'p-1', await made(10));
    await pictures.keep('den', 'p-2', await made(10));
    await rest();
    expect(server.order).toEqual(['p-2@0']);
    server.rooms.add('not-sent-yet');
    await again();
    expect(server.order).toContain('p-1@0');
  });

  it('taken while others are on their way are sent too; where another tab sends it is tried again', async () => {
    const { pictures, server } = open();
    const [a, b] = [await made(2 * PIECE), await made(10, 3)];
    await Promise.all([pictures.keep('den', 'p-1', a), pictures.keep('den', 'p-2', b)]);
    await rest();
    expect([...server.whole].sort()).toEqual(['p-1', 'p-2']);
    let free = false;
    const other = open({ free: () => free });
    await other.pictures.keep('den', 'p-3', await made(10));
    await rest();
    expect(other.server.order).toEqual([]);
    free = true;
    await other.again();
    expect(other.server.whole.has('p-3')).toBe(true);
  });

  it('that the server has lost, as after a backup, are sent again', async () => {
    const { pictures, server, store } = open();
    await pictures.keep('den', 'p-1', await made(20));
    await rest();
    server.whole.clear();
    server.have.clear();
    const next = open({ server, store });
    next.pictures.flush();
    await rest();
    expect(server.whole.has('p-1')).toBe(true);
  });

  it('that the server will not have begin anew, and stay on the device', async () => {
    let asked = 0;
    const send = async () => {
      asked += 1;
      return { kind: 'refused' as const, why: 'is no JPEG' };
    };
    const { pictures, store } = open({ send });
    await pictures.keep('den', 'p-1', await made(20));
    await rest();
    expect(await store.heads()).toMatchObject([{ sent: 0, whole: false, refused: 'is no JPEG' }]);
    expect(await store.bytes(pictureKey('den', 'p-1'))).toEqual(bytesOf(20));
    // not for ever: once, until the app is opened again
    pictures.flush();
    await rest();
    expect(asked).toBe(1);
    const next = open({ store });
    next.pictures.flush();
    await rest();
    const [head] = await store.heads();
    expect(head).toMatchObject({ whole: true });
    expect(head!.refused).toBeUndefined();
  });

  it('come from the server where this device has none, and are kept from then on', async () => {
    const { pictures, server } = open();
    await pictures.keep('den', 'p-1', await made(20));
    await rest();
    const other = open({ server });
    expect(await other.pictures.bytesOf('den', 'p-1')).toEqual(bytesOf(20));
    server.away = true;
    server.whole.clear();
    expect(await other.pictures.bytesOf('den', 'p-1')).toEqual(bytesOf(20));
    expect(await other.pictures.bytesOf('den', 'p-9')).toBeUndefined();
  });

  it('go with their room when that has gone for good, and with no other', async () => {
    const { pictures, store } = open();
    for (const room of ['den', 'attic']) await pictures.keep(room, 'p-1', await made(10));
    await pictures.sweep(new Set(['den']));
    expect((await store.heads()).map((h) => h.room)).toEqual(['den']);
    expect(await store.bytes(pictureKey('attic', 'p-1'))).toBeUndefined();
  });
});

describe('a device that is full', () => {
  /** Refuses more than so many pictures, as a browser out of room does. */
  const small = (most: number): PictureStore => {
    const store = openPictureStore(`pictures-${++name}`);
    return {
      ...store,
      put: async (head, bytes) => {
        if ((await store.heads()).length >= most)
          throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
        await store.put(head, bytes);
      },
    };
  };

  it('lets the oldest go that the server has', async () => {
    const { pictures, store } = open({ store: small(2) });
    for (const id of ['p-1', 'p-2', 'p-3']) {
      await pictures.keep('den', id, await made(10));
      await rest();
    }
    expect((await store.heads()).map((h) => h.id).sort()).toEqual(['p-2', 'p-3']);
  });

  it('never lets one go that is not sent: the new one is refused, and nothing else is touched', async () => {
    const { pictures, server, store } = open({ store: small(2) });
    server.away = true;
    await pictures.keep('den', 'p-1', await made(10));
    await pictures.keep('den', 'p-2', await made(10));
    await expect(pictures.keep('den', 'p-3', await made(10))).rejects.toThrow('full');
    expect((await store.heads()).map((h) => h.id).sort()).toEqual(['p-1', 'p-2']);
  });
});
