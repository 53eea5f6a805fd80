/** @jest-environment node */
import type { Job, RoomSummary } from '@steddo/contract';
import type { SendResult } from './api';
import type { LocalRoom, LocalStore, OutboxEntry } from './localStore';
import { newRoom } from './newRoom';
import { Rooms } from './rooms';

/** A device and a server in memory, which can be told to fail. */
function bench() {
  const kept = new Map<string, LocalRoom>();
  let outbox: OutboxEntry[] = [];
  let seq = 0;
  const store: LocalStore = {
    rooms: async () => [...kept.values()],
    room: async (id) => kept.get(id),
    save: async (room, send) => {
      kept.set(room.id, {
        ...room,
        serverVersion: Math.max(room.serverVersion, kept.get(room.id)?.serverVersion ?? 0),
      });
      if (send) outbox.push({ ...send, seq: ++seq });
    },
    nextToSend: async (skip) => outbox.find((e) => !skip.has(e.roomId)),
    waiting: async (id) => outbox.filter((e) => e.roomId === id).length,
    sent: async (entry, version) => {
      outbox = outbox.filter((e) => e.seq !== entry.seq);
      const room = kept.get(entry.roomId);
      if (room) kept.set(room.id, { ...room, serverVersion: version });
    },
    dropWaiting: async (id) => {
      outbox = outbox.filter((e) => e.roomId !== id);
    },
    keep: async () => {},
    kept: async () => undefined,
    forget: async () => {},
  };
  const server = {
    version: 0,
    job: undefined as Job | undefined,
    titles: [] as string[],
    up: true,
    loseAnswers: 0,
    seen: new Map<string, number>(),
  };
  const send = async (_id: string, save: { editId: string; baseVersion: number; job: Job }): Promise<SendResult> => {
    if (!server.up) return { kind: 'offline' };
    const again = server.seen.get(save.editId);
    if (again !== undefined) return { kind: 'sent', version: again };
    if (save.baseVersion !== server.version) return { kind: 'stale', theirs: summary() };
    server.version += 1;
    server.job = save.job;
    server.titles.push(save.job.title);
    server.seen.set(save.editId, server.version);
    if (server.loseAnswers-- > 0) return { kind: 'offline' };
    return { kind: 'sent', version: server.version };
  };
  const summary = (): RoomSummary => ({
    id: 'r-id-1',
    version: server.version,
    title: server.job!.title,
    savedAt: '',
    job: server.job!,
  });
  let ids = 0;
  const retries: (() => void)[] = [];
  const make = () =>
    new Rooms({
      store,
      send,
      fetchRoom: async () => (server.up ? (server.job ? summary() : undefined) : Promise.reject(new Error('down'))),
      newId: () => `id-${++ids}`,
      later: (work) => retries.push(work),
    });
  return {
    store,
    server,
    make,
    waiting: () => outbox.length,
    retry: () => retries.splice(0).forEach((work) => work()),
  };
}

const settle = async () => {
  for (let i = 0; i < 60; i++) await Promise.resolve();
};
const rename = (value: string) => ({ do: 'put' as const, path: 'title' as const, value });

describe('rooms', () => {
  it('send edits in order, each as its own version', async () => {
    const b = bench();
    const rooms = b.make();
    const id = await rooms.create(newRoom('one', 'metric'));
    rooms.dispatch(id, rename('two'));
    rooms.dispatch(id, rename('three'));
    await settle();
    expect(b.server.titles).toEqual(['one', 'two', 'three']);
    expect(rooms.get(id)!.sync).toEqual({ kind: 'sent' });
  });
  it('keep edits while the server is down, over a closed tab, and send them later', async () => {
    const b = bench();
    b.server.up = false;
    const rooms = b.make();
    const id = await rooms.create(newRoom('one', 'metric'));
    rooms.dispatch(id, rename('two'));
    await settle();
    expect(rooms.get(id)!.sync).toEqual({ kind: 'waiting', waiting: 2 });
    const nextTab = b.make();
    await nextTab.open(id);
    expect(nextTab.get(id)!.job.title).toBe('two');
    b.server.up = true;
    nextTab.flush();
    await settle();
    expect(b.server.titles).toEqual(['one', 'two']);
    expect(b.waiting()).toBe(0);
  });
  it('send an edit again when its answer was lost, and it is saved once', async () => {
    const b = bench();
    b.server.loseAnswers = 1;
    const rooms = b.make();
    const id = await rooms.create(newRoom('one', 'metric'));
    await settle();
    expect(rooms.get(id)!.sync.kind).toBe('waiting');
    b.retry();
    await settle();
    expect(b.server.titles).toEqual(['one']);
    expect(rooms.get(id)!.sync.kind).toBe('sent');
  });
  it('refuse a command that would make the room invalid, and change nothing', async () => {
    const b = bench();
    const rooms = b.make();
    const id = await rooms.create(newRoom('one', 'metric'));
    const before = rooms.get(id)!.job;
    expect(rooms.dispatch(id, { do: 'put', path: 'screen.mass', value: -4 })).toMatchObject([{ path: 'screen.mass' }]);
    expect(rooms.get(id)!.job).toBe(before);
  });
  it('two versions: keep mine saves on top of theirs', async () => {
    const { b, rooms, id } = await stale();
    await rooms.keepMine(id);
    await settle();
    expect(b.server.titles).toEqual(['one', 'theirs', 'mine']);
    expect(rooms.get(id)!.sync.kind).toBe('sent');
  });
  it('two versions: take theirs, and undo brings mine back', async () => {
    const { b, rooms, id } = await stale();
    await rooms.takeTheirs(id);
    expect(rooms.get(id)!.job.title).toBe('theirs');
    expect(b.waiting()).toBe(0);
    rooms.step(id, 'undo');
    await settle();
    expect(rooms.get(id)!.job.title).toBe('mine');
    expect(b.server.titles.at(-1)).toBe('mine');
  });
  async function stale() {
    const b = bench();
    const rooms = b.make();
    const id = await rooms.create(newRoom('one', 'metric'));
    await settle();
    b.server.version = 2;
    b.server.job = { ...b.server.job!, title: 'theirs' };
    b.server.titles.push('theirs');
    rooms.dispatch(id, rename('mine'));
    await settle();
    expect(rooms.get(id)!.sync).toMatchObject({ kind: 'stale', theirs: { version: 2 } });
    return { b, rooms, id };
  }
  it('take a newer version from the server when nothing waits here', async () => {
    const b = bench();
    const first = b.make();
    const id = await first.create(newRoom('one', 'metric'));
    await settle();
    b.server.version = 5;
    b.server.job = { ...b.server.job!, title: 'from another device' };
    const later = b.make();
    await later.open(id);
    expect(later.get(id)!.job.title).toBe('from another device');
  });
});
