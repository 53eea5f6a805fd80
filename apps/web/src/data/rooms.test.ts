/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Job } from '@steddo/contract';
import { atRest, testDevice } from '../testing/device';
import { MemoryServer } from '../testing/memoryServer';
import type { LocalStore } from './localStore';
import { newRoom } from './newRoom';
import { syncOf } from './rooms';

const put = (path: string, value: unknown) => ({ do: 'put' as const, path: path as 'title', value });
const rename = (value: string) => put('title', value);
const withMass = (mass: number) => (job: Job) => ({ ...job, screen: { ...job.screen, mass } });

async function bench() {
  const server = new MemoryServer();
  const device = testDevice(server);
  const tab = device.tab();
  const id = await tab.rooms.create(newRoom('one', 'metric'));
  await atRest();
  const kind = (rooms = tab.rooms) => syncOf(rooms.get(id)!).kind;
  return { server, device, ...tab, id, kind };
}

describe('rooms', () => {
  it('send edits in order, each as its own version', async () => {
    const b = await bench();
    b.rooms.dispatch(b.id, rename('two'));
    b.rooms.dispatch(b.id, rename('three'));
    await atRest();
    expect(b.server.titles(b.id)).toEqual(['one', 'two', 'three']);
    expect(b.kind()).toBe('sent');
  });
  it('say that it is on this device only when the store has it', async () => {
    const server = new MemoryServer();
    const device = testDevice(server);
    let letGo = () => {};
    const gate = new Promise<void>((resolve) => (letGo = resolve));
    const tab = device.tab((store) => ({
      ...store,
      commit: async (room, waiting) => {
        if (room.job.title === 'two') await gate;
        return store.commit(room, waiting);
      },
    }));
    const id = await tab.rooms.create(newRoom('one', 'metric'));
    await atRest();
    tab.rooms.dispatch(id, rename('two'));
    await atRest();
    expect(syncOf(tab.rooms.get(id)!).kind).toBe('saving');
    letGo();
    await atRest();
    expect(syncOf(tab.rooms.get(id)!).kind).toBe('sent');
  });
  it('keep edits while the server is down, over a closed tab, and send them later', async () => {
    const b = await bench();
    b.server.obstacle = { why: 'no-server' };
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    expect(syncOf(b.rooms.get(b.id)!)).toEqual({ kind: 'waiting', waiting: 1, obstacle: { why: 'no-server' } });
    const next = b.device.tab();
    await next.rooms.open(b.id);
    expect(next.rooms.get(b.id)!.job.title).toBe('two');
    b.server.obstacle = undefined;
    next.rooms.flush();
    await atRest();
    expect(b.server.titles(b.id)).toEqual(['one', 'two']);
  });
  it('send an edit again when its answer was lost, and it is saved once', async () => {
    const b = await bench();
    b.server.loseAnswers = 1;
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    b.device.retry();
    await atRest();
    expect(b.server.titles(b.id)).toEqual(['one', 'two']);
    expect(b.kind()).toBe('sent');
  });
  it('refuse a command that would make the room invalid, and change nothing', async () => {
    const b = await bench();
    const before = b.rooms.get(b.id)!.job;
    expect(b.rooms.dispatch(b.id, put('screen.mass', -4))).toMatchObject([{ path: 'screen.mass' }]);
    expect(b.rooms.get(b.id)!.job).toBe(before);
  });
  it('take a newer version from the server when nothing waits here', async () => {
    const b = await bench();
    b.server.saveElsewhere(b.id, (job) => ({ ...job, title: 'from another device' }), ['title']);
    const next = b.device.tab();
    await next.rooms.open(b.id);
    await atRest();
    expect(next.rooms.get(b.id)!.job.title).toBe('from another device');
  });
});

describe('what the server has of a room', () => {
  it('is asked for again when it could not be as somebody told of it', async () => {
    const b = await bench();
    b.server.saveElsewhere(b.id, withMass(11), ['screen.mass']);
    b.server.obstacle = { why: 'no-server' };
    await b.rooms.refetch(b.id);
    b.device.retry();
    await atRest();
    expect(b.rooms.get(b.id)!.job.screen.mass).not.toBe(11);
    b.server.obstacle = undefined;
    b.device.retry();
    await atRest();
    expect(b.rooms.get(b.id)!.job.screen.mass).toBe(11);
    // and not for ever
    b.server.saveElsewhere(b.id, withMass(12), ['screen.mass']);
    b.rooms.catchUp();
    await atRest();
    expect(b.rooms.get(b.id)!.job.screen.mass).toBe(11);
  });
  it('opens a room that is not on this device as soon as there is a server', async () => {
    const b = await bench();
    const other = testDevice(b.server, 'the other phone');
    b.server.obstacle = { why: 'no-server' };
    const { rooms } = other.tab();
    expect(await rooms.open(b.id)).toBe('no-server');
    b.server.obstacle = undefined;
    other.retry();
    await atRest();
    expect(rooms.get(b.id)!.job.title).toBe('one');
  });
  it('does not put back what was sent after it was asked for', async () => {
    const b = await bench();
    let come = () => {};
    b.server.slowAnswer = new Promise<void>((resolve) => (come = resolve));
    b.server.saveElsewhere(b.id, withMass(11), ['screen.mass']);
    const fetched = b.rooms.refetch(b.id);
    await atRest();
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    b.server.saveElsewhere(b.id, withMass(12), ['screen.mass']);
    b.server.slowAnswer = undefined;
    come();
    await fetched;
    await atRest();
    expect(b.rooms.get(b.id)!.job).toMatchObject({ title: 'two', screen: { mass: 12 } });
  });
  it('may come late: two answers in the wrong order leave the later one', async () => {
    const b = await bench();
    let come = () => {};
    b.server.slowAnswer = new Promise<void>((resolve) => (come = resolve));
    b.server.saveElsewhere(b.id, withMass(11), ['screen.mass']);
    const earlier = b.rooms.refetch(b.id);
    await atRest();
    b.server.slowAnswer = undefined;
    b.server.saveElsewhere(b.id, withMass(12), ['screen.mass']);
    await b.rooms.refetch(b.id);
    expect(b.rooms.get(b.id)!.job.screen.mass).toBe(12);
    come();
    await earlier;
    await atRest();
    expect(b.rooms.get(b.id)!.job.screen.mass).toBe(12);
  });
});

describe('a tab that ends between a tap and the store', () => {
  it.each(['do', 'undo', 'redo'] as const)('%s: the journal has it, once, and undo goes on from there', async (way) => {
    const b = await bench();
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    if (way === 'redo') b.rooms.step(b.id, 'undo');
    await atRest();
    if (way === 'do') b.rooms.dispatch(b.id, rename('three'));
    else b.rooms.step(b.id, way);
    // the next tab opens before anything of it has reached the store
    const next = b.device.tab();
    await next.rooms.takeTurn(b.id);
    await atRest();
    const title = { do: 'three', undo: 'one', redo: 'two' }[way];
    expect(next.rooms.get(b.id)!.job.title).toBe(title);
    expect(b.server.latest(b.id)!.title).toBe(title);
    expect(Object.keys(b.device.storage)).toEqual([]);
    next.rooms.step(b.id, way === 'undo' ? 'redo' : 'undo');
    expect(next.rooms.get(b.id)!.job.title).toBe({ do: 'two', undo: 'two', redo: 'one' }[way]);
  });
  it('a new room too', async () => {
    const server = new MemoryServer();
    const device = testDevice(server);
    void device.tab().rooms.create(newRoom('made at the last moment', 'metric'));
    const next = device.tab();
    await next.rooms.recover();
    await atRest();
    const [room] = await next.store.rooms();
    expect([room!.job.title, server.titles(room!.id)]).toEqual([
      'made at the last moment',
      ['made at the last moment'],
    ]);
  });
  it('what the store has is not done twice', async () => {
    const b = await bench();
    const entry = { roomId: b.id, editId: 'x', n: 1, way: 'do', changes: [{ path: ['title'], after: 'old news' }] };
    b.device.storage.setItem(`steddo:edit:${b.id}:000000001`, JSON.stringify(entry));
    const next = b.device.tab();
    await next.rooms.takeTurn(b.id);
    expect(next.rooms.get(b.id)!.job.title).toBe('one');
  });
});

describe('two devices', () => {
  async function both(mine: ReturnType<typeof put>, theirs: (job: Job) => Job, touched: string[]) {
    const b = await bench();
    b.server.saveElsewhere(b.id, theirs, touched);
    b.rooms.dispatch(b.id, mine);
    await atRest();
    return b;
  }
  it('different things land both, without a question', async () => {
    const b = await both(rename('mine'), withMass(9), ['screen.mass']);
    expect(b.server.latest(b.id)!.job).toMatchObject({ title: 'mine', screen: { mass: 9 } });
    expect(b.rooms.get(b.id)!.job).toMatchObject({ title: 'mine', screen: { mass: 9 } });
    expect(b.kind()).toBe('sent');
  });
  it('the same thing asks, with who and when; the server keeps theirs meanwhile', async () => {
    const b = await both(put('screen.mass', 9), withMass(11), ['screen.mass']);
    expect(b.rooms.get(b.id)!.disputes).toEqual([
      {
        thing: 'screen.mass',
        changes: [{ path: ['screen', 'mass'], before: 11, after: 9 }],
        who: 'the other phone',
        when: '2026-03-14T09:30:00Z',
      },
    ]);
    expect([b.kind(), b.rooms.get(b.id)!.job.screen.mass, b.server.latest(b.id)!.job.screen.mass]).toEqual([
      'disputed',
      9,
      11,
    ]);
  });
  it('a question outlives the tab', async () => {
    const b = await both(put('screen.mass', 9), withMass(11), ['screen.mass']);
    const next = b.device.tab();
    await next.rooms.takeTurn(b.id);
    expect(next.rooms.get(b.id)!.disputes).toHaveLength(1);
    expect(next.rooms.get(b.id)!.job.screen.mass).toBe(9);
  });
  it.each([
    ['mine', 9],
    ['theirs', 11],
  ] as const)(
    'keeping %s settles it on both sides; theirs comes back with undo where it was taken',
    async (whose, mass) => {
      const b = await both(put('screen.mass', 9), withMass(11), ['screen.mass']);
      expect(b.rooms.choose(b.id, 'screen.mass', whose)).toEqual([]);
      await atRest();
      expect([b.rooms.get(b.id)!.job.screen.mass, b.server.latest(b.id)!.job.screen.mass]).toEqual([mass, mass]);
      expect([b.rooms.get(b.id)!.disputes, b.kind()]).toEqual([[], 'sent']);
      if (whose !== 'theirs') return;
      b.rooms.step(b.id, 'undo');
      await atRest();
      expect(b.server.latest(b.id)!.job.screen.mass).toBe(9);
    },
  );
  it('going on with what is disputed changes mine, and sends nothing of it', async () => {
    const b = await both(put('screen.mass', 9), withMass(11), ['screen.mass']);
    b.rooms.dispatch(b.id, put('screen.mass', 8));
    await atRest();
    expect([b.rooms.get(b.id)!.disputes[0]!.changes[0]!.after, b.server.latest(b.id)!.job.screen.mass]).toEqual([
      8, 11,
    ]);
  });
  it('undo does not take back what the other has changed since, and says so', async () => {
    const b = await bench();
    b.rooms.dispatch(b.id, put('screen.mass', 9));
    await atRest();
    b.server.saveElsewhere(b.id, withMass(12), ['screen.mass']);
    await b.rooms.refetch(b.id);
    await atRest();
    b.rooms.step(b.id, 'undo');
    expect(b.rooms.get(b.id)).toMatchObject({ job: { screen: { mass: 12 } }, notUndone: [['screen', 'mass']] });
    b.rooms.noteRead(b.id);
    expect(b.rooms.get(b.id)!.notUndone).toBeUndefined();
  });
  it('200 choices that a closing tab interrupts are made, or are still to be made', async () => {
    const b = await both(put('screen.mass', 9), withMass(11), ['screen.mass']);
    let { rooms } = b;
    for (let i = 0; i < 200; i++) {
      const whose = i % 3 === 0 ? 'theirs' : 'mine';
      rooms.choose(b.id, 'screen.mass', whose);
      for (let turn = 0; turn < i % 9; turn++) await new Promise((resolve) => setImmediate(resolve));
      const next = b.device.tab();
      await next.rooms.takeTurn(b.id);
      await atRest();
      const state = next.rooms.get(b.id)!;
      if (state.disputes.length > 0) expect(state.disputes[0]!.changes[0]!.after).toBe(state.job.screen.mass);
      else {
        expect(b.server.latest(b.id)!.job.screen.mass).toBe(state.job.screen.mass);
        b.server.saveElsewhere(b.id, withMass(20 + i), ['screen.mass']);
        next.rooms.dispatch(b.id, put('screen.mass', 300 + i));
        await atRest();
        expect(next.rooms.get(b.id)!.disputes).toHaveLength(1);
      }
      rooms = next.rooms;
    }
  }, 30_000);
});

describe('a server that is not the one it was', () => {
  it('emptied: said, and one choice sends the room there again', async () => {
    const b = await bench();
    b.server.rooms.clear();
    b.server.database = 'database-2';
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    expect(syncOf(b.rooms.get(b.id)!)).toMatchObject({ kind: 'lost', lost: { kind: 'unknown' } });
    b.rooms.settleLost(b.id, 'mine');
    await atRest();
    expect([b.kind(), b.server.titles(b.id)]).toEqual(['sent', ['two']]);
    b.rooms.dispatch(b.id, rename('three'));
    await atRest();
    expect([b.kind(), b.server.latest(b.id)!.title]).toEqual(['sent', 'three']);
  });
  it('emptied: sent there again from the list, while the sender is still asking for it', async () => {
    const b = await bench();
    b.server.rooms.clear();
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    expect(b.kind()).toBe('lost');
    // sending asks whether the room is back, and gets its answer late
    let answer = () => {};
    b.server.held = new Promise<void>((resolve) => (answer = resolve));
    b.rooms.flush();
    await atRest();
    const again = b.rooms.sendAgain(b.id);
    await atRest();
    answer();
    expect(await again).toBe(true);
    await atRest();
    expect([b.kind(), b.server.titles(b.id)]).toEqual(['sent', ['two']]);
  });
  it('emptied: sent there again by a tab that has not heard of it', async () => {
    const b = await bench();
    b.server.rooms.clear();
    const next = b.device.tab();
    expect(await next.rooms.sendAgain(b.id)).toBe(true);
    await atRest();
    expect([b.kind(next.rooms), b.server.titles(b.id)]).toEqual(['sent', ['one']]);
  });
  it('another server for a while: when the right one answers again nobody has to choose', async () => {
    const b = await bench();
    const right = b.server.rooms;
    b.server.rooms = new Map();
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    expect(b.kind()).toBe('lost');
    b.server.rooms = right;
    b.device.retry();
    await atRest();
    expect([b.kind(), b.server.titles(b.id)]).toEqual(['sent', ['one', 'two']]);
  });
  it.each([
    ['mine', 'three'],
    ['theirs', 'one'],
  ] as const)('a backup put back: noticed when the room is opened, and %s settles it', async (whose, title) => {
    const b = await bench();
    b.rooms.dispatch(b.id, rename('two'));
    b.rooms.dispatch(b.id, rename('three'));
    await atRest();
    const kept = b.server.rooms.get(b.id)!;
    kept.revisions = kept.revisions.slice(0, 1);
    await b.rooms.open(b.id);
    expect(b.kind()).toBe('lost');
    b.rooms.settleLost(b.id, whose);
    await atRest();
    expect([b.kind(), b.server.latest(b.id)!.title, b.rooms.get(b.id)!.job.title]).toEqual(['sent', title, title]);
  });
  it('the same version number under another mark is not taken for the same', async () => {
    const b = await bench();
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    const kept = b.server.rooms.get(b.id)!;
    kept.revisions = kept.revisions.slice(0, 1);
    b.server.saveElsewhere(b.id, (job) => ({ ...job, title: 'other two' }), ['title']);
    b.rooms.dispatch(b.id, rename('three'));
    await atRest();
    expect(syncOf(b.rooms.get(b.id)!)).toMatchObject({
      kind: 'lost',
      lost: { kind: 'older', theirs: { title: 'other two' } },
    });
  });
  it('a room taken away elsewhere while something waits here asks', async () => {
    const b = await bench();
    await b.server.act(b.id, 'delete');
    b.rooms.dispatch(b.id, rename('two'));
    await atRest();
    expect(syncOf(b.rooms.get(b.id)!)).toMatchObject({ kind: 'lost', lost: { kind: 'deleted' } });
    b.rooms.settleLost(b.id, 'mine');
    await atRest();
    expect([b.kind(), b.server.latest(b.id)!.title]).toEqual(['sent', 'two']);
  });
});

describe('a device that cannot write', () => {
  const refusing = (name: string, when: () => boolean) => (store: LocalStore) => ({
    ...store,
    commit: (...args: Parameters<LocalStore['commit']>) =>
      when() ? Promise.reject(Object.assign(new Error(name), { name })) : store.commit(...args),
  });
  it('says so, sends from memory, and keeps it as soon as it can', async () => {
    const server = new MemoryServer();
    const device = testDevice(server);
    let full = false;
    const tab = device.tab(refusing('QuotaExceededError', () => full));
    const id = await tab.rooms.create(newRoom('one', 'metric'));
    await atRest();
    full = true;
    tab.rooms.dispatch(id, rename('two'));
    await atRest();
    expect(syncOf(tab.rooms.get(id)!)).toEqual({ kind: 'memory', trouble: 'full', sent: true });
    expect(server.latest(id)!.title).toBe('two');
    full = false;
    device.retry();
    await atRest();
    expect(syncOf(tab.rooms.get(id)!).kind).toBe('sent');
    expect((await tab.store.room(id))!.room.job.title).toBe('two');
  });
  it('never says that it is on this device when neither device nor server has it', async () => {
    const server = new MemoryServer();
    const device = testDevice(server);
    const tab = device.tab(refusing('UnknownError', () => true));
    server.obstacle = { why: 'no-server' };
    const id = await tab.rooms.create(newRoom('one', 'metric'));
    await atRest();
    expect(syncOf(tab.rooms.get(id)!)).toEqual({ kind: 'memory', trouble: 'refused', sent: false });
  });
});

describe('taking a room away', () => {
  it('is undone within thirty days, here and on the server', async () => {
    const b = await bench();
    await b.rooms.remove(b.id);
    await atRest();
    expect(b.server.latest(b.id)).toBeUndefined();
    expect(await b.rooms.open(b.id)).toBe('deleted');
    await b.rooms.takeBack(b.id);
    await atRest();
    expect([b.server.latest(b.id)!.title, b.kind()]).toEqual(['one', 'sent']);
  });
  it('is undone while it is still being taken away on the server', async () => {
    const b = await bench();
    let answer = () => {};
    b.server.held = new Promise<void>((resolve) => (answer = resolve));
    await b.rooms.remove(b.id);
    await atRest();
    const back = b.rooms.takeBack(b.id);
    await atRest();
    answer();
    expect(await back).toBe(true);
    await atRest();
    expect([b.rooms.get(b.id)!.deletedAt, b.server.latest(b.id)!.title, b.kind()]).toEqual([undefined, 'one', 'sent']);
  });
});
