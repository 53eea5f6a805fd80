import { atticSnug, guestRoom } from '@steddo/samples';
import { hiddenWall, holeChance, landsIn, passMarks, simulated, untouched } from '../src';
import { seeded } from '../src/instruments/random';
import { studsIn } from './jobs';
import { bandsOf, drillModelWalls } from './modelWalls';

/*
 * A chance that is stated must come true as often. The long run, ten thousand walls, is `npm run verify
 * calibration`, which draws docs/calibration.svg; this is a seeded sample of it.
 */
describe('calibration', () => {
  it('on walls drawn from the model: in each band as many holes land as stated, within the binomial bound', () => {
    const drilled = drillModelWalls(220, 11);
    const bands = bandsOf(drilled);
    expect(bands.length).toBeGreaterThan(6);
    for (const { stated, landed, bound } of bands) expect(Math.abs(landed - stated)).toBeLessThan(bound);
    const mean = (of: (d: (typeof drilled)[number]) => number) =>
      drilled.reduce((s, d) => s + of(d), 0) / drilled.length;
    expect(Math.abs(mean((d) => d.stated) - mean((d) => (d.landed ? 1 : 0)))).toBeLessThan(0.08);
  }, 120_000);

  it('on crooked walls: landed no less than stated, less three points', () => {
    const random = seeded(12);
    let [stated, landed, holes] = [0, 0, 0];
    for (let seed = 1; seed <= 36; seed++) {
      const job = untouched(seed % 2 ? guestRoom : atticSnug);
      const wall = hiddenWall(job, seed);
      const tools = simulated(wall, seed + 500);
      const y = 1500;
      const marks = [0, 1].flatMap((i) =>
        passMarks(tools, 'edge', y, 0, wall.width).map((m, j) => ({ ...m, id: `m${i}-${j}` })),
      );
      const { studs, chances } = studsIn({ ...job, evidence: marks });
      for (const s of studs.filter((t) => t.probability > 0.8)) {
        const x = s.drillAt?.value ?? s.centre;
        holes += 1;
        stated += holeChance(chances, x, 7.94).value;
        if (landsIn(wall, { x: x + random.normal(1.5), y }, 7.94)) landed += 1;
      }
    }
    expect(holes).toBeGreaterThan(180);
    expect(landed / holes).toBeGreaterThan(stated / holes - 0.03);
  }, 120_000);
});
