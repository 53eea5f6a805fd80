import { guestRoomSay } from '../testing/say';
import { asTyped, readTyped, stepOf, type Field } from './fields';

const say = guestRoomSay();
const length: Field = {
  path: 'x',
  label: 'x',
  kind: 'length',
  min: 0,
  max: 4000,
  command: () => ({ do: 'all', commands: [] }),
};
const mass: Field = { ...length, kind: 'mass', min: 0.5, max: 200 };
const angle: Field = { ...length, kind: 'angle', min: -45, max: 45 };

describe('what is typed', () => {
  it('is read in the unit of the pad', () => {
    expect(readTyped('58 3/8', length, 'in', say)).toMatchObject({ ok: true, value: 1482.725 });
    expect(readTyped('1483', length, 'mm', say)).toMatchObject({ ok: true, value: 1483 });
    expect(readTyped('25', mass, 'lb', say)).toMatchObject({ ok: true, value: 11.33980925 });
    expect(readTyped('25 kg', mass, 'lb', say)).toMatchObject({ ok: true, value: 25 });
    expect(readTyped('-0.2', angle, 'deg', say)).toMatchObject({ ok: true, value: -0.2 });
  });
  it('is refused in a sentence that says what is taken', () => {
    for (const [text, field, unit] of [
      ['', length, 'in'],
      ['x', length, 'in'],
      ['-3', length, 'in'],
      ['', mass, 'lb'],
      ['0', mass, 'lb'],
      ['90', angle, 'deg'],
    ] as const) {
      const read = readTyped(text, field, unit, say);
      expect(read.ok ? '' : read.reason).toMatch(/[Tt]akes/);
    }
  });
  it('offers the other unit for a number that is too large', () => {
    expect(readTyped('1483', length, 'in', say)).toMatchObject({
      ok: false,
      perhaps: { value: 1483, unit: 'mm' },
    });
  });
  it('reads back as it was written, in every unit', () => {
    for (const unit of ['in', 'ft', 'mm', 'cm'] as const) {
      const read = readTyped(asTyped(1482.725, length, unit), length, unit, say);
      expect(read.ok && Math.abs(read.value - 1482.725) < 0.6).toBe(true);
    }
  });
  it('is nudged by one division of its tape', () => {
    expect([stepOf(length, 'in').value, stepOf(length, 'mm').value]).toEqual([25.4 / 16, 1]);
  });
});

describe('forces', () => {
  const rating: Field = {
    path: 'anchors.a.tension',
    label: 'rating',
    kind: 'force',
    min: 0.1,
    max: 100_000,
    command: () => ({ do: 'all', commands: [] }),
  };
  it('are newtons in the file, pounds as typed where that is the unit', () => {
    expect(readTyped('225', rating, 'lb', say)).toMatchObject({ ok: true, value: expect.closeTo(1000.85, 2) });
    expect(readTyped('1000 N', rating, 'lb', say)).toMatchObject({ ok: true, value: 1000 });
    expect(readTyped('1000', rating, 'N', say)).toMatchObject({ ok: true, value: 1000 });
    expect(readTyped('strong', rating, 'N', say).ok).toBe(false);
    expect(asTyped(1000.85, rating, 'lb')).toBe('225');
  });
});
