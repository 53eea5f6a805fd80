import type { Item, Job, Working } from '@steddo/contract';
import { plan } from '../src/plan';
import { evaluate, leaves } from '../src/primitives/working';
import { clearanceOf } from '../src/special/mantelClearance';
import { boltLineOf, boltPlaces, boltRow, leastHeight, timberOf } from '../src/special/mantelTimber';
import { markedJoints } from '../src/wall/markedJoints';
import { testJob } from './jobs';

const INCH = 25.4;
const opening: Item = { id: 'fire', kind: 'opening', left: 1000, right: 2000, bottom: 0, top: 800 };

/** A shelf so far above the opening and so far out, in. */
const above = (upIn: number, outIn: number, asideIn = 0): Item => ({
  ...{ id: 'm', kind: 'mantel', left: asideIn > 0 ? 2000 + asideIn * INCH : 900, right: 2400 },
  ...{ bottom: 800 + upIn * INCH, top: 900 + upIn * INCH, out: outIn * INCH },
});

describe('what burns over a masonry fireplace (IRC R1001.11, from memory)', () => {
  it.each([
    [5.99, 0.1, 'stop'],
    [6, 0.75, 'go'],
    [6, 0.76, 'stop'],
    [10, 1.25, 'go'],
    [10, 1.26, 'stop'],
    [11.99, 1.498, 'go'],
    [11.99, 1.5, 'stop'],
    [12, 30, 'go'],
  ])('%s in above, %s in out: %s', (up, out, verdict) => {
    expect(clearanceOf(opening, above(up, out), undefined)!.verdict).toBe(verdict);
  });
  it('an eighth of the distance: 1.499 in at 11.99, and 6 up and 6 aside are 8.485 in away, 1.061 out', () => {
    expect(clearanceOf(opening, above(11.99, 1), undefined)!.allowed! / INCH).toBeCloseTo(1.499, 3);
    const corner = clearanceOf(opening, above(6, 1, 6), undefined)!;
    expect(corner.distance / INCH).toBeCloseTo(8.485, 3);
    expect(corner.allowed! / INCH).toBeCloseTo(1.061, 3);
  });
  it('a local figure takes the place of the 6 in, and the eighth still holds to 12 in', () => {
    expect(clearanceOf(opening, above(8, 0.5), 9 * INCH)!.verdict).toBe('stop');
    expect(clearanceOf(opening, above(10, 1.26), 9 * INCH)!.verdict).toBe('stop');
    expect(clearanceOf(opening, above(5, 0.6), 4 * INCH)!.verdict).toBe('go');
    expect(clearanceOf(opening, above(5, 0.7), 4 * INCH)!.verdict).toBe('stop');
    expect(clearanceOf(opening, above(13, 9), 14 * INCH)!.verdict).toBe('stop');
  });
  it('a stove: no figure, no go; what is below it does not count; nobody measured: a caution', () => {
    const stove: Item = { ...opening, kind: 'stove' };
    expect(clearanceOf(stove, above(40, 1), undefined)!.verdict).toBe('stop');
    expect(clearanceOf(stove, above(16, 9), 400)!.verdict).toBe('go');
    expect(clearanceOf(stove, above(15, 9), 400)!.verdict).toBe('stop');
    expect(clearanceOf({ ...opening, bottom: 950, top: 1200 }, above(1, 9), undefined)).toBeUndefined();
    const { out: _, ...unmeasured } = above(8, 1);
    expect(clearanceOf(opening, unmeasured, undefined)!.verdict).toBe('caution');
  });
});

const brick = { kind: 'masonry', masonry: 'brick', unit: { width: 215, height: 65, joint: 10 } } as const;
/** Beds at 1195 and every 75 (middles 1232.5, 1307.5); in the course of 1232.5 units of 215 begin at 1000. */
const joints = markedJoints(brick, [
  { id: 'a', kind: 'joint', x: 1000, y: 1195, runs: 'horizontal' },
  { id: 'b', kind: 'joint', x: 995, y: 1232, runs: 'vertical' },
])!;
const mantel: Item = { id: 'm', kind: 'mantel', left: 800, right: 2200, bottom: 1200, top: 1350, topThickness: 25 };
const ledger = { length: 1300, height: 90, thickness: 45, diameter: 8 };

describe('the timber of a hollow mantel', () => {
  it('lies under the top board: 1350 less 25, 90 tall', () => {
    expect(timberOf(mantel, ledger)).toEqual({ left: 850, right: 2150, bottom: 1235, top: 1325 });
  });
  it('has its bolts 1.5 diameters over its lower edge and 4 under its upper: none suits 90, one 120', () => {
    const low = timberOf(mantel, ledger);
    expect(boltLineOf(low, 8)).toEqual({ from: 1247, to: 1293 });
    expect(boltRow(low, 8, joints)).toBeUndefined();
    const high = timberOf(mantel, { ...ledger, height: 120 });
    expect(high.bottom).toBe(1205);
    expect(boltRow(high, 8, joints)!.y).toBeCloseTo(1232.5, 9);
    // by hand: a lower edge at 1230.5 lets a bolt be at 1242.5, ten off the middle of its course
    expect(leastHeight(low, 8, joints)).toBe(95);
  });
  it('takes the course above its middle where it may choose', () => {
    const tall = { left: 850, right: 2150, bottom: 1150, top: 1390 };
    expect(boltRow(tall, 8, joints)!.y).toBeCloseTo(1307.5, 9);
  });
  it('has its middle bolt in the unit nearest to its middle: 1557.5 for 1500; the others in whole units at its ends', () => {
    const timber = timberOf(mantel, { ...ledger, height: 120 });
    const places = boltPlaces(timber, 1232.5, 8, joints);
    expect(places.map((x) => Number(x.toFixed(6)))).toEqual([1557.5, 1107.5, 2007.5]);
    for (const x of places) expect((x - 1000 - 107.5) / 225).toBeCloseTo(Math.round((x - 1107.5) / 225), 9);
  });
  it('leaves the unit that was hollow, and takes the next one', () => {
    const job = fireJob({ mass: 20, out: 200 }, { height: 120 });
    const [middle] = plan(job).mantel!.holes!;
    const met = { hole: 'm1', x: middle!.x, y: middle!.y, into: 'masonry' as const, result: 'hollow' as const };
    const after = plan({ ...job, drilled: [met] }).mantel!.holes!;
    expect(after[0]!.x).toBeCloseTo(middle!.x - 225, 6);
    expect(after.map((h) => h.done)).toEqual([false, false, false]);
  });
  it('carries its shell at half its depth by a quarter of the rating; by hand', () => {
    const job = fireJob({ mass: 20, out: 200 }, { height: 120 });
    const { load, holes } = plan(job).mantel!;
    const weight = 20 * 9.80665;
    expect(holes).toHaveLength(3);
    expect(load!.shear).toBeCloseTo(weight / 3, 6);
    expect(load!.tension).toBeCloseTo((weight * 100) / (3 * 27.5), 6);
    expect(load!.utilisation).toBeCloseTo(load!.tension / 900 + load!.shear / 1050, 9);
  });
  it('says each bolt’s place as a sum from the joints that were marked', () => {
    const job = fireJob({ mass: 20, out: 200 }, { height: 120 });
    const marks = job.evidence!.filter((e) => e.kind === 'joint');
    for (const { x, y, workings } of plan(job).mantel!.holes!) {
      expect(evaluate(workings.x)).toBeCloseTo(x, 9);
      expect(evaluate(workings.y)).toBeCloseTo(y, 9);
      const of = (w: Working, label: string) => leaves(w).find((l) => l.label === label)!.value;
      // a whole number of units of 225 off the marked upright, half of one over in every other course
      const upright = marks.find((m) => m.runs === 'vertical')!.x;
      expect(((of(workings.x, 'marked-upright') - upright) / 112.5) % 1).toBeCloseTo(0, 9);
      expect((of(workings.x, 'count-of-units') - 0.5) % 1).toBeCloseTo(0, 9);
      expect(((of(workings.y, 'marked-bed') - marks.find((m) => m.runs === 'horizontal')!.y) / 75) % 1).toBeCloseTo(
        0,
        9,
      );
    }
  });
  it('on plaster takes a screw that is that much longer', () => {
    const job = fireJob({ mass: 20, out: 200 }, { height: 120 });
    const { wall } = job.room;
    const over = (board: number) =>
      plan({ ...job, room: { ...job.room, wall: { ...wall, build: { ...wall.build, board } } } }).mantel!.fixing;
    const bare = over(0)!;
    const left = bare.length! - 45;
    expect(over(left - 1)).toBeUndefined();
  });
  it('is a stop without a course, with the height that would do; nothing said without a ledger', () => {
    const said = plan(fireJob({ mass: 20, out: 200 }, {})).findings.find((f) => f.code === 'mantel-no-course')!;
    expect(said.level).toBe('stop');
    expect(said.values).toMatchObject({ fromMm: 1247, toMm: 1293, heightMm: 95 });
  });
  it('goes by its own ticks: m1 drilled is done, and no hole of the plate', () => {
    const job = fireJob({ mass: 20, out: 200 }, { height: 120 });
    const before = plan(job);
    const after = plan({ ...job, drilled: [{ hole: 'm1', x: 1557.5, y: 1232.5, into: 'masonry', result: 'good' }] });
    expect(after.mantel!.holes!.map((h) => h.done)).toEqual([true, false, false]);
    expect(after.holes).toEqual(before.holes);
  });
});

function fireJob(of: { mass: number; out: number }, timber: { height?: number }): Job {
  const job = testJob();
  return {
    ...job,
    anchors: [
      {
        ...{ id: 'cutter', kind: 'masonry-screw', diameter: 6.35, length: 95, head: 13, hole: 6.35 },
        ...{ tension: 3600, shear: 4200, walls: ['masonry'] },
      },
    ],
    evidence: [
      { id: 'a', kind: 'joint', x: 1000, y: 1195, runs: 'horizontal' },
      { id: 'b', kind: 'joint', x: 995, y: 1232, runs: 'vertical' },
    ],
    room: {
      ...job.room,
      wall: { ...job.room.wall, build: brick },
      objects: [{ ...mantel, ...of, hollow: true, ledger: { ...ledger, ...timber } }],
    },
  };
}

describe('the heat and the flue', () => {
  const at = (change: Partial<Job['room']>, screen: Partial<Job['screen']> = {}) => {
    const job = testJob();
    const stove: Item = { id: 's', kind: 'stove', left: 1500, right: 2100, bottom: 0, top: 500 };
    const room = { ...job.room, objects: [stove], ...change };
    return plan({ ...job, screen: { ...job.screen, ...screen }, room }).findings.map((f) => `${f.level} ${f.code}`);
  };
  const spot = () => plan(testJob()).placement!.centre;
  it('never measured over a stove: to do; measured elsewhere it is so still; measured there it is done', () => {
    expect(at({})).toContain('todo heat-unmeasured');
    expect(at({ heat: { x: 200, y: 300, celsius: 30 } })).toContain('todo heat-unmeasured');
    expect(at({ heat: { ...spot(), celsius: 40 } }).join()).not.toMatch(/heat/);
  });
  it("a stop above the maker's limit, or 40 degrees, or the figure that was entered", () => {
    expect(at({ heat: { ...spot(), celsius: 40.5 } })).toContain('stop heat-at-set');
    expect(at({ heat: { ...spot(), celsius: 40.5 } }, { maxAmbient: 45 }).join()).not.toMatch(/heat/);
    const rules = [{ what: 'ambient' as const, value: 35 }];
    expect(at({ heat: { ...spot(), celsius: 36 }, rules }, { maxAmbient: 45 })).toContain('stop heat-at-set');
  });
  it('a vent by the distance of its label, asked for where nobody has entered one', () => {
    const { right, top } = plan(testJob()).placement!;
    const vent: Item = { id: 'v', kind: 'vent', left: right + 200, right: right + 300, bottom: top, top: top + 100 };
    const stove: Item = { id: 's', kind: 'stove', left: 1500, right: 2100, bottom: 0, top: 500 };
    const rule = (value: number) => [{ what: 'flue-clearance' as const, value }];
    expect(at({ objects: [stove, vent] })).toContain('todo flue-unasked');
    expect(at({ objects: [vent] }).join()).not.toMatch(/flue/);
    expect(at({ objects: [stove, vent], rules: rule(199) }).join()).not.toMatch(/flue/);
    expect(at({ objects: [stove, vent], rules: rule(201) })).toContain('stop flue-clearance');
  });
});
