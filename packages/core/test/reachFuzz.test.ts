import fc from 'fast-check';
import { checkFile, mount as mountFormat, plan as planFormat, type Job, type Mount } from '@steddo/contract';
import { evaluate, leaves, nearestPose, plan, reachModelOf } from '../src';
import { testJob, testMount } from './jobs';

/*
 * Whatever arm and room somebody types in, as long as the formats take it: the plan is whole, every
 * number is one, every working comes to its value.
 */

const mm = (min: number, max: number) => fc.integer({ min, max });
const angle = fc.integer({ min: -200, max: 200 });
const limits = fc.tuple(angle, angle).map(([a, b]): [number, number] => (a <= b ? [a, b] : [b, a]));
const opt = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined, freq: 2 });

const mounts = fc
  .record({
    kind: fc.constantFrom('links' as const, 'scissor' as const),
    links: opt(fc.array(mm(1, 900), { maxLength: 4 })),
    head: opt(mm(0, 300)),
    rootX: opt(mm(-300, 300)),
    shoulder: opt(limits),
    elbow: opt(limits),
    foldOffset: opt(mm(-300, 300)),
    folded: mm(0, 300),
    extended: opt(mm(0, 1500)),
    swivel: opt(fc.record({ left: mm(0, 180), right: mm(0, 180) })),
    armed: fc.boolean(),
  })
  .map((m): Mount => {
    const joints = { ...(m.shoulder ? { shoulder: m.shoulder } : {}), ...(m.elbow ? { elbow: m.elbow } : {}) };
    return {
      ...testMount,
      type: 'full-motion',
      depth: { folded: m.folded, ...(m.extended === undefined ? {} : { extended: m.extended }) },
      ...(m.swivel ? { swivel: m.swivel } : {}),
      ...(m.armed
        ? {
            arm: {
              kind: m.kind,
              limits: joints,
              ...(m.links ? { links: m.links } : {}),
              ...(m.head === undefined ? {} : { head: m.head }),
              ...(m.rootX === undefined ? {} : { rootX: m.rootX }),
              ...(m.foldOffset === undefined ? {} : { foldOffset: m.foldOffset }),
            },
          }
        : {}),
    };
  });

const seat = fc.record({ x: mm(-3000, 8000), distance: mm(1, 6000) });
const thing = fc.record({
  left: mm(0, 3500),
  wide: mm(1, 800),
  near: mm(0, 2000),
  deep: mm(1, 900),
});

function jobOf(
  mount: Mount,
  seats: { x: number; distance: number }[],
  things: { left: number; wide: number; near: number; deep: number }[],
  walls: boolean,
): Job {
  return testJob({
    mount,
    room: {
      ...testJob().room,
      wall: { ...testJob().room.wall, returns: { left: walls, right: walls } },
      viewers: seats.map((s, i) => ({ id: `v${i}`, eye: 1100, ...s })),
      floor: things.map((t, i) => ({
        id: `f${i}`,
        kind: 'box',
        left: t.left,
        right: t.left + t.wide,
        near: t.near,
        far: t.near + t.deep,
      })),
    },
  });
}

function everyNumber(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => everyNumber(v, `${path}.${k}`));
}

describe('any arm in any room', () => {
  it('gives a whole plan with finite numbers, and a pose for every hand', () => {
    fc.assert(
      fc.property(
        mounts,
        fc.array(seat, { maxLength: 3 }),
        fc.array(thing, { maxLength: 2 }),
        fc.boolean(),
        (mount, seats, things, walls) => {
          expect(checkFile(mountFormat, mount).ok).toBe(true);
          const job = jobOf(mount, seats, things, walls);
          const made = plan(job, { mounts: [mount] });
          expect(everyNumber(made)).toEqual([]);
          expect(planFormat.safeParse(made).success).toBe(true);
          for (const w of made.reach?.seats.flatMap((s) => (s.workings ? [s.workings.offAxis] : [])) ?? []) {
            expect(evaluate(w)).toBeCloseTo(w.value, 9);
            expect(leaves(w).length).toBeGreaterThan(1);
          }
          for (const s of made.reach?.seats ?? []) expect(s.offAxis).toBeLessThanOrEqual(180);
          const model = reachModelOf(job, made);
          if (!model) return;
          for (const asked of [
            { x: 0, z: 0, yaw: 400 },
            { x: 1e6, z: -1e6, yaw: -90 },
          ])
            expect(everyNumber(nearestPose(model, asked))).toEqual([]);
        },
      ),
      { numRuns: 50 },
    );
  });
});
