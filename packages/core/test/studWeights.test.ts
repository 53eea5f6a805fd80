import type { Evidence } from '@steddo/contract';
import { saysOf, studTypes, studWeights } from '../src/wall/studWeights';

const grid = { from: -800, size: 3000 };
const [single, doubled, doubledLeft] = studTypes(38);
const S = 406.4;
const at = (x: number) => x - grid.from;
const mark = (kind: 'edge-left' | 'edge-right' | 'centre' | 'fastener', x: number): Evidence => ({
  id: `${kind}${x}`,
  kind,
  x,
  y: 1400,
});
const probe = (x: number, found: 'wood' | 'hollow'): Evidence => ({ id: `p${x}`, kind: 'probe', x, y: 1400, found });
const scan = (from: number, to: number) => ({ id: 's1', instrument: 'edge' as const, from, to, y: 1400 });
/** Density of a normal reading off by so much, written out. */
const phi = (off: number, sd: number) => Math.exp((-off * off) / (2 * sd * sd)) / (sd * Math.sqrt(2 * Math.PI));
const weigh = (evidence: Evidence[], type = single!) =>
  studWeights(
    evidence.flatMap((e) => saysOf(e) ?? []),
    [],
    grid,
    type,
    S,
  );

describe('how much readings speak for a stud', () => {
  const nothing = Math.log(0.95);
  it('nothing read: the share of its type, everywhere', () => {
    for (const n of [0, 700, 1500, 2999]) expect(weigh([])[n]).toBeCloseTo(nothing, 12);
    expect(single!.share + doubled!.share + doubledLeft!.share).toBeCloseTo(1, 12);
  });
  it('a left edge puts the left face there; cut at five sd it says nothing', () => {
    const c = (S * 0.95) / 0.05;
    const logs = weigh([mark('edge-left', 1203)]);
    expect(logs[at(1203)]).toBeCloseTo(nothing + Math.log(1 + c * phi(0, 4)), 9);
    expect(logs[at(1211)]).toBeCloseTo(nothing + Math.log(1 + c * phi(8, 4)), 9);
    expect(logs[at(1224)]).toBeCloseTo(nothing, 12);
  });
  it('right edge, centre: the same stud from its other marks', () => {
    const peak = (logs: Float64Array) => logs.indexOf(Math.max(...logs));
    expect(peak(weigh([mark('edge-right', 1241)]))).toBe(at(1203));
    expect(peak(weigh([mark('centre', 1222)]))).toBe(at(1203));
    // doubled to the left its left face is a ply before the layout ply
    expect(peak(weigh([mark('edge-left', 1203)], doubledLeft))).toBe(at(1241));
    expect(peak(weigh([mark('edge-right', 1279)], doubled))).toBe(at(1203));
  });
  it('a board screw: anywhere inside, less 6 mm each side', () => {
    const c = (S * 0.9) / 0.1;
    const logs = weigh([mark('fastener', 1222)]);
    const worth = nothing + Math.log(1 + c / 26);
    for (const l of [1222 - 32, 1203, 1222 - 6]) expect(logs[at(l)]).toBeCloseTo(worth, 9);
    for (const l of [1222 - 33, 1222 - 5]) expect(logs[at(l)]).toBeCloseTo(nothing, 12);
  });
  it('a probe counts for or against every stud that it is in', () => {
    const trust = Math.log(49);
    const hit = weigh([probe(1222, 'wood')]);
    const miss = weigh([probe(1222, 'hollow')]);
    for (const l of [1222 - 37, 1203, 1222]) {
      expect(hit[at(l)]).toBeCloseTo(nothing + trust, 9);
      expect(miss[at(l)]).toBeCloseTo(nothing - trust, 9);
    }
    for (const l of [1222 - 39, 1223]) expect(hit[at(l)]).toBeCloseTo(nothing, 9);
  });
  it('silence counts only where somebody scanned', () => {
    const logs = studWeights([], [scan(1000, 1300)], grid, single!, S);
    expect(logs[at(1100)]).toBeCloseTo(nothing - 2, 12);
    expect(logs[at(980)]).toBeCloseTo(nothing - 1, 12);
    expect(logs[at(1400)]).toBeCloseTo(nothing, 12);
  });
  it('the side of an outlet: the stud to its right has its left face there', () => {
    const outlet = (side: 'left' | 'right'): Evidence => ({ id: 'o', kind: 'outlet-side', x: 1300, y: 357, side });
    const peak = (logs: Float64Array) => logs.indexOf(Math.max(...logs));
    expect(peak(weigh([outlet('right')]))).toBe(at(1300));
    expect(peak(weigh([outlet('left')]))).toBe(at(1300 - 38));
  });
  it('several readings multiply', () => {
    const marks = [mark('edge-left', 1203), mark('edge-right', 1242), mark('centre', 1225)];
    const together = weigh(marks)[at(1203)]! - nothing;
    const apart = marks.reduce((sum, m) => sum + weigh([m])[at(1203)]! - nothing, 0);
    expect(together).toBeCloseTo(apart, 9);
  });
});
