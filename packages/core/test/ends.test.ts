import { checkFile, job as jobFormat, type Job, type Mount, type Plan, type StepId } from '@steddo/contract';
import { evaluate, plan } from '../src';
import { waitsFor } from '../src/hang/stepTable';
import { testJob, testMount } from './jobs';

const outlet = { id: 'o5', kind: 'outlet' as const, left: 2600, right: 2700, bottom: 300, top: 400 };
type Lead = NonNullable<Job['leads']>[number];
const room = (more: NonNullable<Job['room']['objects']> = []) => ({ ...testJob().room, objects: [outlet, ...more] });
const withLead = (lead: Partial<Lead>, change: Partial<Job> = {}) =>
  plan(testJob({ room: room(), leads: [{ id: 'l1', what: 'power', to: 'o5', ...lead }], ...change }));
const codes = (p: Plan) => p.findings.map((f) => f.code);
const arm: Mount = {
  ...testMount,
  type: 'full-motion',
  depth: { folded: 66, extended: 520 },
  swivel: { left: 60, right: 60 },
  arm: { kind: 'links', links: [230, 230], head: 60, foldOffset: 127 },
};

describe('leads', () => {
  // by hand: a wall and two lengths along it, 100 for the plug and its bend
  it('behind the set: straight along x and y from port to outlet', () => {
    const p = withLead({ port: { right: 200, up: -150 }, length: 1500 }, { choices: { centreY: 1400 } });
    const { x } = p.placement!.centre;
    const needed = Math.abs(x + 200 - 2650) + (1250 - 350) + 100;
    expect(p.leads![0]).toMatchObject({ route: 'behind', when: 'hooked', later: false });
    expect(p.leads![0]!.needed).toBeCloseTo(needed, 6);
    expect(p.leads![0]!.slack).toBeCloseTo(1500 - needed, 6);
    expect(evaluate(p.leads![0]!.workings.needed)).toBeCloseTo(needed, 6);
    expect(p.leads![0]!.path.at(-1)).toEqual({ x: 2650, y: 350 });
  });
  it('in trunking: its legs round the corners, and what is cut of it without two caps of 20', () => {
    const p = withLead({ route: 'trunking', legs: [600, 900] });
    expect(p.leads![0]!.needed).toBe(1600);
    expect(p.leads![0]!.cut).toBe(1460);
  });
  it('on an arm every route but the arm itself takes up its slack', () => {
    const change = { mount: arm, choices: { centreY: 1400, fold: 'left' as const } };
    const still = withLead({ route: 'trunking', legs: [600, 900] });
    const moving = withLead({ route: 'trunking', legs: [600, 900] }, change);
    expect(moving.leads![0]!.needed - still.leads![0]!.needed).toBeCloseTo(moving.reach!.cableSlack!, 6);
    const along = withLead({ route: 'arm' }, change);
    const plate = along.placement!.plate!;
    const toRoot = Math.hypot(plate.x - 2650, (plate.bottom + plate.top) / 2 - 350);
    expect(along.leads![0]!.needed).toBeCloseTo(toRoot + 230 + 230 + 60 + 300 + 100, 6);
    expect(along.leads![0]!.when).toBe('after');
  });
  it('too short is said with by how much; one that goes nowhere is named, not guessed', () => {
    const { needed } = withLead({}).leads![0]!;
    const short = withLead({ length: needed - 30 });
    const said = short.findings.find((f) => f.code === 'lead-short')!;
    expect(said.values.shortMm).toBeCloseTo(30, 6);
    expect(codes(withLead({ length: needed + 1 }))).not.toContain('lead-short');
    const nowhere = withLead({ to: 'gone' });
    expect(nowhere.leads).toBeUndefined();
    expect(codes(nowhere)).toContain('lead-unplaced');
    // it still has to go in while the set is hooked
    expect(nowhere.hang!.steps.map((s) => s.id)).toContain('leads.hooked');
  });
  it('from a box to an outlet: between their middles, without what an arm takes up', () => {
    const box = { id: 'o6', kind: 'device' as const, left: 2300, right: 2400, bottom: 900, top: 1000, depth: 20 };
    const from = (id: string) =>
      plan(
        testJob({
          mount: arm,
          room: room([box]),
          choices: { centreY: 1400, fold: 'left' },
          leads: [{ id: 'l1', what: 'power', from: id, to: 'o5', route: 'behind' }],
        }),
      );
    expect(from('o6').leads![0]!.needed).toBeCloseTo(300 + 600 + 100, 6);
    expect(codes(from('gone'))).toContain('lead-unplaced');
  });
  it('a plug deeper than what the folded set leaves, and a box that is', () => {
    const behind = { ...outlet, left: 1950, right: 2050, bottom: 1350, top: 1450, plateMayCover: true, out: 5 };
    const device = { ...behind, id: 'o6', kind: 'device' as const, depth: 90 };
    const of = (lead: Partial<Lead>) =>
      plan(
        testJob({ room: { ...room(), objects: [behind] }, leads: [{ id: 'l1', what: 'power', to: 'o5', ...lead }] }),
      );
    expect(codes(of({ plugDepth: 50 }))).not.toContain('plug-behind');
    expect(of({ plugDepth: 60 }).findings.find((f) => f.code === 'plug-behind')!.values).toMatchObject({
      needMm: 65,
      haveMm: 60,
    });
    const boxed = plan(testJob({ room: { ...room(), objects: [device] } }));
    expect(codes(boxed)).toContain('device-too-deep');
    expect(codes(plan(testJob({ room: { ...room(), objects: [{ ...device, depth: 40 }] } })))).not.toContain(
      'device-too-deep',
    );
  });
});

describe('ports', () => {
  it('a box behind the set is kept clear of them', () => {
    const box = { id: 'o6', kind: 'device' as const, left: 2300, right: 2460, bottom: 1300, top: 1400, depth: 20 };
    const at = (right: number, up: number) =>
      codes(
        plan(
          testJob({
            room: room([box]),
            choices: { centreY: 1400 },
            leads: [{ id: 'l1', what: 'power', to: 'o5', port: { right, up } }],
          }),
        ),
      ).includes('device-over-port');
    // the set's middle is 2000 from the left and 1400 up
    expect([at(350, -50), at(350, 50), at(290, -50)]).toEqual([true, false, false]);
  });
  // by hand: a 200 pattern, arms 34 wide over its inserts, a plug 12 either way
  it.each([
    [100, -40, true],
    [-100, -40, true],
    [72, -40, true],
    [70, -40, false],
    [130, -40, false],
    [100, 200, false],
  ])('%i right, %i up: under an arm %s', (right, up, under) => {
    const p = withLead({ port: { right, up } });
    expect(codes(p).includes('port-under-arm')).toBe(under);
  });
});

describe('hanging', () => {
  const gaps = (left: number, right: number, change: Partial<Job> = {}) =>
    plan(testJob({ hang: { gaps: { left, right } }, ...change }));
  // by hand: half the difference, towards the larger gap
  it('slides by half the difference of the gaps', () => {
    expect(gaps(600, 640).hang).toMatchObject({ slide: 20, fits: true });
    expect(gaps(1450, 1432).hang!.slide).toBe(-9);
    expect(codes(gaps(600, 640))).not.toContain('slide-beyond');
  });
  it('no further than the mount slides', () => {
    const p = gaps(600, 640, { mount: { ...testMount, slide: 15 } });
    expect(p.hang).toMatchObject({ slide: 20, fits: false });
    expect(gaps(640, 600, { mount: { ...testMount, slide: 15 } }).hang).toMatchObject({ slide: -20, fits: false });
    expect(codes(p)).toContain('slide-beyond');
  });
  it('where it is not to hang midway, off what the gaps are meant to differ by', () => {
    const aim = { ...testJob().aim, centre: { on: 'x' as const, x: 1900 } };
    const meant = plan(testJob({ aim })).placement!;
    const right = 4000 - meant.right;
    expect(gaps(meant.left, right, { aim }).hang!.slide).toBeCloseTo(0, 9);
    expect(gaps(meant.left - 6, right + 6, { aim }).hang!.slide).toBeCloseTo(6, 9);
  });
  it('every kind of joint has its own steps', () => {
    const steps = (joint: NonNullable<Mount['joint']>) =>
      plan(testJob({ mount: { ...testMount, joint } })).hang!.steps.map((s) => s.id);
    expect(steps('rail')).toEqual(expect.arrayContaining(['hang.lift', 'hang.hooks', 'hang.click', 'hang.prove']));
    expect(steps('catch')).toEqual(expect.arrayContaining(['hang.lift', 'hang.catch']));
    expect(steps('slide-in')).toContain('hang.slide-in');
    expect(steps('screws')).toContain('hang.rejoin');
    for (const joint of ['slide-in', 'screws'] as const) expect(steps(joint)).not.toContain('hang.lift');
  });
  it('the mount’s own rise counts before the room’s', () => {
    expect(plan(testJob()).hang!.rise).toBe(25);
    expect(plan(testJob({ mount: { ...testMount, rise: 40 } })).hang!.rise).toBe(40);
    const shelf = { id: 'o9', kind: 'shelf' as const, left: 1500, right: 2500, bottom: 0, top: 0 };
    const above = (gap: number, rise: number) => {
      const top = plan(testJob({ choices: { centreY: 1400 } })).placement!.top;
      const objects = [{ ...shelf, bottom: top + gap, top: top + gap + 30 }];
      return codes(
        plan(testJob({ room: { ...room(), objects }, choices: { centreY: 1400 }, mount: { ...testMount, rise } })),
      );
    };
    expect(above(30, 25)).not.toContain('lift-on-short');
    expect(above(30, 40)).toContain('lift-on-short');
  });
});

describe('the day', () => {
  const day = (change: Partial<Job> = {}) => plan(testJob(change)).day!;
  // common practice: a plain job takes 30 to 45 minutes
  it('a plain job takes 30 to 45 minutes', () => {
    const { minutes, steps } = day();
    expect(minutes).toBeGreaterThanOrEqual(30);
    expect(minutes).toBeLessThanOrEqual(45);
    expect(minutes).toBe(steps.reduce((sum, s) => sum + s.minutes, 0));
  });
  it('a step that a job does not need hands on what it waited for', () => {
    const click = (leads: Job['leads']) =>
      plan(testJob({ room: room(), ...(leads ? { leads } : {}) })).day!.steps.find((s) => s.id === 'hang.prove')!.after;
    expect(click(undefined)).toEqual(['hang.click']);
    const slide = plan(testJob({ mount: { ...testMount, joint: 'slide-in' } })).day!;
    expect(slide.steps.find((s) => s.id === 'hang.prove')!.after).toEqual(['hang.slide-in']);
    // of a day in which only the lift was left
    expect(waitsFor('hang.prove', new Set<StepId>(['hang.lift', 'hang.prove']))).toEqual(['hang.lift']);
  });
  it('the sockets and keys of the mount by size, the chosen screws with spares', () => {
    const mount: Mount = {
      ...testMount,
      tools: ['socket 13', 'key 5'],
      bag: { bracket: 2.5, screws: [{ thread: 'M6', length: 12 }] },
    };
    const screen = { ...testJob().screen, insert: { thread: 'M6', depth: 14, recess: 0 } };
    const { pack } = day({ mount, screen });
    expect(pack.filter((p) => p.what === 'tool').map((p) => p.kind)).toEqual(
      expect.arrayContaining(['socket 13', 'key 5']),
    );
    expect(pack.find((p) => p.what === 'screw')).toMatchObject({
      kind: 'M6',
      length: 12,
      count: 4,
      spare: 1,
      from: 'mount',
    });
  });
  it('what is ticked is done, what it says stays open; so does a lead for later', () => {
    const d = day({
      room: room(),
      leads: [{ id: 'l1', what: 'signal', to: 'o5', later: true }],
      ticks: [{ step: 'hang.lock', note: 'left screw out of reach' }, { step: 'pack.tool-level' }],
      record: { open: ['paint the patch'] },
    });
    expect(d.steps.find((s) => s.id === 'hang.lock')!.done).toBe(true);
    expect(d.steps.find((s) => s.id === 'hang.on')!.done).toBe(false);
    expect(d.pack.find((p) => p.kind === 'level')!.done).toBe(true);
    expect(d.open).toEqual([
      { what: 'step', id: 'hang.lock', text: 'left screw out of reach' },
      { what: 'lead', id: 'l1', text: 'signal' },
      { what: 'note', text: 'paint the patch' },
    ]);
  });
  it('a second pair of hands: for a heavy set, and for leads that go in while it hangs on its hooks', () => {
    const light = { ...testJob().screen, diagonal: 800, mass: 5 };
    expect(day({ screen: light }).people).toBe(1);
    expect(day({ screen: light, room: room(), leads: [{ id: 'l1', what: 'power', to: 'o5' }] }).people).toBe(2);
    expect(day({ screen: { ...testJob().screen, mass: 30 } }).people).toBe(2);
  });
  it('an electrician before anything goes inside the wall', () => {
    const d = day({ room: room(), leads: [{ id: 'l1', what: 'power', to: 'o5', route: 'rated-kit' }] });
    expect(d.steps[0]).toMatchObject({ id: 'site.wiring', who: 'electrician' });
    expect(d.steps.find((s) => s.id === 'hang.live')!.after).toEqual(['site.wiring']);
  });
  it('a tick of a step that is none is refused with its path', () => {
    const faults = (step: string) => {
      const checked = checkFile(jobFormat, testJob({ ticks: [{ step: step as StepId }] }));
      return checked.ok ? [] : checked.faults.map((f) => `${f.path}: ${f.reason}`);
    };
    expect(faults('fit.arms')).toEqual([]);
    expect(faults('pack.tool-level')).toEqual([]);
    expect(faults('fit.legs')).toEqual(['ticks.0.step: is no step of a plan']);
    expect(faults('fitxarms')).toHaveLength(1);
  });
});

describe('a soundbar that comes later', () => {
  const bar = (soundbar: Job['aim']['soundbar'], centreY = 800) =>
    plan(testJob({ aim: { ...testJob().aim, ...(soundbar ? { soundbar } : {}) }, choices: { centreY } }));
  // by hand: the chest's top 500, 50 + 80 + 50 over it, half of 640
  it('keeps its height and two gaps free over what stands below', () => {
    expect(bar(undefined).placement!.centre.y).toBe(820);
    const p = bar({ height: 80, gap: 50 });
    expect(p.placement!.centre.y).toBe(500 + 180 + 320);
    expect(p.placement!.binding).toEqual(['soundbar:o1']);
    expect(p.soundbar).toMatchObject({ top: 630, bottom: 550 });
  });
  it('over the floor where nothing stands there', () => {
    const p = plan(
      testJob({
        room: { ...testJob().room, objects: [] },
        aim: { ...testJob().aim, soundbar: { height: 80, gap: 50 } },
        choices: { centreY: 400 },
      }),
    );
    expect(p.placement!.bottom).toBe(180);
  });
});

describe('plates with ends screwed on', () => {
  // studs 400 apart: slots 300 apart reach one of them, wider ends both
  const narrow = {
    ...testMount.plate!,
    slots: [-150, 150].flatMap((x) => [40, 160].map((y) => ({ x, y, length: 40, height: 10 }))),
  };
  const mount: Mount = { ...testMount, plate: narrow };
  const stops = (p: Plan) => p.findings.filter((f) => f.level === 'stop').length;
  it('another is taken where its own plate stops the job, and said', () => {
    const alone = plan(testJob({ mount }));
    const p = plan(testJob({ mount: { ...mount, plates: [testMount.plate!] } }));
    expect(stops(alone)).toBeGreaterThan(0);
    expect(stops(p)).toBe(0);
    expect(p.scheme!.plate).toBe(1);
    // as if it had that plate of its own
    expect(p.holes).toEqual(plan(testJob()).holes);
  });
  it('its own is kept where nothing is gained', () => {
    const p = plan(testJob({ mount: { ...testMount, plates: [{ ...testMount.plate!, width: 700 }] } }));
    expect(p.scheme!.plate).toBeUndefined();
    expect(p.holes).toEqual(plan(testJob()).holes);
  });
});

describe('a floor that falls', () => {
  it('3 in 600, seen over the set', () => {
    const p = plan(
      testJob({
        floorHeights: [
          { x: 2300, drop: 3 },
          { x: 1700, drop: 0 },
        ],
      }),
    );
    expect(p.floor!.high).toBe('left');
    expect(p.floor!.rise).toBeCloseTo((1118 * 3) / 600, 6);
    expect(codes(p)).toContain('floor-slopes');
    expect(plan(testJob({ floorHeights: [{ x: 1700, drop: 0 }] })).floor).toBeUndefined();
  });
});
