import { MM_PER_INCH } from '../units/convert';
import { N_PER_POUND, STEEL_BEARING_PSI, type LagSize } from './lagTables';

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
  /** Of the quadratic A P^2 + B P + C = 0, in pounds and inches; absent for the two crushing modes. */
  terms?: { a: number; b: number; c: number };
}

/**
 * The yield load of a lag in every mode, with the board as a gap in which nothing bears on it
 * (AWC Technical Report 12, general dowel equations; NDS 2018 12.3 for the reductions; from memory):
 *
 *   q = Fe Dr,  M = Fyb Dr^3 / 6,  A P^2 + B P + C = 0
 *   I-m   P = qm lm                  I-s    P = qs ls
 *   II    A = 1/4qs + 1/4qm          B = ls/2 + g + lm/2     C = -qs ls^2/4 - qm lm^2/4
 *   III-m A = 1/2qs + 1/4qm          B = g + lm/2            C = -M - qm lm^2/4
 *   III-s A = 1/4qs + 1/2qm          B = ls/2 + g            C = -qs ls^2/4 - M
 *   IV    A = 1/2qs + 1/2qm          B = g                   C = -2 M
 *
 * Each P is divided by its reduction: 10 Dr + 0.5 (at least 2.2) for a root under 1/4 in, else 4, 3.6 and 3.2 for I,
 * II and the rest; times 1 + angle/360. Without a gap, 1/4 in at G 0.42, plate 0.075 in, 8 D deep: 142 lb, mode III-s.
 */
export function yieldParts(input: YieldInput): YieldPart[] {
  const { qs, qm, ls, lm, gap, moment, reduce } = inches(input);
  const quadratic = (a: number, b: number, c: number) => (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a);
  const made: [YieldMode, number, YieldPart['terms']?][] = [
    ['I-m', qm * lm],
    ['I-s', qs * ls],
    [
      'II',
      0,
      { a: 1 / (4 * qs) + 1 / (4 * qm), b: ls / 2 + gap + lm / 2, c: -(qs * ls * ls) / 4 - (qm * lm * lm) / 4 },
    ],
    ['III-m', 0, { a: 1 / (2 * qs) + 1 / (4 * qm), b: gap + lm / 2, c: -moment - (qm * lm * lm) / 4 }],
    ['III-s', 0, { a: 1 / (4 * qs) + 1 / (2 * qm), b: ls / 2 + gap, c: -(qs * ls * ls) / 4 - moment }],
    ['IV', 0, { a: 1 / (2 * qs) + 1 / (2 * qm), b: gap, c: -2 * moment }],
  ];
  return made.map(([mode, crush, terms]) => ({
    mode,
    load: (terms ? quadratic(terms.a, terms.b, terms.c) : crush) * N_PER_POUND,
    reduction: reduce(mode),
    ...(terms ? { terms } : {}),
  }));
}

/** The mode with the least reduced load. The allowable load before the duration factor is load / reduction. */
export const leastYield = (input: YieldInput): YieldPart =>
  yieldParts(input).reduce((least, p) => (p.load / p.reduction < least.load / least.reduction ? p : least));

/** A root thinner than this has its own reduction, in. */
const SLIM_IN = 0.25;

function inches({ lag, gravity, plate, gap, penetration, angleDeg }: YieldInput) {
  const [d, dr] = [lag.shankMm / MM_PER_INCH, lag.rootMm / MM_PER_INCH];
  const qm = bearingPsi(gravity, d, angleDeg) * dr;
  const qs = STEEL_BEARING_PSI * dr;
  const across = 1 + angleDeg / 360;
  const slim = Math.max(2.2, 10 * dr + 0.5);
  const reduce = (mode: YieldMode) =>
    across * (dr < SLIM_IN ? slim : mode.startsWith('I-') ? 4 : mode === 'II' ? 3.6 : 3.2);
  return {
    qs,
    qm,
    reduce,
    ls: plate / MM_PER_INCH,
    lm: bearingLength(lag, penetration) / MM_PER_INCH,
    gap: gap / MM_PER_INCH,
    moment: (lag.yieldPsi * dr ** 3) / 6,
  };
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
