import type { Job } from '@steddo/contract';
import fc from 'fast-check';
import { armOf, cornersOf, meetsOnWay, turnAt, waysTo, type Arm, type Obstacle, type SetShape } from '../src';
import { quarterDisc, rectangle, type Point } from '../src/primitives/convex';
import { obstaclesAt, standingIn } from '../src/arm/obstacles';
import { testJob, testMount } from './jobs';

/*
 * The continuous checks against walking along in tiny steps and asking a test of overlap that shares
 * nothing with them: whether any of many points inside one shape lies inside the other.
 */

const shape: SetShape = { width: 900, thickness: 60, head: 60, aside: 0 };
const mount = {
  ...testMount,
  depth: { folded: 66, extended: 520 },
  swivel: { left: 90, right: 90 },
  arm: { kind: 'links' as const, links: [292, 165], head: 60, foldOffset: 127 },
};
const arm: Arm = armOf(mount, 0, 'right')!;

/** Even-odd rule, point by point. */
function holds(points: readonly Point[], p: Point): boolean {
  let inside = false;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const [a, b] = [points[i]!, points[j]!];
    if (a.z > p.z !== b.z > p.z && p.x < ((b.x - a.x) * (p.z - a.z)) / (b.z - a.z) + a.x) inside = !inside;
  }
  return inside;
}

/** Points over a four-cornered shape, its edges pulled in by a hair. */
function pointsIn([a, b, , d]: readonly Point[], count: number): Point[] {
  const all: Point[] = [];
  for (let i = 0; i <= count; i++)
    for (let k = 0; k <= 6; k++) {
      const [u, v] = [0.0005 + (0.999 * i) / count, 0.005 + (0.99 * k) / 6];
      all.push({
        x: a!.x + u * (b!.x - a!.x) + v * (d!.x - a!.x),
        z: a!.z + u * (b!.z - a!.z) + v * (d!.z - a!.z),
      });
    }
  return all;
}

const box = fc.record({
  x: fc.integer({ min: -1300, max: 1300 }),
  z: fc.integer({ min: 0, max: 900 }),
  wide: fc.integer({ min: 30, max: 400 }),
  deep: fc.integer({ min: 30, max: 400 }),
});
const made = (b: { x: number; z: number; wide: number; deep: number }): Obstacle => ({
  ...rectangle(b.x, b.x + b.wide, b.z, b.z + b.deep),
  by: 'object:box',
});
const overlaps = (set: readonly Point[], o: Obstacle): boolean =>
  o.kind === 'polygon' && (pointsIn(set, 90).some((p) => holds(o.points, p)) || o.points.some((p) => holds(set, p)));

describe('on the way out', () => {
  const goals = fc.record({
    f: fc.double({ min: -80, max: 80, noNaN: true }),
    r: fc.double({ min: 140, max: 455, noNaN: true }),
  });
  it('never misses what dense sampling meets, and does not cry wolf', () => {
    let [met, free] = [0, 0];
    fc.assert(
      fc.property(box, goals, (b, { f, r }) => {
        const turn = (f * Math.PI) / 180;
        const goal = { x: arm.root.x + r * Math.sin(turn), z: arm.root.z + r * Math.cos(turn) };
        const o = made(b);
        for (const way of waysTo(arm, goal)) {
          const blocked = meetsOnWay(way, shape, [o]) !== undefined;
          let sampled = false;
          for (let t = 0; t <= 1 && !sampled; t += 1 / 400)
            sampled = overlaps(cornersOf(shape, { ...way.at(t), yaw: 0 }), o);
          if (sampled) expect(blocked).toBe(true);
          if (blocked) {
            met += 1;
            // what is reported passes within a millimetre: a set grown by that does meet it
            let near = false;
            const grown = {
              ...shape,
              width: shape.width + 4,
              thickness: shape.thickness + 4,
              head: shape.head - 2,
            };
            for (let t = 0; t <= 1 && !near; t += 1 / 2000)
              near = overlaps(cornersOf(grown, { ...way.at(t), yaw: 0 }), o);
            expect(near).toBe(true);
          } else free += 1;
        }
      }),
      { seed: 72, numRuns: 60 },
    );
    // the rooms are mixed: both answers occur often
    expect(met).toBeGreaterThan(10);
    expect(free).toBeGreaterThan(10);
  });
  it('no point of the set outruns the speed that the way gives', () => {
    for (const way of waysTo(arm, { x: -300, z: 250 }))
      for (let t = 0; t < 1; t += 0.01) {
        const [a, b] = [way.at(t), way.at(t + 0.01)];
        expect(Math.hypot(b.x - a.x, b.z - a.z)).toBeLessThanOrEqual(way.speed * 0.01 + 1e-9);
      }
  });
  it('begins folded and ends where it should', () => {
    const goal = { x: 200, z: 300 };
    for (const way of waysTo(arm, goal)) {
      expect(way.at(0).x).toBeCloseTo(127, 9);
      expect(way.at(0).z).toBeCloseTo(6, 9);
      expect(way.at(1).x).toBeCloseTo(goal.x, 6);
      expect(way.at(1).z).toBeCloseTo(goal.z, 6);
    }
  });
});

describe('turning on the spot', () => {
  it('free up to its limit, met just beyond it, over random boxes', () => {
    let limited = 0;
    fc.assert(
      fc.property(box, fc.integer({ min: -200, max: 200 }), fc.integer({ min: 120, max: 400 }), (b, x, z) => {
        const o = made(b);
        const pivot = { x, z };
        if (overlaps(cornersOf(shape, { ...pivot, yaw: 0 }), o)) return;
        const { lo, hi, hiBy, loBy } = turnAt(arm, shape, pivot, [o]);
        for (let i = 0; i <= 60; i++) {
          const yaw = lo + ((hi - lo) * i) / 60;
          expect(overlaps(cornersOf(shape, { ...pivot, yaw: yaw * 0.999 }), o)).toBe(false);
        }
        const sides = [
          { at: hi, by: hiBy, way: 1 },
          { at: lo, by: loBy, way: -1 },
        ];
        for (const s of sides) {
          if (s.by !== 'object:box') continue;
          limited += 1;
          // contact: the set grown by a hair overlaps there or within the next tenth of a degree
          const grown = { ...shape, width: shape.width + 1, thickness: shape.thickness + 1, head: shape.head - 0.5 };
          const past = [0, 0.0005, 0.001, 0.0017].some((d) =>
            overlaps(cornersOf(grown, { ...pivot, yaw: s.at + s.way * d }), o),
          );
          expect(past).toBe(true);
        }
      }),
      { seed: 73, numRuns: 120 },
    );
    expect(limited).toBeGreaterThan(10);
  });
  it('names what ends it', () => {
    const walls: Obstacle[] = [
      { kind: 'plane', nx: 0, nz: 1, d: 0, by: 'own-wall' },
      { kind: 'plane', nx: 1, nz: 0, d: -460, by: 'wall:left' },
    ];
    const turn = turnAt(arm, shape, { x: 0, z: 150 }, walls);
    expect([turn.loBy, turn.hiBy]).toEqual(['wall:left', 'own-wall']);
    expect(turnAt(arm, shape, { x: 0, z: 600 }, [])).toMatchObject({
      loBy: 'swivel',
      hiBy: 'swivel',
    });
  });
});

describe('what is in the way', () => {
  const band = { bottom: 800, top: 1450 };
  const obstaclesOf = ({ room }: Job, plateX?: number) => obstaclesAt(standingIn(room, plateX, 120), band);
  const room = testJob().room;
  const by = (change: Partial<typeof room>) =>
    obstaclesOf(testJob({ room: { ...room, objects: [], ...change } })).map((o) => o.by);
  const thing = { id: 'o7', left: 100, right: 300, bottom: 900, top: 1200 };
  it('only what is at the height of the set', () => {
    expect(by({})).toEqual(['own-wall']);
    expect(by({ objects: [{ ...thing, kind: 'cabinet', out: 300 }] })).toEqual(['own-wall', 'object:o7']);
    expect(by({ objects: [{ ...thing, kind: 'cabinet', bottom: 1450, top: 1800 }] })).toEqual(['own-wall']);
    expect(by({ objects: [{ ...thing, kind: 'window' }] })).toEqual(['own-wall']);
    const lamp = { id: 'f7', kind: 'lamp', left: 0, right: 300, near: 200, far: 500 };
    expect(by({ floor: [{ ...lamp, height: 800 }] })).toEqual(['own-wall']);
    expect(by({ floor: [{ ...lamp, height: 801 }] })).toEqual(['own-wall', 'floor:f7']);
    // of unknown height: it may be in the way
    expect(by({ floor: [lamp] })).toEqual(['own-wall', 'floor:f7']);
  });
  it('side walls only where there are any', () => {
    expect(by({ wall: { ...room.wall, returns: { right: true } } })).toEqual(['own-wall', 'wall:right']);
  });
  it('a chimney breast is in the way, unless the plate is on it', () => {
    const breast = { ...thing, id: 'o8', kind: 'chimney' as const, left: 1000, right: 2600, bottom: 0, top: 2400 };
    const job = testJob({ room: { ...room, objects: [breast] } });
    expect(obstaclesOf(job, 1800).map((o) => o.by)).toEqual(['own-wall']);
    expect(obstaclesOf(job, 2600).map((o) => o.by)).toEqual(['own-wall', 'object:o8']);
  });
  it('a door takes the quarter of a disc, on any wall; with its hinge unknown on both sides', () => {
    const door = { ...thing, id: 'd1', kind: 'door' as const, left: 500, right: 1300, bottom: 0, top: 2000 };
    const of = (change: object) =>
      obstaclesOf(testJob({ room: { ...room, objects: [{ ...door, ...change }] } })).slice(1);
    expect(of({}).length).toBe(2);
    const [main] = of({ hinge: 'left' });
    expect(main).toMatchObject({ by: 'door:d1' });
    const at = (o: Obstacle | undefined, x: number, z: number) => o?.kind === 'polygon' && holds(o.points, { x, z });
    // 45 degrees about the hinge at 500: 0.7 of 800 each way is just inside, 0.72 outside
    expect([at(main, 500 + 0.7 * 800, 0.7 * 800), at(main, 500 + 0.72 * 800, 0.72 * 800)]).toEqual([true, false]);
    const [right] = of({ hinge: 'right', wall: 'right' });
    // on the right wall, hinged 1300 from the corner: towards it and into the room
    expect([at(right, 4000 - 500, 1300 - 500), at(right, 4000 - 500, 1300 + 100)]).toEqual([true, false]);
  });
  it('the polygon of a door holds its whole arc', () => {
    const quarter = quarterDisc({ x: 0, z: 0 }, 800, 1, 1);
    for (let a = 0.5; a < 90; a += 0.5) {
      const t = (a * Math.PI) / 180;
      expect(holds(quarter.points, { x: 799.9 * Math.cos(t), z: 799.9 * Math.sin(t) })).toBe(true);
    }
  });
});
