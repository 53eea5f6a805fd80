import { hasFractions, press, type PadText } from './padKeys';

const typed = (...keys: string[]) => keys.reduce<PadText>(press, { text: '12', fresh: true }).text;

describe('pad keys', () => {
  it('the first key replaces what stood there', () => {
    expect(typed('5', '8')).toBe('58');
  });
  it('a fraction comes after the whole; another one takes its place', () => {
    expect(typed('5', '8', '3/8')).toBe('58 3/8');
    expect(typed('5', '8', '3/8', '1/2')).toBe('58 1/2');
    expect(typed('3/4')).toBe('3/4');
  });
  it('nothing can be typed after a fraction', () => {
    expect(typed('5', '3/8', '7')).toBe('5 3/8');
  });
  it('delete takes the whole fraction, then a digit, and clears fresh text', () => {
    expect(typed('5', '8', '3/8', 'back')).toBe('58');
    expect(typed('5', '8', 'back')).toBe('5');
    expect(typed('back')).toBe('');
  });
  it('the sign turns and turns back, keeping the text', () => {
    expect(typed('5', 'sign')).toBe('-5');
    expect(typed('5', 'sign', 'sign')).toBe('5');
  });
  it('only inches have fraction keys', () => {
    expect([hasFractions('in'), hasFractions('ft'), hasFractions('mm'), hasFractions('lb')]).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });
});
