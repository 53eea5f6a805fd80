import fc from 'fast-check';
import { density } from '../src/primitives/normal';
import { logSum, renewal } from '../src/wall/renewal';
import { pitchPrior, pitchTail, pitchWeights, type PitchPrior } from '../src/wall/pitchPrior';

/*
 * The recursion against writing down every wall there is: each list of places with its pitches, its
 * beginning and its end, and for each reading the *sum* over its studs. Nothing of the recursion is used.
 */
const SMALL: PitchPrior = {
  taps: [
    { pitch: 8, weight: 0.5 },
    { pitch: 11, weight: 0.3 },
  ],
  flat: { from: 6, to: 13, weight: 0.2 / 8 },
};
const SIZE = 34;

interface Wall {
  studs: number[];
  weight: number;
}
function everyWall(prior: PitchPrior, size: number): Wall[] {
  const g = pitchWeights(prior);
  const mean = g.reduce((sum, w, p) => sum + w * p, 0);
  const beyond = (k: number) => g.reduce((sum, w, p) => sum + (p > k ? w : 0), 0);
  const walls: Wall[] = [];
  const grow = (studs: number[], weight: number) => {
    const last = studs.at(-1)!;
    walls.push({ studs, weight: weight * beyond(size - 1 - last) });
    for (let p = 1; p < g.length && last + p < size; p++) if (g[p]! > 0) grow([...studs, last + p], weight * g[p]!);
  };
  for (let n = 0; n < size; n++) if (beyond(n) > 0) grow([n], beyond(n) / mean);
  return walls;
}
const WALLS = everyWall(SMALL, SIZE);

describe('every wall, counted', () => {
  it('without readings the walls weigh 1 together, but for the empty one', () => {
    const { logZ } = renewal(new Float64Array(SIZE), SMALL);
    const total = WALLS.reduce((sum, w) => sum + w.weight, 0);
    expect(Math.exp(logZ)).toBeCloseTo(total, 12);
    // longer than any pitch, so that a stud there is: in equilibrium
    expect(total).toBeCloseTo(1, 12);
  });
  it('in equilibrium every place is alike: one stud in a mean pitch', () => {
    const { posterior } = renewal(new Float64Array(SIZE), SMALL);
    const { mean } = pitchTail(SMALL);
    for (const p of posterior) expect(p).toBeCloseTo(1 / mean, 12);
  });
  it('with readings: the sum likelihood of every wall, to 1e-9', () => {
    const reading = fc.double({ min: 0, max: SIZE - 1, noNaN: true });
    const [sd, c] = [0.5, 300];
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 12 }), (readings) => {
        const phi = (off: number) => (Math.abs(off) <= 5 * sd ? density(off, sd) : 0);
        const logL = Float64Array.from({ length: SIZE }, (_, n) =>
          readings.reduce((sum, z) => sum + Math.log1p(c * phi(z - n)), 0),
        );
        const likelihood = ({ studs }: Wall) =>
          readings.reduce((p, z) => p * (1 + c * studs.reduce((s, n) => s + phi(z - n), 0)), 1);
        const weighed = WALLS.map((w) => ({ studs: w.studs, weight: w.weight * likelihood(w) }));
        const total = weighed.reduce((sum, w) => sum + w.weight, 0);
        const { posterior, logZ } = renewal(logL, SMALL);
        expect(Math.abs(logZ - Math.log(total))).toBeLessThan(1e-9);
        const here = new Float64Array(SIZE);
        for (const w of weighed) for (const n of w.studs) here[n]! += w.weight / total;
        here.forEach((p, n) => expect(Math.abs(posterior[n]! - p)).toBeLessThan(1e-9));
      }),
      { seed: 81, numRuns: 25 },
    );
  });
});

describe('a real wall', () => {
  it('the pitches weigh 1, the stated one 0.7 of it', () => {
    for (const prior of [pitchPrior(), pitchPrior(406.4), pitchPrior(450)])
      expect(pitchWeights(prior).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    // within 36 mm of the stated spacing: its own 0.7, of the others what lies there
    const near = (prior: PitchPrior, at: number) =>
      pitchWeights(prior).reduce((sum, w, p) => sum + (Math.abs(p - at) <= 18 ? w : 0), 0);
    expect(near(pitchPrior(450), 450)).toBeGreaterThan(0.69);
    expect(near(pitchPrior(), 450)).toBeLessThan(0.01);
  });
  it('thousands of strong readings neither overflow nor lose the weak ones', () => {
    const size = 5000;
    const logL = new Float64Array(size).fill(-0.5);
    for (let n = 300; n < size; n += 406) logL[n] = 700;
    const { posterior, logZ } = renewal(logL, pitchPrior(406.4));
    expect(Number.isFinite(logZ)).toBe(true);
    for (let n = 300; n < size; n += 406) expect(posterior[n]!).toBeCloseTo(1, 9);
    for (const p of posterior) expect(p >= 0 && p <= 1 + 1e-9).toBe(true);
  });
  it('the same from either end', () => {
    const size = 3000;
    const logL = Float64Array.from({ length: size }, (_, n) => Math.sin(n * 12.9898) * 4);
    const there = renewal(logL, pitchPrior(600));
    const back = renewal(Float64Array.from(logL).reverse(), pitchPrior(600));
    expect(back.logZ).toBeCloseTo(there.logZ, 8);
    for (let n = 0; n < size; n += 7) expect(back.posterior[size - 1 - n]!).toBeCloseTo(there.posterior[n]!, 9);
  });
  it('the log of a sum of exponentials', () => {
    expect(logSum(Float64Array.of(Math.log(2), Math.log(3), -Infinity))).toBeCloseTo(Math.log(5), 12);
    expect(logSum(Float64Array.of(1000, 1000))).toBeCloseTo(1000 + Math.log(2), 9);
    expect(logSum(Float64Array.of(-Infinity))).toBe(-Infinity);
  });
});
