import fc from 'fast-check';
import { checkFile, job as format, type Job } from '@steddo/contract';
import {
  EMPTY_HISTORY,
  applyChanges,
  changesBetween,
  edit,
  historyOfCommands,
  inverted,
  rebase,
  renamed,
  sameValue,
  stepHistory,
  thingOf,
  valueAt,
  type Command,
} from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { testJob } from './jobs';

const valid = (job: Job) => checkFile(format, job).ok;
const put = (path: string, value: unknown): Command => ({ do: 'put', path, value }) as Command;
const done = (job: Job, ...commands: Command[]) => edit(job, EMPTY_HISTORY, { do: 'all', commands });
const box = { left: 100, right: 200, bottom: 300, top: 400 };

/** Mine made on `base`, theirs saved meanwhile: what comes of the two. */
function meet(base: Job, mine: Command[], theirs: Command[]) {
  const other = done(base, ...theirs).job;
  const pending = mine.map((c, i) => ({ id: `p${i}`, command: c }));
  let now = base;
  const made = pending.map(({ id, command }) => {
    const step = edit(now, EMPTY_HISTORY, command);
    now = step.job;
    return { id, changes: step.changes };
  });
  const merged = rebase(base, other, { pending: made, disputes: [] }, valid);
  const job = applyChanges(
    other,
    merged.pending.flatMap((p) => p.changes),
  );
  return { ...merged, job, theirs: other, mine: now };
}

describe('what was changed between two documents', () => {
  it('is told by field, entries of lists by their id, guesses one by one', () => {
    const base = testJob({
      guessed: ['screen.mass', 'screen.width'],
      evidence: [{ id: 'e1', kind: 'centre', x: 1, y: 2 }],
    });
    const { job } = done(
      base,
      put('screen.mass', 9),
      put('guessed', ['screen.width']),
      put('evidence.e2', { id: 'e2', kind: 'centre', x: 5, y: 6 }),
    );
    expect(changesBetween(base, job).map((c) => c.path.join('/'))).toEqual([
      'screen/mass',
      'evidence/e2',
      'guessed/screen.mass',
    ]);
  });
  it.each([
    ['an entry taken from the middle', [1, 2, 3, 4], [1, 4]],
    ['two put into the middle', [1, 4], [1, 2, 3, 4]],
    ['some gone, some new', [1, 2, 3], [5, 2, 6]],
    ['another order', [1, 2, 3], [3, 2, 1]],
    ['none left', [1, 2], []],
    ['the first of all', [], [1]],
  ])('done and taken back: %s', (_, before, after) => {
    const with_ = (ids: number[]): Job => {
      const { evidence: _evidence, ...job } = testJob();
      return ids.length === 0
        ? job
        : { ...job, evidence: ids.map((n) => ({ id: `e${n}`, kind: 'centre', x: n, y: 0 })) };
    };
    const changes = changesBetween(with_(before), with_(after));
    expect(applyChanges(with_(before), changes)).toEqual(with_(after));
    expect(applyChanges(with_(after), inverted(changes))).toEqual(with_(before));
  });
  it('another mount is one change, another field of the same mount is that field', () => {
    const base = guestRoom;
    const other = { ...base, mount: { ...base.mount!, id: 'other', name: 'Other' } };
    expect(changesBetween(base, other).map((c) => c.path)).toEqual([['mount']]);
    expect(changesBetween(base, { ...base, mount: { ...base.mount!, price: 7 } }).map((c) => c.path)).toEqual([
      ['mount', 'price'],
    ]);
  });
});

describe('two devices', () => {
  it('different things land both', () => {
    const { job, disputes } = meet(
      guestRoom,
      [put('screen.mass', 9), put('room.objects.o8', { id: 'o8', kind: 'outlet', ...box })],
      [put('title', 'Theirs'), put('room.wall.width', 3333)],
    );
    expect(disputes).toEqual([]);
    expect([job.screen.mass, job.title, job.room.wall.width, job.room.objects!.at(-1)!.id]).toEqual([
      9,
      'Theirs',
      3333,
      'o8',
    ]);
  });
  it('the same thing asks, with both values; the rest of the edits stands', () => {
    const { job, disputes } = meet(guestRoom, [put('screen.mass', 9), put('title', 'Mine')], [put('screen.mass', 11)]);
    expect(disputes).toEqual([{ thing: 'screen.mass', changes: [{ path: ['screen', 'mass'], before: 11, after: 9 }] }]);
    expect([job.screen.mass, job.title]).toEqual([11, 'Mine']);
  });
  it('two first choices are two things, and taking one back leaves the other', () => {
    const { choices: _, ...base } = guestRoom;
    const { disputes, job } = meet(base, [put('choices.centreY', 1500)], [put('choices.fold', 'left')]);
    expect([disputes, job.choices]).toEqual([[], { centreY: 1500, fold: 'left' }]);
    const one = done(base, put('choices.fold', 'left'));
    expect(stepHistory(one.job, one.history, 'undo')!.job).toEqual(base);
  });
  it('the same value of the same thing is no question', () => {
    expect(meet(guestRoom, [put('screen.mass', 9)], [put('screen.mass', 9)])).toMatchObject({
      disputes: [],
      pending: [],
    });
  });
  it('sides of one box are one place, whoever moved which', () => {
    const id = guestRoom.room.objects![0]!.id;
    const path = `room.objects.${id}`;
    const { disputes } = meet(guestRoom, [put(`${path}.left`, 10)], [put(`${path}.right`, 3000)]);
    expect(disputes.map((d) => d.thing)).toEqual([`room.objects.${id}.(place)`]);
    const named = meet(guestRoom, [put(`${path}.left`, 10)], [put(`${path}.name`, 'theirs')]);
    expect([named.disputes, named.job.room.objects![0]!.name]).toEqual([[], 'theirs']);
  });
  it('a school and a height by hand are one height', () => {
    const { disputes } = meet(guestRoom, [put('choices.centreY', 1500)], [put('aim.height', 'vote')]);
    expect(disputes.map((d) => d.thing)).toEqual(['(height)']);
  });
  it('what one took away and the other changed asks for the whole of it', () => {
    const id = guestRoom.room.viewers![0]!.id;
    const { disputes } = meet(
      guestRoom,
      [put(`room.viewers.${id}.eye`, 999)],
      [{ do: 'drop', path: `room.viewers.${id}` }],
    );
    expect(disputes).toMatchObject([
      { thing: `room.viewers.${id}`, changes: [{ before: undefined, after: { eye: 999 } }] },
    ]);
  });
  it('two new things with one id land both, mine under another, its own guesses with it', () => {
    const viewer = (name: string) => ({ id: 'v9', name, eye: 1000, distance: 2000 });
    const { job, disputes, renaming } = meet(
      guestRoom,
      [put('room.viewers.v9', viewer('mine')), put('guessed', [...(guestRoom.guessed ?? []), 'room.viewers.v9.eye'])],
      [put('room.viewers.v9', viewer('theirs'))],
    );
    expect(disputes).toEqual([]);
    const names = job.room.viewers!.filter((v) => ['mine', 'theirs'].includes(v.name!)).map((v) => [v.id, v.name]);
    expect(names).toEqual([
      ['v9', 'theirs'],
      ['v2', 'mine'],
    ]);
    expect(job.guessed).toContain('room.viewers.v2.eye');
    expect([...renaming]).toEqual([['v9', 'v2']]);
  });
  it('what each allows by itself and together is not valid becomes a question, and nothing broken is kept', () => {
    const base = testJob({ room: { ...testJob().room, rules: undefined } as Job['room'] });
    const reading = { id: 'z1', ...box };
    const start = done(base, put('room.wall.zones.z1', reading)).job;
    const spoilt = rebase(
      start,
      done(start, put('title', 'theirs')).job,
      { pending: [{ id: 'p', changes: [{ path: ['screen', 'mass'], before: 12, after: -5 }] }], disputes: [] },
      valid,
    );
    expect(spoilt).toMatchObject({ pending: [], disputes: [{ thing: 'screen.mass' }] });
  });
  it('a room made on two devices with nothing in common is one question', () => {
    const mine = { ...guestRoom, title: 'mine' };
    const merged = rebase(
      undefined,
      atticSnug,
      { pending: [{ id: 'p', changes: changesBetween(undefined, mine) }], disputes: [] },
      valid,
    );
    expect(merged).toMatchObject({
      pending: [],
      disputes: [{ thing: '', changes: [{ before: atticSnug, after: mine }] }],
    });
  });
  it('what was done with the new thing afterwards goes with it', () => {
    const { job } = meet(
      guestRoom,
      [put('room.viewers.v9', { id: 'v9', eye: 1000, distance: 2000 }), put('room.viewers.v9.eye', 1111)],
      [put('room.viewers.v9', { id: 'v9', eye: 900, distance: 2100 })],
    );
    expect(job.room.viewers!.slice(-2).map((v) => [v.id, v.eye])).toEqual([
      ['v9', 900],
      ['v2', 1111],
    ]);
  });
  it('an earlier question stays when something else is saved', () => {
    const dispute = { thing: 'screen.mass', changes: [{ path: ['screen', 'mass'], before: 11, after: 9 }] };
    const base = { ...guestRoom, screen: { ...guestRoom.screen, mass: 11 } };
    const merged = rebase(base, { ...base, title: 'other' }, { pending: [], disputes: [dispute] }, valid);
    expect(merged.disputes).toEqual([dispute]);
  });
  it('an earlier question stays while the values differ, and goes when they do not', () => {
    const dispute = { thing: 'screen.mass', changes: [{ path: ['screen', 'mass'], before: 11, after: 9 }] };
    const base = { ...guestRoom, screen: { ...guestRoom.screen, mass: 11 } };
    const at = (mass: number) => ({ ...base, title: 'again', screen: { ...base.screen, mass } });
    const asks = (mass: number) => rebase(base, at(mass), { pending: [], disputes: [dispute] }, valid).disputes;
    expect(asks(10)).toEqual([{ thing: 'screen.mass', changes: [{ path: ['screen', 'mass'], before: 10, after: 9 }] }]);
    expect(asks(9)).toEqual([]);
  });
});

describe('undo', () => {
  it('never takes back what another has changed since, and says what', () => {
    const mine = done(guestRoom, put('screen.mass', 9), put('title', 'Mine'));
    const merged = { ...mine.job, screen: { ...mine.job.screen, mass: 11 } };
    const step = stepHistory(merged, mine.history, 'undo')!;
    expect(step).toMatchObject({ job: merged, changes: [], since: [['screen', 'mass']], history: { undo: [] } });
    const elsewhere = { ...mine.job, room: { ...mine.job.room, wall: { ...mine.job.room.wall, width: 3000 } } };
    expect(stepHistory(elsewhere, mine.history, 'undo')!.job).toMatchObject({
      title: guestRoom.title,
      room: { wall: { width: 3000 } },
    });
  });
  it('kept as commands by an earlier version still goes both ways', () => {
    const one = testJob({ title: 'one' });
    const history = {
      undo: [put('title', 'zero'), put('screen.mass', 5)],
      redo: [put('title', 'three'), put('title', 'two')],
    };
    const kept = historyOfCommands(one, history);
    expect(kept.undo.map((s) => s[0])).toEqual([
      { path: ['title'], before: 'zero', after: 'one' },
      { path: ['screen', 'mass'], before: 5, after: 12 },
    ]);
    expect(kept.redo.map((s) => s[0]!.after)).toEqual(['three', 'two']);
  });
});

/* Three devices, one server, any order: the same document everywhere, and every edit sent, asked about, or overwritten by its own maker. */
type Act = { who: number; what: 'edit' | 'send' | 'choose' | 'lose'; n: number };
const act: fc.Arbitrary<Act> = fc.record({
  who: fc.nat(2),
  what: fc.constantFrom('edit', 'edit', 'send', 'send', 'choose', 'lose'),
  n: fc.nat(999),
});

const EDITS: ((n: number, job: Job) => Command)[] = [
  (n) => put('screen.mass', 5 + (n % 20)),
  (n) => put('title', `title ${n}`),
  (n) => put('room.wall.width', 2000 + n),
  (n) => put('choices.centreY', 1000 + n),
  (n) => put('aim.height', ['eyes', 'vote', 'standing'][n % 3]),
  (n, job) => put(`evidence.${free(job, 'e')}`, { id: free(job, 'e'), kind: 'centre', x: n, y: 1400 }),
  (n, job) => put(`room.objects.${free(job, 'o')}`, { id: free(job, 'o'), kind: 'outlet', ...box, left: n % 90 }),
  (n, job) => ({ do: 'drop', path: `room.objects.${some(job.room.objects, n)}` }) as Command,
  (n, job) => put(`drilled.${job.drilled?.length ?? 0}`, { hole: `h${n % 4}`, x: n, y: 1, result: 'good' }),
  (n, job) => put(`room.objects.${some(job.room.objects, n)}.right`, 250 + n),
];
const free = (job: Job, letter: string) => {
  const used = JSON.stringify(job);
  for (let i = 1; ; i++) if (!used.includes(`"${letter}${i}"`)) return `${letter}${i}`;
};
const some = (list: readonly { id: string }[] | undefined, n: number) => list?.[n % list.length]?.id ?? 'none';

function threeDevices(acts: readonly Act[]) {
  const start = { ...guestRoom, title: 'start' };
  const server = { job: start };
  const device = () => ({
    base: start,
    pending: [] as { id: string; changes: ReturnType<typeof changesBetween> }[],
    disputes: [] as ReturnType<typeof rebase>['disputes'],
  });
  const devices = [device(), device(), device()];
  const seen = new Map<string, Job>();
  const view = (d: (typeof devices)[number]) => {
    const merged = applyChanges(
      d.base,
      d.pending.flatMap((p) => p.changes),
    );
    const all = applyChanges(
      merged,
      d.disputes.flatMap((q) => q.changes),
    );
    return valid(all) ? all : merged;
  };
  let ids = 0;
  const make = (d: (typeof devices)[number], n: number) => {
    const before = view(d);
    if (JSON.stringify(before).includes('"none"')) throw new Error('the room has an entry called none');
    const command = EDITS[n % EDITS.length]!(n, before);
    if (JSON.stringify(command).includes('.none')) return;
    const { changes } = edit(before, EMPTY_HISTORY, command);
    const open = d.disputes.flatMap((q) => q.changes.map((c) => c.path.join('.')));
    if (changes.some((c) => open.includes(c.path.join('.'))) || !valid(applyChanges(before, changes))) return;
    if (changes.length > 0) d.pending.push({ id: `e${++ids}`, changes });
  };
  const take = (d: (typeof devices)[number]) => {
    const merged = rebase(d.base, server.job, d, valid);
    // of every edit each change waits on, is asked about, or is what the server says already
    const now = applyChanges(
      server.job,
      merged.pending.flatMap((p) => p.changes),
    );
    const asked = merged.disputes.map((q) => q.thing);
    const before = renamed(
      d.pending.flatMap((p) => p.changes),
      merged.renaming,
    );
    const wanted = applyChanges(d.base, before);
    for (const { path } of before) {
      const kept = sameValue(valueAt(now, path), valueAt(wanted, path));
      const question = asked.some((t) => `${thingOf(path).join('.')}.`.startsWith(t) || t.startsWith(path.join('.')));
      expect([path, kept || question]).toEqual([path, true]);
    }
    Object.assign(d, { base: server.job, pending: merged.pending, disputes: merged.disputes });
  };
  const send = (d: (typeof devices)[number], lose: boolean) => {
    for (let first = d.pending[0]; first; first = d.pending[0]) {
      const arrived = seen.get(first.id);
      if (!arrived && d.base !== server.job) {
        take(d);
        continue;
      }
      const next = arrived ?? applyChanges(d.base, first.changes);
      expect(valid(next)).toBe(true);
      if (!seen.has(first.id)) {
        server.job = next;
        seen.set(first.id, next);
      }
      if (lose) return;
      d.base = next;
      d.pending.shift();
    }
    if (d.base !== server.job) take(d);
  };
  const choose = (d: (typeof devices)[number], n: number) => {
    const [dispute] = d.disputes;
    if (!dispute) return;
    d.disputes = d.disputes.slice(1);
    const mine = applyChanges(
      applyChanges(
        d.base,
        d.pending.flatMap((p) => p.changes),
      ),
      dispute.changes,
    );
    if (n % 2 === 0 && valid(mine)) d.pending.push({ id: `e${++ids}`, changes: dispute.changes });
  };
  for (const { who, what, n } of acts) {
    const d = devices[who]!;
    if (what === 'edit') make(d, n);
    else if (what === 'choose') choose(d, n);
    else send(d, what === 'lose');
  }
  for (let round = 0; round < 6; round++)
    for (const d of devices) {
      send(d, false);
      while (d.disputes.length > 0) choose(d, round);
    }
  return { devices, server, view };
}

describe('three devices in any order', () => {
  it('end with one document, and with nothing left open', () => {
    fc.assert(
      fc.property(fc.array(act, { minLength: 4, maxLength: 40 }), (acts) => {
        const { devices, server, view } = threeDevices(acts);
        for (const d of devices) {
          expect([d.pending, d.disputes]).toEqual([[], []]);
          expect(view(d)).toEqual(server.job);
        }
      }),
      { numRuns: 150 },
    );
  });
});
