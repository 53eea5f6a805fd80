import { dark, light, type Palette } from './tokens';

/** Relative luminance and contrast by the web content accessibility guidelines, 2.x (from memory). */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p) as [number, number];
  return (x + 0.05) / (y + 0.05);
}

const PAIRS: [keyof Palette, keyof Palette][] = [
  ['ink', 'ground'],
  ['ink', 'raised'],
  ['ink', 'sheet'],
  ['soft', 'ground'],
  ['soft', 'raised'],
  ['soft', 'sheet'],
  ['onAction', 'action'],
  ['onTape', 'tape'],
  ['go', 'ground'],
  ['caution', 'ground'],
  ['stop', 'ground'],
  ['caution', 'sheet'],
  ['stop', 'sheet'],
  ['stop', 'raised'],
  ['onVerdict', 'go'],
  ['onVerdict', 'caution'],
  ['onVerdict', 'stop'],
  ['action', 'ground'],
];

describe.each([
  ['light', light],
  ['dark', dark],
] as const)('%s', (_, palette) => {
  it.each(PAIRS)('%s on %s has a contrast of at least 4.5 to 1', (a, b) => {
    expect(contrast(palette[a], palette[b])).toBeGreaterThanOrEqual(4.5);
  });
});

it('the measure itself: black on white is 21 to 1', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 9);
});
