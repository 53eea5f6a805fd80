import type { Item, Job } from '@steddo/contract';
import { demoCatalogue, hallwayNiche } from '@steddo/samples';
import fc from 'fast-check';
import { bayChance, evaluate, plan, withKit } from '../src';
import { bracketForces } from '../src/load/bracketForces';
import { NUMBERS } from '../src/primitives/arithmetic';
import { overlaps } from '../src/wall/hazardZones';
import { lookedAt } from '../src/wall/lookedAt';
import { sawModelWalls } from './modelWalls';

/* A box let into a wall: its bay, both cuts, the order of the work, and the two brackets beside it. */

const niche = withKit(hallwayNiche, demoCatalogue);
const BOX = 'box';

const withBox = (change: Partial<Item>, job: Job = niche): Job => ({
  ...job,
  room: {
    ...job.room,
    objects: (job.room.objects ?? []).map((o): Item => (o.id === BOX ? { ...o, ...change } : o)),
  },
});
const codes = (job: Job) => plan(job).findings.map((f) => f.code);
const stopsAtBox = (job: Job) => plan(job).findings.filter((f) => f.level === 'stop' && f.values.object === BOX);

/** P(right face - left face > box) by adding up small squares of two normal densities: no formula for it. */
function byIntegration(margin: number, sdLeft: number, sdRight: number): number {
  const step = 0.02;
  const density = (z: number) => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
  let [fits, all] = [0, 0];
  for (let a = -6; a < 6; a += step)
    for (let b = -6; b < 6; b += step) {
      const p = density(a + step / 2) * density(b + step / 2);
      all += p;
      if (margin - (a + step / 2) * sdLeft + (b + step / 2) * sdRight > 0) fits += p;
    }
  return fits / all;
}

describe('the bay of a box', () => {
  it('takes it as likely as the margin is sure: the table of the sources', () => {
    // 368.3 between 38.1 studs at 406.4 leaves nothing; sd 3 each, the values of docs/sources
    expect(406.4 - 38.1 - 368.3).toBeCloseTo(0, 9);
    expect(bayChance(0, 3, 3)).toBeCloseTo(0.5, 6);
    expect([3, 6, 12].map((m) => Number(bayChance(m, 3, 3).toFixed(3)))).toEqual([0.76, 0.921, 0.998]);
  });

  it('by numerical integration of both faces, whatever their doubts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: 15, noNaN: true }),
        fc.double({ min: 0.8, max: 6, noNaN: true }),
        fc.double({ min: 0.8, max: 6, noNaN: true }),
        (margin, left, right) => Math.abs(bayChance(margin, left, right) - byIntegration(margin, left, right)) < 0.004,
      ),
      { numRuns: 12 },
    );
  });

  it('goes by the studs that the marks show, with its sums', () => {
    const { recess } = plan(niche);
    const { bay, cut, workings } = recess!;
    // edges at 997 and 1036, 1404 and 1441 of 38 wide studs: about 1016.5 and 1422.5
    expect(Math.abs(bay!.left - 1035.5)).toBeLessThan(0.1);
    expect(Math.abs(bay!.right - 1403.5)).toBeLessThan(0.1);
    expect(bay!.margin).toBeCloseTo(bay!.right - bay!.left - 356, 9);
    expect(bay!.chance).toBeCloseTo(bayChance(bay!.margin, bay!.sd.left, bay!.sd.right), 12);
    // 89 of stud and 12.7 of board, a box of 90: 11.7 left
    expect(plan(withBox({ cut: { depth: 90 } })).recess!.cut.behind).toBeCloseTo(11.7, 9);
    expect(cut.behind).toBeCloseTo(16.7, 9);
    for (const w of Object.values(workings)) expect(evaluate(w)).toBeCloseTo(w.value, 9);
  });

  it('taped through the first cut is known to a millimetre, and says so', () => {
    const faces = [
      { id: 'f1', kind: 'face' as const, x: 1036, y: 1400, side: 'left' as const },
      { id: 'f2', kind: 'face' as const, x: 1404, y: 1400, side: 'right' as const },
    ];
    const taped = plan({ ...niche, evidence: [...niche.evidence!, ...faces] }).recess!;
    expect(Math.max(taped.bay!.sd.left, taped.bay!.sd.right)).toBeLessThan(1.1);
    expect(Math.abs(taped.bay!.left - 1036)).toBeLessThan(0.3);
    expect(taped.steps.find((s) => s.id === 'box.faces')!.done).toBe(true);
    expect(taped.cut.chance).toBeGreaterThan(0.99);
  });

  it('on walls drawn from the model a cut that is no stop meets wood no more often than stated', () => {
    const sawn = sawModelWalls(260, 21);
    const may = sawn.filter((s) => s.stated >= 0.9);
    expect(may.length).toBeGreaterThan(30);
    const stated = may.reduce((n, s) => n + s.stated, 0) / may.length;
    const clear = may.filter((s) => s.clear).length / may.length;
    const bound = 3 * Math.sqrt((stated * (1 - stated)) / may.length);
    expect(clear).toBeGreaterThan(stated - bound);
    // and those that are stops are stopped for a reason
    const not = sawn.filter((s) => s.stated < 0.5);
    expect(not.filter((s) => s.clear).length / not.length).toBeLessThan(0.5);
  }, 120_000);
});

describe('what keeps a box from being cut in', () => {
  it('wood, a timber across, depth, what may be in the wall, a flue nobody asked about', () => {
    expect(stopsAtBox(niche)).toEqual([]);
    const wide = { left: 1030, right: 1410 };
    expect(plan(withBox(wide)).findings.find((f) => f.code === 'box-does-not-fit')!.values.percent).toBeLessThan(5);
    const aside = plan(withBox({ left: 1025, right: 1381 })).findings.find((f) => f.code === 'box-meets-wood')!;
    expect(aside.values.byMm).toBeCloseTo((1035.5 + 1403.5) / 2 - (1025 + 1381) / 2, 0);
    expect(codes(withBox({ cut: { depth: 110 } }))).toContain('box-too-deep');
    const nogging = { id: 'n', kind: 'nogging' as const, x: 1220, y: 1219.2 };
    const across = plan({ ...niche, evidence: [...niche.evidence!, nogging] });
    // its middle, half of it and its doubt: 29
    expect(across.findings.find((f) => f.code === 'box-nogging')!.values).toMatchObject({ yMm: 1219.2 });
    expect(across.findings.find((f) => f.code === 'box-nogging')!.values.byMm).toBeCloseTo(1219.2 + 29 - 1180, 6);
    const objects = (more: Item): Job => ({
      ...niche,
      room: { ...niche.room, objects: [...niche.room.objects!, more] },
    });
    const outlet: Item = { id: 'o9', kind: 'outlet', left: 1180, right: 1250, bottom: 300, top: 414 };
    expect(codes(objects(outlet))).toContain('box-unlooked');
    const vent: Item = { id: 'v9', kind: 'vent', left: 1700, right: 1900, bottom: 1300, top: 1450 };
    expect(codes(objects(vent))).toContain('box-flue-unasked');
    const rules = [{ what: 'flue-clearance' as const, value: 250 }];
    const asked = objects(vent);
    expect(codes({ ...asked, room: { ...asked.room, rules } })).not.toContain('box-flue-unasked');
    expect(codes({ ...asked, room: { ...asked.room, rules: [{ ...rules[0]!, value: 400 }] } })).toContain('box-flue');
    const brick: Job = {
      ...niche,
      room: { ...niche.room, wall: { ...niche.room.wall, build: { kind: 'masonry', masonry: 'brick' } } },
    };
    expect(codes(brick)).toContain('box-not-hollow');
  });

  it('seen clear through the first cut, what was expected is no stop any more; a cable that was seen stays one', () => {
    const outlet: Item = { id: 'o9', kind: 'outlet', left: 1180, right: 1250, bottom: 300, top: 414 };
    const job: Job = { ...niche, room: { ...niche.room, objects: [...niche.room.objects!, outlet] } };
    const look = { id: 'k1', x: 1220, y: 1400, reach: 300, found: 'clear' as const };
    expect(codes({ ...job, looks: [look] })).not.toContain('box-unlooked');
    expect(codes({ ...job, looks: [{ ...look, found: 'cable' }] })).toContain('seen-at-opening');
  });

  it('the first cut keeps off what is expected, as near to the middle as it can', () => {
    const pipe: Item = { id: 'p9', kind: 'pipe', left: 1200, right: 1240, bottom: 0, top: 2440 };
    const job: Job = { ...niche, room: { ...niche.room, objects: [...niche.room.objects!, pipe] } };
    const { recess, hazards } = plan(job);
    const { first, cut } = recess!;
    expect(hazards!.zones.some((z) => overlaps(z, first))).toBe(false);
    expect(first.left >= cut.left && first.right <= cut.right).toBe(true);
    expect(plan(niche).recess!.first.left).toBeCloseTo((1041.6 + 1397.6 - 95) / 2, 9);
  });

  it('for any box: one that may be sawn has no timber in it, nothing unlooked, nothing behind it, and fits', () => {
    const place = fc.record({
      left: fc.integer({ min: 200, max: 2000 }),
      width: fc.integer({ min: 120, max: 400 }),
      bottom: fc.integer({ min: 100, max: 1800 }),
      height: fc.integer({ min: 100, max: 450 }),
      depth: fc.integer({ min: 40, max: 130 }),
      nogging: fc.integer({ min: 100, max: 2200 }),
    });
    const { left, right, bottom, top } = niche.room.objects!.find((o) => o.id === BOX)!;
    let free = 0;
    fc.assert(
      fc.property(place, ({ left, width, bottom, height, depth, nogging }) => {
        const at = { left, right: left + width, bottom, top: bottom + height };
        const evidence = [...niche.evidence!, { id: 'n', kind: 'nogging' as const, x: left + width / 2, y: nogging }];
        const job = withBox({ ...at, cut: { depth } }, { ...niche, evidence });
        const made = plan(job);
        const saw = made.recess!.steps.find((s) => s.id === 'box.saw')!;
        const about = made.findings.filter((f) => f.values.object === BOX);
        const stopped = about.some((f) => f.level === 'stop');
        const asked = about.some((f) => ['box-tight', 'box-unlooked', 'box-bay-unknown'].includes(f.code));
        const crossed = nogging > bottom - 19 && nogging < at.top + 19;
        const deep = depth > 89 + 12.7;
        const expected = (made.hazards?.zones ?? []).some((z) => overlaps(z, at));
        const looked = lookedAt(job, made.studs ?? [], at).state === 'clear';
        if (!stopped && !asked) {
          free += 1;
          expect([
            crossed,
            deep,
            expected && !looked,
            made.recess!.bay!.chance >= 0.9,
            made.recess!.cut.chance >= 0.9,
          ]).toEqual([false, false, false, true, true]);
        }
        // nobody has cut, looked or said how power gets there
        expect(saw.needs).toEqual(expect.arrayContaining(['first-cut', 'look', 'power']));
        if (stopped) expect(saw.needs.length).toBeGreaterThan(3);
      }),
      // the room's own box may be sawn; of those by chance seldom one may
      {
        numRuns: 60,
        examples: [[{ left, width: right - left, bottom, height: top - bottom, depth: 89, nogging: 2200 }]],
      },
    );
    expect(free).toBeGreaterThan(0);
  }, 120_000);
});

describe('the order of the work', () => {
  it('has points of no return: the saw and the closing, nothing lacking before them', () => {
    const { steps } = plan(niche).recess!;
    expect(steps.filter((s) => s.noReturn).map((s) => s.id)).toEqual(['box.saw', 'box.push-in']);
    expect(steps[0]).toMatchObject({ id: 'box.first-cut', needs: [] });
    expect(steps.find((s) => s.id === 'box.push-in')!.needs).toEqual(['saw', 'wiring']);
    const nobody = plan({ ...niche, evidence: [], scans: [] }).recess!;
    expect(nobody.bay).toBeUndefined();
    // a small cut inside the outline settles what nobody has looked for; the saw waits for it
    expect(nobody.steps[0]!.needs).toEqual([]);
    expect(nobody.steps.find((s) => s.id === 'box.saw')!.needs).toContain('first-cut');
    const ticks = (['box.first-cut', 'box.power', 'box.saw', 'box.wiring'] as const).map((step) => ({ step }));
    const look = { id: 'k1', x: 1220, y: 1400, reach: 300, found: 'clear' as const };
    const sawn = plan({ ...niche, ticks, looks: [look] });
    expect(sawn.recess!.steps.find((s) => s.id === 'box.push-in')!.needs).toEqual([]);
    expect(sawn.findings.some((f) => f.code === 'opening-unlooked')).toBe(false);
    // an electrician before it is closed
    const day = sawn.day!.steps;
    expect(day.find((s) => s.id === 'box.wiring')!.who).toBe('electrician');
    expect(day.find((s) => s.id === 'box.push-in')!.after).toEqual(['box.wiring']);
    expect(day.find((s) => s.id === 'wall.holes')!.after).toEqual(expect.arrayContaining(['box.test']));
  });
});

describe('two brackets beside a box', () => {
  const group = {
    points: [
      { x: -230, y: 30 },
      { x: -230, y: 290 },
      { x: 230, y: 30 },
      { x: 230, y: 290 },
    ],
    solid: false,
    apart: [
      { x: -230, plate: { left: -260, right: -200, bottom: 0, top: 320 }, own: [0, 1] },
      { x: 230, plate: { left: 200, right: 260, bottom: 0, top: 320 }, own: [2, 3] },
    ] as const,
  };
  const pushed = (right: number) => bracketForces(NUMBERS, group, [{ down: 200, right, up: 0, out: 300 }], 'left')!;

  it('carry half each, and what is off centre by the lever', () => {
    const down = (f: ReturnType<typeof pushed>, i: number) => -f.shear[i]!.up;
    const middle = pushed(0);
    expect([0, 1, 2, 3].map((i) => down(middle, i))).toEqual([50, 50, 50, 50]);
    const right = pushed(46);
    expect(down(right, 0) + down(right, 1)).toBeCloseTo(80, 9);
    expect(down(right, 2) + down(right, 3)).toBeCloseTo(120, 9);
    // 120 N at 300 out, rows 260 apart: the upper one of the right bracket
    expect(right.tension[3]).toBeCloseTo((120 * 300) / 260, 9);
  });

  it('are in equilibrium wherever the set is', () => {
    fc.assert(
      fc.property(fc.double({ min: -200, max: 200, noNaN: true }), (right) => {
        const f = pushed(right);
        const up = f.shear.reduce((s, p) => s + p.up, 0);
        const about = f.shear.reduce((s, p, i) => s + p.up * group.points[i]!.x, 0);
        const out = f.tension.reduce((s, t, i) => s + t * (group.points[i]!.y - 30), 0);
        return Math.abs(up + 200) < 1e-6 && Math.abs(about + 200 * right) < 1e-6 && Math.abs(out - 200 * 300) < 1e-6;
      }),
    );
  });

  it('find wood on both sides of the box, and no hole in what is cut out', () => {
    const { holes, recess, placement } = plan(niche);
    expect(holes!.map((h) => h.y)).toEqual([1530, 1530, 1270, 1270]);
    const { left, right, bottom, top } = recess!.cut;
    for (const h of holes!) expect(h.x > left && h.x < right && h.y > bottom && h.y < top).toBe(false);
    // nor on anchors, which would go anywhere else in the board
    const kit = { anchors: demoCatalogue.anchors!, fixing: { school: 'rated-anchors' as const } };
    const fixed = demoCatalogue.mounts.find((m) => m.id === 'slat-2')!;
    const where = { left: 985, right: 1055, bottom: 1300, top: 1520, plateMayCover: true };
    const aim: Job['aim'] = { ...niche.aim, centre: { on: 'wall' } };
    const onBoard = (cut: boolean): Job => {
      const job = withBox(where, { ...niche, ...kit, aim, mount: fixed, evidence: [], scans: [] });
      const objects = job.room.objects!.filter((o) => cut || o.id !== BOX);
      return { ...job, room: { ...job.room, kind: 'wall', objects } };
    };
    const inside = (job: Job) =>
      (plan(job).holes ?? []).filter(
        (h) => h.x > where.left && h.x < where.right && h.y > where.bottom && h.y < where.top,
      ).length;
    expect(inside(onBoard(false))).toBeGreaterThan(0);
    expect(inside(onBoard(true))).toBe(0);
    // the box lies between them: its height is not the plate's business
    expect(placement!.centre.y).toBeCloseTo(1400, 9);
    for (const h of holes!) for (const w of Object.values(h.workings)) expect(evaluate(w!)).toBeCloseTo(w!.value, 6);
  });
});
