import type { Job, Mount } from '@steddo/contract';
import { evaluate, plan } from '../src';
import { testJob, testMount } from './jobs';

const swing: Mount = {
  ...testMount,
  type: 'full-motion',
  depth: { folded: 66, extended: 520 },
  swivel: { left: 60, right: 60 },
  arm: { kind: 'links', links: [292, 165], head: 60, foldOffset: 127 },
};
const room = (change: Partial<Job['room']> = {}, more: Partial<Job> = {}): Job =>
  testJob({
    mount: swing,
    room: { ...testJob().room, objects: [], ...change },
    choices: { fold: 'left', centreY: 1400 },
    ...more,
  });
const found = (job: Job, code: string) => plan(job).findings.filter((f) => f.code === code);

describe('what goes with an arm', () => {
  it('is absent for a mount that does not move', () => {
    expect(plan(testJob()).reach).toBeUndefined();
    expect(plan(testJob({ mount: { ...testMount, swivel: { left: 10, right: 10 } } })).reach).toBeUndefined();
  });
  it('cable: links, head and 100 a joint, less the folded run', () => {
    const { reach } = plan(room());
    // from the root, 3 out, to the folded joint, 127 aside and 6 out
    const folded = Math.hypot(127, 3);
    expect(reach!.cableSlack).toBeCloseTo(292 + 165 + 60 + 300 - folded - 60, 6);
    expect(evaluate(reach!.workings!.cableSlack!)).toBeCloseTo(reach!.cableSlack!, 9);
  });
  it('a lead: from its outlet to the plate and along the arm; too short is said', () => {
    const outlet = { id: 'o5', kind: 'outlet' as const, left: 1965, right: 2035, bottom: 300, top: 400 };
    const lead = (length: number) =>
      room({ objects: [outlet] }, { leads: [{ id: 'l1', what: 'power', to: 'o5', length }] });
    const p = plan(lead(2000));
    const plate = p.placement!.plate!;
    const toRoot = Math.hypot(plate.x - 2000, (plate.bottom + plate.top) / 2 - 350);
    expect(p.leads![0]!.needed).toBeCloseTo(toRoot + 292 + 165 + 60 + 300 + 100, 6);
    expect(found(lead(p.leads![0]!.needed - 1), 'lead-short').length).toBe(1);
    expect(found(lead(p.leads![0]!.needed + 1), 'lead-short')).toEqual([]);
  });
  it('room below as it has settled, above before it has', () => {
    const things = [
      { id: 'o5', kind: 'furniture' as const, left: 1500, right: 2500, bottom: 0, top: 1060 },
      { id: 'o6', kind: 'shelf' as const, left: 1500, right: 2500, bottom: 1770, top: 1800 },
      // far off to the side nothing is swept
      { id: 'o7', kind: 'furniture' as const, left: 0, right: 400, bottom: 0, top: 1075 },
    ];
    const { clearance } = plan(room({ objects: things })).reach!;
    // 1080 and 1720 are the set's edges
    expect(clearance).toMatchObject({ below: 20, belowBy: 'object:o5', above: 50, aboveBy: 'object:o6' });
    const sagging = room({ objects: things }, { aim: { ...testJob().aim, sag: 30 } });
    const sagged = plan(sagging).reach!.clearance!;
    expect([sagged.below, sagged.above]).toEqual([20, 20]);
    expect(found(sagging, 'swing-near').map((f) => f.values.where)).toEqual(['below', 'above']);
    expect(found(room({ objects: things }), 'swing-near').map((f) => f.values.where)).toEqual(['below']);
  });
  it('a thing on the floor that it swings over', () => {
    const table = { id: 'f4', kind: 'table', left: 1800, right: 2300, near: 250, far: 900, height: 1000 };
    expect(plan(room({ floor: [table] })).reach!.clearance).toMatchObject({ below: 80, belowBy: 'floor:f4' });
    expect(plan(room({ floor: [{ ...table, near: 2000, far: 2600 }] })).reach!.clearance!.below).toBeUndefined();
  });
  it('a plug behind the folded set: outlet and plug against its depth', () => {
    const outlet = { id: 'o5', kind: 'outlet' as const, left: 2300, right: 2370, bottom: 1300, top: 1400, out: 20 };
    const job = (folded: number) =>
      room({ objects: [outlet] }, { mount: { ...swing, depth: { folded, extended: 520 } } });
    expect(found(job(60), 'plug-behind')).toEqual([]);
    expect(found(job(59), 'plug-behind')[0]!.values).toEqual({ object: 'o5', needMm: 60, haveMm: 59 });
    const beside = { ...outlet, left: 2600, right: 2670 };
    expect(
      found(room({ objects: [beside] }, { mount: { ...swing, depth: { folded: 50, extended: 520 } } }), 'plug-behind'),
    ).toEqual([]);
  });
  it('folded into something it is a stop that nothing acknowledges away', () => {
    const post = {
      id: 'f5',
      kind: 'post',
      left: 2400,
      right: 2500,
      near: 100,
      far: 300,
      height: 2400,
    };
    const [stop] = found(room({ floor: [post] }), 'folded-blocked');
    expect(stop).toMatchObject({
      level: 'stop',
      acknowledgeable: false,
      values: { by: 'floor:f5' },
    });
  });
  it('an arm that is only known by its label goes straight out, and says so', () => {
    const label: Mount = { ...testMount, depth: { folded: 60, extended: 400 }, swivel: { left: 45, right: 45 } };
    const p = plan(room({ viewers: [{ id: 'v1', eye: 1400, distance: 2700, x: 3500 }] }, { mount: label }));
    expect(p.findings.some((f) => f.code === 'arm-unknown')).toBe(true);
    expect(p.reach!.seats[0]!.offAxis).toBeLessThan(0.01);
  });
});

// ADA 2010 Standards, 307.2, from memory: objects with leading edges more than 27 in and not more than
// 80 in above the floor protrude 4 in at most into the circulation path
describe('over a walkway (ADA 307.2)', () => {
  const IN = 25.4;
  const over = (frontIn: number, bottomIn: number, change: Partial<Job['room']> = {}) => {
    const mount = { ...testMount, depth: { folded: frontIn * IN - 60 } };
    const way = { id: 'w', kind: 'walkway', left: 0, right: 4000, near: 0, far: 900 };
    return found(
      room({ floor: [way], ...change }, { mount, choices: { centreY: bottomIn * IN + 320 } }),
      'over-walkway',
    );
  };
  it('4 in out is allowed, more is not', () => {
    expect(over(4, 40)).toEqual([]);
    expect(over(4.1, 40)[0]).toMatchObject({ level: 'info', source: 'ADA 2010, 307.2' });
  });
  it('is said only where a way is drawn under the set', () => {
    expect(over(5, 40, { floor: [] })).toEqual([]);
    const aside = { id: 'w', kind: 'walkway', left: 3500, right: 4000, near: 0, far: 900 };
    expect(over(5, 40, { floor: [aside] })).toEqual([]);
  });
  it('between 27 and 80 in', () => {
    const tall = { wall: { ...testJob().room.wall, height: 3000 } };
    expect(over(5, 26.9)).toEqual([]);
    expect(over(5, 27.1).length).toBe(1);
    expect(over(5, 80, tall).length).toBe(1);
    expect(over(5, 80.1, tall)).toEqual([]);
  });
  it('not where furniture under its whole width keeps people off', () => {
    const chest = (left: number, right: number) => ({
      id: 'o5',
      kind: 'furniture' as const,
      left,
      right,
      bottom: 0,
      top: 900,
      out: 450,
    });
    expect(over(5, 40, { objects: [chest(1400, 2600)] })).toEqual([]);
    expect(over(5, 40, { objects: [chest(1400, 2500)] }).length).toBe(1);
    expect(over(5, 40, { objects: [{ ...chest(1400, 2600), out: 100 }] }).length).toBe(1);
  });
});
