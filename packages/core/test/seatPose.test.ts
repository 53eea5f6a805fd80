import fc from 'fast-check';
import type { Job, Mount } from '@steddo/contract';
import {
  bestPose,
  coverage,
  coverageStands,
  gridOver,
  leastOff,
  nearestPose,
  plan,
  pivotFor,
  heldAt,
  poseOf,
  reachModelOf,
  reachNeeded,
  seatAxis,
  seatOff,
  seatsOf,
  turnAt,
  evaluate,
  cornersOf,
  faceOf,
  type Reach,
} from '../src';
import { gapTo, type Point } from '../src/primitives/convex';
import { roughOff, roughRoom } from '../src/reach/roughReach';
import { testJob, testMount } from './jobs';

const deg = (rad: number) => (rad * 180) / Math.PI;
const rad = (d: number) => (d * Math.PI) / 180;

const swing: Mount = {
  ...testMount,
  id: 'swing',
  type: 'full-motion',
  depth: { folded: 66, extended: 520 },
  tilt: { down: 15, up: 5 },
  swivel: { left: 60, right: 60 },
  arm: {
    kind: 'links',
    links: [292, 165],
    head: 60,
    limits: { shoulder: [-90, 90], elbow: [-178, 178] },
    foldOffset: 127,
  },
};

interface At {
  x: number;
  distance: number;
  eye?: number;
}
function seated(seats: readonly At[], mount: Mount = swing, room: Partial<Job['room']> = {}): Job {
  const viewers = seats.map((s, i) => ({ id: `v${i + 1}`, eye: 1100, ...s }));
  return testJob({
    mount,
    room: { ...testJob().room, objects: [], viewers, ...room },
    choices: { fold: 'left', centreY: 1100 },
  });
}
const modelOf = (job: Job) => reachModelOf(job, plan(job))!;

/**
 * Trying everything: joints every 4 degrees, yaw every degree, the set's corners against each wall and
 * each thing. Nothing of the search, its table or its closed forms is used, only where a pose puts the set.
 */
function bruteOff({ arm, shape, obstacles }: Reach, seat: Point): number {
  let least = Infinity;
  for (let s = -90; s <= 90; s += 4)
    for (let e = -176; e <= 176; e += 4) {
      const x = arm.root.x + arm.a * Math.sin(rad(s)) + arm.b * Math.sin(rad(s + e));
      const z = arm.root.z + arm.a * Math.cos(rad(s)) + arm.b * Math.cos(rad(s + e));
      if (z < arm.folded.z) continue;
      for (let y = -60; y <= 60; y += 1) {
        const [sin, cos] = [Math.sin(rad(y)), Math.cos(rad(y))];
        const out = shape.head + shape.thickness;
        const [fx, fz] = [x + shape.aside * cos + out * sin, z - shape.aside * sin + out * cos];
        const off = Math.abs(deg(Math.atan2(seat.x - fx, seat.z - fz)) - y);
        if (off >= least) continue;
        const corners = cornersOf(shape, { x, z, yaw: rad(y) });
        if (obstacles.every((o) => gapTo(corners, o) >= 0)) least = off;
      }
    }
  return least;
}

describe('the best pose of a seat', () => {
  it('straight ahead: folded', () => {
    const [seat] = plan(seated([{ x: 2000, distance: 2700 }])).reach!.seats;
    expect(seat).toMatchObject({ viewer: 'v1', reachable: true });
    expect(seat!.offAxis).toBeCloseTo(0, 6);
    expect(seat!.yaw).toBeCloseTo(0, 6);
    expect(seat!.extension).toBeCloseTo(66, 6);
    expect(seat!.stoppedBy).toBeUndefined();
  });
  it('agrees with trying everything, over random seats beside a side wall and a cabinet', () => {
    const place = fc.record({
      x: fc.integer({ min: 200, max: 3900 }),
      distance: fc.integer({ min: 1200, max: 4000 }),
      wall: fc.boolean(),
      cabinet: fc.option(fc.integer({ min: 2600, max: 3000 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(place, ({ x, distance, wall, cabinet }) => {
        const objects =
          cabinet === undefined
            ? []
            : [
                {
                  id: 'o1',
                  kind: 'cabinet' as const,
                  left: cabinet,
                  right: cabinet + 500,
                  bottom: 600,
                  top: 2000,
                  out: 330,
                },
              ];
        const width = wall ? 2700 : 4000;
        const base = testJob().room.wall;
        const room = { objects, wall: { ...base, width, ...(wall ? { returns: { right: true } } : {}) } };
        const job: Job = {
          ...seated([{ x, distance }], swing, room),
          aim: { ...testJob().aim, centre: { on: 'x', x: 2000 } },
        };
        const model = modelOf(job);
        const seat = seatsOf(job)[0]!;
        const best = bestPose(model.reach, model.table, [seat])!;
        const tried = bruteOff(model.reach, seat);
        // the search may be better by what lies between the brute steps, and never claims what cannot be
        expect(deg(best.off)).toBeLessThan(tried + 1.5);
        const corners = cornersOf(model.reach.shape, best);
        for (const o of model.reach.obstacles) expect(gapTo(corners, o)).toBeGreaterThan(-1e-6);
        expect(deg(Math.abs(best.yaw))).toBeLessThanOrEqual(60 + 1e-9);
      }),
      { seed: 74, numRuns: 5 },
    );
  });
  it('among poses that face the seat, the one with its joint least far out', () => {
    const job = seated([{ x: 3600, distance: 2700 }]);
    const { reach, table } = modelOf(job);
    const seat = seatsOf(job)[0]!;
    const best = bestPose(reach, table, [seat])!;
    expect(best.off).toBeLessThan(1e-6);
    // nearer to the wall than that no place along the arm turns far enough
    for (let x = reach.arm.root.x - 460; x <= reach.arm.root.x + 460; x += 5) {
      const z = best.z - 6;
      const r = Math.hypot(x - reach.arm.root.x, z - reach.arm.root.z);
      if (r > reach.arm.a + reach.arm.b || r < 127.5) continue;
      const { hi } = turnAt(reach.arm, reach.shape, { x, z }, reach.obstacles);
      const needed = Math.atan2(seat.x - x, seat.z - z);
      expect(needed).toBeGreaterThan(hi - 1e-9);
    }
  });
  it('a set that hangs aside on its pattern is aimed by the middle of its face', () => {
    const base = seated([{ x: 3300, distance: 1500 }]);
    for (const right of [-120, 120]) {
      const job = { ...base, screen: { ...base.screen, patternCentre: { right, up: 0 } } };
      const model = modelOf(job);
      const best = bestPose(model.reach, model.table, seatsOf(job))!;
      expect(best.off).toBeLessThan(1e-6);
      // the face's middle, the seat and the axis by hand: outline 120 left or right of the joint
      const [sin, cos] = [Math.sin(best.yaw), Math.cos(best.yaw)];
      const face = { x: best.x - right * cos + 120 * sin, z: best.z + right * sin + 120 * cos };
      expect(Math.atan2(3300 - face.x, 1500 - face.z)).toBeCloseTo(best.yaw, 6);
    }
  });
  it('the sign: a seat to the right turns the set to the right', () => {
    const [right, left] = plan(
      seated([
        { x: 3800, distance: 2400 },
        { x: 200, distance: 2400 },
      ]),
    ).reach!.seats;
    expect(right!.yaw).toBeGreaterThan(15);
    expect(left!.yaw).toBeLessThan(-15);
  });
  it('the angle has its working, and it is the one that a hand would measure', () => {
    const job = seated([{ x: 3000, distance: 2126 }]);
    const model = modelOf(job);
    // folded: face 126 out in the middle of the wall; the seat 1000 right and 2000 away
    const at = { x: model.folded.x, z: model.folded.z, yaw: 0, extension: 66 };
    const axis = seatAxis(model, at, seatsOf(job)[0]!);
    expect(axis.value).toBeCloseTo(deg(Math.atan(0.5)), 9);
    expect(evaluate(axis)).toBeCloseTo(axis.value, 12);
    expect(seatOff(model, { ...at, yaw: 20 }, seatsOf(job)[0]!)).toBeLessThan(axis.value);
  });
});

describe('what stops a better one', () => {
  const far = { x: 4900, distance: 1500 };
  const stop = (job: Job) => plan(job).reach!.seats[0]!;
  it('the swivel', () => {
    const narrow = { ...swing, swivel: { left: 15, right: 15 } };
    expect(stop(seated([{ x: 3900, distance: 2400 }], narrow))).toMatchObject({ stoppedBy: 'swivel' });
  });
  it('the reach, and how much it would take', () => {
    const short: Mount = {
      ...swing,
      depth: { folded: 66, extended: 130 },
      arm: { kind: 'scissor', head: 60, range: { min: 66, max: 130 } },
    };
    const seat = stop(seated([{ x: 4600, distance: 2400 }], short));
    expect(seat.stoppedBy).toBe('reach');
    // at that reach the seat is faced, a millimetre short of it it is not
    const reaching = (extended: number) =>
      stop(
        seated([{ x: 4600, distance: 2400 }], {
          ...short,
          depth: { folded: 66, extended },
          arm: { ...short.arm!, range: { min: 66, max: extended } },
        }),
      );
    expect(reaching(seat.reachNeeded! + 0.5).offAxis).toBeLessThan(0.01);
    expect(reaching(seat.reachNeeded! - 3).offAxis).toBeGreaterThan(0.05);
  });
  it('hand value: half 559, joint at the back, seat at 30 degrees: 279.5 out', () => {
    const bare: Mount = { ...swing, depth: { folded: 60, extended: 100 }, arm: { kind: 'scissor' } };
    const job = seated([{ x: 2000 + 1000, distance: 279.5 + 1000 * Math.sqrt(3) }], bare);
    const { arm, shape } = modelOf(job).reach;
    expect(reachNeeded(arm.root.x, shape, seatsOf(job)[0]!)).toBeCloseTo(279.5, 3);
  });
  it('a side wall, a thing on the floor: each by its name', () => {
    const at = { x: 3900, distance: 2000 };
    const wall = { ...testJob().room.wall, width: 2610, returns: { right: true } };
    const walled: Job = {
      ...seated([{ x: 250, distance: 1500 }], swing, { wall }),
      aim: { ...testJob().aim, centre: { on: 'x', x: 2000 } },
    };
    const [turned] = plan(walled).reach!.seats;
    expect(turned!.reachable).toBe(true);
    const free = { ...swing, swivel: { left: 90, right: 90 } };
    const beside = (returns: { right: boolean }): Job => ({
      ...walled,
      mount: free,
      room: {
        ...walled.room,
        wall: { ...wall, width: 2600, returns },
        viewers: [{ id: 'v1', eye: 1100, x: 0, distance: 900 }],
      },
    });
    expect(stop(beside({ right: true })).stoppedBy).toBe('wall:right');
    expect(stop(beside({ right: false })).offAxis).toBeLessThan(stop(beside({ right: true })).offAxis - 0.5);
    const screenOnFloor = { id: 'f9', kind: 'wardrobe', left: 900, right: 3200, near: 140, far: 700, height: 2000 };
    expect(stop(seated([at], swing, { floor: [screenOnFloor] }))).toMatchObject({ stoppedBy: 'floor:f9' });
  });
  it('two things together: what ended the turn in the best pose is named', () => {
    const cabinet = { id: 'o9', kind: 'cabinet' as const, left: 1850, right: 2400, bottom: 700, top: 1500, out: 330 };
    const wall = { ...testJob().room.wall, width: 3000, returns: { left: true, right: true } };
    const desk = (right: number, objects = [cabinet], extended = 520): Job => ({
      ...seated(
        [{ x: 2700, distance: 700 }],
        { ...swing, swivel: { left: 60, right }, depth: { folded: 66, extended } },
        { wall, objects },
      ),
      aim: { ...testJob().aim, centre: { on: 'x', x: 1100 } },
    });
    const seat = stop(desk(60));
    expect(seat.yaw).toBeCloseTo(60, 6);
    expect(seat.offAxis).toBeGreaterThan(15);
    expect(seat.stoppedBy).toBe('swivel');
    // neither a freer mount alone nor the cabinet gone alone would be half a degree better
    expect(stop(desk(180)).offAxis).toBeGreaterThan(seat.offAxis - 0.5);
    expect(stop(desk(60, [])).offAxis).toBeGreaterThan(seat.offAxis - 0.5);
    // both a freer and a longer one would
    expect(stop(desk(180, [], 900)).offAxis).toBeLessThan(seat.offAxis - 0.5);
  });
  it('poor is over 30 degrees, and says so', () => {
    const fixedTurn = { ...swing, swivel: { left: 5, right: 5 } };
    const p = plan(seated([far], fixedTurn));
    expect(p.reach!.seats[0]).toMatchObject({ reachable: false });
    expect(p.findings.find((f) => f.code === 'seat-poor')).toMatchObject({
      level: 'caution',
      stage: 'reach',
      values: { by: 'swivel' },
    });
  });
  it('mounts of the catalogue that would serve', () => {
    const better = { ...swing, id: 'better', swivel: { left: 70, right: 70 }, mass: 5, movingMass: 3 };
    const stiff = { ...swing, id: 'stiff', swivel: { left: 5, right: 5 } };
    // nobody has looked for studs yet: what holes there would be does not count
    const job = { ...seated([{ x: 3900, distance: 2400 }], stiff), evidence: [] };
    const p = plan(job, { mounts: [stiff, better, testMount] });
    expect(p.reach!.seats[0]!.servedBy).toEqual(['better']);
  });
});

describe('seats that face different ways', () => {
  it('one pose for both: the least worst angle, as good as any that is tried', () => {
    const job = seated([
      { x: 2000, distance: 2700 },
      { x: 3600, distance: 2100 },
    ]);
    const p = plan(job);
    const model = reachModelOf(job, p)!;
    const [a, b] = seatsOf(job) as unknown as [Point, Point];
    const { worst } = p.reach!.shared!;
    const at = p.reach!.shared!;
    const offs = [a, b].map((s) => Math.abs(seatOff(model, at, { ...s })));
    expect(Math.max(...offs)).toBeCloseTo(worst, 6);
    for (const stand of model.table.stands)
      for (let y = stand.lo; y <= stand.hi; y += rad(1)) {
        const pose = { x: stand.x, z: stand.z, yaw: deg(y), extension: 0 };
        expect(Math.max(...[a, b].map((s) => Math.abs(seatOff(model, pose, s))))).toBeGreaterThan(worst - 0.05);
      }
  });
  it('too far apart is said', () => {
    const p = plan(
      seated([
        { x: 300, distance: 1500 },
        { x: 3700, distance: 1500 },
      ]),
    );
    expect(p.findings.find((f) => f.code === 'seats-apart')).toMatchObject({ level: 'info' });
    expect(p.reach!.seats.every((s) => s.reachable)).toBe(true);
  });
});

describe('tilt in a pose', () => {
  it('as the eye asks, within the label and the room behind its lower edge', () => {
    const tilt = (eye: number, mount = swing) =>
      plan({ ...seated([{ x: 2000, distance: 2700, eye }], mount), choices: { fold: 'left', centreY: 1400 } }).reach!
        .seats[0]!.tilt;
    expect(tilt(1300)).toBeCloseTo(deg(Math.atan(100 / (2700 - 126))), 6);
    // 66 behind half of 640: asin(66/320) = 11.9 degrees, though the label gives 15
    expect(tilt(500)).toBeCloseTo(deg(Math.asin(66 / 320)), 6);
    expect(tilt(500, { ...swing, tilt: { down: 8, up: 0 } })).toBe(8);
    expect(tilt(2000, { ...swing, tilt: { down: 8, up: 3 } })).toBe(-3);
  });
});

describe('a hand on the set', () => {
  const job = seated([{ x: 2000, distance: 2700 }]);
  const model = modelOf(job);
  it('gets the place that it asks for where the arm goes, and the nearest where it does not', () => {
    const there = nearestPose(model, { x: 2300, z: 200, yaw: 10 });
    expect(there).toMatchObject({ x: 2300, z: 200 });
    expect(there.yaw).toBeCloseTo(10, 9);
    const beyond = nearestPose(model, { x: 2127, z: 2000, yaw: 0 });
    expect(beyond.extension).toBeCloseTo(520, 0);
  });
  it('is stopped by what stops the set, by name', () => {
    const far = nearestPose(model, { x: 2300, z: 200, yaw: 80 });
    expect(far.stoppedBy).toBe('own-wall');
    const out = nearestPose(model, { x: 2127, z: 450, yaw: 80 });
    expect(out.stoppedBy).toBe('own-wall');
    expect(nearestPose(model, { x: 2300, z: 200, yaw: 10 }).stoppedBy).toBeUndefined();
  });
  it('what is held and the joint convert into each other', () => {
    const at = { x: 2300, z: 200, yaw: 25, extension: 0 };
    const back = pivotFor(model, heldAt(model, at), 25);
    expect(back.x).toBeCloseTo(2300, 9);
    expect(back.z).toBeCloseTo(200, 9);
  });
});

describe('the coverage of the floor', () => {
  const job = seated([{ x: 2000, distance: 2700 }], { ...swing, swivel: { left: 30, right: 30 } });
  const { reach } = modelOf(job);
  const grid = gridOver(0, 4000, 3000, 500);
  const map = coverage(reach, grid);
  it('agrees with the best pose of a seat in the middle of each cell', () => {
    const table = modelOf(job).table;
    for (let row = 1; row < grid.rows; row++)
      for (let column = 0; column < grid.columns; column++) {
        const seat = { x: (column + 0.5) * 500, z: (row + 0.5) * 500 };
        const best = deg(bestPose(reach, table, [seat])!.off);
        expect(map[row]![column]!).toBeGreaterThan(best - 0.05);
        expect(map[row]![column]! - best).toBeLessThan(4);
      }
  });
  it('is nothing straight ahead and grows to the sides', () => {
    const row = map[4]!;
    expect(row[4]).toBeCloseTo(0, 6);
    expect(row[0]).toBeGreaterThan(row[1]!);
    expect(row[7]).toBeGreaterThan(row[6]!);
  });
  it('nobody behind its face counts as served', () => {
    expect(leastOff(reach, coverageStands(reach), { x: 2000, z: 5 })).toBeGreaterThan(60);
  });
});

describe('judging many mounts', () => {
  it('never promises more than the room gives, and the same where nothing is in the way', () => {
    const seat = fc.record({ x: fc.integer({ min: -500, max: 4500 }), distance: fc.integer({ min: 900, max: 4500 }) });
    fc.assert(
      fc.property(seat, fc.integer({ min: 10, max: 75 }), (at, turn) => {
        const job = seated([at], { ...swing, swivel: { left: turn, right: turn } });
        const model = modelOf(job);
        const rough = roughOff(job.mount!, roughRoom(job, { centreX: 2000, width: 1118, thickness: 60 }), {
          x: at.x,
          z: at.distance,
        })!;
        const best = deg(bestPose(model.reach, model.table, seatsOf(job))!.off);
        expect(rough).toBeGreaterThan(best - 0.05);
        expect(rough - best).toBeLessThan(7);
      }),
      // the farthest apart that was found: the nearest seat, the least turn, 6.0 degrees
      { numRuns: 14, examples: [[{ x: 897, distance: 900 }, 10]] },
    );
  });
  it('is used by type advice and ranking: the arm that reaches comes before the one that does not', () => {
    const job = seated([{ x: 3900, distance: 2000 }]);
    const stub: Mount = {
      ...swing,
      id: 'stub',
      depth: { folded: 40, extended: 90 },
      arm: { kind: 'scissor', range: { min: 40, max: 90 } },
    };
    const p = plan(job, { mounts: [stub, swing] });
    expect(p.advice!.type).toBe('full-motion');
    // how far out any set of this width has to come to turn to that seat: 559 sin y = z, aimed from there
    const { reachNeeded: out } = p.advice!;
    expect(559 * Math.sin(Math.atan2(1900, 2000 - out!))).toBeCloseTo(out!, 3);
    expect(p.ranking!.map((r) => r.id)).toEqual(['swing', 'stub']);
    expect(p.ranking![1]!.reasons.find((r) => r.rule === 'reach')).toMatchObject({ ok: false });
  });
  it('the middle of the face is where the sight line ends', () => {
    const model = modelOf(seated([{ x: 2000, distance: 2700 }]));
    const face = faceOf(model.reach.shape, poseOf({ x: 2000, z: 200, yaw: 90 }));
    expect([face.x, face.z].map(Math.round)).toEqual([2120, 200]);
  });
});
