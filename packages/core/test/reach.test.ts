import fc from 'fast-check';
import type { Mount } from '@steddo/contract';
import { armOf, foldOffsetOf, jointsFor, plan, reachedBy, wallTurn, type Arm } from '../src';
import { IN, testJob, testMount } from './jobs';

const deg = (rad: number) => (rad * 180) / Math.PI;
const rad = (d: number) => (d * Math.PI) / 180;

const armed = (arm: Partial<NonNullable<Mount['arm']>>, change: Partial<Mount> = {}): Mount => ({
  ...testMount,
  type: 'full-motion',
  depth: { folded: 66, extended: 520 },
  tilt: { down: 15, up: 5 },
  swivel: { left: 60, right: 60 },
  arm: { kind: 'links', links: [292, 165], head: 60, ...arm },
  ...change,
});
const joint = (lo: number, hi: number): [number, number] => [lo, hi];

describe('the linkage', () => {
  const plain: Arm = {
    ...armOf(armed({ links: [100, 50], head: 0 }, { depth: { folded: 10, extended: 153 } }), 1000, 'right')!,
  };
  it('forward, by hand', () => {
    // straight out: 3 of plate and both links; elbow square to the left: 100 right, then 50 out
    expect(reachedBy(plain, { shoulder: 0, elbow: 0 })).toEqual({ x: 1000, z: 153 });
    const bent = reachedBy(plain, { shoulder: rad(90), elbow: rad(-90) });
    expect(bent.x).toBeCloseTo(1100, 9);
    expect(bent.z).toBeCloseTo(53, 9);
  });
  it('inverse, by hand: both elbows of a right triangle', () => {
    const both = jointsFor(plain, { x: 1100, z: 53 });
    expect(both.length).toBe(2);
    const found = both.map((j) => [deg(j.shoulder), deg(j.elbow)]).sort((a, b) => b[0]! - a[0]!);
    expect(found[0]![0]).toBeCloseTo(90, 9);
    expect(found[0]![1]).toBeCloseTo(-90, 9);
    // the mirror image about the line to the pivot: 2 atan(1/2) - ... = 36.87 degrees off straight out
    expect(found[1]![0]).toBeCloseTo(90 - 2 * deg(Math.atan(50 / 100)), 9);
    expect(found[1]![1]).toBeCloseTo(90, 9);
  });
  it('forward and inverse agree, over random arms and joints', () => {
    const link = fc.double({ min: 60, max: 500, noNaN: true });
    const turn = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
    fc.assert(
      fc.property(link, link, turn(90), turn(175), (a, b, shoulder, elbow) => {
        const arm = armOf(
          armed({ links: [a, b], head: 0 }, { depth: { folded: 5, extended: a + b + 3 } }),
          700,
          'left',
        )!;
        const at = reachedBy(arm, { shoulder: rad(shoulder), elbow: rad(elbow) });
        const back = jointsFor(arm, at);
        // one of the two ways is the one that we came by, and both lead to the same place
        expect(
          Math.min(...back.map((j) => Math.abs(deg(j.shoulder) - shoulder) + Math.abs(deg(j.elbow) - elbow))),
        ).toBeLessThan(1e-4);
        for (const j of back) {
          const again = reachedBy(arm, j);
          expect(Math.hypot(again.x - at.x, again.z - at.z)).toBeLessThan(1e-6);
        }
      }),
      { seed: 71, numRuns: 300 },
    );
  });
  it('what is beyond the links, inside them or past a joint has no joints', () => {
    expect(jointsFor(plain, { x: 1000, z: 153.1 })).toEqual([]);
    expect(jointsFor(plain, { x: 1000, z: 3 + 49 })).toEqual([]);
    const stiff = { ...plain, elbow: [0, rad(60)] as const };
    // the elbow would have to bend by 90 degrees
    expect(jointsFor(stiff, { x: 1100, z: 53 })).toEqual([]);
    const left = { ...plain, shoulder: [rad(-90), 0] as const };
    expect(jointsFor(left, { x: 1100, z: 53 })).toEqual([]);
  });
  it('a single link stays on its arc', () => {
    const one = armOf(armed({ links: [200], head: 0 }, { depth: { folded: 20, extended: 203 } }), 0, 'right')!;
    expect(one.kind).toBe('one');
    expect(deg(jointsFor(one, { x: 100, z: 3 + Math.sqrt(3) * 100 })[0]!.shoulder)).toBeCloseTo(30, 9);
    expect(jointsFor(one, { x: 100, z: 100 })).toEqual([]);
    expect(one.folded.x).toBeCloseTo(200, 9);
  });
});

describe('label and linkage', () => {
  it('the reach of the label wins: links in proportion', () => {
    const arm = armOf(armed({ links: [230, 230] }), 0, 'left')!;
    expect(arm.a + arm.b).toBeCloseTo(520 - 3 - 60, 9);
    expect(arm.a).toBeCloseTo(arm.b, 9);
  });
  it('more than 15 mm apart is worth a look, 15 is not', () => {
    const codes = (extended: number) =>
      plan(testJob({ mount: armed({}, { depth: { folded: 69, extended } }) })).findings.filter(
        (f) => f.code === 'arm-differs',
      );
    expect(codes(520)).toEqual([]);
    expect(codes(535)).toEqual([]);
    expect(codes(536)[0]).toMatchObject({
      level: 'caution',
      values: { what: 'extended', labelMm: 536, linkageMm: 520 },
    });
  });
  // common practice: an arm that reaches 29 in
  it('a 29 in arm brings the back 29 in out, a 19 1/2 in one no further', () => {
    const out = (inches: number) =>
      plan(testJob({ mount: armed({}, { depth: { folded: 66, extended: inches * IN } }) })).reach!;
    expect(out(29).extended).toBeCloseTo(736.6, 9);
    expect(out(19.5).extended).toBeCloseTo(495.3, 9);
  });
});

describe('folded', () => {
  // common practice: folded, the set's middle may be 5 in to one side of the plate's; flipped, 5 in to the other
  it('5 in to the side of the fold', () => {
    const mount = armed({ foldOffset: 5 * IN });
    expect([foldOffsetOf(mount, 'left'), foldOffsetOf(mount, 'right')]).toEqual([-127, 127]);
    for (const fold of ['left', 'right'] as const) {
      const p = plan(testJob({ mount, choices: { fold } }));
      expect(p.reach!.centreOffset).toBeCloseTo(fold === 'left' ? -127 : 127, 9);
      // the set hangs in the middle of the wall, so that the plate does not
      expect(p.placement!.plate!.x).toBeCloseTo(2000 - p.reach!.centreOffset, 6);
    }
  });
  it('measured by nobody it follows from the links: the longer one less the shorter', () => {
    const mount = armed({ limits: { shoulder: joint(-90, 90), elbow: joint(-180, 180) } });
    expect(foldOffsetOf(mount, 'right')).toBeCloseTo(292 - 165, 9);
    expect(foldOffsetOf(mount, 'left')).toBeCloseTo(165 - 292, 9);
    expect(plan(testJob({ mount, choices: { fold: 'right' } })).placement!.plate!.x).toBeCloseTo(2000 - 127, 6);
    // a root off the plate's middle moves both, and what was measured wins over all of it
    expect(foldOffsetOf({ ...mount, arm: { ...mount.arm!, rootX: 40 } }, 'left')).toBeCloseTo(-87, 9);
    expect(foldOffsetOf({ ...mount, arm: { ...mount.arm!, rootX: 40, foldOffset: 90 } }, 'left')).toBe(-90);
  });
  it('each fold says over which studs its plate comes', () => {
    // one stud at 1873, where folded right the plate wants to be
    const evidence = [1873 - 19, 1873 + 19].map((x, i) => ({
      id: `e${i}`,
      kind: i === 0 ? ('edge-left' as const) : ('edge-right' as const),
      x,
      y: 1400,
    }));
    const mount = armed(
      { foldOffset: 127 },
      {
        studs: { count: 1 },
        slide: 30,
        plate: {
          width: 120,
          height: 260,
          thickness: 3,
          slots: [30, 130, 230].map((y) => ({ x: 0, y, length: 40, height: 10 })),
        },
        walls: {
          'timber-stud': {
            maxBoard: 16,
            fixing: {
              kind: 'lag',
              diameter: 7.94,
              length: 64,
              threadLength: 45,
              count: 3,
              pilot: 5.5,
              washer: 2,
              head: 13,
            },
          },
        },
      },
    );
    const p = plan(testJob({ mount, evidence }));
    const [left, right] = p.reach!.folds!;
    expect(left).toMatchObject({ fold: 'left', plateX: 2127, studs: [], chosen: false });
    expect(right).toMatchObject({ fold: 'right', chosen: true });
    expect(right!.studs[0]).toBeCloseTo(1873, 0);
    expect(Math.abs(right!.shift!)).toBeLessThan(16.1);
  });
});

describe('how far it turns against a wall', () => {
  const own = { kind: 'plane', nx: 0, nz: 1, d: 0 } as const;
  const set = (width: number, head: number, aside = 0, thickness = 60) => ({ width, head, aside, thickness });
  const turn = (shape: ReturnType<typeof set>, z: number, way: 1 | -1 = 1) =>
    deg(wallTurn(shape, { x: 0, z }, own, way, Math.PI));
  it('hand values: the back edge of half 550 in a right triangle', () => {
    expect(turn(set(1100, 0), 275)).toBeCloseTo(30, 9);
    expect(turn(set(1100, 0), 550 * Math.SQRT1_2)).toBeCloseTo(45, 9);
    expect(turn(set(1100, 0), 275, -1)).toBeCloseTo(30, 9);
  });
  it('the joint in front of the wall and the head in front of the joint: z + c cos y = h sin y', () => {
    // 3-4-5: c = 100 and h = 550 at y with tan y = 3/4: 550 x 0.6 - 100 x 0.8 = 250
    expect(turn(set(1100, 100), 250)).toBeCloseTo(deg(Math.atan(3 / 4)), 9);
  });
  it('hung 50 aside to the right it turns less to the right and more to the left', () => {
    expect(Math.sin(rad(turn(set(1100, 0, 50), 275)))).toBeCloseTo(275 / 600, 9);
    expect(Math.sin(rad(turn(set(1100, 0, 50), 275, -1)))).toBeCloseTo(275 / 500, 9);
  });
  it('far enough out it never meets the wall', () => {
    expect(turn(set(1100, 0), 600)).toBe(180);
  });
  // common practice: a 22 in monitor, 12 in from a side wall, clears it at every swing
  it('a 22 in monitor 12 in from a side wall clears it', () => {
    const width = (22 * IN * 16) / Math.sqrt(337);
    const side = { kind: 'plane', nx: 1, nz: 0, d: 0 } as const;
    const clears = (inches: number) => {
      const at = { x: inches * IN, z: 400 };
      const shape = set(width, 0, 0, 40);
      return (
        Math.min(wallTurn(shape, at, side, 1, Math.PI / 2), wallTurn(shape, at, side, -1, Math.PI / 2)) >=
        Math.PI / 2 - 1e-9
      );
    };
    expect(clears(12)).toBe(true);
    expect(clears(9)).toBe(false);
  });
});
