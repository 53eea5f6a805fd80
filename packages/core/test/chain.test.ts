import fc from 'fast-check';
import { evaluate, plan } from '../src';
import { IN, testJob, testMount } from './jobs';

const markUp = (job = testJob(), id = 'hook') => plan(job).marks?.find((m) => m.id === id)?.fromFloor;

/** A set that hangs with its bottom edge where the sum says, and one measurement on the set. */
function staged(bottomIn: number, toHookIn: number) {
  const base = testJob();
  const heightMm = 20 * IN;
  return testJob({
    screen: { ...base.screen, diagonal: 40 * IN, width: 35 * IN, height: heightMm },
    room: { ...base.room, objects: [] },
    choices: { centreY: bottomIn * IN + heightMm / 2 },
    measured: [{ from: 'bottom', to: 'hook', value: toHookIn * IN }],
  });
}

describe('chain of sums', () => {
  // common practice: the sums that installers do on the set
  it.each([
    [48, 5, 53],
    [48, 17, 65],
    [50, 4.25, 54.25],
    [54.125, 4.25, 58.375],
  ])('from the bottom: %d + %d = %d', (bottom, toHook, hook) => {
    expect(markUp(staged(bottom, toHook))! / IN).toBeCloseTo(hook, 9);
  });

  // common practice: furniture 36 + gap 8 + 7 1/4 = 51 1/4
  it('from the furniture: 36 + 8 + 7 1/4 = 51 1/4', () => {
    const base = staged(0, 7.25);
    const job = testJob({
      screen: base.screen,
      measured: base.measured,
      room: {
        ...base.room,
        objects: [{ id: 'o1', kind: 'furniture', left: 1500, right: 2500, bottom: 0, top: 36 * IN }],
      },
      aim: {
        height: 'above',
        schools: { above: { object: 'o1', gap: 8 * IN } },
        centre: { on: 'wall' },
      },
    });
    expect(markUp(job)! / IN).toBeCloseTo(51.25, 9);
  });

  // common practice: plate 8 tall, its top 11 below the set's top: the set's top clears an outlet
  // below the plate from 19 above it
  it('from the top: 11 + 8 = 19 above an outlet below the plate', () => {
    const outletTop = 30 * IN;
    const job = testJob({
      screen: { ...testJob().screen, height: 32.5 * IN, width: 50 * IN, diagonal: 57 * IN },
      mount: { ...testMount, plate: { ...testMount.plate!, height: 8 * IN } },
      room: {
        ...testJob().room,
        objects: [
          {
            id: 'o1',
            kind: 'outlet',
            left: 1950,
            right: 2020,
            bottom: outletTop - 114,
            top: outletTop,
          },
        ],
      },
      measured: [{ from: 'top', to: 'plate-top', value: 11 * IN }],
      choices: { centreY: outletTop + IN },
    });
    const p = plan(job);
    expect((p.placement!.top - outletTop) / IN).toBeCloseTo(19, 9);
    expect(p.placement!.binding).toEqual(['plate:o1']);
  });

  it('works out the hook and the plate from geometry', () => {
    // 320 - 40 + 10 = 290 from the bottom edge to the hook; the hook is 190 up the plate
    const p = plan(testJob());
    const { bottom, plate } = p.placement!;
    expect(bottom).toBeCloseTo(1100 - 320, 9);
    expect(markUp()).toBeCloseTo(bottom + 290, 9);
    expect(plate!.bottom).toBeCloseTo(bottom + 100, 9);
    expect(markUp(testJob(), 'plate-top')).toBeCloseTo(bottom + 300, 9);
  });

  it('lets what was measured win, and says when geometry is more than 5 mm off', () => {
    const near = plan(testJob({ measured: [{ from: 'bottom', to: 'hook', value: 294.9 }] }));
    expect(near.findings.map((f) => f.code)).not.toContain('measured-differs');
    const far = plan(testJob({ measured: [{ from: 'bottom', to: 'hook', value: 296 }] }));
    expect(far.findings.map((f) => f.code)).toContain('measured-differs');
    expect(far.marks!.find((m) => m.id === 'hook')!.fromFloor).toBeCloseTo(780 + 296, 9);
  });

  it('needs no mount for a height that was measured on the set', () => {
    const job = testJob({
      mount: undefined,
      measured: [{ from: 'bottom', to: 'hook', value: 127 }],
    });
    expect(markUp(job)).toBeCloseTo(780 + 127, 9);
    expect(markUp(testJob({ mount: undefined }))).toBeUndefined();
  });

  it('measured to a slot row gives the plate', () => {
    const p = plan(testJob({ measured: [{ from: 'bottom', to: 'row:1', value: 262 }] }));
    expect(p.placement!.plate!.bottom).toBeCloseTo(780 + 262 - 160, 9);
    const none = plan(testJob({ measured: [{ from: 'bottom', to: 'row:7', value: 262 }] }));
    expect(none.findings.map((f) => f.code)).toContain('measured-unused');
  });

  it.each([
    // the hook is 290 over the bottom edge and 190 up a plate of 200; the set is 640 tall
    ['hook', 290],
    ['plate-bottom', 290 - 190],
    ['plate-top', 290 + 10],
    ['row:0', 290 - 190 + 40],
    ['row:1', 290 - 190 + 160],
  ])('measured to the %s from either edge puts the plate where geometry does', (to, up) => {
    const from = (edge: 'bottom' | 'top', value: number) => plan(testJob({ measured: [{ from: edge, to, value }] }));
    for (const p of [from('bottom', up), from('top', 640 - up)]) {
      expect(p.placement!.plate!.bottom).toBeCloseTo(780 + 100, 9);
      expect(p.marks!.find((m) => m.id === 'hook')!.fromFloor).toBeCloseTo(780 + 290, 9);
      expect(p.findings.map((f) => f.code)).not.toContain('measured-differs');
    }
    // 20 mm more from the bottom is 20 mm up; 20 mm more from the top is 20 mm down
    expect(from('bottom', up + 20).placement!.plate!.bottom).toBeCloseTo(780 + 120, 9);
    expect(from('top', 640 - up + 20).placement!.plate!.bottom).toBeCloseTo(780 + 80, 9);
  });

  it('of two that were measured the first governs and the other checks', () => {
    const measured = [
      { from: 'bottom' as const, to: 'hook', value: 296 },
      { from: 'top' as const, to: 'hook', value: 640 - 290 },
    ];
    const first = plan(testJob({ measured }));
    expect(first.marks!.find((m) => m.id === 'hook')!.fromFloor).toBeCloseTo(780 + 296, 9);
    expect(first.findings.map((f) => f.code)).toContain('measured-differs');
    const second = plan(testJob({ measured: [...measured].reverse() }));
    expect(second.marks!.find((m) => m.id === 'hook')!.fromFloor).toBeCloseTo(780 + 290, 9);
  });

  it('marks read up from the floor, down from the set’s top, from the wall’s end and from the centre line agree', () => {
    const p = plan(testJob());
    for (const m of p.marks!) {
      expect(m.fromFloor + m.belowTop).toBeCloseTo(780 + 640, 9);
      expect(m.fromLeft - m.fromCentre).toBeCloseTo(2000, 9);
    }
  });

  it('raises plate, hook and holes by the sag, not the set', () => {
    const flat = plan(testJob());
    const sagging = plan(testJob({ aim: { ...testJob().aim, sag: 12 } }));
    expect(sagging.placement!.bottom).toBeCloseTo(flat.placement!.bottom, 9);
    expect(sagging.placement!.plate!.bottom - flat.placement!.plate!.bottom).toBeCloseTo(12, 9);
    expect(sagging.holes![0]!.y - flat.holes![0]!.y).toBeCloseTo(12, 9);
  });

  it('picks the arm hole that keeps the height where it is wanted', () => {
    // with the hook low on the set the plate would sit on the outlet; the other arm hole clears it
    const outlet = {
      id: 'o2',
      kind: 'outlet' as const,
      left: 1980,
      right: 2050,
      bottom: 800,
      top: 914,
    };
    const base = testJob();
    const mount = { ...testMount, patternAboveHook: [-10, -120] };
    const p = plan(testJob({ mount, room: { ...base.room, objects: [outlet] } }));
    expect(p.placement!.centre.y).toBeCloseTo(1100, 9);
    expect(p.placement!.armHole).toBe(1);
  });

  it('mirrors the folded offset with the fold', () => {
    // common practice: a folded set sits 5 in to one side
    const mount = {
      ...testMount,
      arm: { kind: 'links' as const, links: [200, 200], foldOffset: 5 * IN },
      slide: 0,
    };
    const at = (fold: 'left' | 'right') =>
      plan(testJob({ mount, choices: { fold }, evidence: [] })).placement!.plate!.x;
    expect(at('left') - 2000).toBeCloseTo(127, 9);
    expect(at('right') - 2000).toBeCloseTo(-127, 9);
  });
});

describe('every working', () => {
  it('evaluates to the value that it is shown with', () => {
    fc.assert(
      fc.property(
        fc.record({
          up: fc.integer({ min: -80, max: 80 }),
          eye: fc.integer({ min: 900, max: 1500 }),
          sag: fc.integer({ min: 0, max: 20 }),
        }),
        ({ up, eye, sag }) => {
          const base = testJob();
          const job = testJob({
            screen: { ...base.screen, patternCentre: { right: 3, up } },
            room: { ...base.room, viewers: [{ id: 'v1', eye, distance: 2600 }] },
            aim: { ...base.aim, sag },
          });
          const p = plan(job);
          for (const m of p.marks!) {
            expect(evaluate(m.workings.fromFloor)).toBeCloseTo(m.fromFloor, 9);
            expect(evaluate(m.workings.fromLeft)).toBeCloseTo(m.fromLeft, 9);
            expect(evaluate(m.workings.fromCentre)).toBeCloseTo(m.fromLeft - p.placement!.centre.x, 9);
            expect(evaluate(m.workings.belowTop)).toBeCloseTo(p.placement!.top - m.fromFloor, 9);
          }
          for (const h of p.holes!) expect(evaluate(h.working)).toBeCloseTo(h.y, 9);
        },
      ),
      { numRuns: 20 },
    );
  });
});
