import PerspectiveTransform from 'perspective-transform';
import { Matrix } from 'ml-matrix';
import { seeded } from '@steddo/core';
import { cornersOf, shoot, type Lens } from './ownCamera';
import {
  cameraBefore,
  drawnDoubt,
  inPicture,
  onWall,
  seenAt,
  wallPlane,
  type Laid,
  type Tapped,
  type WallPlane,
} from '@steddo/core/photo';

/* A wall seen by cameras of our own making, written here apart from the core: what it makes of four taps against the truth. */

const SIZE = { width: 4000, height: 3000 };
const WALL = { width: 3000, height: 2400 };
const RUNS = 200;

type Pinhole = Omit<Lens, 'picture' | 'k1'>;
const pinhole = (lens: Pinhole): Lens => ({ ...lens, picture: SIZE, k1: 0 });

/** From the side by up to 45 degrees, 45 to 70 degrees of field, the wall's middle in the picture. */
function randomLens({ between: uniform }: ReturnType<typeof seeded>): Lens {
  const field = uniform(45, 70);
  const focal = SIZE.width / 2 / Math.tan((field * Math.PI) / 360);
  const yaw = uniform(-45, 45);
  const away = uniform(3200, 4500);
  const middle = { x: uniform(1200, 1800), y: uniform(1000, 1500) };
  const rad = (yaw * Math.PI) / 180;
  return pinhole({
    focal,
    yaw,
    at: { x: middle.x - away * Math.sin(rad), y: middle.y + uniform(-300, 300), z: away * Math.cos(rad) },
    pitch: uniform(-6, 6),
    roll: uniform(-4, 4),
  });
}

const CORNERS = cornersOf(0, 0, WALL);
const rectangle = (left: number, bottom: number, width: number, height: number) =>
  cornersOf(left, bottom, { width, height });

type Place = { x: number; y: number };
const tapped = (lens: Lens, places: readonly Place[], off: () => number = () => 0): Tapped[] =>
  places.map((p) => {
    const { u, v } = shoot(lens, p.x, p.y);
    return { ...p, u: u + off(), v: v + off() };
  });

/** Through a lens that bends nothing, unless told. */
const known = (taps: readonly Tapped[], sd: number, bend: Laid['bend'] = { k1: 0, sd: 1e-9 }): Laid => ({
  picture: SIZE,
  references: [],
  known: taps.map((t) => ({ ...t, sd })),
  bend,
});

function planeOf(taps: readonly Tapped[], sd = 1): WallPlane {
  const made = wallPlane(known(taps, sd));
  if (!made.ok) throw new Error(made.why);
  return made.plane;
}

describe('the wall’s plane in a picture', () => {
  it('of four exact taps is another library’s, within a millionth of a pixel', () => {
    const random = seeded(11);
    for (let i = 0; i < RUNS; i++) {
      const lens = randomLens(random);
      const taps = tapped(lens, CORNERS);
      const plane = planeOf(taps, 6);
      const theirs = PerspectiveTransform(
        // it rounds its coefficients to ten decimals: of metres that is fine enough
        taps.flatMap(({ x, y }) => [x / 1000, y / 1000]),
        taps.flatMap(({ u, v }) => [u, v]),
      );
      for (const [x, y] of [
        [0, 0],
        [1500, 1200],
        [2500, 300],
        [400, 2200],
      ] as const) {
        const own = inPicture(plane, x, y)!;
        const [u, v] = theirs.transform(x / 1000, y / 1000) as [number, number];
        expect(Math.hypot(own.u - u, own.v - v)).toBeLessThan(1e-6);
        const truth = shoot(lens, x, y);
        expect(Math.hypot(own.u - truth.u, own.v - truth.v)).toBeLessThan(1e-6);
        const back = onWall(plane, { ...truth, sd: 0 })!;
        expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-5);
      }
    }
  });

  it('of more taps than four is nearer the truth than any four of them', () => {
    const random = seeded(12);
    const places = [...CORNERS, ...rectangle(900, 800, 1200, 700)];
    let [all, four] = [0, 0];
    for (let i = 0; i < RUNS; i++) {
      const lens = randomLens(random);
      const taps = tapped(lens, places, () => random.normal(2));
      const at = shoot(lens, 1500, 1500);
      const off = (plane: WallPlane) => {
        const seen = onWall(plane, { ...at, sd: 2 })!;
        return (seen.x - 1500) ** 2 + (seen.y - 1500) ** 2;
      };
      all += off(planeOf(taps, 2));
      four += off(planeOf(taps.slice(0, 4), 2));
    }
    expect(all).toBeLessThan(four);
  });

  it('of more taps than four is the one that lies nearest to them in the picture: no other close by lies nearer', () => {
    const random = seeded(17);
    const places = [...CORNERS, ...rectangle(900, 800, 1200, 700)];
    for (let i = 0; i < 20; i++) {
      const taps = tapped(randomLens(random), places, () => random.normal(6));
      const plane = planeOf(taps, 6);
      const { matrix } = plane;
      const off = (m: readonly number[]) =>
        taps.reduce((sum, { x, y, u, v }) => {
          const seen = inPicture({ ...plane, matrix: m }, x, y)!;
          return sum + (seen.u - u) ** 2 + (seen.v - v) ** 2;
        }, 0);
      const least = off(matrix);
      for (let k = 0; k < 9; k++)
        for (const by of [1 - 1e-5, 1 + 1e-5]) {
          const other = matrix.map((value, n) => (n === k ? value * by : value));
          expect(off(other)).toBeGreaterThan(least * (1 - 1e-9));
        }
    }
  });

  it('says how far a measured place may be out: nineteen of twenty lie within, whatever is tapped', () => {
    const random = seeded(13);
    const references = [CORNERS, rectangle(1000, 900, 900, 700), rectangle(1300, 1100, 420, 594)];
    let [within, of] = [0, 0];
    for (let i = 0; i < RUNS; i++) {
      const lens = randomLens(random);
      const sd = random.between(1, 3);
      const plane = planeOf(
        tapped(lens, references[i % references.length]!, () => random.normal(sd)),
        sd,
      );
      const place = { x: random.between(600, 2400), y: random.between(500, 2000) };
      const at = shoot(lens, place.x, place.y);
      const seen = onWall(plane, { u: at.u + random.normal(sd), v: at.v + random.normal(sd), sd })!;
      for (const way of ['x', 'y'] as const) {
        of += 1;
        if (Math.abs(seen[way] - place[way]) <= seen.doubt[way]) within += 1;
      }
    }
    // binomial, 400 draws of 0.95: four standard deviations each way; both ways of one draw are no two draws
    const sd = Math.sqrt((0.95 * 0.05) / (of / 2));
    expect(within / of).toBeGreaterThan(0.95 - 4 * sd);
    expect(within / of).toBeLessThan(Math.min(1, 0.95 + 4 * sd));
  });

  it('has the covariance that many draws of the same taps have, within a tenth', () => {
    const random = seeded(14);
    const lens = pinhole({ focal: 3200, yaw: 25, pitch: 4, roll: 2, at: { x: 400, y: 1500, z: 3600 } });
    const places = rectangle(900, 800, 1200, 900);
    const sd = 1;
    const clean = planeOf(tapped(lens, places), sd);
    const at = shoot(lens, 1800, 1500);
    const stated = onWall(clean, { ...at, sd })!.doubt;
    const off = { x: [] as number[], y: [] as number[] };
    for (let i = 0; i < 3000; i++) {
      const plane = planeOf(
        tapped(lens, places, () => random.normal(sd)),
        sd,
      );
      const seen = onWall(plane, { u: at.u + random.normal(sd), v: at.v + random.normal(sd), sd })!;
      off.x.push(seen.x - 1800);
      off.y.push(seen.y - 1500);
    }
    for (const way of ['x', 'y'] as const) {
      const spread = 1.96 * Math.sqrt(off[way].reduce((s, d) => s + d * d, 0) / off[way].length);
      expect(Math.abs(stated[way] / spread - 1)).toBeLessThan(0.1);
    }
  });

  it('of the wall’s own corners measures a place to less than 4 mm in the middle of the cases', () => {
    const random = seeded(15);
    const off: number[] = [];
    for (let i = 0; i < RUNS; i++) {
      const lens = randomLens(random);
      const sd = random.between(1, 3);
      const plane = planeOf(
        tapped(lens, CORNERS, () => random.normal(sd)),
        sd,
      );
      const place = { x: random.between(300, 2700), y: random.between(300, 2100) };
      const at = shoot(lens, place.x, place.y);
      const seen = onWall(plane, { u: at.u + random.normal(sd), v: at.v + random.normal(sd), sd })!;
      off.push(Math.hypot(seen.x - place.x, seen.y - place.y));
    }
    expect(off.sort((a, b) => a - b)[RUNS / 2]!).toBeLessThan(4);
  });

  it('of a small sheet at one end is doubted far from it, and says by how much', () => {
    const lens = pinhole({ focal: 3200, yaw: 10, pitch: 0, roll: 0, at: { x: 1200, y: 1300, z: 3600 } });
    const plane = planeOf(tapped(lens, rectangle(100, 1300, 210, 297)), 1.5);
    expect(drawnDoubt(plane, 200, 1400)).toBeLessThan(10);
    expect(drawnDoubt(plane, 2700, 1400)).toBeGreaterThan(100);
  });

  const straight = pinhole({ focal: 3000, yaw: 0, pitch: 0, roll: 0, at: { x: 1500, y: 1200, z: 3500 } });
  it.each([
    ['three taps', (t: Tapped[]) => t.slice(0, 3), 'too-few'],
    [
      'three in a line',
      (t: Tapped[]) =>
        t.map((p, i) => (i === 1 ? { ...p, u: (t[0]!.u + t[2]!.u) / 2, v: (t[0]!.v + t[2]!.v) / 2 } : p)),
      'in-a-line',
    ],
    [
      'two on one place',
      (t: Tapped[]) => t.map((p, i) => (i === 1 ? { ...p, u: t[0]!.u, v: t[0]!.v } : p)),
      'in-a-line',
    ],
    [
      'two that changed places',
      (t: Tapped[]) => t.map((p, i) => (i < 2 ? { ...p, u: t[1 - i]!.u, v: t[1 - i]!.v } : p)),
      'crossed',
    ],
    ['left for right', (t: Tapped[]) => t.map((p) => ({ ...p, u: SIZE.width - p.u })), 'mirrored'],
  ] as const)('says nothing of %s, and why', (_, spoil, why) => {
    expect(wallPlane(known(spoil(tapped(straight, CORNERS)), 1))).toEqual({ ok: false, why });
  });
});

describe('the camera before the wall', () => {
  it('is found with its focal length and its place from the side; what stands out of the wall is seen within a pixel', () => {
    const random = seeded(16);
    let known = 0;
    for (let i = 0; i < RUNS; i++) {
      const lens = randomLens(random);
      if (Math.abs(lens.yaw) < 12) continue;
      const plane = planeOf(tapped(lens, CORNERS));
      const found = cameraBefore(plane, SIZE);
      if (!found.ok) throw new Error(found.why);
      const { camera } = found;
      expect(camera.assumed).toBe(false);
      expect(Math.abs(camera.focal / lens.focal - 1)).toBeLessThan(1e-6);
      expect(Math.hypot(camera.at.x - lens.at.x, camera.at.y - lens.at.y, camera.at.z - lens.at.z)).toBeLessThan(0.01);
      // a set's eight corners, 60 to 600 mm out
      for (const [x, y, z] of [
        [900, 1600, 60],
        [2100, 1600, 120],
        [2100, 900, 120],
        [900, 900, 600],
      ] as const) {
        const [own, truth] = [seenAt(plane, camera, x, y, z)!, shoot(lens, x, y, z)];
        expect(Math.hypot(own.u - truth.u, own.v - truth.v)).toBeLessThan(1);
      }
      known += 1;
    }
    expect(known).toBeGreaterThan(RUNS / 2);
  });

  it('taken straight on says that its focal length is assumed, and draws what lies on the wall as it is', () => {
    const lens = pinhole({ focal: 2900, yaw: 0, pitch: 0, roll: 0, at: { x: 1500, y: 1200, z: 3500 } });
    const plane = planeOf(tapped(lens, CORNERS));
    const found = cameraBefore(plane, SIZE);
    if (!found.ok) throw new Error(found.why);
    expect(found.camera.assumed).toBe(true);
    // a phone's usual lens, common practice
    expect(found.camera.focal).toBeCloseTo((26 / 36) * 4000, 6);
    const [own, truth] = [seenAt(plane, found.camera, 700, 600, 0)!, shoot(lens, 700, 600)];
    expect(Math.hypot(own.u - truth.u, own.v - truth.v)).toBeLessThan(1e-6);
    // what stands out goes away from the picture's middle, as it does for any lens
    const [corner, base] = [seenAt(plane, found.camera, 500, 500, 100)!, shoot(lens, 500, 500)];
    expect(corner.u).toBeLessThan(base.u);
    expect(corner.v).toBeGreaterThan(base.v);
  });

  it('has the wall’s plane for what has no depth', () => {
    const lens = pinhole({ focal: 3100, yaw: 30, pitch: -5, roll: 3, at: { x: -200, y: 1300, z: 3000 } });
    const plane = planeOf(tapped(lens, CORNERS));
    const found = cameraBefore(plane, SIZE);
    if (!found.ok) throw new Error(found.why);
    const m = new Matrix([0, 1, 2].map((i) => [...found.camera.matrix.slice(4 * i, 4 * i + 4)]));
    const p = m.mmul(Matrix.columnVector([1000, 1500, 0, 1])).to1DArray();
    const own = inPicture(plane, 1000, 1500)!;
    expect(Math.hypot(p[0]! / p[2]! - own.u, p[1]! / p[2]! - own.v)).toBeLessThan(1e-3);
  });
});
