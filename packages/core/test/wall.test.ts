import { chanceWithin } from '../src/primitives/normal';
import { holeChance, holeVerdict, plan } from '../src';
import { leadBand, leadBit } from '../src/fixing/leadHole';
import { IN, mark, marksShow, probe, studsIn, testJob, testMount } from './jobs';

describe('marks', () => {
  const studs = (...args: Parameters<typeof marksShow>) => marksShow(...args).studs;
  // common practice: mark both edges, the middle is the stud; 3/4 in in from an edge is the middle
  it('both edges: the middle is the stud', () => {
    const found = studs([mark('edge-left', 1000), mark('edge-right', 1038.1)]);
    expect(found).toHaveLength(1);
    expect(found[0]!.centre).toBeCloseTo(1019.05, 4);
  });
  it('one edge: 3/4 in in from it', () => {
    expect(studs([mark('edge-left', 1000)])[0]!.centre).toBeCloseTo(1000 + 0.75 * IN, 2);
    expect(studs([mark('edge-right', 1000)])[0]!.centre).toBeCloseTo(1000 - 0.75 * IN, 2);
  });
  // common practice: the clear bay between two studs at 16 in is 14 1/2 in
  it('studs at 16 in leave a bay of 14 1/2 in', () => {
    const edges = [1000, 1000 + 16 * IN].flatMap((x, i) => [
      mark('edge-left', x - 0.75 * IN, `l${i}`),
      mark('edge-right', x + 0.75 * IN, `r${i}`),
    ]);
    const [a, b] = studs(edges);
    expect((b!.centre - a!.centre - a!.width) / IN).toBeCloseTo(14.5, 1);
  });
  // common practice: an outlet box sits on the side of a stud
  it('an outlet has its stud on the named side', () => {
    const outlet = (side: 'left' | 'right') => ({
      id: 'o',
      kind: 'outlet-side' as const,
      x: 900,
      y: 350,
      side,
    });
    expect(studs([outlet('right')])[0]!.centre).toBeCloseTo(919.05, 1);
    expect(studs([outlet('left')])[0]!.centre).toBeCloseTo(880.95, 1);
  });
  // common practice: board screws in a vertical line are in one stud
  it('a column of screws by the magnet: a stud, and its middle near theirs', () => {
    const column = [1496, 1502, 1499].map((x, i) => mark('fastener', x, `f${i}`, 600 + 300 * i));
    const [stud] = studs(column);
    expect(stud!.probability).toBeGreaterThan(0.9);
    expect(Math.abs(stud!.centre - 1499)).toBeLessThan(4);
    // one screw may be anywhere inside its stud
    const [lone] = studs([column[0]!]);
    expect(lone!.probability).toBeLessThan(stud!.probability - 0.02);
    expect(lone!.sd).toBeGreaterThan(7);
  });
  // common practice: 17 in happens
  it('a bay of 17 in, from two edges and three pokes', () => {
    const marks = [mark('edge-left', 1000), mark('edge-right', 1038.1)];
    const before = studs(marks, { spacing: 16 * IN });
    expect(before.some((s) => Math.abs(s.centre - 1019 - 16 * IN) < 2)).toBe(true);
    const wanted = 1019.05 + 17 * IN;
    const pokes = [probe(wanted - 23, 'hollow'), probe(wanted - 13, 'wood'), probe(wanted + 13, 'wood')];
    const found = marksShow([...marks, ...pokes], { spacing: 16 * IN });
    const next = found.studs.find((s) => s.centre > 1100)!;
    expect(Math.abs(next.centre - wanted)).toBeLessThan(4);
    expect(next.probability).toBeGreaterThan(0.85);
    expect(found.odd).toEqual([]);
  });
  it('the next stud by the spacing alone: there, and less sure than one with marks', () => {
    const both = [mark('edge-left', 1000), mark('edge-right', 1038.1)];
    const [first, second] = studs(both, { spacing: 600 }).slice(-3);
    expect(Math.abs(second!.centre - first!.centre - 600)).toBeLessThan(2);
    expect(second!.probability).toBeLessThan(first!.probability - 0.1);
    expect(second!.evidence).toEqual([]);
    // its working: so many spacings from the stud that has marks
    expect(second!.working!.terms!.some((t) => t.label === 'stud-by-spacing')).toBe(true);
    // nobody has said how far apart: 400, 406, 600 and 610 mm all may be, and none is likely enough to draw
    expect(studs(both)).toHaveLength(1);
    // a guess is not said
    expect(studs(both, { spacing: 600 }, { guessed: ['room.wall.build.spacing'] })).toHaveLength(1);
  });
  it('a doubled stud: both edges two plies apart; the hole goes into one ply and not the seam', () => {
    const edges = [mark('edge-left', 1000), mark('edge-right', 1076), probe(1020, 'wood'), probe(1056, 'wood')];
    const { studs: found, chances } = marksShow(edges);
    expect(found[0]).toMatchObject({ plies: 2, width: 76.2 });
    expect(found[0]!.centre).toBeCloseTo(1038, 0);
    expect(found[0]!.drillAt!.value).toBeCloseTo(1038 - 19.05, 1);
    const at = (x: number) => holeChance(chances, x, 7.94).value;
    expect(at(found[0]!.drillAt!.value)).toBeGreaterThan(0.95);
    expect(at(1038)).toBeLessThan(0.05);
  });
  it('an unmeasured width: two inches from edge to edge is a 50 mm stud', () => {
    const edges = [1000, 1001, 999].flatMap((x, i) => [
      mark('edge-left', x, `l${i}`),
      mark('edge-right', x + 50, `r${i}`),
    ]);
    const guess = { guessed: ['room.wall.build.studWidth'] };
    const { belief } = marksShow(edges, {}, guess);
    const likeliest = belief.layers.reduce((a, b) => (b.weight > a.weight ? b : a));
    expect(likeliest.plyMm).toBe(50);
    expect(marksShow(edges).belief.layers.map((l) => l.plyMm)).toEqual([38.1]);
  });
  it('more marks leave less doubt', () => {
    const pair = (n: number) => [mark('edge-left', 1000, `l${n}`), mark('edge-right', 1038.1, `r${n}`)];
    const two = studs(pair(1))[0]!;
    const four = studs([...pair(1), ...pair(2)])[0]!;
    expect(two.sd).toBeCloseTo(4 / Math.SQRT2, 1);
    expect(four.sd).toBeCloseTo(4 / Math.sqrt(4), 1);
  });
  it('a hollow probe where a mark says stud: the mark is named, and no stud is drawn on its word', () => {
    expect(studs([mark('centre', 1000)])[0]!.probability).toBeGreaterThan(0.9);
    const doubtful = marksShow([mark('centre', 1000), probe(1002, 'hollow')]);
    expect(doubtful.studs.every((s) => s.probability < 0.6)).toBe(true);
    expect(doubtful.odd).toEqual(['centre1000']);
  });
  it('a hollow probe in a stud that four marks show is the odd one itself', () => {
    const edges = [0, 1].flatMap((i) => [mark('edge-left', 1000, `l${i}`), mark('edge-right', 1038, `r${i}`)]);
    expect(marksShow([...edges, probe(1019, 'hollow')]).odd).toEqual(['p1019']);
  });
  it('a lone edge in a bay between two sure studs is odd', () => {
    const sure = [1000, 1406].flatMap((x, i) => [mark('edge-left', x, `l${i}`), mark('edge-right', x + 38, `r${i}`)]);
    expect(marksShow([...sure, mark('edge-left', 1200)], { spacing: 406.4 }).odd).toEqual(['edge-left1200']);
  });
  it('a hollow probe in the bay says nothing against a stud', () => {
    expect(marksShow([mark('centre', 1000), probe(1060, 'hollow')]).odd).toEqual([]);
  });
  it('wood at the height of a nogging may be the nogging', () => {
    const wood = (y: number) => marksShow([mark('nogging', 1200, 'n', 1210), probe(1200, 'wood', 'w', y)]);
    expect(wood(1400).studs).toHaveLength(1);
    expect(wood(1215).studs).toHaveLength(0);
  });
  it('silence where somebody scanned speaks against the stud that the spacing expects there', () => {
    const both = [mark('edge-left', 1000), mark('edge-right', 1038.1)];
    const scans = [{ id: 's1', instrument: 'edge' as const, from: 1300, to: 1550, y: 1400 }];
    const at = (found: ReturnType<typeof marksShow>) => found.wood[1425]!;
    const [without, withScan] = [marksShow(both, { spacing: 406.4 }), marksShow(both, { spacing: 406.4 }, { scans })];
    expect(at(withScan)).toBeLessThan(at(without) - 0.1);
    // a live scan looks for something else
    const live = [{ ...scans[0]!, instrument: 'live' as const }];
    expect(at(marksShow(both, { spacing: 406.4 }, { scans: live }))).toBeCloseTo(at(without), 12);
  });
  it('a stud stands against a return wall, and the spacing goes on from there', () => {
    const { room } = testJob();
    const wood = (returns: { left?: boolean; right?: boolean }) =>
      studsIn(testJob({ evidence: [], room: { ...room, wall: { ...room.wall, returns } } })).wood;
    const [none, left, right] = [wood({}), wood({ left: true }), wood({ right: true })];
    for (const x of [19, 425, 2000, 3981]) expect(none[x]!).toBeCloseTo(none[1000]!, 6);
    expect(left[19]!).toBeGreaterThan(0.55);
    expect(left[19 + 403]!).toBeGreaterThan(none[19 + 403]! + 0.1);
    // the same wall from the other side
    for (const x of [0, 19, 425, 900, 2000]) expect(right[4000 - x]!).toBeCloseTo(left[x]!, 6);
  });
  it('leaves marks on other walls out', () => {
    expect(studs([{ ...mark('centre', 1000), wall: 'left' }])).toEqual([]);
  });
  it('keeps neighbours apart', () => {
    const edges = [1000, 1138, 1276].flatMap((x, i) => [
      mark('edge-left', x, `l${i}`),
      mark('edge-right', x + 38.1, `r${i}`),
    ]);
    expect(studs(edges)).toHaveLength(3);
  });
});

describe('chance of wood at a hole', () => {
  const edges = [mark('edge-left', 981), mark('edge-right', 1019)];
  const { chances, studs } = marksShow(edges, { studWidth: 38 });
  it('is that of the stud being where its edges say, and the drill landing', () => {
    // two edges: sd 4 / sqrt 2; the drill 1.5; half of the room 19 - 1.5 x 7.94
    const byHand = chanceWithin(19 - 1.5 * 7.94, 0, Math.hypot(4 / Math.SQRT2, 1.655));
    expect(studs[0]!.centre).toBeCloseTo(1000, 4);
    expect(Math.abs(holeChance(chances, 1000, 7.94).value - byHand)).toBeLessThan(0.003);
  });
  it('falls away from the middle, and is nothing outside', () => {
    const at = (x: number) => holeChance(chances, x, 7.94).value;
    expect(at(1000)).toBeGreaterThan(at(1004));
    expect(at(996)).toBeCloseTo(at(1004), 6);
    expect(at(1040)).toBeLessThan(1e-3);
  });
  it('a thicker lag leaves less room', () => {
    const at = (d: number) => holeChance(chances, 1000, d).value;
    expect(at(6.35)).toBeGreaterThan(at(7.94));
    expect(at(26)).toBe(0);
  });
  it('has its bounds where the product says', () => {
    expect([0.97, 0.969, 0.9, 0.899].map(holeVerdict)).toEqual(['go', 'caution', 'caution', 'stop']);
  });
});

describe('lead holes', () => {
  // NDS 2018, 12.1.4 (from memory): 40 to 70 % of the shank up to G 0.5
  it('keep within the band of the timber', () => {
    expect(leadBand(6.35, 0.42)).toEqual({
      fromMm: 2.54,
      toMm: expect.closeTo(4.445, 9),
    });
    expect(leadBand(6.35, 0.55).fromMm).toBeCloseTo(3.81, 9);
  });
  // the 1/4 in lag without a leaflet: 11/64 in
  it('take the largest stock bit inside it', () => {
    expect(leadBit({ diameter: 6.35, path: '' }, 0.42)!.value).toBeCloseTo((11 / 64) * IN, 9);
  });
  it('keep the bit of the leaflet where it leaves the band, and say so', () => {
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
  it('carry what their load comes to, and are never go while nobody has looked', () => {
    const p = plan(testJob());
    expect(p.findings.map((f) => f.code)).toEqual(expect.arrayContaining(['loads-checked', 'look-first']));
    expect(p.verdict).toBe('caution');
  });
  it('shift the plate as little as the slots need', () => {
    // studs at 1840 and 2240: slots at +-200 with 26 mm of travel reach them from a shift of 14 mm on
    const evidence = [1840, 2240].flatMap((x, s) => [
      mark('edge-left', x - 19, `l${s}`),
      mark('edge-right', x + 19, `r${s}`),
    ]);
    const p = plan(testJob({ evidence }));
    const off = [1800, 2200].map((slot, i) => p.studs![i]!.centre - slot);
    expect(Math.abs(off[0]! - 40)).toBeLessThan(1);
    expect(p.scheme!.shift).toBeCloseTo(Math.max(...off) - (60 - 7.94) / 2, 9);
  });
  it('stop when the studs are out of reach, and say by how much', () => {
    const evidence = [1900, 2300].flatMap((x, s) => [
      mark('edge-left', x - 19, `l${s}`),
      mark('edge-right', x + 19, `r${s}`),
    ]);
    const p = plan(testJob({ evidence }));
    expect(p.holes).toBeUndefined();
    const missed = p.findings.find((f) => f.code === 'no-stud-in-slots')!;
    expect(Math.abs(Number(missed.values.shortMm) - (100 - 26.03 - 60))).toBeLessThan(1);
  });
  it('say how many studs are wanting', () => {
    const p = plan(testJob({ evidence: [mark('centre', 1800)] }));
    expect(p.findings.find((f) => f.code === 'find-the-stud-first')!.values).toMatchObject({
      found: 1,
      needed: 2,
    });
    // and where to look for the other: not where one was met
    const { atMm } = p.findings.find((f) => f.code === 'find-the-stud-first')!.values;
    expect(Math.abs(Number(atMm) - 1800)).toBeGreaterThan(100);
  });
  it.each(['metal-stud', 'metal-backing', 'timber-backing', 'masonry'] as const)(
    'in a %s wall are a named stop where neither mount nor kit has anything for it',
    (kind) => {
      const room = { ...testJob().room, wall: { ...testJob().room.wall, build: { kind } } };
      const p = plan(testJob({ room }));
      expect(p.holes).toBeUndefined();
      const lacking = p.findings.find((f) => f.code === 'fixing-unknown')!;
      // it names what has to be entered
      expect(lacking.values).toMatchObject({ kind, fields: expect.arrayContaining([expect.stringContaining(kind)]) });
      expect(p.verdict).toBe('stop');
    },
  );
  it('refuse a lag that ends before the stud', () => {
    const base = testMount.walls['timber-stud']!;
    const mount = {
      ...testMount,
      walls: { 'timber-stud': { ...base, fixing: { ...base.fixing!, length: 16 } } },
    };
    const p = plan(testJob({ mount }));
    expect(p.findings.find((f) => f.code === 'lag-too-short')!.level).toBe('stop');
    expect(p.loads).toBeUndefined();
    expect(p.verdict).toBe('stop');
  });
  it('keep a doubtful stud a stop that may be acknowledged, which makes it a caution', () => {
    const evidence = [mark('centre', 1800), mark('centre', 2200)];
    const p = plan(testJob({ evidence }));
    expect(p.findings.find((f) => f.code === 'stud-doubtful')).toMatchObject({
      level: 'stop',
      acknowledgeable: true,
    });
    expect(p.verdict).toBe('stop');
    const known = plan(testJob({ evidence, fixing: { acknowledged: [{ code: 'stud-doubtful' }] } }));
    expect(known.verdict).toBe('caution');
  });
});
