import type { Evidence, Item, Job } from '@steddo/contract';
import fc from 'fast-check';
import { plan } from '../src';
import { testJob, testMount } from './jobs';

/*
 * The solvers against trying everything: none of what they use is used here, only the meaning of
 * the words. Seeds are fixed; a failure names its own.
 */

interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}
const meets = (a: Box, b: Box): boolean =>
  a.left < b.right - 1e-9 && b.left < a.right - 1e-9 && a.bottom < b.top - 1e-9 && b.bottom < a.top - 1e-9;

describe('heights against trying every millimetre', () => {
  const SET = { width: 1118, height: 640 };
  const PLATE = { width: 500, height: 200 };
  /** Bottom edge to plate bottom: 320 - 40 + 10 - 190. */
  const TO_PLATE = 100;
  const WALL_TOP = 2500 - 50 - 25;

  const thing = fc.record({
    kind: fc.constantFrom<Item['kind']>('furniture', 'outlet', 'shelf', 'window', 'data'),
    left: fc.integer({ min: 900, max: 2600 }),
    wide: fc.integer({ min: 60, max: 900 }),
    bottom: fc.integer({ min: 0, max: 2000 }),
    tall: fc.integer({ min: 60, max: 500 }),
  });
  const room = fc.record({
    things: fc.array(thing, { maxLength: 4 }),
    wanted: fc.integer({ min: 300, max: 2200 }),
  });

  function jobOf(
    things: readonly {
      kind: Item['kind'];
      left: number;
      wide: number;
      bottom: number;
      tall: number;
    }[],
    wanted: number,
  ): Job {
    const objects = things.map(({ kind, left, wide, bottom, tall }, i) => ({
      id: `o${i}`,
      kind,
      left,
      right: left + wide,
      bottom,
      top: bottom + tall,
    }));
    return testJob({
      room: { ...testJob().room, objects },
      evidence: [],
      choices: { centreY: wanted },
    });
  }

  /** Whether the set may hang with its centre here: read off the rules, box by box. */
  function mayHang(job: Job, centre: number): boolean {
    const bottom = centre - SET.height / 2;
    const set = {
      left: 2000 - SET.width / 2,
      right: 2000 + SET.width / 2,
      bottom,
      top: bottom + SET.height,
    };
    const plateBottom = bottom + TO_PLATE;
    const plate = {
      left: 2000 - PLATE.width / 2,
      right: 2000 + PLATE.width / 2,
      bottom: plateBottom,
      top: plateBottom + PLATE.height,
    };
    const setMustClear = ['furniture', 'shelf', 'window'];
    if (set.bottom < -1e-9 || set.top > WALL_TOP + 1e-9) return false;
    return (job.room.objects ?? []).every((o) => !(setMustClear.includes(o.kind) && meets(set, o)) && !meets(plate, o));
  }

  it('the height is the free one nearest to the wanted', () => {
    fc.assert(
      fc.property(room, ({ things, wanted }) => {
        const job = jobOf(things, wanted);
        const p = plan(job);
        let best = Infinity;
        for (let y = 300; y <= 2200; y += 1) if (mayHang(job, y)) best = Math.min(best, Math.abs(y - wanted));
        if (p.placement!.conflict) {
          expect(best).toBe(Infinity);
          return;
        }
        expect(mayHang(job, p.placement!.centre.y)).toBe(true);
        expect(Math.abs(p.placement!.centre.y - wanted)).toBeLessThanOrEqual(best + 1e-6);
      }),
      { numRuns: 35 },
    );
  });

  it('the feasible intervals hold just the free heights', () => {
    fc.assert(
      fc.property(room, ({ things, wanted }) => {
        const job = jobOf(things, wanted);
        const { feasible } = plan(job).placement!;
        for (let y = 300.5; y <= 2200; y += 7) {
          const inside = feasible.some(([from, to]) => from <= y && y <= to);
          expect([y, inside]).toEqual([y, mayHang(job, y)]);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('the plate over the studs against trying every tenth of a millimetre and every end of a slot', () => {
  const fixing = testMount.walls['timber-stud']!.fixing!;
  const slots = testMount.plate!.slots!;
  const travel = (60 - fixing.diameter) / 2;

  const marksAt = (xs: readonly number[]): Evidence[] =>
    xs.flatMap((x, s): Evidence[] => [
      { id: `l${s}`, kind: 'edge-left', x: x - 19, y: 1400 },
      { id: `r${s}`, kind: 'edge-right', x: x + 19, y: 1400 },
    ]);

  /** Two studs, each with a slot over it in both rows. */
  function holds(plateX: number, studs: readonly number[]): boolean {
    const served = studs.filter(
      (s) =>
        new Set(slots.filter((slot) => Math.abs(s - plateX - slot.x) <= travel + 1e-6).map((slot) => slot.y)).size ===
        2,
    );
    return served.length >= 2;
  }

  it('shifts the least that serves two studs, or says that the slide is too short', () => {
    const layout = fc.record({
      first: fc.integer({ min: 1650, max: 1950 }),
      pitch: fc.constantFrom(380, 400, 406.4, 420, 440, 600),
      more: fc.boolean(),
    });
    fc.assert(
      fc.property(layout, ({ first, pitch, more }) => {
        const marked = more ? [first, first + pitch, first + 2 * pitch] : [first, first + pitch];
        const p = plan(testJob({ evidence: marksAt(marked) }));
        // where the whole wall's readings put them, close to their marks
        const studs = p.studs!.map((s) => s.centre);
        marked.forEach((x, i) => expect(Math.abs(studs[i]! - x)).toBeLessThan(6));
        const tenths = Array.from({ length: 1201 }, (_, k) => (k - 600) / 10);
        const ends = studs.flatMap((s) => slots.flatMap(({ x }) => [s - x - travel, s - x + travel]));
        const tried = [...tenths, ...ends.map((x) => x - 2000).filter((shift) => Math.abs(shift) <= 60)];
        const least = Math.min(...tried.filter((shift) => holds(2000 + shift, studs)).map(Math.abs));
        if (!p.holes) {
          expect(least).toBe(Infinity);
          expect(p.findings.map((f) => f.code)).toContain('no-stud-in-slots');
          return;
        }
        expect(holds(p.placement!.plate!.x, studs)).toBe(true);
        expect(Math.abs(p.scheme!.shift)).toBeLessThanOrEqual(least + 1e-6);
        expect(Math.abs(p.scheme!.shift)).toBeGreaterThanOrEqual(least - 1e-6);
      }),
      // three studs that a plate could serve only from beyond its slide
      { numRuns: 25, examples: [[{ first: 1712, pitch: 380, more: true }]] },
    );
  });

  it.each([
    // the slots are 200 off the plate's middle at 2000 and play 26; the slide is 60
    ['right', 1900, 2300],
    ['left', 1700, 2100],
  ])('studs too far to the %s: by how much the slide is too short', (_, a, b) => {
    const p = plan(testJob({ evidence: marksAt([a, b]) }));
    const short = p.findings.find((f) => f.code === 'no-stud-in-slots')!.values!.shortMm;
    const off = [1800, 2200].map((slot, i) => Math.abs(p.studs![i]!.centre - slot));
    expect(Math.abs(off[0]! - 100)).toBeLessThan(1);
    expect(short).toBeCloseTo(Math.max(...off) - travel - 60, 6);
  });

  it('an installer’s own plate centre is tried alone', () => {
    const job = testJob({ choices: { plateX: 2010 }, evidence: marksAt([1800, 2200]) });
    const p = plan(job);
    expect(p.placement!.plate!.x).toBe(2010);
    expect(p.holes).toHaveLength(4);
    const far = plan(testJob({ choices: { plateX: 2070 }, evidence: marksAt([1800, 2200]) }));
    expect(far.findings.map((f) => f.code)).toEqual(expect.arrayContaining(['plate-beyond-slide', 'no-stud-in-slots']));
  });
});
