import fc from 'fast-check';
import { freeNear } from '../src/primitives/freeNear';
import { conflictOf, feasible, nearest, type Forbidden } from '../src/primitives/intervals';
import { plan } from '../src';
import { IN, testJob, testMount } from './jobs';

const codes = (job = testJob()) => plan(job).findings.map((f) => f.code);

describe('feasible intervals', () => {
  const limits: fc.Arbitrary<Forbidden[]> = fc.array(
    fc
      .tuple(fc.integer({ min: -10, max: 30 }), fc.integer({ min: 1, max: 12 }))
      .map(([lo, wide]) => ({ by: `${lo}`, lo, hi: lo + wide })),
    { maxLength: 6 },
  );
  const free = (x: number, all: Forbidden[]) => all.every((f) => x <= f.lo || x >= f.hi);

  it('agree with trying every place', () => {
    fc.assert(
      fc.property(limits, (all) => {
        const intervals = feasible(all);
        for (let x = -15; x <= 45; x += 0.5) {
          const inside = intervals.some((i) => i.from.at <= x && x <= i.to.at);
          expect([x, inside]).toEqual([x, free(x, all)]);
        }
      }),
      { seed: 2, numRuns: 300 },
    );
  });

  it('give the nearest free place, and name what stands in the way', () => {
    fc.assert(
      fc.property(limits, fc.integer({ min: -12, max: 40 }), (all, wanted) => {
        const found = nearest(feasible(all), wanted)!;
        let best = Infinity;
        for (let x = -60; x <= 90; x += 1) if (free(x, all)) best = Math.min(best, Math.abs(x - wanted));
        expect(Math.abs(found.at - wanted)).toBeCloseTo(best, 9);
        expect(found.edge === undefined).toBe(free(wanted, all));
      }),
      { seed: 3, numRuns: 300 },
    );
  });

  it('without names and memory: the same place, in the free stretch around it', () => {
    const flat = (all: Forbidden[]) => all.flatMap((f) => [f.lo, f.hi]);
    fc.assert(
      fc.property(limits, fc.integer({ min: -12, max: 40 }), (all, wanted) => {
        const found = freeNear(flat(all), wanted)!;
        const best = nearest(feasible(all), wanted)!;
        expect(Math.abs(found.at - wanted)).toBeCloseTo(Math.abs(best.at - wanted), 9);
        // the lower one where two are equally near
        expect(found.at).toBeLessThanOrEqual(best.at);
        const around = feasible(all).find((i) => i.from.at <= found.at && found.at <= i.to.at)!;
        expect([found.from, found.to]).toEqual([around.from.at, around.to.at]);
      }),
      { seed: 4, numRuns: 400 },
    );
    expect(freeNear([-Infinity, 5, 4, Infinity], 7)).toBeUndefined();
  });

  it('end at the edge that reaches furthest, be it by half a millimetre', () => {
    const [only] = feasible([
      { by: 'floor', lo: -Infinity, hi: 600 },
      { by: 'skirting', lo: 500, hi: 600.5 },
    ]);
    expect(only!.from).toMatchObject({ at: 600.5, by: 'skirting' });
  });

  it('keep a single free point between two that touch', () => {
    const intervals = feasible([
      { by: 'a', lo: -Infinity, hi: 5 },
      { by: 'b', lo: 5, hi: Infinity },
    ]);
    expect(intervals.map((i) => [i.from.at, i.to.at])).toEqual([[5, 5]]);
  });

  it('name a smallest set that cannot all be kept', () => {
    const all: Forbidden[] = [
      { by: 'floor', lo: -Infinity, hi: 6 },
      { by: 'spare', lo: 20, hi: 25 },
      { by: 'shelf', lo: 5, hi: Infinity },
    ];
    expect(conflictOf(all)).toEqual(['floor', 'shelf']);
  });
});

describe('height schools', () => {
  it('eyes: the weighted mean', () => {
    const room = {
      ...testJob().room,
      viewers: [
        { id: 'a', eye: 1000, distance: 2500, weight: 3 },
        { id: 'b', eye: 1400, distance: 2500 },
      ],
    };
    expect(plan(testJob({ room })).heights!.find((h) => h.school === 'eyes')!.centre).toBeCloseTo(1100, 9);
  });

  it('eyes: settled marks win over eye heights', () => {
    const aim = { ...testJob().aim, schools: { eyes: { settled: [1090, 1110, 1160] } } };
    expect(plan(testJob({ aim })).placement!.centre.y).toBeCloseTo(1120, 9);
  });

  // common practice: seated 130 cm, standing 170 cm where nobody has measured
  it('eyes: a named guess without a measurement', () => {
    const room = (viewer: object) => ({ ...testJob().room, viewers: [{ id: 'v1', ...viewer }] });
    expect(plan(testJob({ room: room({}) })).placement!.centre.y).toBe(1300);
    expect(plan(testJob({ room: room({ posture: 'standing' }) })).placement!.centre.y).toBe(1700);
    const guess = plan(testJob({ room: room({}) })).findings.find((f) => f.code === 'still-guessed');
    expect(guess!.values.paths).toContain('room.viewers.v1.eye');
    expect(codes(testJob({ room: room({ posture: 'lying' }) }))).toContain('school-needs-eyes');
  });

  // common practice: bottom edge 42 to 48 in; the point of the band nearest to the eyes
  it('bottom band: the edge of the band nearest to the eyes', () => {
    const at = (eye: number) => {
      const room = { ...testJob().room, viewers: [{ id: 'v1', eye, distance: 2700 }], objects: [] };
      return plan(testJob({ room })).heights!.find((h) => h.school === 'bottom-band')!.bottom! / IN;
    };
    expect(at(1100)).toBeCloseTo(42, 9);
    expect(at(1700)).toBeCloseTo(48, 9);
    expect(at(1450)).toBeCloseTo((1450 - 320) / IN, 9);
  });

  it('above: furniture and gap; without a named thing the tallest below', () => {
    const above = plan(testJob()).heights!.find((h) => h.school === 'above')!;
    expect(above.bottom! / IN).toBeCloseTo(500 / IN + 8, 9);
    const aim = {
      ...testJob().aim,
      height: 'above' as const,
      schools: { above: { object: 'nothing' } },
    };
    expect(codes(testJob({ aim }))).toContain('school-needs-object');
  });

  it('moves off furniture and says by how much', () => {
    const room = {
      ...testJob().room,
      objects: [{ id: 'o1', kind: 'furniture' as const, left: 1500, right: 2500, bottom: 0, top: 900 }],
    };
    const p = plan(testJob({ room }));
    expect(p.placement!.bottom).toBeCloseTo(900, 9);
    expect(p.findings.find((f) => f.code === 'height-moved')!.values).toMatchObject({
      wantedMm: 1100,
      gotMm: 1220,
      by: 'object:o1',
    });
  });

  it('leaves the gap and the lift-on room under the ceiling', () => {
    const p = plan(testJob({ choices: { centreY: 2400 } }));
    expect(p.placement!.top).toBeCloseTo(2500 - 50 - 25, 9);
    expect(p.placement!.binding).toEqual(['ceiling']);
  });

  it('names the conflict when nothing fits', () => {
    const room = { ...testJob().room, wall: { ...testJob().room.wall, height: 1150 } };
    const p = plan(testJob({ room }));
    expect(p.placement!.conflict!.constraints.sort()).toEqual(['ceiling', 'floor', 'object:o1']);
    expect(p.holes).toBeUndefined();
    expect(p.verdict).toBe('stop');
  });

  it('lets the set, not the plate, cover an outlet; an open plate may', () => {
    const outlet = {
      id: 'o2',
      kind: 'outlet' as const,
      left: 1980,
      right: 2050,
      bottom: 950,
      top: 1064,
    };
    const room = { ...testJob().room, objects: [outlet] };
    const closed = plan(testJob({ room }));
    expect(closed.placement!.binding).toEqual(['plate:o2']);
    const open = [{ left: -100, right: 100, bottom: 20, top: 190 }];
    const mount = { ...testMount, plate: { ...testMount.plate!, open } };
    expect(plan(testJob({ room, mount })).placement!.binding).toEqual([]);
  });
});

describe('sideways', () => {
  const centreX = (
    centre: NonNullable<ReturnType<typeof testJob>['aim']>['centre'],
    objects: NonNullable<ReturnType<typeof testJob>['room']['objects']> = [],
  ) => plan(testJob({ room: { ...testJob().room, objects }, aim: { ...testJob().aim, centre } })).placement?.centre.x;

  // common practice: a wall 104 1/2 wide has its middle at 52 1/4
  it('the middle of the wall: 104 1/2 gives 52 1/4', () => {
    const room = { ...testJob().room, wall: { ...testJob().room.wall, width: 104.5 * IN } };
    expect(plan(testJob({ room })).placement!.centre.x / IN).toBeCloseTo(52.25, 9);
  });

  // common practice: two plates 18 apart, the middle is 9; an opening of 44, the middle is 22
  it('between two things, whichever is named first', () => {
    const a = { id: 'a', kind: 'outlet' as const, left: 1500, right: 1570, bottom: 300, top: 400 };
    const b = {
      id: 'b',
      kind: 'outlet' as const,
      left: 1570 + 18 * IN,
      right: 2200,
      bottom: 300,
      top: 400,
    };
    expect(centreX({ on: 'between', a: 'b', b: 'a' }, [a, b])).toBeCloseTo(1570 + 9 * IN, 9);
    expect(centreX({ on: 'between', a: 1000, b: 3000 })).toBeCloseTo(2000, 9);
  });
  it('over a thing', () => {
    const opening = {
      id: 'f',
      kind: 'opening' as const,
      left: 1200,
      right: 1200 + 44 * IN,
      bottom: 0,
      top: 700,
    };
    expect(centreX({ on: 'object', object: 'f' }, [opening])).toBeCloseTo(1200 + 22 * IN, 9);
    expect(centreX({ on: 'object', object: 'gone' })).toBeUndefined();
  });
  it('keeps the set on the wall, and says so', () => {
    const p = plan(testJob({ choices: { centreX: 100 } }));
    expect(p.placement!.left).toBeCloseTo(0, 9);
    expect(p.findings.map((f) => f.code)).toContain('sideways-moved');
  });
});
