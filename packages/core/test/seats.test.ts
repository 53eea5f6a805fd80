import fc from 'fast-check';
import type { Mount, Viewer } from '@steddo/contract';
import { fitContext, fitMount, plan, rankMounts } from '../src';
import { testJob, testMount } from './jobs';

const seated = (...viewers: Partial<Viewer>[]) =>
  testJob({
    room: {
      ...testJob().room,
      viewers: viewers.map((v, i) => ({ id: `v${i}`, eye: 1100, distance: 2660, ...v })),
    },
  });
const fitOf = (job: ReturnType<typeof testJob>, mount: Mount, rule: string) =>
  fitMount(mount, job, fitContext(job)).find((f) => f.rule === rule);

const fixed: Mount = { ...testMount, id: 'fixed', type: 'fixed' };
const arm: Mount = {
  ...testMount,
  id: 'arm',
  type: 'full-motion',
  depth: { folded: 60, extended: 500 },
  swivel: { left: 45, right: 60 },
};

describe('type advice', () => {
  // the face stands 60 out whatever the mount: 2660 away is 2600 from it; tan 20 = 0.364, tan 30 = 0.577
  const at = (x: number, eye = 1100) => plan(seated({ x: 2000 + x, eye })).advice!;
  it('straight ahead: fixed; from 30 degrees across: full motion', () => {
    expect(at(0).type).toBe('fixed');
    expect(at(1500).type).toBe('fixed');
    expect(at(1502).type).toBe('full-motion');
    expect(at(-1502)).toMatchObject({ type: 'full-motion', viewer: 'v0' });
    expect(at(-1502).across).toBeCloseTo(-30.02, 1);
  });
  it('tilt from five degrees of looking up', () => {
    const high = (up: number) => plan({ ...seated({ x: 2000 }), choices: { centreY: 1100 + up } }).advice!;
    expect(high(225).type).toBe('fixed');
    expect(high(230).type).toBe('tilt');
    expect(high(230).tiltNeeded).toBeCloseTo((Math.atan(230 / 2600) * 180) / Math.PI, 6);
  });
  it('says nothing while nobody sits anywhere', () => {
    expect(plan(seated({ distance: undefined })).advice).toBeUndefined();
  });
});

describe('what the seats ask of a mount', () => {
  it('off straight: fits to 20 degrees, minds to 30, stops from there', () => {
    const level = (x: number) => fitOf(seated({ x: 2000 + x }), fixed, 'reach')!.level;
    expect(level(946)).toBe('info');
    expect(level(947)).toBe('caution');
    expect(level(-1500)).toBe('caution');
    expect(level(1502)).toBe('stop');
  });
  it('an arm takes its swivel off the angle, each side its own', () => {
    // 45 degrees across: 2600 aside
    expect(fitOf(seated({ x: 4600 }), arm, 'reach')!.value).toBeCloseTo(0, 6);
    // turned 10 degrees to the left the face comes out and aside by less than 100 mm: about 35 are left
    const narrow = { ...arm, swivel: { left: 10, right: 60 } };
    const left = Number(fitOf(seated({ x: -600 }), narrow, 'reach')!.value);
    expect(Math.abs(left - 35)).toBeLessThan(1.5);
    expect(fitOf(seated({ x: -600 }, { x: 4600 }), narrow, 'reach')).toMatchObject({ axis: 'v0' });
  });
  it('and no more than its back edge has room for', () => {
    // half of 1118 in a right triangle with 279.5 out: 30 degrees, whatever the swivel says. The middle of the
    // face is then 52 in front of the joint and 30 aside
    const short = {
      ...arm,
      depth: { folded: 60, extended: 279.5 },
      swivel: { left: 90, right: 90 },
    };
    const out = 279.5 + 60 * Math.cos(Math.PI / 6);
    const bearing = Math.atan2(2600 - 30, 2660 - out) * (180 / Math.PI);
    const off = Number(fitOf(seated({ x: 4600 }), short, 'reach')!.value);
    expect(off).toBeCloseTo(bearing - 30, 6);
    const stiff = { ...arm, depth: { folded: 60, extended: 900 }, swivel: { left: 40, right: 90 } };
    expect(Number(fitOf(seated({ x: -600 }), stiff, 'reach')!.value)).toBeGreaterThan(4);
    const { extended: _, ...folded } = arm.depth;
    expect(fitOf(seated({ x: 4600 }), { ...arm, depth: folded }, 'reach')).toBeUndefined();
  });
  it('tilt: under 5 lacking is none; from 15 on it is to mind, and stops nobody; down for looking up', () => {
    const looking = (deg: number, tilt: Mount['tilt']) => {
      const job = {
        ...seated({ x: 2000, eye: 1400 }),
        choices: { centreY: 1400 + 2600 * Math.tan((deg * Math.PI) / 180) },
      };
      const { tilt: _, ...bare } = fixed;
      return fitOf(job, tilt ? { ...bare, tilt } : bare, 'tilt')!;
    };
    expect(looking(4.9, undefined)).toMatchObject({ ok: true });
    expect(looking(14.9, undefined)).toMatchObject({ ok: true, level: 'info' });
    expect(looking(15.1, undefined)).toMatchObject({ ok: false, level: 'caution' });
    expect(looking(15.1, { down: 15, up: 0 })).toMatchObject({ ok: true, axis: 'down' });
    expect(looking(-6, { down: 15, up: 0 })).toMatchObject({ ok: true, level: 'info', axis: 'up' });
    expect(looking(-6, { down: 0, up: 5 })).toMatchObject({ ok: true, axis: 'up' });
  });
  it('reach and tilt can be acknowledged, mass cannot', () => {
    const p = plan({ ...seated({ x: 3900 }), mount: { ...fixed, maxMass: 5 } });
    const of = (code: string) => p.findings.find((f) => f.code === code)!;
    expect(of('mount-reach')).toMatchObject({ level: 'stop', acknowledgeable: true });
    expect(of('mount-mass')).toMatchObject({ level: 'stop', acknowledgeable: false });
  });
  it('ranks the mount that serves the seats before the flatter one', () => {
    const flat = { ...fixed, id: 'flat', depth: { folded: 20 } };
    expect(rankMounts([flat, arm], seated({ x: 2000 }))[0]!.id).toBe('flat');
    expect(rankMounts([flat, arm], seated({ x: 3900 })).map((r) => [r.id, r.verdict])).toEqual([
      ['arm', 'go'],
      ['flat', 'stop'],
    ]);
  });
});

describe('plate between the obstacles', () => {
  const thing = fc.record({
    kind: fc.constantFrom<'outlet' | 'shelf' | 'data' | 'furniture'>('outlet', 'shelf', 'data', 'furniture'),
    left: fc.integer({ min: 1000, max: 2400 }),
    wide: fc.integer({ min: 60, max: 700 }),
    bottom: fc.integer({ min: 0, max: 2200 }),
    tall: fc.integer({ min: 60, max: 600 }),
  });
  const open = { ...testMount.plate!, open: [{ left: -80, right: 80, bottom: 20, top: 180 }] };
  it('judges a mount as the plan places it, over random rooms', () => {
    fc.assert(
      fc.property(fc.array(thing, { maxLength: 5 }), fc.boolean(), (things, opened) => {
        const objects = things.map(({ left, wide, bottom, tall, kind }, i) => ({
          id: `o${i}`,
          kind,
          left,
          right: left + wide,
          bottom,
          top: bottom + tall,
        }));
        const mount = {
          ...testMount,
          plate: opened ? open : testMount.plate!,
          patternAboveHook: [-60, -10, 40],
        };
        const job = testJob({ room: { ...testJob().room, objects }, mount, evidence: [] });
        // without a place for the set alone no mount is to blame
        const bare = { ...job };
        delete bare.mount;
        const found = fitOf(job, mount, 'plate-room');
        expect(found === undefined).toBe(plan(bare).placement!.conflict !== undefined);
        if (!found) return;
        const rule = found;
        const { conflict, feasible, centre } = plan(job).placement!;
        expect(rule.ok).toBe(conflict === undefined);
        if (!rule.ok) return expect(rule.margin).toBeLessThan(0);
        const [from, to] = feasible.find(([a, b]) => a <= centre.y + 1e-6 && centre.y <= b + 1e-6)!;
        expect(rule.margin).toBeCloseTo(to - from, 6);
        expect(rule.value).toBeCloseTo(Math.abs(centre.y - 1100), 6);
      }),
      { numRuns: 40 },
    );
  });
});
