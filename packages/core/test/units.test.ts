import convert from 'convert-units';
import fc from 'fast-check';
import {
  IMPERIAL,
  METRIC,
  formatTape,
  fromKg,
  fromMm,
  onDivision,
  parseAmount,
  parseTape,
  tapeParts,
  toKg,
  toMm,
  type TapeStyle,
} from '../src';

const inches = (text: string) => {
  const read = parseTape(text, { unit: 'in' });
  return read.ok ? read.mm / 25.4 : read.fault.code;
};
const fault = (text: string, rules = {}) => {
  const read = parseTape(text, { unit: 'in', ...rules });
  return read.ok ? 'taken' : read.fault.code;
};

describe('units', () => {
  // outside check: a general conversion library (convert-units)
  it('agree with a general conversion library', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 10_000, noNaN: true }), (v) => {
        // that library rounds its own factors in the seventh place, so a millionth is its accuracy
        const near = (ours: number, theirs: number) =>
          expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(1e-6 * Math.abs(theirs) + 1e-9);
        near(toMm(v, 'in'), convert(v).from('in').to('mm'));
        near(toMm(v, 'ft'), convert(v).from('ft').to('mm'));
        near(fromMm(v, 'cm'), convert(v).from('mm').to('cm'));
        near(toKg(v, 'lb'), convert(v).from('lb').to('kg'));
      }),
    );
  });

  // international yard and pound agreement of 1959: both factors exact
  it('have the exact factors', () => {
    expect(toMm(1, 'in')).toBe(25.4);
    expect(toKg(1, 'lb')).toBe(0.45359237);
    expect(fromKg(0.45359237, 'lb')).toBe(1);
  });
});

describe('parseTape', () => {
  it.each([
    ['58 3/8', 58.375],
    ['58-3/8"', 58.375],
    ['58 - 3/8 in', 58.375],
    [`4' 10 3/8"`, 58.375],
    ['4 ft 10.375 in', 58.375],
    ['4ft 10 3/8', 58.375],
    ['4’ 10⅜″', 58.375],
    ['58⅜', 58.375],
    ['¾', 0.75],
    ['7/32', 0.21875],
    ['.5', 0.5],
    ['5 feet', 60],
    ['1 1/64 inches', 1.015625],
  ])('reads %s', (text, expected) => {
    expect(inches(text)).toBeCloseTo(expected, 10);
  });

  it.each([
    ['148.3 cm', 1483],
    ['1.483 m', 1483],
    ['1483mm', 1483],
    ['1483', 1483],
  ])('reads %s in a metric job', (text, mm) => {
    const read = parseTape(text, { unit: 'mm' });
    expect(read.ok && read.mm).toBeCloseTo(mm, 9);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['abc', 'not-a-length'],
    ['12 34', 'not-a-length'],
    ['58.5 3/8', 'not-a-length'],
    ['3/', 'not-a-length'],
    ['1e3', 'not-a-length'],
    ['NaN', 'not-a-length'],
    ['58,375', 'comma'],
    ['-3', 'negative'],
    ['3/7', 'denominator'],
    ['1/0', 'denominator'],
    ['58 9/8', 'improper'],
    [`4' 14"`, 'twelve-inches'],
  ])('refuses "%s" as %s', (text, code) => {
    expect(fault(text)).toBe(code);
  });

  it('takes a minus only where there can be one', () => {
    expect(fault('-1 1/2', { negative: true })).toBe('taken');
    const read = parseTape('-1 1/2', { unit: 'in', negative: true });
    expect(read.ok && read.mm).toBeCloseTo(-38.1, 9);
  });

  it('questions 1483 in an imperial job, and offers millimetres', () => {
    const read = parseTape('1483', { unit: 'in', atMostMm: 3900 });
    expect(read).toMatchObject({
      ok: false,
      fault: { code: 'beyond', perhapsMm: 1483, perhapsUnit: 'mm' },
    });
  });

  it('does not offer another unit for a length that says its own', () => {
    const read = parseTape('1483 in', { unit: 'in', atMostMm: 3900 });
    expect(read.ok ? {} : read.fault).not.toHaveProperty('perhapsUnit');
  });

  const styles: TapeStyle[] = [
    IMPERIAL,
    METRIC,
    { unit: 'ft', divisionMm: 25.4 / 16 },
    { unit: 'in', divisionMm: 25.4 / 64 },
    { unit: 'cm', divisionMm: 1 },
  ];
  it.each(styles)('reads back what is written, within half a division ($unit)', (style) => {
    fc.assert(
      fc.property(fc.double({ min: -20_000, max: 20_000, noNaN: true }), (mm) => {
        const read = parseTape(formatTape(mm, style), { unit: 'mm', negative: true });
        expect(read.ok).toBe(true);
        if (read.ok) expect(Math.abs(read.mm - mm)).toBeLessThanOrEqual(style.divisionMm / 2 + 1e-6);
      }),
      { seed: 4810 },
    );
  });

  it('never throws and never gives a value that is not finite', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 14 }), (text) => {
        const read = parseTape(text, { unit: 'in' });
        if (read.ok) expect(Number.isFinite(read.mm)).toBe(true);
      }),
      { seed: 4811, numRuns: 500 },
    );
  });
});

describe('formatTape', () => {
  it.each([
    [1482.725, '58 3/8 in'],
    [0, '0 in'],
    [3.175, '1/8 in'],
    [-38.1, '-1 1/2 in'],
    [25.4, '1 in'],
    [-0.1, '0 in'],
  ])('writes %d mm as %s', (mm, text) => {
    expect(formatTape(mm, IMPERIAL)).toBe(text);
  });
  it('writes feet, millimetres and centimetres', () => {
    expect(formatTape(1482.725, { unit: 'ft', divisionMm: 25.4 / 16 })).toBe('4 ft 10 3/8 in');
    expect(formatTape(1482.725, METRIC)).toBe('1483 mm');
    expect(formatTape(1482.725, { unit: 'cm', divisionMm: 1 })).toBe('148.3 cm');
  });
  it('rounds once, half up', () => {
    expect(formatTape(25.4 / 32, IMPERIAL)).toBe('1/16 in');
    expect(formatTape(0.5, METRIC)).toBe('1 mm');
  });
  it('refuses what is no number rather than show it', () => {
    expect(() => tapeParts(NaN, METRIC)).toThrow(RangeError);
    expect(() => tapeParts(Infinity, IMPERIAL)).toThrow(RangeError);
  });
  it('snaps to the division of the tape', () => {
    expect(onDivision(10.2, METRIC)).toBe(10);
    expect(onDivision(26, IMPERIAL)).toBeCloseTo(25.4, 9);
  });
});

describe('parseAmount', () => {
  const kg = (text: string) =>
    parseAmount(text, ['lb', 'kg'], 0.5, 200, (v, unit) => toKg(v, unit === 'kg' ? 'kg' : 'lb'));
  it('takes its unit, or the field’s', () => {
    expect(kg('100')).toMatchObject({ ok: true, value: 45.359237 });
    expect(kg('11.4 kg')).toMatchObject({ ok: true, value: 11.4 });
  });
  it.each([
    ['', 'empty'],
    ['heavy', 'not-a-number'],
    ['12 st', 'not-a-number'],
    ['11,4', 'comma'],
    ['0', 'out-of-range'],
    ['9999', 'out-of-range'],
  ])('refuses "%s" as %s', (text, code) => {
    const read = kg(text);
    expect(read.ok ? 'taken' : read.fault.code).toBe(code);
  });
});
