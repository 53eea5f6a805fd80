import type { Evidence } from '@steddo/contract';
import { combineMarks, holeVerdict, plan } from '../src';
import { leadBand, leadBit } from '../src/scheme/leadHole';
import { holeChance } from '../src/wall/holeChance';
import { IN, testJob, testMount } from './jobs';

const build = { kind: 'timber-stud', studWidth: 38.1 } as const;
const mark = (
  kind: 'edge-left' | 'edge-right' | 'centre',
  x: number,
  id = `${kind}${x}`,
): Evidence => ({ id, kind, x, y: 1400 });
const probe = (x: number, found: 'wood' | 'hollow', id = `p${x}`): Evidence => ({
  id,
  kind: 'probe',
  x,
  y: 1400,
  found,
});

describe('marks', () => {
  // common practice: mark both edges, the middle is the stud; 3/4 in in from an edge is the middle
  it('both edges: the middle is the stud', () => {
    const { studs } = combineMarks([mark('edge-left', 1000), mark('edge-right', 1038.1)], build);
    expect(studs).toHaveLength(1);
    expect(studs[0]!.centre).toBeCloseTo(1019.05, 9);
  });
  it('one edge: 3/4 in in from it', () => {
    expect(combineMarks([mark('edge-left', 1000)], build).studs[0]!.centre).toBeCloseTo(
      1000 + 0.75 * IN,
      9,
    );
    expect(combineMarks([mark('edge-right', 1000)], build).studs[0]!.centre).toBeCloseTo(
      1000 - 0.75 * IN,
      9,
    );
  });
  // common practice: the clear bay between two studs at 16 in is 14 1/2 in
  it('studs at 16 in leave a bay of 14 1/2 in', () => {
    const { studs } = combineMarks([mark('centre', 1000), mark('centre', 1000 + 16 * IN)], build);
    const bay = studs[1]!.centre - studs[0]!.centre - studs[0]!.width;
    expect(bay / IN).toBeCloseTo(14.5, 9);
  });
  it('an outlet has its stud on the named side', () => {
    const outlet = (side: 'left' | 'right'): Evidence => ({
      id: 'o',
      kind: 'outlet-side',
      x: 900,
      y: 350,
      side,
    });
    expect(combineMarks([outlet('right')], build).studs[0]!.centre).toBeCloseTo(919.05, 9);
    expect(combineMarks([outlet('left')], build).studs[0]!.centre).toBeCloseTo(880.95, 9);
  });
  it('more marks leave less doubt', () => {
    const two = combineMarks([mark('edge-left', 1000), mark('edge-right', 1038.1)], build)
      .studs[0]!;
    const four = combineMarks(
      [
        mark('edge-left', 1000),
        mark('edge-right', 1038.1),
        mark('edge-left', 1001, 'a'),
        mark('edge-right', 1037, 'b'),
      ],
      build,
    ).studs[0]!;
    expect(four.sd).toBeLessThan(two.sd);
    expect(two.sd).toBeCloseTo(4 / Math.SQRT2, 9);
  });
  it('a hollow probe in the stud makes it doubtful and is named', () => {
    const sure = combineMarks([mark('centre', 1000)], build);
    const doubtful = combineMarks([mark('centre', 1000), probe(1002, 'hollow')], build);
    expect(doubtful.studs[0]!.probability).toBeLessThan(0.5);
    expect(sure.studs[0]!.probability).toBeGreaterThan(0.9);
    expect(doubtful.odd).toContain('p1002');
  });
  it('a hollow probe in the bay says nothing against a stud', () => {
    expect(combineMarks([mark('centre', 1000), probe(1060, 'hollow')], build).odd).toEqual([]);
  });
  it('one lone wood probe is a stud, vaguely', () => {
    const { studs } = combineMarks([probe(1000, 'wood')], build);
    expect(studs[0]!.sd).toBeGreaterThan(10);
  });
  it('leaves marks on other walls out', () => {
    expect(combineMarks([{ ...mark('centre', 1000), wall: 'left' }], build).studs).toEqual([]);
  });
  it('keeps neighbours apart', () => {
    const marks = [1000, 1138, 1276].map((x) => mark('centre', x));
    expect(combineMarks(marks, build).studs).toHaveLength(3);
  });
});

describe('chance of wood at a hole', () => {
  const stud = (sd: number) => ({ centre: 1000, width: 38, sd, probability: 1, evidence: [] });
  it('agrees with drawing many holes', () => {
    // an independent sum over the joint normal error, in steps of 0.01 mm
    const sd = Math.hypot(2.83, 1.5);
    let within = 0;
    for (let z = -7.09; z <= 7.09; z += 0.001)
      within += (Math.exp(-0.5 * (z / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI))) * 0.001;
    expect(holeChance(stud(2.83), 1000, 7.94).value).toBeCloseTo(within, 3);
  });
  it('falls away from the middle, and is nothing outside', () => {
    const at = (x: number) => holeChance(stud(2), x, 7.94).value;
    expect(at(1000)).toBeGreaterThan(at(1004));
    expect(at(1040)).toBeLessThan(1e-6);
  });
  it('has its bounds where the product says', () => {
    expect([0.98, 0.979, 0.9, 0.899].map(holeVerdict)).toEqual([
      'go',
      'caution',
      'caution',
      'stop',
    ]);
  });
});

describe('lead holes', () => {
  // NDS 2018, 12.1.4 (from memory): 40 to 70 % of the shank up to G 0.5
  it('keep within the band of the timber', () => {
    expect(leadBand(6.35, { kind: 'timber-stud', timber: 'spruce-pine-fir' })).toEqual({
      fromMm: 2.54,
      toMm: expect.closeTo(4.445, 9),
    });
    expect(leadBand(6.35, { kind: 'timber-stud', timber: 'southern-pine' }).fromMm).toBeCloseTo(
      3.81,
      9,
    );
  });
  // the 1/4 in lag without a leaflet: 11/64 in
  it('take the largest stock bit inside it', () => {
    const fixing = { kind: 'lag' as const, diameter: 6.35, length: 51, count: 4 };
    expect(leadBit(fixing, { kind: 'timber-stud' })!.value).toBeCloseTo((11 / 64) * IN, 9);
  });
  it('follow the leaflet, and say when it leaves the band', () => {
    const base = testMount.walls['timber-stud']!;
    const mount = {
      ...testMount,
      walls: {
        'timber-stud': {
          ...base,
          fixing: { ...base.fixing!, diameter: 6.35, pilot: (3 / 16) * IN },
        },
      },
    };
    const p = plan(testJob({ mount }));
    expect(p.holes![0]!.bit).toBeCloseTo((3 / 16) * IN, 9);
    expect(p.findings.find((f) => f.code === 'bit-outside-band')!.level).toBe('info');
  });
  it('are as deep as the lag goes, and 5 mm more', () => {
    // 64 - 3 plate - 2 washer - 6 packing + 5
    expect(plan(testJob({ choices: { packing: 6 } })).holes![0]!.depth).toBeCloseTo(58, 9);
  });
});

describe('holes', () => {
  it('sit at the stud centres, two rows each, top row first', () => {
    const p = plan(testJob());
    expect(p.holes!.map((h) => [h.order, Math.round(h.x), h.row])).toEqual([
      [1, 1800, 'top'],
      [2, 2200, 'top'],
      [3, 1800, 'bottom'],
      [4, 2200, 'bottom'],
    ]);
    expect(p.holes![0]!.y - p.holes![2]!.y).toBeCloseTo(120, 9);
  });
  it('always carry the two cautions, and are never go', () => {
    const p = plan(testJob());
    expect(p.findings.filter((f) => f.level === 'caution').map((f) => f.code)).toEqual(
      expect.arrayContaining(['loads-not-checked', 'nobody-looked']),
    );
    expect(p.verdict).toBe('caution');
  });
  it('shift the plate as little as the slots need', () => {
    // studs at 1840 and 2240: slots at +-200 with 26 mm of travel reach them from a shift of 14 mm on
    const evidence = [1840, 2240].flatMap((x, s) => [
      mark('edge-left', x - 19, `l${s}`),
      mark('edge-right', x + 19, `r${s}`),
    ]);
    const p = plan(testJob({ evidence }));
    expect(p.scheme!.shift).toBeCloseTo(40 - (60 - 7.94) / 2, 9);
  });
  it('stop when the studs are out of reach, and say by how much', () => {
    const evidence = [1900, 2300].flatMap((x, s) => [
      mark('edge-left', x - 19, `l${s}`),
      mark('edge-right', x + 19, `r${s}`),
    ]);
    const p = plan(testJob({ evidence }));
    expect(p.holes).toBeUndefined();
    const missed = p.findings.find((f) => f.code === 'no-stud-in-slots')!;
    expect(missed.values.shortMm).toBeCloseTo(100 - 26.03 - 60, 2);
  });
  it('say how many studs are wanting', () => {
    const p = plan(testJob({ evidence: [mark('centre', 1800)] }));
    expect(p.findings.find((f) => f.code === 'studs-needed')!.values).toEqual({
      found: 1,
      needed: 2,
    });
  });
  it.each(['masonry', 'metal-stud', 'timber-backing', 'metal-backing'] as const)(
    'in a %s wall are a named stop',
    (kind) => {
      const room = { ...testJob().room, wall: { ...testJob().room.wall, build: { kind } } };
      const p = plan(testJob({ room }));
      expect(p.holes).toBeUndefined();
      expect(p.findings.find((f) => f.code === 'wall-kind-not-computed')!.values.kind).toBe(kind);
      expect(p.verdict).toBe('stop');
    },
  );
  it('on rated anchors are a named stop', () => {
    const p = plan(testJob({ fixing: { school: 'rated-anchors' } }));
    expect(p.findings.map((f) => f.code)).toContain('fixing-school-not-computed');
    expect(p.holes).toBeUndefined();
  });
  it('refuse a lag that ends before the stud', () => {
    const base = testMount.walls['timber-stud']!;
    const mount = {
      ...testMount,
      walls: { 'timber-stud': { ...base, fixing: { ...base.fixing!, length: 16 } } },
    };
    const p = plan(testJob({ mount }));
    expect(p.findings.map((f) => f.code)).toContain('lag-too-short');
    expect(p.holes).toBeUndefined();
  });
  it('keep a doubtful stud a stop that may be acknowledged, which makes it a caution', () => {
    const evidence = [mark('centre', 1800), mark('centre', 2200)];
    const p = plan(testJob({ evidence }));
    expect(p.findings.find((f) => f.code === 'stud-doubtful')).toMatchObject({
      level: 'stop',
      acknowledgeable: true,
    });
    expect(p.verdict).toBe('stop');
    const known = plan(
      testJob({ evidence, fixing: { acknowledged: [{ code: 'stud-doubtful' }] } }),
    );
    expect(known.verdict).toBe('caution');
  });
});
