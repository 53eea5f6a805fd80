import { checkFile, job as jobFormat, type LevelReading } from '@steddo/contract';
import { edgeSlope, plan, riseOver, simulatedSlope, steadyAngle } from '../src';
import { readLevel } from '../src/level/readLevel';
import { testJob, testMount } from './jobs';

const levelOf = (levelReadings: LevelReading[], change = {}) => plan(testJob({ levelReadings, ...change })).level!;
const digital = (angle: number, turned = false): LevelReading => ({
  instrument: 'digital',
  angle,
  turned,
  on: 'plate',
  when: 'snug',
});

describe('level', () => {
  // plane trigonometry: 0.5 mm in a metre is 0.029 degrees
  it('0.5 mm in a metre is 0.029 degrees', () => {
    const l = levelOf([{ instrument: 'spirit', length: 1000, gap: 0.5, high: 'right' }]);
    expect(l.slope).toBeCloseTo(0.029, 3);
    const left = levelOf([{ instrument: 'spirit', length: 1000, gap: 0.5, high: 'left' }]);
    expect(left.slope).toBeCloseTo(-l.slope, 12);
  });
  // plane trigonometry: 0.1 degree over 400 mm is 0.7 mm
  it('0.1 degree over 400 mm is 0.7 mm', () => {
    expect(riseOver(400, 0.1)).toBeCloseTo(0.7, 2);
    const l = levelOf([digital(0.1)]);
    // the studs are where all their marks put them, within a millimetre of 400 apart
    const span = l.groups[0]!.span!;
    expect(Math.abs(span - 400)).toBeLessThan(1);
    expect(l.corrections[0]!.by).toBeCloseTo(span * Math.tan((0.1 * Math.PI) / 180), 6);
  });
  it('turned end for end gives the slope and the level’s own error', () => {
    const l = levelOf([digital(0.2), digital(0.1, true)]);
    expect(l.slope).toBeCloseTo(0.15, 12);
    expect(l.instrumentError).toBeCloseTo(0.05, 12);
  });
  it('a level that only lies shows no slope', () => {
    expect(levelOf([digital(0.3), digital(-0.3, true)])).toMatchObject({
      slope: 0,
      corrections: [],
    });
  });
  it('raises the low end', () => {
    expect(levelOf([digital(0.2)]).corrections[0]!.where).toBe('left');
    expect(levelOf([digital(-0.2)]).corrections[0]!.where).toBe('right');
  });
  it('fits the play of the slots, or needs a new hole', () => {
    // slots 10 high on a 7.94 lag: 2.06 mm of play; 400 mm at 0.29 degrees is 2.02, at 0.31 is 2.16
    expect(levelOf([digital(0.29)]).corrections.map((c) => [c.kind, c.fits])).toEqual([['slots', true]]);
    expect(levelOf([digital(0.31)]).corrections.map((c) => [c.kind, c.fits])).toEqual([
      ['slots', false],
      ['hole', true],
    ]);
  });
  it('the latest moment counts, earlier ones stay', () => {
    const hung: LevelReading = { instrument: 'digital', angle: -0.4, on: 'set', when: 'hung' };
    const l = levelOf([digital(0.2), hung], {
      mount: { ...testMount, trim: { height: 8, roll: 3 } },
    });
    expect(l.slope).toBeCloseTo(-0.4, 12);
    expect(l.groups).toHaveLength(2);
    expect(l.corrections.map((c) => c.kind)).toEqual(['screw', 'drop', 'roll', 'shim']);
  });
  // by hand: 1.5 in 600 is 0.75 over 300, 0.6 turn of 1.25; 0.25 degrees is 1.745 over 400, 17 sheets and 0.14 over 1218
  it('a hung set by its screws, one arm, its head, sheets: so many turns, so much left', () => {
    const hung = (reading: LevelReading, context: object) =>
      readLevel([{ ...reading, on: 'set', when: 'hung' }], { setWidthMm: 1218, ...context }).section!.corrections;
    const spirit: LevelReading = { instrument: 'spirit', length: 600, gap: 1.5, high: 'right' };
    expect(hung(spirit, { pitchMm: 1.25, screwSpanMm: 300, trimHeightMm: 8 })).toMatchObject([
      { kind: 'screw', where: 'left', unit: 'turn', by: expect.closeTo(0.6, 6), limit: 6.4, left: 0, fits: true },
    ]);
    expect(hung(spirit, { pitchMm: 1.25, screwSpanMm: 300, trimHeightMm: 0.5 })).toMatchObject([
      { fits: false, left: expect.closeTo((0.25 * 1218) / 300, 6) },
    ]);
    const sheets = hung({ instrument: 'digital', angle: 0.25 }, { hookSpacingMm: 400, arms: true, rollDeg: 0.2 });
    expect(sheets).toMatchObject([
      { kind: 'drop', where: 'right', by: expect.closeTo(1.745, 3), fits: true },
      { kind: 'roll', unit: 'deg', by: 0.25, fits: false, left: expect.closeTo(1.063, 3) },
      {
        kind: 'shim',
        where: 'left',
        by: expect.closeTo(1.7, 9),
        sheets: 17,
        left: expect.closeTo(0.138, 3),
        fits: true,
      },
    ]);
    // nobody stacks paper for a set that hangs askew
    expect(hung({ instrument: 'digital', angle: 4 }, { hookSpacingMm: 400 })).toEqual([]);
    // only an arm of its own goes down by itself
    expect(hung({ instrument: 'digital', angle: 0.25 }, { hookSpacingMm: 400 }).map((c) => c.kind)).toEqual(['shim']);
  });
  it('within a millimetre over the set’s width it is left alone', () => {
    const at = (mm: number) =>
      readLevel([{ instrument: 'digital', angle: (Math.atan(mm / 1218) * 180) / Math.PI, on: 'set', when: 'hung' }], {
        setWidthMm: 1218,
        hookSpacingMm: 400,
      }).section!.corrections;
    expect(at(0.99)).toEqual([]);
    expect(at(1.01)).toHaveLength(1);
  });
  it('1 mm over the set’s width is good, 3 mm is seen', () => {
    const codes = (angle: number) =>
      plan(testJob({ levelReadings: [digital(angle)] })).findings.filter((f) => f.stage === 'level');
    const degFor = (mm: number) => (Math.atan(mm / 1118) * 180) / Math.PI;
    expect(codes(degFor(0.95)).map((f) => f.code)).toContain('level-good');
    expect(codes(degFor(2)).find((f) => f.code === 'level-off')!.level).toBe('info');
    expect(codes(degFor(3.1)).find((f) => f.code === 'level-off')!.level).toBe('caution');
  });
});

describe('a spirit level as its owner reads it', () => {
  const at = (readings: LevelReading[]) => readLevel(readings, { setWidthMm: 1218, plateSpanMm: 406.4 }).section!;
  const spirit = (r: Partial<LevelReading>): LevelReading => ({ instrument: 'spirit', high: 'right', ...r });
  // by hand: 2 and 1 mm over 600 come to 1.5 over 600, the level 0.5 off; 0.750, 1.016 and 3.045 over 300, 406.4 and 1218
  it('two gaps, turned end for end', () => {
    const { slope, instrumentError } = at([
      spirit({ gap: 2, length: 600 }),
      spirit({ gap: 1, length: 600, turned: true }),
    ]);
    const over = (span: number) => span * Math.tan((slope * Math.PI) / 180);
    expect(over(600)).toBeCloseTo(1.5, 3);
    expect(600 * Math.tan((instrumentError! * Math.PI) / 180)).toBeCloseTo(0.5, 3);
    expect([300, 406.4, 1218].map(over)).toEqual([0.75, 1.016, 3.045].map((x) => expect.closeTo(x, 3)));
  });
  it('by its bubble in divisions, or by what lifts it level: the same slope', () => {
    const slopes = [
      spirit({ gap: 0.5, length: 1000 }),
      spirit({ bubble: 1 }),
      spirit({ bubble: 0.25, division: 2 }),
      spirit({ lifted: 0.3, span: 600 }),
    ].map((r) => at([r]).slope);
    for (const s of slopes) expect(s).toBeCloseTo(slopes[0]!, 9);
    expect(at([spirit({ bubble: 0 })]).slope).toBe(0);
    expect(at([spirit({ bubble: 1, high: 'left' })]).slope).toBeCloseTo(-slopes[0]!, 9);
  });
  it('keeps its own error for its later readings, and no other level takes it', () => {
    const known = [spirit({ gap: 2, length: 600 }), spirit({ gap: 1, length: 600, turned: true })];
    const later = (r: Partial<LevelReading>) =>
      600 * Math.tan((at([...known, spirit({ when: 'hung', on: 'set', ...r })]).slope * Math.PI) / 180);
    expect(later({ gap: 1.2, length: 600 })).toBeCloseTo(0.7, 3);
    expect(later({ gap: 1.2, length: 600, turned: true })).toBeCloseTo(1.7, 3);
    expect(later({ gap: 1.2, length: 600, level: 'the long one' })).toBeCloseTo(1.2, 3);
  });
  it('is read in one way at a time, and says which end is high', () => {
    const faults = (reading: object) => {
      const checked = checkFile(jobFormat, { ...testJob(), levelReadings: [reading] });
      return checked.ok ? [] : checked.faults.map((f) => f.path);
    };
    expect(faults({ instrument: 'spirit', bubble: 0 })).toEqual([]);
    expect(faults({ instrument: 'spirit', bubble: 1 })).toEqual(['levelReadings.0.high']);
    expect(faults({ instrument: 'spirit', lifted: 1, high: 'left' })).toEqual(['levelReadings.0.span']);
    expect(faults({ instrument: 'spirit', bubble: 1, gap: 1, length: 600, high: 'left' })).toEqual(['levelReadings.0']);
    expect(faults({ instrument: 'spirit' })).toEqual(['levelReadings.0.length', 'levelReadings.0.gap']);
  });
});

describe('a phone as a level', () => {
  /** Turns a device that stands upright facing somebody: so many degrees against the clock, then leaned back. */
  const held = (turnedDeg: number, backDeg: number) => {
    const [t, l] = [turnedDeg, backDeg].map((d) => (d * Math.PI) / 180) as [number, number];
    // the world's up in the device's frame, and from it the angles as W3C Device Orientation defines them
    const up = { x: Math.sin(t) * Math.cos(l), y: Math.cos(t) * Math.cos(l), z: Math.sin(l) };
    const beta = Math.asin(up.y);
    const gamma = Math.atan2(-up.x, up.z);
    const deg = (rad: number) => (rad * 180) / Math.PI;
    return edgeSlope(deg(beta), deg(gamma));
  };
  it.each([0, 90, -90, 180])('on whichever edge it stands (%i degrees), by so much as it slopes', (edge) => {
    for (const slope of [0, 0.3, -1.2, 7])
      for (const back of [0, 5, -20]) expect(held(edge + slope, back)).toBeCloseTo(slope, 9);
  });
  it('says nothing on its back', () => {
    expect(held(0, 80)).toBeUndefined();
    expect(edgeSlope(0, 0)).toBeUndefined();
  });
  const samples = (count: number, deg: (i: number) => number) =>
    Array.from({ length: count }, (_, i) => ({ at: i * 60, deg: deg(i) }));
  it('is read once it lies still for a second and a half', () => {
    expect(steadyAngle([])).toBeUndefined();
    expect(steadyAngle(samples(20, () => 0.5))).toBeUndefined();
    expect(steadyAngle(samples(30, () => 0.5))).toBeCloseTo(0.5, 9);
    expect(steadyAngle(samples(30, (i) => i * 0.02))).toBeUndefined();
    // what it did before it came to rest does not count
    expect(steadyAngle(samples(60, (i) => (i < 30 ? i : 0.4)))).toBeCloseTo(0.4, 9);
    // a second and a half with hardly a telling is no rest
    expect(
      steadyAngle([
        { at: 0, deg: 1 },
        { at: 1600, deg: 1 },
      ]),
    ).toBeUndefined();
  });
  it('read and turned end for end it gives slope and own error as any level does', () => {
    const tell = simulatedSlope(0.5, 0.2, 7);
    const read = (turned: boolean) => steadyAngle(samples(30, () => tell(turned)))!;
    const [a, b] = [read(false), -read(true)];
    expect(Math.abs((a + b) / 2 - 0.5)).toBeLessThan(0.02);
    expect(Math.abs((a - b) / 2 - 0.2)).toBeLessThan(0.02);
  });
});
