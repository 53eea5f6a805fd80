import type { BenchClearance, Job } from '@steddo/contract';
import { clockmakersBench, demoCatalogue, guestRoom } from '@steddo/samples';
import fc from 'fast-check';
import { asideOf, outlineOf, plan, rankMounts, reachModelOf, evaluate, nearestPose, withKit } from '../src';
import { clearUntil, movedSpan, onHead, restSpan, turnedSpan } from '../src/bench/headSpans';
import { cornersOf } from '../src/arm/setShape';
import { leaf } from '../src/primitives/working';

/*
 * A monitor on its arm over a bench. The demo room by hand; spans of the head against every tilt, swing and turn in small
 * steps, by rotation matrices worked out here.
 */

const job = withKit(clockmakersBench, demoCatalogue);
const rad = (deg: number) => (deg * Math.PI) / 180;
const SIDES = ['above', 'below', 'left', 'right'] as const;
type Side = (typeof SIDES)[number];

const of = (of: Job, side: Side): BenchClearance => plan(of).bench!.clearances.find((c) => c.side === side)!;

describe('a monitor over a bench', () => {
  const p = plan(job);

  it('hangs with its upper edge at the eyes, the head where its pattern is', () => {
    expect(p.placement!.top).toBeCloseTo(1210, 9);
    // 305 tall, the pattern 12 above its middle
    expect(p.bench!.head).toEqual({ x: 560, y: 1210 - 305 / 2 + 12 });
    expect(p.bench!.eyes[0]!.top).toBeCloseTo(0, 9);
    // 980 away: 460 out and 48 thick, or 95
    expect([p.bench!.eyes[0]!.near, p.bench!.eyes[0]!.far]).toEqual([472, 837]);
  });

  it('has 165.5 to the shelf: 140.5 as it hangs, 173.7 tilted up by 30, so that it stops at 17.7 degrees', () => {
    const above = of(job, 'above');
    expect([above.by, above.free, above.rest]).toEqual(['object:o2', 165.5, 140.5]);
    expect(above.moved).toBeCloseTo(140.5 * Math.cos(rad(30)) + (56 + 48) * Math.sin(rad(30)), 9);
    const until = rad(above.until!);
    expect(140.5 * Math.cos(until) + 104 * Math.sin(until)).toBeCloseTo(165.5, 9);
    expect(p.findings.find((f) => f.code === 'bench-moves-short')!.values).toMatchObject({
      side: 'above',
      untilDeg: 17,
    });
    // on its way onto its end the corner at 272.5 and 140.5 comes by
    expect(above.turned).toBeCloseTo(Math.hypot(272.5, 140.5), 9);
    for (const w of Object.values(above.workings)) expect(evaluate(w)).toBeCloseTo(w.value, 9);
  });

  it('stays where it is wanted, its plate on the nearest stud, both holes in the middle of the wood, the upper one first', () => {
    expect(p.placement!.centre.x).toBe(560);
    const stud = p.studs!.find((s) => Math.abs(s.centre - 400) < 3)!;
    for (const h of p.holes!) expect(Math.abs(h.x - stud.centre)).toBeLessThan(0.01);
    expect(p.holes!.map((h) => h.y)).toEqual([...p.holes!.map((h) => h.y)].sort((a, b) => b - a));
    expect(p.holes).toHaveLength(2);
    // as far aside as the arm still brings its head half way out, and the head gets to where the set hangs
    expect(asideOf(job.mount!)).toBeCloseTo(Math.sqrt(400 ** 2 - 217.5 ** 2), 6);
    const model = reachModelOf(job, p)!;
    const there = nearestPose(model, { x: p.bench!.head.x, z: 200, yaw: 0 });
    expect([there.x, there.z]).toEqual([p.bench!.head.x, 200]);
  });

  it('is carried by the head itself: brought to where it is wanted the set is where the plan has it', () => {
    const off: Job = { ...job, screen: { ...job.screen, patternCentre: { right: 20, up: 12 } } };
    const there = plan(off);
    const { reach, rest } = reachModelOf(off, there)!;
    const xs = cornersOf(reach.shape, rest).map((c) => c.x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([there.placement!.left, there.placement!.right]);
    expect(rest.x).toBe(560 + 20);
  });

  it('tilts up by what its head tilts up, and down by what it tilts down', () => {
    const tilting: Job = { ...job, mount: { ...job.mount!, tilt: { up: 10, down: 25 } } };
    expect([of(tilting, 'above').limit, of(tilting, 'below').limit]).toEqual([10, 25]);
    const { tilt: _, ...stiff } = job.mount!;
    expect(of({ ...job, mount: stiff }, 'above')).toMatchObject({ limit: 0, moved: 140.5 });
  });

  it('a monitor of 22 in keeps clear of a side wall 12 in from its middle (common practice)', () => {
    const near: Job = {
      ...job,
      screen: { ...job.screen, diagonal: 558.8, width: 487, height: 274, patternCentre: { right: 0, up: 0 } },
      aim: { ...job.aim, centre: { on: 'x', x: 304.8 } },
      room: { ...job.room, objects: [] },
    };
    const left = of(near, 'left');
    expect([left.by, left.free]).toEqual(['wall:left', 304.8]);
    expect(left.rest).toBe(243.5);
    expect(left.rest).toBeLessThan(left.free);
    expect(left.until).toBeUndefined();
  });

  it('on its end is as wide as it was tall: its top, its pattern and what is beside it go with it', () => {
    const turned: Job = {
      ...job,
      screen: { ...job.screen, patternCentre: { right: 10, up: 12 } },
      room: { ...job.room, objects: [] },
      choices: { portrait: true },
    };
    const { placement, bench } = plan(turned);
    expect(placement!.right - placement!.left).toBe(305);
    expect(placement!.top - placement!.bottom).toBe(545);
    // turned to the right: what was up is to the right, what was right is down
    expect(bench!.head).toEqual({ x: 560 + 12, y: 1210 - 545 / 2 - 10 });
    expect(bench!.clearances.find((c) => c.side === 'left')!.rest).toBe(305 / 2 + 12);
    expect(bench!.clearances.find((c) => c.side === 'above')!.rest).toBe(545 / 2 + 10);
    expect(plan(turned).holes!.map((h) => h.into)).toEqual(['stud', 'stud']);
  });

  it('ranks monitor arms and nothing else; a wall ranks none; a set stands on its end nowhere else, which is said', () => {
    const ranked = (room: Job) => rankMounts(demoCatalogue.mounts, room).map((r) => r.id);
    expect(ranked(job).sort()).toEqual(['perch-1', 'perch-2']);
    expect(ranked(guestRoom).some((id) => id.startsWith('perch'))).toBe(false);
    const wall = { ...guestRoom, choices: { ...guestRoom.choices, portrait: true } };
    const said = plan(wall);
    expect(said.findings.map((f) => f.code)).toContain('portrait-on-wall');
    expect(said.placement).toEqual(plan(guestRoom).placement);
    const { kind: _, ...room } = job.room;
    // an arm of that kind makes a bench of a room of which nobody said what it is
    expect(plan({ ...job, room }).bench).toEqual(p.bench);
  });

  it('has the day of a bench: the stand comes off before the head goes on, and only here', () => {
    const steps = (of: Job) => plan(of).day!.steps.map((s) => s.id);
    const bench = steps(job);
    expect(bench.indexOf('fit.stand')).toBeLessThan(bench.indexOf('fit.arms'));
    expect(bench).toContain('fit.stand');
    expect(steps(guestRoom)).not.toContain('fit.stand');
  });

  it('says of the eyes what is wrong: too high, far below, out of an arm’s length', () => {
    const codes = (viewer: object, top: number) =>
      plan({
        ...job,
        room: { ...job.room, objects: [], viewers: [{ ...job.room.viewers![0]!, ...viewer }] },
        aim: { ...job.aim, height: 'vote', schools: { vote: { top } } },
      }).findings.flatMap((f) => (f.code.startsWith('bench-') ? [f.code] : []));
    expect(codes({}, 1210)).toEqual([]);
    expect(codes({}, 1226)).toEqual(['bench-above-eyes']);
    expect(codes({}, 1224)).toEqual([]);
    expect(codes({}, 1055)).toEqual(['bench-below-eyes']);
    expect(codes({ distance: 1400 }, 1210)).toEqual(['bench-too-far']);
    expect(codes({ distance: 580 }, 1210)).toEqual(['bench-too-near']);
    // a picture of that size would fill a sofa's view of it; nobody says so at a bench
    const near = plan({ ...job, room: { ...job.room, viewers: [{ ...job.room.viewers![0]!, distance: 700 }] } });
    expect(near.distances!.viewers[0]!.verdict).toBe('near');
    expect(near.findings.map((f) => f.code)).not.toContain('sits-near');
  });

  it('is short of room where the arm can bring it over something taller than its edge', () => {
    const clock = { id: 'o9', kind: 'other' as const, left: 60, right: 200, bottom: 780, top: 950, out: 300 };
    const over = plan({ ...job, room: { ...job.room, objects: [...job.room.objects!, clock] } });
    const found = over.findings.find((f) => f.code === 'bench-no-room')!;
    expect(found.values).toMatchObject({ side: 'below', by: 'object:o9' });
    expect(found.values.shortMm).toBeCloseTo(164.5 - (1069.5 - 950), 6);
    // a plate of an outlet does not stand out as far as the set's back
    expect(of(job, 'below').by).toBe('object:o1');
  });
});

describe('what a head brings a set to', () => {
  const record = fc.record({
    width: fc.double({ min: 300, max: 900, noNaN: true }),
    height: fc.double({ min: 200, max: 600, noNaN: true }),
    right: fc.double({ min: -60, max: 60, noNaN: true }),
    up: fc.double({ min: -60, max: 60, noNaN: true }),
    head: fc.double({ min: 0, max: 120, noNaN: true }),
    thickness: fc.double({ min: 10, max: 90, noNaN: true }),
    limit: fc.double({ min: 0, max: 90, noNaN: true }),
    portrait: fc.boolean(),
  });
  type Set = Parameters<Parameters<typeof record.map>[0]>[0];

  const made = ({ width, height, right, up, head, thickness, portrait }: Set) => {
    const screen = { ...job.screen, width, height, patternCentre: { right, up } };
    const at: Job = { ...job, screen, choices: { portrait } };
    return onHead(at, outlineOf(screen, []), leaf('head-depth', head, 'mm'), leaf('set-thickness', thickness, 'mm'));
  };

  /** Furthest of the set's points to a side, turned about the head and tilted or swung, by matrices. */
  function furthest(set: Set, side: Side, turns: readonly number[], moves: readonly number[]): number {
    const along = { above: [0, 1, 0], below: [0, -1, 0], left: [-1, 0, 0], right: [1, 0, 0] }[side] as number[];
    let most = -Infinity;
    for (const x of [-set.width / 2 - set.right, set.width / 2 - set.right])
      for (const y of [-set.height / 2 - set.up, set.height / 2 - set.up])
        for (const z of [set.head, set.head + set.thickness])
          for (const turn of turns) {
            // clockwise, as seen from the front
            const [c, s] = [Math.cos(rad(turn)), Math.sin(rad(turn))];
            const [tx, ty] = [x * c + y * s, -x * s + y * c];
            for (const move of moves) {
              const [cm, sm] = [Math.cos(rad(move)), Math.sin(rad(move))];
              // the front goes towards that side
              const px = side === 'above' || side === 'below' ? tx : tx * cm + (side === 'right' ? 1 : -1) * z * sm;
              const py = side === 'left' || side === 'right' ? ty : ty * cm + (side === 'above' ? 1 : -1) * z * sm;
              most = Math.max(most, px * along[0]! + py * along[1]!);
            }
          }
    return most;
  }

  const steps = (to: number, n: number) => Array.from({ length: n + 1 }, (_, i) => (to * i) / n);
  /** A step of so many degrees misses a top by no more than this of 1000 mm. */
  const COARSE_MM = 0.2;

  it('is as far to each side as any of its points gets, at rest, tilted or swung, turned, and both', () => {
    fc.assert(
      fc.property(record, fc.constantFrom(...SIDES), (set, side) => {
        const on = made(set);
        const own = [set.portrait ? 90 : 0];
        const rest = restSpan(on, side);
        const turned = turnedSpan(on, side);
        expect(rest.value).toBeCloseTo(furthest(set, side, own, [0]), 6);
        const close = (value: number, sampled: number) => {
          expect(value).toBeGreaterThanOrEqual(sampled - 1e-6);
          expect(value - sampled).toBeLessThan(COARSE_MM);
        };
        close(movedSpan(on, rest, set.limit).value, furthest(set, side, own, steps(set.limit, 90)));
        close(turnedSpan(on, side).value, furthest(set, side, steps(90, 90), [0]));
        close(movedSpan(on, turned, set.limit).value, furthest(set, side, steps(90, 90), steps(set.limit, 60)));
        expect(evaluate(movedSpan(on, turned, set.limit))).toBeCloseTo(movedSpan(on, turned, set.limit).value, 6);
      }),
      { numRuns: 120 },
    );
  });

  it('is clear up to an angle, and meets something just beyond it', () => {
    fc.assert(
      fc.property(
        record,
        fc.constantFrom(...SIDES),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (set, side, more) => {
          const on = made(set);
          const edge = restSpan(on, side).value;
          const free = edge + more;
          const until = clearUntil(on, edge, free, set.limit);
          const own = [set.portrait ? 90 : 0];
          if (until === undefined) expect(furthest(set, side, own, steps(set.limit, 90))).toBeLessThan(free + 1e-6);
          else if (more <= 0) expect(until).toBe(0);
          else {
            expect(until).toBeLessThanOrEqual(set.limit);
            expect(furthest(set, side, own, steps(until, 60))).toBeLessThan(free + 1e-6);
            expect(furthest(set, side, own, [until + 0.01])).toBeGreaterThan(free - 1e-6);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
});
