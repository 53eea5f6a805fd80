import fc from 'fast-check';
import { guestRoom, atticSnug, demoCatalogue } from '@steddo/samples';
import {
  applyCommand,
  changedFields,
  comparedOf,
  followHeightRule,
  moveBox,
  moveFloor,
  offeredHeights,
  plan,
  rankMounts,
  removeEntry,
  snapBox,
  tapeOf,
} from '../src';

const METRIC = tapeOf('metric');
const box = (left: number, right: number, bottom: number, top: number) => ({ left, right, bottom, top });

describe('snapping', () => {
  const shelf = box(1000, 2000, 900, 950);
  it('pulls an edge to an edge, a middle to a middle, and says where', () => {
    const edge = snapBox(box(2004, 2104, 200, 300), [shelf], 10, METRIC);
    expect(edge).toEqual({ box: box(2000, 2100, 200, 300), guides: [{ axis: 'x', at: 2000 }] });
    const middle = snapBox(box(1453, 1553, 200, 300), [shelf], 10, METRIC);
    expect(middle).toEqual({ box: box(1450, 1550, 200, 300), guides: [{ axis: 'x', at: 1500 }] });
    const along = snapBox(box(300, 400, 957, 1000), [shelf], 10, METRIC);
    expect(along).toEqual({ box: box(300, 400, 950, 993), guides: [{ axis: 'y', at: 950 }] });
  });
  it('out of reach it goes to the tape’s division', () => {
    const far = snapBox(box(2010.4, 2110.4, 200.6, 300.6), [shelf], 10, METRIC);
    expect(far).toEqual({ box: box(2010, 2110, 201, 301), guides: [] });
  });
  it('never changes a size, and never pulls further than its reach (seeded)', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 1, max: 900 }));
    const anyBox = fc.tuple(span, span).map(([[x, w], [y, h]]) => box(x, x + w, y, y + h));
    fc.assert(
      fc.property(
        anyBox,
        fc.array(anyBox, { maxLength: 5 }),
        fc.integer({ min: 1, max: 40 }),
        (moved, others, reach) => {
          const { box: at, guides } = snapBox(moved, others, reach, METRIC);
          expect(at.right - at.left).toBeCloseTo(moved.right - moved.left, 9);
          expect(at.top - at.bottom).toBeCloseTo(moved.top - moved.bottom, 9);
          expect(Math.abs(at.left - moved.left)).toBeLessThanOrEqual(reach);
          // a guide lies on a line of the moved thing and on a line of another
          const lines = (a: number, b: number) => [a, b, (a + b) / 2];
          for (const g of guides) {
            const of = (b: typeof moved) => (g.axis === 'x' ? lines(b.left, b.right) : lines(b.bottom, b.top));
            expect(of(at).some((v) => Math.abs(v - g.at) < 1e-9)).toBe(true);
            expect(others.flatMap(of)).toContain(g.at);
          }
        },
      ),
      { seed: 31, numRuns: 300 },
    );
  });
});

describe('editing the room', () => {
  const guessed = ['room.objects.o1.left', 'room.objects.o1.top', 'aim.height'];
  const job = { ...guestRoom, guessed };
  it('a thing that was moved is no guess any more; what else is guessed stays', () => {
    const after = applyCommand(job, moveBox(job, 'room.objects.o1', box(10, 20, 30, 40))).job;
    expect(after.room.objects!.find((o) => o.id === 'o1')).toMatchObject(box(10, 20, 30, 40));
    expect(after.guessed).toEqual(['aim.height']);
  });
  it('a thing on the floor keeps its depth, and nothing goes through the wall', () => {
    const sofa = { id: 'f1', kind: 'sofa', left: 0, right: 900, near: 2000, far: 2900, height: 800 };
    const room = { ...guestRoom, room: { ...guestRoom.room, floor: [sofa] } };
    const to = (bottom: number, top: number) =>
      applyCommand(room, moveFloor(room, 'room.floor.f1', box(100, 1000, bottom, top))).job.room.floor![0];
    expect(to(-2700, -1800)).toEqual({ ...sofa, left: 100, right: 1000, near: 1800, far: 2700 });
    expect(to(-800, 100)).toMatchObject({ near: 0, far: 900 });
  });
  it('a thing that is taken away takes its guesses along, and undo brings both back', () => {
    const gone = applyCommand(job, removeEntry(job, 'room.objects.o1'));
    expect(gone.job.room.objects!.some((o) => o.id === 'o1')).toBe(false);
    expect(gone.job.guessed).toEqual(['aim.height']);
    expect(applyCommand(gone.job, gone.inverse).job).toEqual(job);
  });
  it('the first entry of a list, undone, leaves no empty list behind', () => {
    const bare = { ...guestRoom, room: { ...guestRoom.room } };
    delete bare.room.floor;
    const sofa = { id: 'f1', kind: 'sofa', left: 0, right: 900, near: 2000, far: 2900, height: 800 };
    const put = applyCommand(bare, { do: 'put', path: 'room.floor.f1', value: sofa });
    expect(applyCommand(put.job, put.inverse).job).toEqual(bare);
  });
  it('following a school lets go of the height by hand', () => {
    const hand = { ...guestRoom, choices: { ...guestRoom.choices, centreY: 1500 } };
    const after = applyCommand(hand, followHeightRule(hand, 'eyes')).job;
    expect([after.aim.height, after.choices?.centreY]).toEqual(['eyes', undefined]);
  });
  it('names what has changed between two versions by its path, lists whole', () => {
    expect(changedFields({ a: 1, b: { c: 2 } }, { a: 1, b: { c: 3 } })).toEqual(['b.c']);
    expect(changedFields({ a: [1, 2] }, { a: [1, 3], d: 4 })).toEqual(['a', 'd']);
    expect(changedFields({ a: { x: 1 } }, { a: { x: 1 } })).toEqual([]);
  });
});

describe('heights for the customer', () => {
  it('two or three, the one that stands first, each possible and each different to the eye', () => {
    for (const job of [guestRoom, atticSnug]) {
      const offers = offeredHeights(job);
      expect(offers.length).toBeGreaterThanOrEqual(2);
      expect(offers.length).toBeLessThanOrEqual(3);
      expect(offers[0]).toMatchObject({ chosen: true, school: job.aim.height });
      const ys = offers.map((o) => o.plan.placement!.centre.y);
      for (const [i, y] of ys.entries())
        for (const other of ys.slice(i + 1)) expect(Math.abs(y - other)).toBeGreaterThanOrEqual(30);
      expect(offers.every((o) => o.plan.placement!.conflict === undefined)).toBe(true);
      // what is offered is what taking it gives
      for (const o of offers) expect(plan(o.job).placement!.centre.y).toBe(o.plan.placement!.centre.y);
    }
  });
  it('a height by hand is offered as it is; where nothing fits there is nothing to offer', () => {
    const hand = { ...guestRoom, choices: { ...guestRoom.choices, centreY: 1600 } };
    expect(offeredHeights(hand)[0]).toMatchObject({ key: 'chosen', heading: 'chosen', chosen: true });
    const shelf = { id: 'o9', kind: 'cabinet' as const, left: 0, right: 3600, bottom: 200, top: 2300 };
    const full = { ...guestRoom, room: { ...guestRoom.room, objects: [...guestRoom.room.objects!, shelf] } };
    expect(offeredHeights(full)).toEqual([]);
  });
});

describe('mounts side by side', () => {
  it('margin is rating less mass, swivel the lesser side, and the label’s silence stays silence', () => {
    const arm = demoCatalogue.mounts.find((m) => m.id === 'pintle-2')!;
    const lame = { ...arm, swivel: { left: 60, right: 45 } };
    const [ranked] = rankMounts([lame], guestRoom);
    expect(comparedOf(lame, 8.6, ranked!)).toMatchObject({
      folded: 66,
      extended: 520,
      swivel: 45,
      studs: 1,
      massMargin: 35 - 8.6,
      verdict: ranked!.verdict,
    });
    const label = demoCatalogue.mounts.find((m) => !m.plate && !m.tilt)!;
    const silent = comparedOf(label, 8.6, rankMounts([label], guestRoom)[0]!);
    expect(silent).not.toHaveProperty('tiltDown');
    // its plate is not measured: nothing is said of its fixings
    expect(silent).not.toHaveProperty('load');
  });
});
