import fc from 'fast-check';
import { conflictOf, feasible, leastRelaxation, type Forbidden } from '../src/primitives/intervals';
import { plan } from '../src';
import { testJob } from './jobs';

/** Intervals that always cover a line from 0 to 40 at its ends, so that many draws conflict. */
const crowded: fc.Arbitrary<Forbidden[]> = fc
  .tuple(
    fc.integer({ min: 5, max: 18 }),
    fc.integer({ min: 12, max: 30 }),
    fc.array(
      fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 12 }), fc.constantFrom(undefined, 0, 3)),
      { maxLength: 4 },
    ),
  )
  .map(([floor, ceiling, things]) => [
    { by: 'floor', lo: -Infinity, hi: floor, yields: 0 },
    { by: 'ceiling', lo: ceiling, hi: Infinity, yields: 5 },
    ...things.map(([lo, wide, yields], i) => ({
      by: `t${i}`,
      lo,
      hi: lo + wide,
      ...(yields === undefined ? {} : { yields }),
    })),
  ]);

const conflicting = crowded.filter((all) => feasible(all).length === 0);

describe('conflicts', () => {
  it('name a set that cannot all be kept, and none smaller does', () => {
    fc.assert(
      fc.property(conflicting, (all) => {
        const named = conflictOf(all);
        const of = (names: string[]) => all.filter((f) => names.includes(f.by));
        expect(feasible(of(named))).toEqual([]);
        // every smaller choice of constraints leaves a place free
        const names = all.map((f) => f.by);
        for (let mask = 0; mask < 1 << names.length; mask++) {
          const some = names.filter((_, i) => mask & (1 << i));
          if (some.length < named.length) expect(feasible(of(some)).length).toBeGreaterThan(0);
        }
      }),
      { seed: 61, numRuns: 200 },
    );
  });

  it('the least that gives way, against trying every place', () => {
    fc.assert(
      fc.property(conflicting, (all) => {
        let least = Infinity;
        for (let at = -5; at <= 50; at += 0.5) {
          const depths = all.map((f) => Math.max(0, Math.min(at - f.lo, f.hi - at)));
          if (depths.some((d, i) => d > (all[i]!.yields ?? Infinity) + 1e-9)) continue;
          least = Math.min(
            least,
            depths.reduce((a, b) => a + b, 0),
          );
        }
        const found = leastRelaxation(all);
        const total = found?.relax.reduce((sum, r) => sum + r.amount, 0) ?? Infinity;
        expect(total).toBeCloseTo(least, 9);
        if (!found) return;
        // and giving way by just that leaves the place free
        const given = new Map(found.relax.map((r) => [r.by, r.amount]));
        const eased = all.map((f) => {
          const by = given.get(f.by) ?? 0;
          return found.at - f.lo < f.hi - found.at ? { ...f, lo: f.lo + by } : { ...f, hi: f.hi - by };
        });
        expect(eased.every((f) => found.at <= f.lo + 1e-9 || found.at >= f.hi - 1e-9)).toBe(true);
      }),
      { seed: 62, numRuns: 200 },
    );
  });

  const shelfRoom = (bottom: number) =>
    testJob({
      room: {
        ...testJob().room,
        objects: [
          { id: 'chest', kind: 'furniture', left: 1500, right: 2500, bottom: 0, top: 900 },
          { id: 'shelf', kind: 'shelf', left: 1400, right: 2600, bottom, top: 2400 },
        ],
      },
    });

  it('in a room: which two, which gives least, and the way sideways', () => {
    // 600 between chest and shelf for a set 640 tall
    const { conflict } = plan(shelfRoom(1500)).placement!;
    expect([...conflict!.constraints].sort()).toEqual(['ceiling', 'floor', 'object:chest', 'object:shelf']);
    expect(conflict!.relax).toHaveLength(1);
    expect(conflict!.relax![0]!.amount).toBeCloseTo(40, 9);
    // at the eyes' height the shelf is clear: left of the chest, 1500 less half of 1118
    expect(conflict!.sideways).toBeCloseTo(1500 - 559, 9);
  });
  it('giving way by what it says makes it work', () => {
    const { conflict } = plan(shelfRoom(1500)).placement!;
    const job = shelfRoom(1500 + conflict!.relax![0]!.amount);
    expect(plan(job).placement!.conflict).toBeUndefined();
    expect(plan(shelfRoom(1499 + conflict!.relax![0]!.amount)).placement!.conflict).toBeDefined();
  });
  it('a floor never gives way: nothing is offered in a room that is too low', () => {
    const job = testJob();
    job.room.wall.height = 600;
    const p = plan(job);
    expect(p.placement!.conflict!.relax).toBeUndefined();
    expect(p.verdict).toBe('stop');
  });
});
