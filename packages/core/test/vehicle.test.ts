import type { Job, Plan, Zone } from '@steddo/contract';
import { demoCatalogue, narrowboatCabin } from '@steddo/samples';
import fc from 'fast-check';
import {
  estimateUtilisation,
  evaluate,
  landsIn,
  plan,
  practiceScore,
  practiceWalls,
  rankMounts,
  SHEET_POKES,
  simulated,
  untouched,
  withKit,
} from '../src';

/* A vehicle's thin wall: a backing, a skin, and screws that stop between them. */

const cabin = withKit(narrowboatCabin, demoCatalogue);
type Build = Job['room']['wall']['build'];

function thin(
  build: Partial<Build>,
  { length, plate, washer = 0, packing = 0 }: { length: number; plate: number; washer?: number; packing?: number },
  zone: Partial<Zone> = {},
): Job {
  const { wall } = cabin.room;
  const mount = cabin.mount!;
  const fixing = { ...mount.walls['metal-backing']!.fixing!, length, washer };
  const { depth: _, ...bare } = wall.build;
  return {
    ...cabin,
    choices: { packing },
    mount: {
      ...mount,
      plate: { ...mount.plate!, thickness: plate },
      walls: { 'metal-backing': { maxBoard: 6, fixing } },
    },
    room: {
      ...cabin.room,
      wall: { ...wall, build: { ...bare, ...build }, zones: wall.zones!.map((z) => ({ ...z, ...zone })) },
    },
  };
}
const codes = (job: Job) => plan(job).findings.map((f) => f.code);
const stopsOf = ({ findings }: Plan) => findings.filter((f) => f.level === 'stop').map((f) => f.code);
const stops = (job: Job) => stopsOf(plan(job));
const todos = (job: Job) =>
  plan(job)
    .findings.filter((f) => f.level === 'todo')
    .map((f) => f.code);

describe('a screw in a thin wall', () => {
  it('19 through a plate of 1.5 in 4.5 of wall is out by 13: a stop', () => {
    const job = thin({ depth: 4.5, board: 1 }, { length: 19, plate: 1.5 });
    const made = plan(job);
    expect(made.vehicle!.tip).toBeCloseTo(-13, 9);
    expect(stops(job)).toContain('screw-through');
    expect(made.vehicle!.flag).toBeLessThanOrEqual(1.5);
  });

  it('stays before the skin, its flag where its point is, and what holds is the backing', () => {
    const made = plan(cabin);
    expect(made.verdict).toBe('go');
    // 52 of wall, 19 of screw, 2 of plate
    expect([made.vehicle!.tip, made.vehicle!.flag]).toEqual([35, 17]);
    for (const h of made.holes!) {
      expect([h.depth, h.penetration]).toEqual([17, 2]);
      expect(h.steps).toContain('seal');
      expect(h.steps.indexOf('seal')).toBe(h.steps.indexOf('drive-screw') - 1);
    }
    for (const w of Object.values(made.vehicle!.workings)) expect(evaluate(w)).toBeCloseTo(w.value, 9);
  });

  it('for any wall and screw: past the skin or a depth nobody knows is a stop, and no drill goes beyond the point', () => {
    const entry = fc.record({
      depth: fc.option(fc.double({ min: 4, max: 60, noNaN: true }), { nil: undefined }),
      length: fc.double({ min: 8, max: 40, noNaN: true }),
      plate: fc.double({ min: 1, max: 5, noNaN: true }),
      washer: fc.double({ min: 0, max: 2, noNaN: true }),
      packing: fc.constantFrom(0, 0, 3, 8),
      board: fc.constantFrom(0, 2, 4),
    });
    let [through, go] = [0, 0];
    fc.assert(
      fc.property(entry, ({ depth, board, ...screw }) => {
        const job = thin({ board, ...(depth === undefined ? {} : { depth }) }, screw);
        const made = plan(job);
        const within = screw.length - screw.plate - screw.washer - screw.packing;
        const stopped = stopsOf(made);
        expect(made.holes!.length).toBe(4);
        if (depth === undefined) expect(stopped).toContain('skin-unknown');
        else {
          expect(made.vehicle!.tip).toBeCloseTo(depth - within, 9);
          // on the line itself, to a nanometre, either answer is right
          const beyond = within - (depth - 3);
          if (Math.abs(beyond) > 1e-6) expect(stopped.includes('screw-through')).toBe(beyond > 0);
          if (stopped.includes('screw-through')) through += 1;
          for (const h of made.holes!) expect(h.depth).toBeLessThanOrEqual(depth - 3 + 1e-9);
        }
        for (const h of made.holes!) expect(h.depth).toBeLessThanOrEqual(Math.max(0, within) + 1e-9);
        expect(made.vehicle!.flag).toBeLessThanOrEqual(within + 1e-9);
        if (made.verdict === 'go') go += 1;
      }),
      { numRuns: 80 },
    );
    expect([through > 0, go > 0]).toEqual([true, true]);
  }, 60_000);

  it('that does not reach the backing holds nothing', () => {
    expect(stops(thin({ depth: 52, board: 4 }, { length: 9, plate: 5 }))).toContain('backing-not-reached');
    const part = plan(thin({ depth: 52, board: 4 }, { length: 8, plate: 3 }));
    expect(part.findings.find((f) => f.code === 'backing-part-held')!.values).toMatchObject({
      engagedMm: 1,
      thicknessMm: 2,
    });
  });
});

describe('a backing', () => {
  it('has every hole inside it, less its doubt and what a screw keeps off its edge', () => {
    fc.assert(
      fc.property(
        fc.record({
          left: fc.integer({ min: 600, max: 900 }),
          width: fc.integer({ min: 80, max: 400 }),
          bottom: fc.integer({ min: 800, max: 960 }),
          height: fc.integer({ min: 80, max: 300 }),
          doubt: fc.integer({ min: 0, max: 25 }),
        }),
        ({ left, width, bottom, height, doubt }) => {
          const zone = { left, right: left + width, bottom, top: bottom + height, doubt };
          const made = plan(thin({ depth: 52 }, { length: 19, plate: 2 }, zone));
          for (const h of made.holes ?? []) {
            expect(h.x).toBeGreaterThanOrEqual(zone.left + doubt + 20 - 1e-9);
            expect(h.x).toBeLessThanOrEqual(zone.right - doubt - 20 + 1e-9);
            expect(h.y).toBeGreaterThanOrEqual(zone.bottom + doubt + 20 - 1e-9);
            expect(h.y).toBeLessThanOrEqual(zone.top - doubt - 20 + 1e-9);
          }
          expect(made.vehicle!.backing).toEqual(zone);
          // none there is no go
          if (!made.holes?.length) expect(made.verdict).not.toBe('go');
        },
      ),
      { numRuns: 50 },
    );
  }, 60_000);

  it('that nobody has said where it is, or whose edges are not all marked, is to be marked first', () => {
    const { zones: _, ...wall } = cabin.room.wall;
    const bare: Job = { ...cabin, room: { ...cabin.room, wall } };
    expect(todos(bare)).toContain('backing-unknown');
    const sheet: Job = {
      ...bare,
      room: { ...bare.room, wall: { ...wall, build: { ...wall.build, kind: 'metal-backing', thickness: 2 } } },
    };
    expect(todos(sheet)).toContain('backing-unknown');
    expect(plan(bare).holes).toBeUndefined();
    expect(plan(sheet).verdict).not.toBe('go');
    const edge = (side: 'left' | 'right' | 'top' | 'bottom', x: number, y: number) => ({
      id: side,
      kind: 'backing-edge' as const,
      side,
      x,
      y,
    });
    const edges = [
      edge('left', 720, 1000),
      edge('right', 1130, 1000),
      edge('bottom', 900, 850),
      edge('top', 900, 1170),
    ];
    expect(stops({ ...sheet, evidence: edges })).toEqual([]);
  });

  it('holds by its pack alone: no table for timber studs, none for a sheet of wood', () => {
    const lag = { kind: 'lag' as const, diameter: 6.35, length: 38, count: 4, washer: 1 };
    const walls = { 'timber-backing': { maxBoard: 6, fixing: lag }, 'timber-stud': { maxBoard: 6, fixing: lag } };
    const mount = { ...cabin.mount!, walls };
    const zone = { ...cabin.room.wall.zones![0]!, build: { kind: 'timber-backing' as const, thickness: 20 } };
    const job: Job = { ...cabin, mount, room: { ...cabin.room, wall: { ...cabin.room.wall, zones: [zone] } } };
    expect(stops(job)).toContain('no-rating');
    // the same on a wall of a house is held by the tables
    const house: Job = { ...job, mount: { ...mount, type: 'fixed' }, room: { ...job.room, kind: 'wall' } };
    expect(plan(house).findings.map((f) => f.code)).not.toContain('no-rating');
  });
});

describe('on the road', () => {
  it('what hangs there counts three times, folded, and the list is not milder than the plan', () => {
    const { viewers: _, ...room } = cabin.room;
    const aim: Job['aim'] = { ...cabin.aim, height: 'line-up', schools: { 'line-up': { edge: 'centre', to: 990 } } };
    const { arm: _a, swivel: _s, ...still } = cabin.mount!;
    const mount = { ...still, depth: { folded: 44 } };
    const alone: Job = { ...cabin, room, aim, mount };
    const { loads } = plan(alone);
    // without an arm it has one pose; ratings add pull and shear in a line
    expect(loads!.travel!.times).toBe(3);
    expect(loads!.travel!.utilisation).toBeCloseTo(3 * loads!.standing, 6);
    expect(loads!.worst).toBe(loads!.travel!.utilisation);
    const weak = { ...mount.walls['metal-backing']!.fixing!, tension: 300, shear: 300 };
    const heavy: Job = { ...alone, mount: { ...mount, walls: { 'metal-backing': { maxBoard: 6, fixing: weak } } } };
    const made = plan(heavy);
    const stop = made.findings.find((f) => f.code === 'load-too-great')!;
    expect(stop.values.handling).toBe('travel');
    expect(made.loads!.standing).toBeLessThan(1);
    expect(rankMounts([heavy.mount!], heavy)[0]!.verdict).toBe('stop');
  });

  it('the closed form for long lists counts it too', () => {
    const { arm: _a, swivel: _s, ...still } = cabin.mount!;
    const mount = { ...still, depth: { folded: 44 } };
    const wall = { ...cabin.room.wall, build: { ...cabin.room.wall.build, ...cabin.room.wall.zones![0]!.build } };
    const use = (vehicle: boolean) => estimateUtilisation(mount, cabin.screen, wall, 0, vehicle)!.utilisation;
    expect(use(true)).toBeCloseTo(3 * use(false), 9);
  });

  it('in a house nothing of it is counted', () => {
    const house: Job = { ...cabin, room: { ...cabin.room, kind: 'wall' } };
    const made = plan(house);
    expect([made.vehicle, made.loads?.travel]).toEqual([undefined, undefined]);
    expect(made.day!.steps.map((s) => s.id)).not.toContain('vehicle.level');
  });

  it('the day begins with the level of the vehicle, and ends with how it travels', () => {
    const { day, vehicle, findings } = plan(cabin);
    expect(day!.steps[0]!.id).toBe('vehicle.level');
    expect(day!.steps.map((s) => s.id)).toEqual(expect.arrayContaining(['vehicle.backing', 'over.travel']));
    expect(vehicle!.travel).toEqual(['fold', 'lock', 'tilt', 'leads', 'loose', 'retighten']);
    expect(findings.map((f) => f.code)).toContain('fold-to-travel');
    const outside = plan({ ...cabin, mount: { ...cabin.mount!, outside: true } });
    expect(outside.day!.steps.map((s) => s.id)).toContain('vehicle.seal');
    expect(codes({ ...cabin, mount: { ...cabin.mount!, outside: true } })).toContain('seal-outside');
  });
});

describe('a practice wall with a sheet', () => {
  it('tells nothing of where it is before it is found, and can be hung on', () => {
    const start = untouched(cabin);
    expect(start.room.wall.zones).toBeUndefined();
    expect(start.room.wall.build).toMatchObject({ kind: 'metal-backing', thickness: 2, depth: 52 });
    for (let seed = 1; seed <= 20; seed++) {
      const { main: wall } = practiceWalls(start, seed);
      expect(practiceWalls(start, seed).main).toEqual(wall);
      expect(wall.studs).toEqual([]);
      const { left, right, bottom, top } = wall.sheet!;
      const edge = (side: 'left' | 'right' | 'top' | 'bottom', x: number, y: number) => ({
        id: side,
        kind: 'backing-edge' as const,
        ...{ side, x, y },
      });
      const evidence = [
        edge('left', left, 1000),
        edge('right', right, 1000),
        edge('bottom', 900, bottom),
        edge('top', 900, top),
      ];
      const found = plan({ ...start, evidence });
      // a screw is a whole diameter and a half inside it, wherever its sheet is
      for (const h of found.holes!) expect(landsIn(wall, h, 5.5)).toBe(true);
      expect(
        practiceScore(
          { main: wall },
          start,
          { pokes: [], looks: [], holes: found.holes!.map(({ x, y }) => ({ x, y })) },
          SHEET_POKES,
        ),
      ).toMatchObject({
        landed: 4,
        points: 100,
      });
      expect(landsIn(wall, { x: left + 5, y: (bottom + top) / 2 }, 5.5)).toBe(false);
    }
  });

  it('holds a magnet from edge to edge, and a poke meets it or nothing', () => {
    const { main: wall } = practiceWalls(untouched(cabin), 3);
    const { left, right, bottom, top } = wall.sheet!;
    const tools = simulated(wall, 7);
    const pass = tools.begin('magnet', (bottom + top) / 2);
    const lit = Array.from({ length: 1850 }, (_, x) => x).filter((x) => pass.at(x).lit);
    // an edge finder's error, 4 mm: within four of it
    expect(Math.abs(lit[0]! - left)).toBeLessThan(17);
    expect(Math.abs(lit.at(-1)! - right)).toBeLessThan(17);
    expect(tools.begin('magnet', top + 30).at((left + right) / 2).lit).toBe(false);
    const pokes = (x: number) => Array.from({ length: 50 }, () => tools.poke(x, (bottom + top) / 2).found);
    expect(pokes((left + right) / 2).filter((f) => f === 'backing').length).toBeGreaterThan(40);
    expect(pokes(left - 40).filter((f) => f === 'hollow').length).toBeGreaterThan(40);
  });
});
