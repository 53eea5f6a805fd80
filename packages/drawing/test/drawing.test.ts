import fc from 'fast-check';
import { plan } from '@steddo/core';
import { atticSnug, demoRooms, guestRoom } from '@steddo/samples';
import { faceScene, fitView, overlap, placeLabels, scaleBar, type Label } from '../src';

describe('face', () => {
  it.each(demoRooms.filter((r) => r.job.mount && r.job.room.kind !== 'corner'))(
    '$id: the boxes are the plan’s own millimetres',
    ({ job }) => {
      const p = plan(job);
      const { shapes } = faceScene(job, p, 'heights');
      const rect = (id: string) => shapes.find((s) => s.kind === 'rect' && s.id === id);
      const { left, right, bottom, top, plate } = p.placement!;
      expect(rect('set')).toMatchObject({ left, right, bottom, top });
      // two brackets that stand apart are drawn as two
      const plates = [rect('plate'), rect('plate-2')].flatMap((r) => (r?.kind === 'rect' ? [r] : []));
      expect(plates.map((r) => [r.bottom, r.top])).toEqual(plates.map(() => [plate!.bottom, plate!.top]));
      expect([plates[0]!.left, plates.at(-1)!.right]).toEqual([plate!.left, expect.closeTo(plate!.right, 9)]);
      for (const o of job.room.objects!) expect(rect(o.id)).toMatchObject({ left: o.left, top: o.top });
    },
  );
  it('a hole lies in its slot and in its stud', () => {
    const p = plan(guestRoom);
    const { shapes } = faceScene(guestRoom, p, 'holes');
    const slots = shapes.filter((s) => s.kind === 'rect' && s.role === 'slot');
    for (const h of p.holes!) {
      const inSlot = slots.some(
        (s) => s.kind === 'rect' && s.left <= h.x && h.x <= s.right && s.bottom <= h.y && h.y <= s.top,
      );
      expect([h.id, inSlot]).toEqual([h.id, true]);
      expect(p.studs!.some((s) => Math.abs(s.centre - h.x) < 1e-9)).toBe(true);
    }
  });
  it('marks on another wall are not drawn on this one', () => {
    const job = {
      ...atticSnug,
      evidence: [{ id: 'z', kind: 'centre' as const, x: 1, y: 2, wall: 'left' as const }],
    };
    expect(faceScene(job, plan(job), 'none').shapes.some((s) => s.id === 'z')).toBe(false);
  });
});

describe('view', () => {
  it('goes from mm to px and back, at one scale', () => {
    const view = fitView({ left: 0, right: 4000, bottom: 0, top: 2500 }, { width: 390, height: 300 });
    const a = view.toPx(1000, 500);
    const b = view.toPx(1100, 600);
    expect(b.x - a.x).toBeCloseTo(100 * view.scale, 9);
    expect(a.y - b.y).toBeCloseTo(100 * view.scale, 9);
    expect(view.toMm(a.x, a.y)).toEqual({ x: expect.closeTo(1000, 6), y: expect.closeTo(500, 6) });
  });
  it('a wall stands on the lower edge, what has no floor floats in the middle', () => {
    const box = { left: 0, right: 400, bottom: 0, top: 100 };
    const pane = { width: 420, height: 300, padPx: 10 };
    const floor = fitView(box, pane);
    expect([floor.toPx(0, 0).y, floor.toPx(0, 100).y]).toEqual([290, 190]);
    const middle = fitView(box, { ...pane, stands: 'middle' });
    expect([middle.toPx(0, 0).y, middle.toPx(0, 100).y]).toEqual([200, 100]);
    // 40 px above are taken: 260 are left, and what is tall gets smaller
    const low = { ...pane, stands: 'middle', topPx: 40 } as const;
    const below = fitView(box, low);
    expect([below.toPx(0, 0).y, below.toPx(0, 100).y]).toEqual([220, 120]);
    expect(fitView({ ...box, top: 600 }, low).scale).toBeCloseTo(0.4, 9);
  });
  it('keeps everything inside', () => {
    const view = fitView({ left: 200, right: 4000, bottom: 0, top: 2500 }, { width: 390, height: 300 });
    for (const [x, y] of [
      [200, 0],
      [4000, 2500],
    ] as const) {
      const at = view.toPx(x, y);
      expect(at.x).toBeGreaterThanOrEqual(0);
      expect(at.x).toBeLessThanOrEqual(390);
      expect(at.y).toBeGreaterThanOrEqual(0);
      expect(at.y).toBeLessThanOrEqual(300);
    }
  });
  it('a scale bar of less than an inch or a centimetre is divided as a tape is', () => {
    // 10 px to the millimetre, 90 px: 9 mm
    expect(scaleBar(10, 90, 'metric')).toEqual({ mm: 5, text: '5 mm' });
    expect(scaleBar(10, 90, 'imperial')).toEqual({ mm: 6.35, text: '1/4 in' });
    expect(scaleBar(0.1, 90, 'metric')).toEqual({ mm: 500, text: '50 cm' });
  });
  it('has a scale bar of a round length that fits', () => {
    const bar = scaleBar(0.1, 90, 'imperial');
    expect(bar).toEqual({ mm: 20 * 25.4, text: '20 in' });
    expect(scaleBar(0.1, 90, 'metric').text).toBe('50 cm');
  });
});

describe('labels', () => {
  const label: fc.Arbitrary<Label> = fc.record({
    id: fc.uuid(),
    text: fc.constantFrom('48 3/8 up', '6 left', '72 3/4 top'),
    x: fc.integer({ min: 0, max: 390 }),
    y: fc.integer({ min: 0, max: 300 }),
    side: fc.constantFrom('above' as const, 'below' as const, 'left' as const, 'right' as const),
  });
  it('never lie over each other, over a hole, or outside', () => {
    fc.assert(
      fc.property(
        fc.array(label, { maxLength: 7 }),
        fc.array(fc.tuple(fc.integer({ min: 10, max: 380 }), fc.integer({ min: 10, max: 290 })), {
          maxLength: 4,
        }),
        (labels, holes) => {
          const keepClear = holes.map(([x, y]) => ({
            x: x - 10,
            y: y - 10,
            width: 20,
            height: 20,
          }));
          const placed = placeLabels(labels, {
            view: { width: 390, height: 300 },
            keepClear,
            toPx: (x, y) => ({ x, y }),
            charPx: 8,
            heightPx: 24,
          });
          placed.forEach((p, i) => {
            expect(p.x >= 0 && p.y >= 0 && p.x + p.width <= 390 && p.y + p.height <= 300).toBe(true);
            for (const other of [...placed.slice(i + 1), ...keepClear]) expect(overlap(p, other)).toBe(false);
          });
          if (labels.length > 0 && holes.length === 0) expect(placed.length).toBeGreaterThan(0);
        },
      ),
      { seed: 5, numRuns: 200 },
    );
  });
  it('a tape that had to move away has a leader to its point', () => {
    const rules = {
      view: { width: 390, height: 300 },
      keepClear: [{ x: 100, y: 60, width: 200, height: 160 }],
      toPx: (x: number, y: number) => ({ x, y }),
      charPx: 8,
      heightPx: 24,
    };
    const [placed] = placeLabels([{ id: 'a', text: '1 up', x: 200, y: 140, side: 'right' }], rules);
    expect(placed!.leader!.to).toEqual({ x: 200, y: 140 });
  });
});
