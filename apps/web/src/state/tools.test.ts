import type { FinderKind, Instruments } from '@steddo/core';
import { passMarksOf, putDown, slid, type Tool } from './tools';

/** A finder that is lit from 1000 to 1038; a magnet holds on 1015 to 1023, at a height of 1432. */
const instruments: Instruments = {
  begin: (kind) => ({
    at: (x) => (kind === 'magnet' ? { lit: Math.abs(x - 1019) <= 4, y: 1432 } : { lit: x >= 1000 && x <= 1038 }),
  }),
  poke: () => ({ found: 'hollow', felt: false }),
  look: () => undefined,
  level: () => ({ instrument: 'digital', angle: 0 }),
  range: (x) => x,
};
const held = (kind: Tool['kind'], x: number): Tool => ({
  kind,
  instruments,
  x,
  y: 1400,
  lit: false,
  changes: [],
});
const slide = (kind: FinderKind, ...to: number[]) =>
  to.slice(1).reduce((tool, x) => slid(tool, x, 1400), putDown(held(kind, to[0]!)));

describe('a finder slid along the wall', () => {
  it('misses nothing however fast the hand is', () => {
    const fast = slide('edge', 900, 1200);
    expect(fast.swept).toEqual({ from: 900, to: 1200 });
    expect(fast.lit).toBe(false);
    expect(fast.changes.map((c) => [Math.round(c.x), c.on])).toEqual([
      [1000, true],
      [1039, false],
    ]);
    expect(slide('edge', 900, 950, 1010, 1020).lit).toBe(true);
  });
  it('to the right it lights at a left edge and goes out at a right one; to the left the other way round', () => {
    const kinds = (tool: Tool) => passMarksOf(tool).map((m) => m.kind);
    expect(kinds(slide('edge', 900, 1200))).toEqual(['edge-left', 'edge-right']);
    expect(kinds(slide('edge', 1200, 900))).toEqual(['edge-right', 'edge-left']);
    // back and forth over one edge: each time that edge
    expect(kinds(slide('edge', 990, 1010, 990))).toEqual(['edge-left', 'edge-left']);
  });
  it('a centre is half-way between on and off; half a pass gives none', () => {
    const [centre] = passMarksOf(slide('centre', 900, 1200));
    expect(centre).toMatchObject({ kind: 'centre' });
    expect(Math.abs(centre!.x - 1019)).toBeLessThan(1.1);
    expect(passMarksOf(slide('centre', 900, 1020))).toEqual([]);
  });
  it('a magnet finds the screw at its own height, from either side', () => {
    for (const [from, to] of [
      [900, 1200],
      [1200, 900],
    ] as const) {
      const [screw] = passMarksOf(slide('magnet', from, to));
      expect(screw).toMatchObject({ kind: 'fastener', y: 1432 });
      expect(Math.abs(screw!.x - 1019)).toBeLessThan(1.1);
    }
  });
  it('putting it down again begins a new pass', () => {
    const again = putDown(slide('edge', 900, 1020));
    expect(again.changes).toEqual([]);
    expect(again.swept).toEqual({ from: 1020, to: 1020 });
    expect(again.lit).toBe(true);
  });
  it('a drill and a camera are only carried', () => {
    const drill = slid(putDown(held('drill', 900)), 1019, 1500);
    expect(drill).toMatchObject({ x: 1019, y: 1500, lit: false, changes: [] });
    expect(passMarksOf(drill)).toEqual([]);
  });
});
