import fc from 'fast-check';
import type { Job, Mount } from '@steddo/contract';
import { evaluate, plan, rankMounts } from '../src';
import { leverArms, middleOf, type FastenerGroup } from '../src/load/fastenerGroup';
import { groupForces, type Push } from '../src/load/groupForces';
import { pushesOf } from '../src/load/setPushes';
import { laneAt, LANES, NUMBERS, WORKINGS } from '../src/primitives/arithmetic';
import { testJob, testMount } from './jobs';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const point = fc.record({
  x: fc.integer({ min: -300, max: 300 }),
  y: fc.integer({ min: -150, max: 150 }),
});
interface WallPush {
  x: number;
  y: number;
  e: number;
  down: number;
  side: number;
}
const push: fc.Arbitrary<WallPush> = fc.record({
  x: number(-600, 600),
  y: number(-400, 400),
  e: number(0, 700),
  down: number(0, 500),
  side: number(-80, 80),
});
/** As the group takes them: from its fasteners' middle. A hand pushes one way at a time. */
function asPushes(group: FastenerGroup, pushes: readonly WallPush[]): Push<number>[] {
  const middle = middleOf(group.points);
  return pushes.map(({ x, y, e, down, side }) => ({ down, side, right: x - middle.x, up: y - middle.y, out: e }));
}
const swingOf = (pushes: readonly WallPush[]) => pushes.reduce((s, p) => s + p.side * p.e, 0);
const forcesOf = (group: FastenerGroup, pushes: readonly WallPush[]) =>
  groupForces(NUMBERS, group, asPushes(group, pushes), swingOf(pushes) >= 0 ? 'left' : 'right');

const groups = fc
  .record({
    points: fc.uniqueArray(point, { minLength: 2, maxLength: 8, selector: (p) => `${p.x}/${p.y}` }),
    solid: fc.boolean(),
  })
  .map((g): FastenerGroup => ({ ...g, plate: { left: -350, right: 350, bottom: -200, top: 200 } }));

/** Where the plate presses: the lowest row or the pressed side, or the plate's own edge. */
function turnsAbout({ points, plate, solid }: FastenerGroup, axis: 'y' | 'x', sign: 1 | -1): number {
  const along = points.map((p) => sign * p[axis]);
  const inner = Math.min(...along);
  const edge = axis === 'y' ? plate!.bottom : sign > 0 ? plate!.left : -plate!.right;
  // a few millimetres of drift make no second line
  return solid || Math.max(...along) - inner < 20 ? edge : inner;
}

describe('the forces of a fastener group', () => {
  it('are in equilibrium with the load: three forces and three moments', () => {
    fc.assert(
      fc.property(groups, fc.array(push, { minLength: 1, maxLength: 3 }), (group, pushes) => {
        const { points } = group;
        const { tension, shear, over } = forcesOf(group, pushes)!;
        const sum = (f: (i: number) => number) => points.reduce((s, _, i) => s + f(i), 0);
        // in the plane: what hangs on the fasteners is what pulls at them, and turns as it does
        expect(sum((i) => shear[i]!.right ?? 0)).toBeCloseTo(
          pushes.reduce((s, p) => s + p.side, 0),
          6,
        );
        expect(sum((i) => shear[i]!.up)).toBeCloseTo(-pushes.reduce((s, p) => s + p.down, 0), 6);
        const turning = pushes.reduce((s, p) => s - p.x * p.down - p.y * p.side, 0);
        expect(sum((i) => points[i]!.x * shear[i]!.up - points[i]!.y * (shear[i]!.right ?? 0))).toBeCloseTo(turning, 3);
        // off the wall: each moment is held by its own pulls about the line where the plate presses
        const down = pushes.reduce((s, p) => s + p.down * p.e, 0);
        expect(over).toBeCloseTo(down, 6);
        const upright = forcesOf(
          group,
          pushes.map((p) => ({ ...p, side: 0 })),
        )!.tension;
        const low = turnsAbout(group, 'y', 1);
        expect(sum((i) => upright[i]! * (points[i]!.y - low))).toBeCloseTo(down, 3);
        const side = swingOf(pushes);
        const sign = side >= 0 ? -1 : 1;
        const pressed = turnsAbout(group, 'x', sign);
        const swing = forcesOf(
          group,
          pushes.map((p) => ({ ...p, down: 0 })),
        )!.tension;
        expect(sum((i) => swing[i]! * (sign * points[i]!.x - pressed))).toBeCloseTo(Math.abs(side), 3);
        // nothing pushes a screw into the wall, and both pulls are there together
        tension.forEach((t, i) => {
          expect(t).toBeGreaterThanOrEqual(-1e-9);
          expect(t).toBeCloseTo(upright[i]! + swing[i]!, 6);
          expect(shear[i]!.size).toBeCloseTo(Math.hypot(shear[i]!.right ?? 0, shear[i]!.up), 9);
        });
      }),
      { seed: 93, numRuns: 400 },
    );
  });
  it('two of each halve each one; twice as far out doubles the moment and the pulls', () => {
    fc.assert(
      fc.property(groups, push, (group, one) => {
        const single = forcesOf(group, [one])!;
        const double = forcesOf({ ...group, points: [...group.points, ...group.points] }, [one])!;
        const far = forcesOf(group, [{ ...one, e: 2 * one.e }])!;
        expect(far.over).toBeCloseTo(2 * single.over, 6);
        group.points.forEach((_, i) => {
          expect(double.tension[i]!).toBeCloseTo(single.tension[i]! / 2, 6);
          expect(double.shear[i]!.right).toBeCloseTo(single.shear[i]!.right! / 2, 6);
          expect(double.shear[i]!.up).toBeCloseTo(single.shear[i]!.up / 2, 6);
          expect(far.tension[i]!).toBeCloseTo(2 * single.tension[i]!, 5);
        });
      }),
      { seed: 94, numRuns: 200 },
    );
  });
  it('are the same as numbers, side by side for many poses, and as workings', () => {
    fc.assert(
      fc.property(groups, fc.array(push, { minLength: 2, maxLength: 5 }), (group, poses) => {
        const aside = poses.map((p) => ({ ...p, side: Math.abs(p.side) + 1 }));
        const lane = (of: (p: Push<number>) => number) => Float64Array.from(aside, (p) => of(asPushes(group, [p])[0]!));
        const lanes = groupForces(
          LANES,
          group,
          [
            {
              down: lane((p) => p.down),
              side: lane((p) => p.side!),
              right: lane((p) => p.right),
              up: lane((p) => p.up),
              out: lane((p) => p.out),
            },
          ],
          'left',
        )!;
        aside.forEach((pose, k) => {
          const one = forcesOf(group, [pose])!;
          const [p] = asPushes(group, [pose]);
          const known = (value: number) => WORKINGS.leaf('lever', value, 'mm');
          const worked = groupForces(
            WORKINGS,
            group,
            [
              {
                down: known(p!.down),
                side: known(p!.side!),
                right: known(p!.right),
                up: known(p!.up),
                out: known(p!.out),
              },
            ],
            'left',
          )!;
          one.tension.forEach((t, i) => {
            expect(laneAt(lanes.tension[i]!, k)).toBeCloseTo(t, 9);
            expect(laneAt(lanes.shear[i]!.size, k)).toBeCloseTo(one.shear[i]!.size, 9);
            expect(evaluate(worked.tension[i]!)).toBeCloseTo(t, 9);
            expect(evaluate(worked.shear[i]!.size)).toBeCloseTo(one.shear[i]!.size, 9);
          });
        });
      }),
      { numRuns: 60 },
    );
  });
  it('by hand: two lags 130 apart, 100 N at 300 out; the lower one turns, the upper one is pulled', () => {
    const group = {
      points: [
        { x: 0, y: 130 },
        { x: 0, y: 0 },
      ],
      solid: false,
      plate: { left: -60, right: 60, bottom: -40, top: 170 },
    };
    const push100: WallPush = { x: 0, y: 65, e: 300, down: 100, side: 0 };
    expect(forcesOf(group, [push100])!.tension).toEqual([expect.closeTo((100 * 300) / 130, 9), 0]);
    // on masonry both are pulled about the plate's lower edge: y = 170 and 40
    const solid = forcesOf({ ...group, solid: true }, [push100])!;
    expect(solid.tension[0]!).toBeCloseTo((30_000 * 170) / (170 ** 2 + 40 ** 2), 9);
    // 150 aside of their line: the couple of two is 100 * 150 / 130 across
    const [first] = forcesOf(group, [{ ...push100, x: 150 }])!.shear;
    expect(Math.abs(first!.right!)).toBeCloseTo((100 * 150) / 130, 9);
    expect(first!.up).toBeCloseTo(-50, 9);
  });
  it('there is no answer where nothing can hold it', () => {
    const aside: WallPush = { x: 100, y: 0, e: 100, down: 100, side: 0 };
    expect(forcesOf({ points: [{ x: 0, y: 0 }], solid: false }, [aside])).toBeUndefined();
    const row = [
      { x: -100, y: 0 },
      { x: 100, y: 0 },
    ];
    const middle = { ...aside, x: 0 };
    expect(forcesOf({ points: row, solid: false }, [middle])).toBeUndefined();
    const plate = { left: -150, right: 150, bottom: -60, top: 60 };
    expect(forcesOf({ points: row, solid: false, plate }, [middle])!.tension[0]!).toBeCloseTo(10_000 / (2 * 60), 9);
  });
});

const armMount: Mount = {
  ...testMount,
  id: 'swing',
  type: 'full-motion',
  slide: 130,
  depth: { folded: 66, extended: 520 },
  swivel: { left: 60, right: 60 },
  arm: {
    kind: 'links',
    links: [292, 165],
    head: 60,
    limits: { shoulder: [-90, 90], elbow: [-178, 178] },
    foldOffset: 127,
  },
  mass: 5,
  movingMass: 3,
};
const armJob = (change: Partial<Job> = {}): Job => testJob({ mount: armMount, choices: { centreY: 1300 }, ...change });

describe('the loads of a plan', () => {
  it('of a set that stays: its weight at half its thickness, all by hand', () => {
    const mount = { ...testMount, mass: 2 };
    const p = plan(testJob({ mount }));
    const weight = 14 * 9.80665;
    const moment = weight * (60 + 30);
    expect(p.loads!.weight.value).toBeCloseTo(weight, 9);
    expect(p.loads!.moment.value).toBeCloseTo(moment, 6);
    const at = (id: string) => p.loads!.fasteners.find((f) => f.hole === id)!;
    // two rows 120 apart, two in each: the upper two are pulled with M / (2 * 120), each has a quarter of the weight
    expect(at('h1').tension).toBeCloseTo(moment / 240, 3);
    expect(at('h3').tension).toBeCloseTo(0, 6);
    expect(at('h1').shear).toBeCloseTo(weight / 4, 1);
    expect(p.loads!.curve).toBeUndefined();
    expect(p.loads!.handling).toBe('none');
  });
  it('packing brings everything further out: the set, the plate and the hand that leans on it', () => {
    const at = {
      middle: { x: 1990, y: 1400 },
      plate: { x: 1990, y: 1400 },
      centreY: 1420,
      bottomY: 1100,
      packing: 25,
    };
    const placed = { x: 2000, out: 90 + 25, frontX: 2010, frontOut: 120 + 25 };
    const pushes = pushesOf(NUMBERS, at, { hung: 120, still: 10 }, placed, 'right');
    expect(pushes.map((p) => [p.right, p.up, p.out, p.down, p.side])).toEqual([
      [10, 20, 115, 120, undefined],
      [0, 0, 25, 10, undefined],
      [20, -300, 145, 0, 50],
    ]);
    const leaning = pushesOf(NUMBERS, at, { hung: 120 }, placed, 'down');
    expect(leaning.at(-1)).toEqual({ right: 20, up: -300, out: 145, down: 100 });
    // and the moment of a plan says the same: 14 kg, 60 + 30 and 25 more
    const packed = plan(testJob({ mount: { ...testMount, mass: 2 }, choices: { packing: 25 } }));
    expect(packed.findings.map((f) => f.code)).toContain('lag-too-short');
    const long = {
      ...testMount,
      mass: 2,
      walls: {
        'timber-stud': { fixing: { ...testMount.walls['timber-stud']!.fixing!, length: 102, threadLength: 60 } },
      },
    };
    const held = plan(testJob({ mount: long, choices: { packing: 25 } }));
    expect(held.loads!.moment.value).toBeCloseTo(14 * 9.80665 * 115, 6);
  });
  it('each number has a working that comes to it, back to the job', () => {
    for (const job of [testJob(), armJob()]) {
      const { fasteners } = plan(job).loads!;
      for (const f of fasteners) {
        expect(evaluate(f.workings.tension)).toBeCloseTo(f.tension, 6);
        expect(evaluate(f.workings.shear)).toBeCloseTo(f.shear, 6);
        expect(evaluate(f.workings.allowableShear)).toBeCloseTo(f.allowableShear, 6);
        expect(evaluate(f.workings.utilisation)).toBeCloseTo(f.utilisation, 9);
      }
    }
  });
  it('of an arm are the worst of its poses, with a hand on it', () => {
    const { loads } = plan(armJob());
    expect(loads!.handling).not.toBe('none');
    const most = Math.max(...loads!.curve!.map((c) => c.utilisation));
    // the curve keeps shears of whole degrees, never above the exact ones
    expect(loads!.worst).toBeLessThanOrEqual(most + 1e-9);
    expect(loads!.worst / most).toBeGreaterThan(0.98);
    const outs = loads!.curve!.map((c) => c.extension);
    expect([...outs].sort((a, b) => a - b)).toEqual(outs);
    // straight out at least; turned, the middle of a set that hangs aside comes further
    expect(outs.at(-1)!).toBeGreaterThan(519.9);
  });
  it('grow with spacers, with packing, with the mass; shrink with heavier timber', () => {
    const worst = (job: Job) => plan(job).loads!.worst;
    const base = worst(armJob());
    const screen = { ...testJob().screen };
    expect(worst(armJob({ screen: { ...screen, mass: 15 } }))).toBeGreaterThan(base);
    expect(worst(armJob({ choices: { centreY: 1300, packing: 6 } }))).toBeGreaterThan(base);
    const { room } = testJob();
    const wall = { ...room.wall, build: { ...room.wall.build, timber: 'southern-pine' as const } };
    expect(worst(armJob({ room: { ...room, wall } }))).toBeLessThan(base);
    // a spacer behind a stepped back brings the set out
    const stepped = { ...screen, back: 'stepped' as const, insert: { thread: 'M6', depth: 14 } };
    const bag = (spacer: number, length: number) => ({
      bracket: 2.5,
      screws: [{ thread: 'M6', length }],
      spacers: [spacer],
      washers: [],
    });
    const spaced = (spacer: number, length: number) =>
      plan(armJob({ screen: stepped, mount: { ...armMount, bag: bag(spacer, length) } }));
    const [far, near] = [spaced(45, 60), spaced(10, 25)];
    expect([far, near].map((p) => p.screen.screws![0]!.spacer)).toEqual([45, 10]);
    expect(far.loads!.worst).toBeGreaterThan(near.loads!.worst);
  });
  it('in the list of mounts and in the plan are one number, however thick the packing behind the plate', () => {
    const own = testMount.walls['timber-stud']!;
    const long = { ...own, fixing: { ...own.fixing!, length: 115, threadLength: 70 } };
    // far enough out that the pull counts: across and out are two sides of a right angle
    const depth = { folded: 320 };
    const mount: Mount = { ...testMount, depth, walls: { ...testMount.walls, 'timber-stud': long } };
    const shares = [0, 20, 40].map((packing) => {
      const job = testJob({ mount, choices: { packing } });
      const { worst } = plan(job).loads!;
      const listed = rankMounts([mount], job)[0]!.reasons.find((r) => r.rule === 'scheme')!.value as number;
      // the list takes a lag's shear at the next whole degree, the plan at its own
      expect(Math.abs(listed / worst - 1)).toBeLessThan(0.005);
      return worst;
    });
    expect(shares[2]! / shares[0]!).toBeGreaterThan(1.1);
  });
  it('over what it may hold is a stop that nobody can acknowledge', () => {
    const heavy = armJob({
      screen: { ...testJob().screen, mass: 120 },
      fixing: { acknowledged: [{ code: 'load-too-great' }] },
    });
    const p = plan(heavy);
    const found = p.findings.find((f) => f.code === 'load-too-great')!;
    expect(found).toMatchObject({ level: 'stop', acknowledgeable: false, acknowledged: false });
    expect(p.loads!.worst).toBeGreaterThan(1);
    expect(p.verdict).toBe('stop');
  });
});

describe('what a plate turns about', () => {
  const plate = { left: -50, right: 50, bottom: 0, top: 200 };
  const group = (...xs: number[]): FastenerGroup => ({
    points: xs.map((x, i) => ({ x, y: 40 + 100 * i })),
    plate,
    solid: false,
  });
  // by hand: holes of one stud 3 apart are one line, and the plate bears at its edge; 25 apart they are two
  it('fasteners hardly out of line turn it about its edge, not about each other', () => {
    expect(leverArms(group(0, 3), 'right')).toEqual([50, 53]);
    expect(leverArms(group(0, 19), 'right')).toEqual([50, 69]);
    expect(leverArms(group(0, 25), 'right')).toEqual([0, 25]);
    expect(leverArms(group(0, 3), 'up')).toEqual([0, 100]);
    expect(leverArms({ ...group(0, 3), plate: undefined }, 'right')).toBeUndefined();
  });
});
