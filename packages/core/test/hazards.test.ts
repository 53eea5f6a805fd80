import type { Evidence, Item, Job, Look } from '@steddo/contract';
import { guidedLooks, hazardsOf, holeState, lookedAt, plan } from '../src';
import { testJob } from './jobs';

const outlet: Item = { id: 'o2', kind: 'outlet', left: 1765, right: 1835, bottom: 300, top: 414 };
const withObjects = (objects: Item[], change: Partial<Job> = {}): Job => {
  const { room } = testJob();
  return testJob({ room: { ...room, objects }, ...change });
};
const look = (id: string, x: number, change: Partial<Look> = {}): Look => ({
  id,
  x,
  y: 1400,
  found: 'clear',
  ...change,
});
const codes = (job: Job) => plan(job).findings.map((f) => `${f.level} ${f.code}`);
const holes = (job: Job) => plan(job).holes!.map((h) => h.hazard);
// holes at 1800 and 2200, between 1000 and 1200 up
const ALL: Look[] = [look('k1', 1720), look('k2', 1880), look('k3', 2120), look('k4', 2280)].map((k) => ({
  ...k,
  y: 1150,
  reach: 400,
}));

describe('zones of what is on the wall', () => {
  // common practice: cables run up, down and sideways from outlets and switches
  it('an outlet: up, down, left and right of it, as wide as it is and 50 mm', () => {
    const { zones } = hazardsOf(withObjects([outlet]));
    const box = (way: string) => zones.find((z) => z.way === way)!;
    expect(zones.map((z) => z.way).sort()).toEqual(['at', 'down', 'left', 'right', 'up']);
    expect(box('up')).toMatchObject({
      what: 'cable',
      object: 'o2',
      left: 1715,
      right: 1885,
      top: 2500,
    });
    expect(box('down').bottom).toBe(0);
    expect(box('right')).toMatchObject({ left: 1885, right: 4000, bottom: 250, top: 464 });
  });
  it('an upright pipe goes on up and down, a level one along the wall; a vent has its duct, a fire its flue', () => {
    const ways = (o: Partial<Item>) =>
      hazardsOf(withObjects([{ ...outlet, ...o } as Item]))
        .zones.map((z) => `${z.what} ${z.way}`)
        .sort();
    expect(ways({ kind: 'pipe', left: 900, right: 940, bottom: 500, top: 900 })).toEqual([
      'pipe at',
      'pipe down',
      'pipe up',
    ]);
    expect(ways({ kind: 'pipe', left: 500, right: 900, bottom: 500, top: 540 })).toEqual([
      'pipe at',
      'pipe left',
      'pipe right',
    ]);
    expect(ways({ kind: 'vent' })).toEqual(['duct at', 'duct down', 'duct up']);
    expect(ways({ kind: 'opening' })).toEqual(['duct up']);
    expect(ways({ kind: 'gas' })).toContain('gas left');
    expect(ways({ kind: 'cabinet' })).toEqual([]);
  });
  it('a wet room behind: pipes anywhere', () => {
    const { room } = testJob();
    const job = testJob({ room: { ...room, wall: { ...room.wall, behind: 'wet-room' } } });
    expect(hazardsOf(job).zones).toMatchObject([{ way: 'behind', what: 'pipe', left: 0, right: 4000, top: 2500 }]);
    expect(plan(job).findings.find((f) => f.code === 'look-first')!.values).toMatchObject({
      zoneWay: ['behind'],
      zoneHoles: ['h1 h2 h3 h4'],
    });
  });
  it('things on a side wall have no zones on this one', () => {
    expect(hazardsOf(withObjects([{ ...outlet, wall: 'left' }])).zones).toEqual([]);
  });
});

describe('every planned hole', () => {
  it('that nobody looked at is one thing to do; in the line of an outlet by its name', () => {
    const found = plan(withObjects([outlet])).findings;
    // one thing to do, and one finding for it
    expect(found.filter((f) => f.code === 'look-first')).toMatchObject([
      {
        level: 'todo',
        values: {
          holes: ['h1', 'h2', 'h3', 'h4'],
          into: ['stud'],
          ...{ zoneObject: ['o2'], zoneWay: ['up'], zoneHoles: ['h1 h3'] },
        },
      },
    ]);
  });
  it('looked at from both bays: clear, and the zone no longer speaks', () => {
    const job = withObjects([outlet], { looks: ALL });
    expect(holes(job)).toEqual(['clear', 'clear', 'clear', 'clear']);
    expect(codes(job).filter((c) => /look/.test(c))).toEqual([]);
  });
  it('looked at from one bay: that side only, and the plan says so', () => {
    const job = testJob({ looks: [ALL[0]!] });
    expect(holes(job)).toEqual(['one-side', 'nobody-looked', 'one-side', 'nobody-looked']);
    const look = plan(job).findings.find((f) => f.code === 'look-first')!;
    expect(look.values).toMatchObject({ holes: ['h1', 'h2', 'h3', 'h4'], oneSide: ['h1', 'h3'] });
  });
  it('a look beside a stud may show both of its bays', () => {
    expect(holes(testJob({ looks: [{ ...ALL[0]!, bay: 'both' }] }))[0]).toBe('clear');
    expect(holes(testJob({ looks: [{ ...ALL[0]!, bay: 'right' }] }))[0]).toBe('one-side');
  });
  it('is clear only as far up and down as the camera saw', () => {
    const p = plan(testJob());
    const rows = p.holes!.map((h) => h.y);
    const near = { ...ALL[0]!, bay: 'both' as const, y: rows[0]!, reach: 40 };
    expect(holes(testJob({ looks: [near] })).slice(0, 3)).toEqual([
      'clear',
      // the bay between the studs is the second one's too
      'one-side',
      'nobody-looked',
    ]);
  });
  it('a bay further on says nothing', () => {
    expect(holes(testJob({ looks: [{ ...ALL[3]!, x: 2500 }] }))[0]).toBe('nobody-looked');
  });
  it.each(['cable', 'pipe', 'duct', 'gas', 'unsure'] as const)(
    'where a look has met %s: stop, and it cannot be acknowledged away',
    (found) => {
      const met = look('k9', 1810, { found, runs: 'vertical' });
      const job = testJob({
        looks: [...ALL, met],
        fixing: { acknowledged: [{ code: 'seen-at-hole' }] },
      });
      const p = plan(job);
      expect(p.holes!.map((h) => h.hazard)).toEqual(['seen', 'clear', 'seen', 'clear']);
      const stop = p.findings.find((f) => f.code === 'seen-at-hole')!;
      expect(stop).toMatchObject({
        level: 'stop',
        acknowledgeable: false,
        acknowledged: false,
        values: { what: found, holes: ['h1', 'h3'] },
      });
      expect(p.verdict).toBe('stop');
    },
  );
  it('a level run crosses every stud at its height; which way an unsaid one runs may be either', () => {
    const row = plan(testJob()).holes![0]!.y;
    const level = look('k9', 900, { y: row, found: 'cable', runs: 'horizontal' });
    expect(holes(testJob({ looks: [level] }))).toEqual(['seen', 'seen', 'nobody-looked', 'nobody-looked']);
    // seen from 3 in beside the line: it may be at the line, anywhere that the camera saw
    const beside = look('k9', 1800 - 76.2, { y: row, found: 'cable' });
    expect(holes(testJob({ looks: [beside] }))).toEqual(['seen', 'nobody-looked', 'seen', 'nobody-looked']);
    expect(holes(testJob({ looks: [{ ...beside, reach: 40 }] }))[2]).toBe('nobody-looked');
    expect(holes(testJob({ looks: [{ ...beside, x: 1650 }] }))[0]).toBe('nobody-looked');
  });
  it('a live mark: stop, until both bays have been looked at', () => {
    const y = plan(testJob()).holes![0]!.y;
    const live: Evidence = { id: 'e9', kind: 'live', x: 1800, y };
    const evidence = [...testJob().evidence!, live];
    expect(plan(testJob({ evidence })).verdict).toBe('stop');
    expect(holes(testJob({ evidence }))[0]).toBe('seen');
    expect(holes(testJob({ evidence, looks: ALL }))[0]).toBe('clear');
    // and says nothing about studs
    expect(plan(testJob({ evidence })).studs).toEqual(plan(testJob()).studs);
  });
});

describe('openings and what was felt', () => {
  const box: Item = { id: 'b1', kind: 'box', left: 2300, right: 2660, bottom: 300, top: 740 };
  it('a box to be let in is asked about like a hole', () => {
    expect(codes(withObjects([box]))).toContain('todo opening-unlooked');
    const zoned = plan(withObjects([box, outlet])).findings.find((f) => f.code === 'opening-unlooked')!;
    expect(zoned.values).toMatchObject({ object: 'b1', from: 'o2', what: 'cable' });
    const seen = withObjects([box], {
      looks: [look('k1', 2400, { y: 500, found: 'pipe', runs: 'vertical' })],
    });
    expect(codes(seen)).toContain('stop seen-at-opening');
    const clear = withObjects([box], { looks: [look('k1', 2400, { y: 520 })] });
    expect(codes(clear).filter((c) => c.includes('opening'))).toEqual([]);
  });
  it('something felt stops the work until somebody has looked there since', () => {
    const drilled = [
      {
        hole: 'h1',
        x: 1800,
        y: 1150,
        result: 'felt-something' as const,
        at: '2026-11-20T10:00:00Z',
      },
    ];
    expect(codes(testJob({ drilled }))).toContain('stop felt-something');
    const before = ALL.map((k) => ({ ...k, at: '2026-11-19T10:00:00Z' }));
    expect(codes(testJob({ drilled, looks: before }))).toContain('stop felt-something');
    const after = ALL.map((k) => ({ ...k, at: '2026-11-20T11:00:00Z' }));
    expect(codes(testJob({ drilled, looks: after }))).toContain('caution felt-something');
  });
  it('a spot between two studs is in one bay, which one look shows', () => {
    const { studs } = plan(testJob());
    const spot = { left: 2000, right: 2000, bottom: 1400, top: 1400 };
    expect(lookedAt(testJob({ looks: [look('k1', 1950)] }), studs!, spot).state).toBe('clear');
  });
});

describe('a guided look', () => {
  it('3 in beside the line, in both bays of each stud, at the holes, board only', () => {
    const job = testJob();
    const p = plan(job);
    const looks = guidedLooks(job, p);
    expect(looks.map((l) => [l.hole, l.bay])).toEqual([
      ['h1', 'left'],
      ['h1', 'right'],
      ['h2', 'left'],
      ['h2', 'right'],
    ]);
    // common practice: drilled about 3 in beside the intended line, 5/16 in
    expect(looks[0]!.x).toBeCloseTo(p.holes![0]!.x - 3 * 25.4, 6);
    expect(looks[1]!.x).toBeCloseTo(p.holes![0]!.x + 3 * 25.4, 6);
    expect(looks[0]!.drill).toBeCloseTo((5 / 16) * 25.4, 1);
    expect(looks[0]!).toMatchObject({
      stop: 12.7,
      y: (p.holes![0]!.y + p.holes![2]!.y) / 2,
      hidden: true,
    });
  });
  it('first the bay away from an outlet, and only what has not been seen', () => {
    const beside: Item = { ...outlet, left: 1690, right: 1760 };
    const job = withObjects([beside]);
    expect(guidedLooks(job, plan(job))[0]).toMatchObject({ bay: 'right', inZone: false });
    const seen = { ...job, looks: [look('k1', 1880, { y: 1150, reach: 400 })] };
    expect(guidedLooks(seen, plan(seen)).map((l) => `${l.hole} ${l.bay}`)).toEqual(['h1 left', 'h2 right']);
    expect(guidedLooks(testJob({ looks: ALL }), plan(testJob({ looks: ALL })))).toEqual([]);
  });
  it('stays in a narrow bay', () => {
    const narrow = [1800, 1938, 2200].flatMap((x, i) => [
      { id: `l${i}`, kind: 'edge-left' as const, x: x - 19, y: 1400 },
      { id: `r${i}`, kind: 'edge-right' as const, x: x + 19, y: 1400 },
    ]);
    const job = testJob({ evidence: narrow });
    const right = guidedLooks(job, plan(job)).find((l) => l.hole === 'h1' && l.bay === 'right')!;
    expect(right.x).toBeGreaterThan(1819);
    expect(right.x).toBeLessThan(1919);
  });
});

describe('what may be done at a hole', () => {
  const into = 'stud' as const;
  it('nothing where something was seen behind it, however sure the wood', () => {
    expect(holeState({ probability: 1, hazard: 'seen', into })).toBe('stop');
  });
  it('drilled with care while nobody has looked, freely once both bays are clear', () => {
    expect(holeState({ probability: 1, hazard: 'nobody-looked', into })).toBe('caution');
    expect(holeState({ probability: 1, hazard: 'clear', into })).toBe('go');
  });
  it('doubtful wood is a stop in a stud, and care behind a board, where a test hole shows it', () => {
    expect(holeState({ probability: 0.5, hazard: 'clear', into })).toBe('stop');
    expect(holeState({ probability: 0.5, hazard: 'clear', into: 'board' })).toBe('caution');
    expect(holeState({ probability: 0, hazard: 'clear', into: 'board' })).toBe('stop');
  });
});
