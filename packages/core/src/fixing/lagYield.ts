import { MM_PER_INCH } from '../primitives/convert';
import { LANES, laneAt, NUMBERS, type Arithmetic } from '../primitives/arithmetic';
import { MPA_PER_PSI, STEEL_BEARING_PSI, type LagSize } from './lagTables';
import type { Term } from '../primitives/terms';

/** How a laterally loaded lag gives way: crushing at one side, turning, or bending at one or two places. */
export const YIELD_MODES = ['I-m', 'I-s', 'II', 'III-m', 'III-s', 'IV'] as const;
export type YieldMode = (typeof YIELD_MODES)[number];

/** A lag through a steel plate, across a gap (the board, and packing), into wood. Lengths mm. */
export interface YieldInput {
  lag: LagSize;
  gravity: number;
  plate: number;
  gap: number;
  penetration: number;
  /** Between the pull and the grain: 0 down the stud, 90 across it. */
  angleDeg: number;
}

export interface YieldPart {
  mode: YieldMode;
  /** Load at yield, N, before the reduction. */
  load: number;
  reduction: number;
}

/**
 * The yield load of a lag in one mode, N, with the board as a gap in which nothing bears on it
 * (AWC Technical Report 12, general dowel equations; NDS 2018 12.3 for the reductions; from memory):
 *
 *   q = Fe Dr,  M = Fyb Dr^3 / 6,  A P^2 + B P - C = 0
 *   I-m   P = qm lm                  I-s    P = qs ls
 *   II    A = 1/4qs + 1/4qm          B = ls/2 + g + lm/2     C = qs ls^2/4 + qm lm^2/4
 *   III-m A = 1/2qs + 1/4qm          B = g + lm/2            C = M + qm lm^2/4
 *   III-s A = 1/4qs + 1/2qm          B = ls/2 + g            C = qs ls^2/4 + M
 *   IV    A = 1/2qs + 1/2qm          B = g                   C = 2 M
 *
 * `bearing` is how hard the wood bears, N/mm2. Without a gap, 1/4 in at G 0.42, plate 0.075 in, 8 D deep,
 * over its reduction of 2.23: 142 lb, mode III-s.
 */
export function yieldLoad<N>(a: Arithmetic<N>, input: Omit<YieldInput, 'angleDeg'>, bearing: N, mode: YieldMode): N {
  const { lag, plate, gap, penetration } = input;
  const times = (label: Term, unit: 'N' | 'Nmm' | 'N/mm' | 'ratio', ...terms: N[]) => a.node(label, '*', unit, terms);
  const count = (label: Term, n: number) => a.leaf(label, n, 'count');
  const root = a.leaf('root', lag.rootMm, 'mm');
  const qs = times('steel-bears', 'N/mm', a.leaf('bearing', STEEL_BEARING_PSI * MPA_PER_PSI, 'ratio'), root);
  const qm = times('wood-bears', 'N/mm', bearing, root);
  const ls = a.leaf('plate-thickness', plate, 'mm');
  const lm = a.leaf('bearing-length', bearingLength(lag, penetration), 'mm');
  if (mode === 'I-m') return times('yield-load', 'N', qm, lm);
  if (mode === 'I-s') return times('yield-load', 'N', qs, ls);
  const cubed = a.node('root-cubed', 'pow', 'ratio', [root, a.leaf('power', 3, 'ratio')]);
  const strength = a.leaf('yield-strength', lag.yieldPsi * MPA_PER_PSI, 'ratio');
  const moment = a.node('bending-moment', '/', 'Nmm', [
    times('bending-strength', 'ratio', strength, cubed),
    count('six', 6),
  ]);
  const crush = (q: N, l: N) =>
    a.node('crush-part', '/', 'Nmm', [times('crush-square', 'ratio', q, l, l), count('four', 4)]);
  const soft = (q: N, by: number) =>
    a.node('softness', '/', 'ratio', [count('one', 1), times('softness-by', 'ratio', count('times', by), q)]);
  const half = (l: N) => a.node('half-length', '/', 'mm', [l, count('two', 2)]);
  const { s, m } = CRUSHES[mode];
  const under = a.node('yield-a', '+', 'ratio', [soft(qs, s ? 4 : 2), soft(qm, m ? 4 : 2)]);
  const gapped = a.leaf('board-gap', gap, 'mm');
  const b = a.node('yield-b', '+', 'mm', [...(s ? [half(ls)] : []), gapped, ...(m ? [half(lm)] : [])]);
  const c = a.node('yield-c', '+', 'Nmm', [s ? crush(qs, ls) : moment, m ? crush(qm, lm) : moment]);
  const square = a.node('yield-under', '+', 'ratio', [
    times('yield-b-square', 'ratio', b, b),
    times('yield-four-ac', 'ratio', count('four', 4), under, c),
  ]);
  return a.node('yield-load', '/', 'N', [
    a.node('yield-top', '-', 'ratio', [a.node('yield-root', 'sqrt', 'ratio', [square]), b]),
    times('yield-two-a', 'ratio', count('two', 2), under),
  ]);
}

/** Whether the steel side and the wood crush, where the lag turns, or make it bend. */
const CRUSHES: Record<Exclude<YieldMode, 'I-m' | 'I-s'>, { s: boolean; m: boolean }> = {
  II: { s: true, m: true },
  'III-m': { s: false, m: true },
  'III-s': { s: true, m: false },
  IV: { s: false, m: false },
};

/** A root thinner than this has its own reduction, in. */
const SLIM_IN = 0.25;

/** 10 Dr + 0.5 (at least 2.2) for a root under 1/4 in, else 4, 3.6 and 3.2 for I, II and the rest; times 1 + angle/360. */
export function yieldReduction({ rootMm }: LagSize, mode: YieldMode, angleDeg: number): number {
  const root = rootMm / MM_PER_INCH;
  const straight =
    root < SLIM_IN ? Math.max(2.2, 10 * root + 0.5) : mode.startsWith('I-') ? 4 : mode === 'II' ? 3.6 : 3.2;
  return (1 + angleDeg / 360) * straight;
}

/** How hard the wood bears on a lag that is pulled at an angle to the grain, N/mm2. */
export const bearingMpa = ({ lag, gravity, angleDeg }: Pick<YieldInput, 'lag' | 'gravity' | 'angleDeg'>): number =>
  bearingPsi(gravity, lag.shankMm / MM_PER_INCH, angleDeg) * MPA_PER_PSI;

/** Every mode with its load and its reduction. */
export function yieldParts(input: YieldInput): YieldPart[] {
  const bearing = bearingMpa(input);
  return YIELD_MODES.map((mode) => ({
    mode,
    load: yieldLoad(NUMBERS, input, bearing, mode),
    reduction: yieldReduction(input.lag, mode, input.angleDeg),
  }));
}

/** The mode with the least reduced load. The allowable load before the duration factor is load / reduction. */
export const leastYield = (input: YieldInput): YieldPart =>
  yieldParts(input).reduce((least, p) => (p.load / p.reduction < least.load / least.reduction ? p : least));

/** Whole degrees of a quarter turn. */
const ANGLES = Array.from({ length: 91 }, (_, deg) => deg);

/** The least reduced load at each whole degree between the pull and the grain, N: gone through once for all of them. */
export function yieldTable(
  lag: LagSize,
  gravity: number,
  plate: number,
  gap: number,
  penetration: number,
): Float64Array {
  const bearing = Float64Array.from(ANGLES, (angleDeg) => bearingMpa({ lag, gravity, angleDeg }));
  const loads = YIELD_MODES.map((mode) => ({
    mode,
    load: yieldLoad(LANES, { lag, gravity, plate, gap, penetration }, bearing, mode),
  }));
  return Float64Array.from(ANGLES, (deg) =>
    Math.min(...loads.map(({ mode, load }) => laneAt(load, deg) / yieldReduction(lag, mode, deg))),
  );
}

/** What bears in the wood, mm: of a lag less than 10 diameters deep the tip counts half (NDS 12.3.5.3, from memory). */
export const bearingLength = (lag: LagSize, penetration: number): number =>
  Math.max(0, penetration < 10 * lag.shankMm ? penetration - lag.tipMm / 2 : penetration);

/**
 * How hard wood bears on a dowel, psi: 11200 G along the grain, 6100 G^1.45 / sqrt D across it, and between
 * them by Hankinson's formula (NDS 2018, 12.3.3 and 12.3.4, from memory). G 0.50 along: 5600.
 */
export function bearingPsi(gravity: number, diameterIn: number, angleDeg: number): number {
  const along = 11_200 * gravity;
  const across = (6100 * gravity ** 1.45) / Math.sqrt(diameterIn);
  const sin2 = Math.sin((angleDeg * Math.PI) / 180) ** 2;
  return (along * across) / (along * sin2 + across * (1 - sin2));
}
