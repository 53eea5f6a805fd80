import { atticSnug, demoCatalogue, guestRoom, sewingCorner } from '@steddo/samples';
import {
  followAdvice,
  hiddenWall,
  landsIn,
  passMarks,
  plan,
  practiceScore,
  practiceWall,
  practiceWalls,
  simulated,
  untouched,
  withKit,
  type HiddenWall,
} from '../src';
import { seeded } from '../src/instruments/random';
import { testJob } from './jobs';

const wall: HiddenWall = {
  seed: 1,
  width: 3000,
  height: 2400,
  board: 12.7,
  studs: [600, 1000, 1400].map((left) => ({ left, ply: 38, plies: 1 as const, lean: 0 })),
  screws: [
    { x: 615, y: 1350 },
    { x: 1020, y: 1420 },
    { x: 1420, y: 900 },
  ],
  noggings: [{ y: 1700, left: 638, right: 1000 }],
  runs: [
    { what: 'cable', way: 'vertical', at: 800, from: 400, to: 2400, onBoard: true },
    { what: 'cable', way: 'horizontal', at: 1300, from: 0, to: 3000, onBoard: false },
    { what: 'plastic-pipe', way: 'vertical', at: 1200, from: 0, to: 2400, onBoard: false },
  ],
  guards: [],
};
const mean = (xs: number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
const sd = (xs: number[]) => Math.sqrt(mean(xs.map((x) => (x - mean(xs)) ** 2)));

describe('hidden walls', () => {
  it('the same seed, the same wall; another seed, another', () => {
    expect(hiddenWall(guestRoom, 7)).toEqual(hiddenWall(guestRoom, 7));
    expect(hiddenWall(guestRoom, 7).studs).not.toEqual(hiddenWall(guestRoom, 8).studs);
  });
  it('studs in order and inside the wall, at the stated spacing or oddly, screws mostly in them', () => {
    const [pitches, missed, screws]: number[][] = [[], [], []];
    for (let seed = 1; seed <= 60; seed++) {
      const w = hiddenWall(guestRoom, seed);
      w.studs.slice(1).forEach((s, i) => pitches!.push(s.left - w.studs[i]!.left));
      for (const s of w.screws) {
        screws!.push(1);
        if (!w.studs.some((t) => s.x > t.left && s.x < t.left + t.ply * t.plies)) missed!.push(1);
      }
    }
    expect(Math.min(...pitches!)).toBeGreaterThan(200);
    const usual = pitches!.filter((p) => Math.abs(p - 406.4) < 20).length / pitches!.length;
    expect(usual).toBeGreaterThan(0.85);
    expect(usual).toBeLessThan(0.99);
    expect(missed!.length / screws!.length).toBeGreaterThan(0.02);
    expect(missed!.length / screws!.length).toBeLessThan(0.12);
  });
  it('a practice wall can be hung on by its mount', () => {
    for (const seed of [3, 4]) {
      const job = untouched(guestRoom);
      const w = practiceWall(job, seed);
      expect(practiceWall(job, seed)).toEqual(w);
      expect(w.studs.length).toBeGreaterThan(3);
    }
    expect(untouched(guestRoom).evidence).toBeUndefined();
  });
});

describe('simulated instruments', () => {
  it('the edge finder lights early and late by 4 mm, and now and then over nothing', () => {
    const tools = simulated(wall, 5);
    const [lefts, all]: number[][] = [[], []];
    for (let i = 0; i < 300; i++) {
      const marks = passMarks(tools, 'edge', 1400, 0, 3000).filter((m) => m.kind === 'edge-left');
      for (const m of marks) {
        all!.push(m.x);
        const near = wall.studs.find((s) => Math.abs(s.left - m.x) < 21);
        if (near) lefts!.push(m.x - near.left);
      }
    }
    expect(sd(lefts!)).toBeGreaterThan(3.6);
    expect(sd(lefts!)).toBeLessThan(4.5);
    expect(Math.abs(mean(lefts!) - 0.5)).toBeLessThan(0.6);
    const wrong = 1 - lefts!.length / all!.length;
    expect(wrong).toBeGreaterThan(0.02);
    expect(wrong).toBeLessThan(0.09);
  });
  it('the magnet finds the screws that are near its height', () => {
    const marks = passMarks(simulated(wall, 6), 'magnet', 1400, 500, 1500);
    expect(marks.filter((m) => Math.abs(m.x - 615) < 2 || Math.abs(m.x - 1020) < 2)).toHaveLength(2);
    expect(marks.some((m) => Math.abs(m.x - 1420) < 6)).toBe(false);
  });
  it('one poke in fifty misleads', () => {
    const tools = simulated(wall, 7);
    const wrong = Array.from({ length: 2000 }, () => tools.poke(1019, 1500).found).filter((f) => f !== 'wood').length;
    expect(wrong).toBeGreaterThan(15);
    expect(wrong).toBeLessThan(70);
    // a nogging is wood too, at its height only
    const at = (y: number) =>
      Array.from({ length: 9 }, () => tools.poke(850, y).found).filter((f) => f === 'wood').length;
    expect(at(1700)).toBeGreaterThan(6);
    expect(at(1600)).toBeLessThan(3);
    expect(tools.poke(800, 1500).felt).toBe(true);
    expect(tools.poke(850, 1500).felt).toBe(false);
  });
  it('a live scan shows the cable that touches the board, not the other, and no pipe', () => {
    const along = simulated(wall, 8).begin('live', 1300);
    expect(along.at(800).lit).toBe(true);
    for (const x of [1019, 1200, 700]) expect(along.at(x).lit).toBe(false);
    expect(simulated(wall, 8).begin('live', 300).at(800).lit).toBe(false);
  });
  it('the camera shows one bay, up to a nogging, with everything that is in it', () => {
    const tools = simulated(wall, 9);
    const view = tools.look(700, 1500, 300)!;
    expect(view).toMatchObject({ left: 638, right: 1000, bottom: 1200, top: 1681 });
    expect(view.runs.map((r) => `${r.what} ${r.way}`)).toEqual(['cable vertical', 'cable horizontal']);
    expect(tools.look(1150, 2000, 300)!.runs.map((r) => r.what)).toEqual(['plastic-pipe']);
    expect(tools.look(1019, 1500, 300)).toBeUndefined();
  });
  it('a level that is off tells itself when it is turned; a range finder is good to a millimetre or two', () => {
    const tools = simulated(wall, 10);
    const both = [false, true].map((turned) => tools.level('plate', 0.5, turned).angle!);
    expect(Math.abs((both[0]! + both[1]!) / 2 - 0.5)).toBeLessThan(0.08);
    expect(both[0]! - both[1]!).toBeGreaterThan(0.1);
    expect(Math.abs(tools.range(1500) - 1500)).toBeLessThan(8);
  });
  it('counts and normals come out as they should', () => {
    const random = seeded(11);
    const counts = Array.from({ length: 4000 }, () => random.count(1.7));
    expect(Math.abs(mean(counts) - 1.7)).toBeLessThan(0.08);
    expect(Math.abs(sd(counts) ** 2 - 1.7)).toBeLessThan(0.15);
    const normals = Array.from({ length: 4000 }, () => random.normal(3));
    expect(Math.abs(mean(normals))).toBeLessThan(0.2);
    expect(Math.abs(sd(normals) - 3)).toBeLessThan(0.15);
  });
});

describe('a practice wall', () => {
  it('followed to the end, the advice lands the holes that it says are sure', () => {
    let [sure, landed, of] = [0, 0, 0];
    for (const [job, seed] of [
      [guestRoom, 5],
      [guestRoom, 7],
      [atticSnug, 2],
      [atticSnug, 8],
    ] as const) {
      const start = untouched(job);
      const w = practiceWall(start, seed);
      const end = followAdvice(start, simulated(w, seed));
      if (end.enough === 'sure') sure += 1;
      const holes = plan(end.job).holes ?? [];
      of += holes.length;
      landed += holes.filter((h) => landsIn(w, h, 7.94)).length;
      expect(end.pokes).toBeLessThan(10);
    }
    expect(sure).toBeGreaterThanOrEqual(3);
    expect(landed).toBeGreaterThanOrEqual(of - 2);
  }, 60_000);
  it('of a corner: a stud under each foot, the advice followed on one wall after the other, holes scored on their own', () => {
    const start = untouched(withKit(sewingCorner, demoCatalogue));
    let [sure, landed, of] = [0, 0, 0];
    for (const seed of [2, 3, 6]) {
      const walls = practiceWalls(start, seed);
      expect(practiceWalls(start, seed)).toEqual(walls);
      const { main, other } = walls;
      expect(other!.side).toBe('left');
      expect(other!.wall.studs).not.toEqual(main.studs);
      const first = followAdvice(start, simulated(main, seed));
      const end = followAdvice(first.job, simulated(other!.wall, seed + 1), () => undefined, 'left');
      // what was found at one wall says nothing of the other
      expect(first.job.evidence!.every((e) => e.wall === undefined)).toBe(true);
      expect(end.job.evidence!.filter((e) => e.wall === undefined)).toEqual(first.job.evidence);
      if (first.enough === 'sure' && end.enough === 'sure') sure += 1;
      const holes = plan(end.job).holes ?? [];
      const places = holes.map(({ x, y, wall = 'main' }) => ({ x, y, ...(wall === 'main' ? {} : { wall }) }));
      const score = practiceScore(walls, start, { pokes: [], looks: [], holes: places }, 0);
      expect(score.landed).toBe(holes.filter((h) => landsIn(h.wall === 'left' ? other!.wall : main, h, 6.35)).length);
      of += score.holes;
      landed += score.landed;
    }
    expect(sure).toBeGreaterThanOrEqual(2);
    expect(of).toBeGreaterThanOrEqual(12);
    expect(landed).toBeGreaterThanOrEqual(of - 3);
  }, 60_000);
  const job = testJob();
  const nothing = { pokes: [], looks: [], holes: [] };
  const good = [600, 1000].flatMap((l) => [
    { x: l + 19, y: 1500 },
    { x: l + 19, y: 1600 },
  ]);
  it('all holes in wood, nothing met, no more pokes than advised: 100', () => {
    expect(
      practiceScore({ main: wall }, job, { ...nothing, holes: good, pokes: [{ x: 700, y: 1500 }] }, 1),
    ).toMatchObject({
      landed: 4,
      holes: 4,
      met: [],
      points: 100,
    });
  });
  it('a hole beside the stud, a cable met by the drill, and needless pokes cost', () => {
    const beside = [...good.slice(1), { x: 600 + 19 + 8, y: 1500 }];
    expect(practiceScore({ main: wall }, job, { ...nothing, holes: beside }, 0)).toMatchObject({
      landed: 3,
      points: 75,
    });
    // the level cable at 1300 crosses the stud: landed, and met
    const met = practiceScore({ main: wall }, job, { ...nothing, holes: [...good.slice(1), { x: 619, y: 1302 }] }, 0);
    expect(met).toMatchObject({ landed: 4, met: [{ what: 'cable', by: 'hole' }], points: 70 });
    const poked = practiceScore(
      { main: wall },
      job,
      { ...nothing, holes: good, pokes: [700, 710, 720].map((x) => ({ x, y: 1500 })) },
      1,
    );
    expect(poked.points).toBe(96);
    expect(practiceScore({ main: wall }, job, { ...nothing, looks: [{ x: 1203, y: 1500 }] }, 0)).toMatchObject({
      points: 0,
      met: [{ what: 'plastic-pipe', by: 'look' }],
    });
  });
  it('a double has a seam in its middle', () => {
    const doubled = { ...wall, studs: [{ left: 600, ply: 38, plies: 2 as const, lean: 0 }] };
    expect(landsIn(doubled, { x: 638, y: 1500 }, 7.94)).toBe(false);
    expect(landsIn(doubled, { x: 619, y: 1500 }, 7.94)).toBe(true);
    expect(landsIn(doubled, { x: 657, y: 1500 }, 7.94)).toBe(true);
  });
});
