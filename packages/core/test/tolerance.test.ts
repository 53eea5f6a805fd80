import { seeded } from '../src/instruments/random';
import { cumulative, density } from '../src/primitives/normal';
import { plan, toleranceOf, toleranceOfJob, toleranceRun, type ToleranceModel } from '../src';
import { freshSeed } from '../../samples/test/seeds';
import { testJob } from './jobs';

const DRAWS = 8000;
/** Fresh each run, printed. */
const SEED = freshSeed('tolerance', []);
const OWN_SD = Math.hypot(1.5, 0.7);
/** Half the room of a 5/16 in lag in a stud of 38: 19 less 1.5 diameters. */
const HALF = 19 - 1.5 * 7.9375;

/** Simpson's rule over where the finder really was: what the draws have to come to. */
function landTogether(half: number, finderSd: number, ownSd: number, holes: number): number {
  const lands = (off: number) => cumulative((half - off) / ownSd) - cumulative((-half - off) / ownSd);
  const [steps, out] = [4000, 10 * finderSd];
  const at = (i: number) => -out + (2 * out * i) / steps;
  let total = 0;
  for (let i = 0; i <= steps; i++)
    total += (i === 0 || i === steps ? 1 : i % 2 ? 4 : 2) * density(at(i), finderSd) * lands(at(i)) ** holes;
  return (total * 2 * out) / steps / 3;
}

/** Studs known to a normal error, on a fine scale of chances. */
function modelOf(
  finderSd: number,
  columns: number,
  rows: number,
  change: Partial<ToleranceModel> = {},
): ToleranceModel {
  const xs = Array.from({ length: columns }, (_, i) => 1000 + 406.4 * i);
  const offs = Array.from({ length: 1201 }, (_, i) => (i - 600) * finderSd * 0.01);
  let sum = 0;
  const weights = offs.map((o) => density(o, finderSd) * finderSd * 0.01);
  const upTo = Float64Array.from(weights, (w) => (sum += w));
  return {
    setOut: 'one-bolt',
    holes: xs.flatMap((x, stud) =>
      Array.from({ length: rows }, (_, r) => ({ x, y: r * 100, stud, group: 0, chance: 1 })),
    ),
    studs: xs.map((x, stud) => ({
      stud,
      upTo,
      middles: offs.map((o) => [x + o]),
      half: Float64Array.from(offs, () => HALF),
      known: { middle: x, half: HALF },
      edge: x - 19,
    })),
    groups: 0,
    sheet: 0,
    readings: 3,
    span: 406.4,
    play: 10 - 7.9375,
    setWidth: 1218,
    turned: true,
    ...change,
  };
}

const drawn = (model: ToleranceModel, seed = SEED, draws = DRAWS) => {
  const run = toleranceRun(model, seed);
  run.draw(draws);
  return run.result();
};
/**
 * Whether draws agree with what they should come to within three standard errors. One run in four hundred does not by
 * chance, so that a second one, with another seed, decides.
 */
const agrees = (holds: (seed: number) => boolean): { seed: number; agrees: boolean } => ({
  seed: SEED,
  agrees: holds(SEED) || holds(SEED + 1),
});
const AGREED = { seed: SEED, agrees: true };

/** Three standard errors of a share. */
const within = (p: number, draws = DRAWS) => 3 * Math.sqrt((p * (1 - p)) / draws);

describe('all holes land', () => {
  // the table of the handbook, by numerical integration: 38 stud, 5/16 lag
  it.each([
    [2, 0.994, 0.988, 0.977],
    [3, 0.962, 0.938, 0.879],
    [5, 0.822, 0.765, 0.586],
  ])('a finder of %i: one, two in a stud, four in two studs', (sd, one, two, four) => {
    const table = [
      landTogether(HALF, sd, OWN_SD, 1),
      landTogether(HALF, sd, OWN_SD, 2),
      landTogether(HALF, sd, OWN_SD, 2) ** 2,
    ];
    expect(table.map((p) => p.toFixed(3))).toEqual([one, two, four].map((p) => p.toFixed(3)));
    const models = [modelOf(sd, 1, 1), modelOf(sd, 1, 2), modelOf(sd, 2, 2)];
    models.forEach((m, i) => {
      const p = table[i]!;
      // the scale of chances has steps of a hundredth of the finder's error
      expect(agrees((seed) => Math.abs(drawn(m, seed).allLand - p) < within(p) + 0.001)).toEqual(AGREED);
    });
  });
  it('holes of one stud fare together: as if each had a finder of its own they would land less', () => {
    const p = landTogether(HALF, 3, OWN_SD, 1);
    expect(p ** 4).toBeCloseTo(0.855, 3);
    expect(drawn(modelOf(3, 2, 2), 5).allLand).toBeGreaterThan(p ** 4 + within(0.855));
  });
  it('with the finder left out only hand and drill are left', () => {
    const p = (2 * cumulative(HALF / OWN_SD) - 1) ** 4;
    const left = (seed: number) => drawn(modelOf(5, 2, 2), seed).sources.find((s) => s.id === 'finder')!;
    expect(agrees((seed) => Math.abs(left(seed).allLand - p) < within(p) + 1e-4)).toEqual(AGREED);
  });
  it('one more poke at the worse stud is offered where it helps, and only there', () => {
    expect(drawn(modelOf(2, 2, 1), 3).poke).toBeUndefined();
    const good = modelOf(2, 2, 1);
    const poor = modelOf(5, 2, 1);
    const mixed = drawn({ ...good, studs: [good.studs[0]!, poor.studs[1]!] }, 3);
    expect(mixed.poke).toMatchObject({ stud: 1, x: 1406.4 - 19 });
    expect(mixed.poke!.allLand).toBeGreaterThan(mixed.allLand + 0.1);
  });
  it('where no stud may be at all the holes miss', () => {
    const model = modelOf(2, 1, 1);
    const half = { ...model.studs[0]!, upTo: model.studs[0]!.upTo.map((p) => p / 2) };
    const near = (m: ToleranceModel, p: number) => (seed: number) =>
      Math.abs(drawn(m, seed).allLand - p) < within(p) + 0.002;
    expect(agrees(near({ ...model, studs: [half] }, 0.994 / 2))).toEqual(AGREED);
    expect(agrees(near({ ...model, sheet: 0.4 }, 0.6 * 0.994))).toEqual(AGREED);
  });
});

describe('height, centring and level', () => {
  // by hand: tape 1, three readings 0.7, mark 0.7, drill 1.5; 1218 over 406.4
  it('of one bolt first', () => {
    const draws = [drawn(modelOf(2, 2, 2)), drawn(modelOf(2, 2, 2), SEED + 1)];
    const holds = (of: (t: (typeof draws)[number]) => boolean) => agrees((seed) => of(draws[seed - SEED]!));
    const near = (value: number, sd: number) => Math.abs(value / sd - 1) < 3 / Math.sqrt(2 * DRAWS);
    expect(holds((t) => near(t.height, Math.sqrt(1 + 3 * 0.49 + OWN_SD ** 2)))).toEqual(AGREED);
    expect(holds((t) => near(t.centring, Math.hypot(1, 0.7)))).toEqual(AGREED);
    const level = Math.hypot((OWN_SD * 1218) / 406.4, 0.3 * 1.218);
    expect(level).toBeCloseTo(4.97, 2);
    expect(holds((t) => near(t.level, level))).toEqual(AGREED);
    const play = 2 * cumulative((10 - 7.9375) / OWN_SD) - 1;
    expect(play).toBeCloseTo(0.787, 3);
    expect(holds((t) => Math.abs(t.withinPlay - play) < within(play))).toEqual(AGREED);
    expect(holds((t) => Math.abs(t.over3 - 0.065) < within(0.065) + 0.0005)).toEqual(AGREED);
  });
  it('a plate held up has an error at both ends; one column cannot turn', () => {
    const one = drawn(modelOf(2, 2, 2), 9);
    const held = drawn(modelOf(2, 2, 2, { setOut: 'held-up' }), 9);
    expect(held.level / one.level).toBeGreaterThan(1.35);
    expect(held.height).toBeLessThan(one.height);
    expect(drawn(modelOf(2, 1, 2, { span: 0 }), 9)).toMatchObject({ withinPlay: 1, over3: 0 });
  });
  it('a level that nobody turned is three times as far off', () => {
    const level = (turned: boolean) => drawn(modelOf(2, 1, 1, { span: 0, turned }), 4).level;
    expect(level(false) / level(true)).toBeCloseTo(1 / 0.3, 6);
  });
  it('a template brings the error of its print', () => {
    const t = drawn(modelOf(2, 2, 2, { setOut: 'template' }), 4);
    expect(t.sources.map((s) => s.id)).toContain('print');
    expect(t.allLand).toBeLessThan(drawn(modelOf(2, 2, 2, { setOut: 'held-up' }), 4).allLand + 0.01);
  });
});

describe('of a job', () => {
  it('goes by its holes: the same seed the same, another nearly', () => {
    const job = testJob();
    const made = plan(job);
    const a = toleranceOf(job, made, 7, 4000)!;
    expect(toleranceOf(job, made, 7, 4000)).toEqual(a);
    expect(Math.abs(toleranceOf(job, made, 8, 4000)!.allLand - a.allLand)).toBeLessThan(0.04);
    // two studs with two holes each, by what the plan says of each hole
    const [worst] = made.holes!.map((h) => h.probability).sort((x, y) => x - y);
    expect(a.allLand).toBeLessThanOrEqual(worst! + 0.02);
    expect(a.allLand).toBeGreaterThan(worst! ** 4 - 0.03);
  });
  it('what is drilled has landed; without holes there is nothing to draw', () => {
    const job = testJob();
    const holes = plan(job).holes!;
    const drilled = holes.map((h) => ({ hole: h.id, x: h.x, y: h.y, result: 'good' as const, into: h.into }));
    const done = { ...job, drilled };
    expect(toleranceOf(done, plan(done), 1, 500)!.allLand).toBe(1);
    const { mount: _, ...bare } = job;
    expect(toleranceOfJob(bare, plan(bare))).toBeUndefined();
  });
  it('draws one after the other are the draws at once', () => {
    const model = modelOf(3, 2, 2);
    const parts = toleranceRun(model, 11);
    for (let i = 0; i < 4; i++) parts.draw(250);
    expect(parts.result()).toEqual(drawn(model, 11, 1000));
    expect(seeded(11).next()).toBe(seeded(11).next());
  });
});
