import { catalogue, checkFile, plan as planFormat } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { planFile } from '@steddo/text';
import { atticSnug, breakfastBar, demoCatalogue, demoRooms, guestRoom } from '../src';

describe('samples', () => {
  it('the catalogue is valid, about thirty mounts of all types', () => {
    expect(checkFile(catalogue, demoCatalogue)).toMatchObject({ ok: true });
    expect(demoCatalogue.mounts.length).toBeGreaterThanOrEqual(28);
    expect(new Set(demoCatalogue.mounts.map((m) => m.type)).size).toBe(7);
    expect(new Set(demoCatalogue.mounts.map((m) => m.id)).size).toBe(demoCatalogue.mounts.length);
    expect(demoCatalogue.screens).toHaveLength(12);
  });
  it.each(demoRooms)('$id: its plan is valid', ({ job }) => {
    const made = JSON.parse(
      JSON.stringify(planFile(plan(withKit(job, demoCatalogue), { mounts: demoCatalogue.mounts }), job)),
    ) as unknown;
    const checked = checkFile(planFormat, made);
    expect(checked.ok ? [] : checked.faults).toEqual([]);
  });
  it('the guest room reaches its holes; the others say what they lack', () => {
    expect(plan(guestRoom).holes).toHaveLength(4);
    expect(plan(guestRoom).verdict).toBe('caution');
    expect(plan(atticSnug).findings.map((f) => f.code)).toContain('find-the-stud-first');
    expect(plan(breakfastBar).holes!.map((h) => h.into)).toEqual(['masonry', 'masonry', 'masonry']);
    expect(plan(breakfastBar).findings.map((f) => f.code)).toContain('mark-a-joint-first');
  });
});

describe('the guest room, by numbers', () => {
  const IN = 25.4;
  const p = plan(withKit(guestRoom, demoCatalogue), { mounts: demoCatalogue.mounts, nextLook: true });
  const mark = (id: string) => p.marks!.find((m) => m.id === id)!;
  const hole = (id: string) => p.holes!.find((h) => h.id === id)!;
  const load = (id: string) => p.loads!.fasteners.find((f) => f.hole === id)!;
  const near = (value: number) => expect.closeTo(value, 6);
  it('its height: 8 in over the 43 in chest, and the set from there', () => {
    expect(mark('bottom').fromFloor).toEqual(near((43 + 8) * IN));
    expect(mark('centre').fromFloor).toEqual(near((51 + 21.75 / 2) * IN));
    expect(mark('top').fromFloor).toEqual(near(72.75 * IN));
    expect(mark('centre').fromLeft).toEqual(near(72 * IN));
    expect([mark('left').fromCentre, mark('right').fromCentre]).toEqual([near(-19 * IN), near(19 * IN)]);
    expect(mark('bottom').belowTop).toEqual(near(21.75 * IN));
  });
  it('its hook and plate: half the height, the pattern an inch low, arm hole -90, hook 185 up', () => {
    const toHook = (21.75 / 2) * IN - IN + 90;
    expect(mark('hook').fromFloor).toEqual(near(51 * IN + toHook));
    expect(mark('plate-bottom').fromFloor).toEqual(near(51 * IN + toHook - 185));
    expect(mark('plate-top').fromFloor).toEqual(near(51 * IN + toHook - 185 + 200));
  });
  it('its studs: 16 in apart, the two that were marked best known', () => {
    expect(p.studs!.map((s) => Math.round(s.centre))).toEqual([847, 1252, 1658, 2065, 2470, 2876]);
    expect(p.studs![2]!.centre).toBeCloseTo(1658.18, 1);
    expect(p.studs![3]!.centre).toBeCloseTo(2064.51, 1);
    expect(p.studs![2]!.sd).toBeCloseTo(1.91, 2);
    expect(p.looking!.enough).toBe('sure');
  });
  it('its holes: two rows 130 apart, 64 of lag through 3 of plate, 1.5 of washer and 1/2 in of board', () => {
    expect(p.holes!.map((h) => [h.id, h.row])).toEqual([
      ['h1', 'top'],
      ['h2', 'top'],
      ['h3', 'bottom'],
      ['h4', 'bottom'],
    ]);
    expect(hole('h1').y - hole('h3').y).toEqual(near(130));
    expect(hole('h1').y).toEqual(near(mark('plate-bottom').fromFloor + 165));
    expect(hole('h2').x - hole('h1').x).toBeCloseTo(16 * IN, 0);
    expect([hole('h1').bit, hole('h1').depth]).toEqual([5.5, near(64 - 2.5 - 2 + 5)]);
    expect(hole('h1').penetration).toEqual(near(64 - 2.5 - 2 - 12.7));
    expect(hole('h1').edgeMargin).toEqual(near(1.5 * IN * 0.5 - 1.5 * 7.94));
    expect(hole('h1').probability).toBeCloseTo(0.995, 3);
    expect(p.scheme).toMatchObject({ kind: 'lags-in-studs', shift: expect.closeTo(9.68, 1) as number });
  });
  it('its load: 8.6 kg of set and its mount, four lags at a tenth of what they may', () => {
    expect(p.loads!.weight.value).toEqual(near((8.6 + 3.5) * 9.80665));
    expect(p.loads!.moment.value / p.loads!.weight.value).toBeCloseTo(85.5, 6);
    expect(load('h1').tension).toEqual(near(p.loads!.moment.value / 2 / 130));
    expect(load('h3').tension).toEqual(near(0));
    expect(load('h1').allowableTension).toBeCloseTo(1298.7, 1);
    expect(load('h1').governs).toBe('yield-III-s');
    // hypot of 34.0 N over what bends the lag, and 39.0 N over what pulls it out
    expect(p.loads!.worst).toBeCloseTo(Math.hypot(load('h1').shear / load('h1').allowableShear, 39.02 / 1298.7), 4);
    expect(p.loads!.worst).toBeCloseTo(0.0962, 4);
    expect(p.loads!.standing).toBe(p.loads!.worst);
    expect(p.loads!.leaned).toBeUndefined();
  });
  it('its mounts, its level and what there is to say', () => {
    expect(p.ranking!.slice(0, 3).map((r) => [r.id, r.verdict])).toEqual([
      ['louvre-2', 'go'],
      ['louvre-3', 'go'],
      ['louvre-1', 'go'],
    ]);
    expect([p.level!.slope, p.level!.instrumentError]).toEqual([near(0.15), near(0.05)]);
    expect(p.advice).toMatchObject({ type: 'tilt', viewer: 'v1' });
    expect(p.placement!.tiltNeeded).toBeCloseTo(14.74, 2);
    expect(p.screen.screws!.map((s) => s.id)).toEqual(['M6x12', 'M6x12+w1.6']);
    expect(p.findings.map((f) => f.code)).toEqual([
      'look-first',
      'lift-people',
      'loads-checked',
      'sits-far',
      'level-off',
    ]);
    expect(checkFile(planFormat, JSON.parse(JSON.stringify(planFile(p, guestRoom))))).toMatchObject({ ok: true });
  });
});
