import type { NextLook, Job } from '@steddo/contract';
import { hiddenWall, plan, practiceWall, simulated, untouched } from '@steddo/core';
import { breakfastBar, guestRoom } from '@steddo/samples';
import { bayScene, faceScene, hiddenScene, type Scene, type Shape } from '../src';

const made = plan(guestRoom);
const scene = (job: Job, look?: NextLook): Scene => faceScene(job, plan(job), 'studs', { look });
const byId = (s: Scene, id: string) => s.shapes.find((x) => x.id === id)!;
const rects = (s: Scene, role: string) =>
  s.shapes.filter((x): x is Extract<Shape, { kind: 'rect' }> => x.kind === 'rect' && x.role === role);

describe('the inside of the wall, drawn', () => {
  it('each stud as wide as it is, its doubt two sd to each side', () => {
    made.studs!.forEach((s, i) => {
      expect(byId(scene(guestRoom), `stud-${i}`)).toMatchObject({
        left: s.centre - s.width / 2,
        right: s.centre + s.width / 2,
        weight: s.probability,
      });
      expect(byId(scene(guestRoom), `stud-doubt-${i}`)).toMatchObject({
        left: expect.closeTo(s.centre - s.width / 2 - 2 * s.sd, 9),
      });
    });
  });
  it('the ribbon: every 5 mm the chance of wood, as high as it is sure', () => {
    const s = scene(guestRoom);
    const ribbon = byId(s, 'ribbon') as Extract<Shape, { kind: 'poly' }>;
    const ground = byId(s, 'ribbon-ground') as Extract<Shape, { kind: 'rect' }>;
    expect(ribbon.points).toHaveLength(made.wood!.p.length + 2);
    made.wood!.p.forEach((p, i) => {
      expect(ribbon.points[i + 1]![0]).toBe(5 * i);
      expect((ribbon.points[i + 1]![1] - ground.bottom) / (ground.top - ground.bottom)).toBeCloseTo(p, 9);
    });
    expect(faceScene(guestRoom, made, 'heights').shapes.some((x) => x.id === 'ribbon')).toBe(false);
  });
  it('tape upright for studs and level for noggings; pokes as small holes, odd marks and live wires in their own way', () => {
    const evidence = [
      ...guestRoom.evidence!,
      { id: 'n', kind: 'nogging' as const, x: 1800, y: 1200 },
      { id: 'w', kind: 'live' as const, x: 2500, y: 900 },
      { id: 'o', kind: 'edge-left' as const, x: 1850, y: 1400 },
    ];
    const s = scene({ ...guestRoom, evidence });
    const upright = byId(s, 's0a') as Extract<Shape, { kind: 'line' }>;
    expect([upright.x1, upright.x2]).toEqual([1638.3, 1638.3]);
    const level = byId(s, 'n') as Extract<Shape, { kind: 'line' }>;
    expect([level.y1, level.y2]).toEqual([1200, 1200]);
    expect(['s0e', 'p1', 'w', 'o'].map((id) => byId(s, id).role)).toEqual([
      'poke-wood',
      'poke',
      'live-mark',
      'odd-mark',
    ]);
    expect(rects(s, 'nogging')).toHaveLength(1);
  });
  it('zones of the outlet, and what a look has met', () => {
    const looks = [{ id: 'k1', x: 2000, y: 1500, found: 'pipe' as const, runs: 'vertical' as const }];
    const s = scene({ ...guestRoom, looks });
    expect(
      rects(s, 'hazard-zone')
        .map((z) => z.id)
        .sort(),
    ).toEqual(['o2:at', 'o2:down', 'o2:left', 'o2:right', 'o2:up']);
    expect(rects(s, 'hazard-seen')).toMatchObject([{ left: 1950, right: 2050 }]);
    expect(byId(s, 'k1').role).toBe('look-met');
  });
  it('where to look next: a pass as a line, a poke as a mark', () => {
    const look: NextLook = {
      kind: 'edge',
      x: 1700,
      y: 1500,
      gain: 0.1,
      reason: 'sharpen',
      from: 1600,
      to: 1800,
    };
    expect(byId(scene(guestRoom, look), 'next-look')).toMatchObject({
      kind: 'line',
      x1: 1600,
      x2: 1800,
      y1: 1500,
    });
    expect(byId(scene(guestRoom, { ...look, kind: 'probe' }), 'next-look')).toMatchObject({
      kind: 'cross-hair',
      x: 1700,
    });
    expect(byId(scene(guestRoom), 'next-look')).toBeUndefined();
  });
  it('holes carry what may be done at them: nobody looked, mind; seen, stop; looked at and in wood, go', () => {
    const state = (job: Job) => (byId(scene(job), 'h1') as Extract<Shape, { kind: 'cross' }>).state;
    expect(state(guestRoom)).toBe('caution');
    const x = made.holes![0]!.x;
    const clear = [-80, 80].map((d, i) => ({
      id: `k${i}`,
      x: x + d,
      y: 1550,
      reach: 300,
      found: 'clear' as const,
    }));
    expect(state({ ...guestRoom, looks: clear })).toBe('go');
    expect(
      state({
        ...guestRoom,
        looks: [...clear, { id: 'k9', x, y: 1500, found: 'cable', runs: 'vertical' }],
      }),
    ).toBe('stop');
  });
  it('courses of a masonry wall, half over half', () => {
    const job = {
      ...breakfastBar,
      evidence: [{ id: 'j', kind: 'joint' as const, x: 1300, y: 1125 }],
    };
    const lines = scene(job).shapes.filter((x): x is Extract<Shape, { kind: 'line' }> => x.role === 'joint-line');
    const upright = lines.filter((l) => l.x1 === l.x2);
    expect(upright.length).toBeGreaterThan(40);
    const offsets = new Set(upright.map((l) => Math.round(((l.x1 % 450) + 450) % 450)));
    expect([...offsets].sort((a, b) => a - b)).toEqual([175, 400]);
  });
});

describe('pictures of what is really there', () => {
  const job = untouched(guestRoom);
  it('the bay as the camera sees it: between its studs, everything that runs through it', () => {
    const wall = practiceWall(job, 3);
    const x = wall.studs[4]!.left - 76;
    const view = simulated(wall, 1).look(x, 1600, 300)!;
    const s = bayScene(view, { x, y: 1600 });
    expect(rects(s, 'stud')).toHaveLength(2);
    for (const r of rects(s, 'run-cable')) {
      expect(r.left).toBeGreaterThanOrEqual(view.left);
      expect(r.right).toBeLessThanOrEqual(view.right);
      expect(r.top).toBeLessThanOrEqual(view.top);
    }
    expect(rects(s, 'run-cable').length).toBe(view.runs.filter((r) => r.what === 'cable').length);
  });
  it('the wall laid open: studs, runs, and each hole by where it landed', () => {
    const wall = hiddenWall(job, 5);
    const stud = wall.studs.find((s) => s.plies === 1 && s.left > 500)!;
    const middle = stud.left + stud.ply / 2;
    const log = {
      pokes: [{ x: 700, y: 1500 }],
      looks: [],
      holes: [
        { x: middle, y: 10 },
        { x: middle + 25, y: 10 },
      ],
    };
    const s = hiddenScene(wall, log);
    expect((byId(s, 'hole-0') as Extract<Shape, { kind: 'cross' }>).state).toBe('go');
    expect((byId(s, 'hole-1') as Extract<Shape, { kind: 'cross' }>).state).toBe('stop');
    expect(s.shapes.filter((x) => x.role === 'backing')).toHaveLength(wall.studs.reduce((n, t) => n + t.plies, 0));
  });
});
