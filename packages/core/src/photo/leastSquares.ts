import { Matrix, inverse } from 'ml-matrix';

const MOST_STEPS = 60;
const SETTLED = 1e-9;

/** Everything that is looked for, and how each thing that was laid or taped is off from it, in its standard deviations. */
export interface Problem {
  start: number[];
  off: (p: readonly number[]) => number[];
}

/**
 * The numbers that everything is least off from, all squares together: Gauss and Newton, held back (Levenberg and Marquardt,
 * from memory) where a step does not bring it nearer. With them how far each is off, and the normal matrix, whose inverse is
 * their covariance. Undefined where a step cannot be had.
 * Off by [p - 3, (p - 5) / 2] from 0: p is 3.4, a fifth of the way from the surer one.
 */
export function leastSquares({ start, off }: Problem): { p: number[]; off: number[]; normal: Matrix } | undefined {
  let p = start;
  let now = off(p);
  let held = 1e-6;
  for (let i = 0; i < MOST_STEPS; i++) {
    const slope = roughSlopes(off, p, now);
    const normal = slope.transpose().mmul(slope);
    const gradient = slope.transpose().mmul(Matrix.columnVector(now));
    const step = stepOf(normal, gradient, held);
    if (!step) return undefined;
    const next = p.map((value, k) => value - step[k]!);
    const there = off(next);
    const small = Math.max(...step.map((s, k) => Math.abs(s) / Math.max(1, Math.abs(p[k]!)))) < SETTLED;
    if (squares(there) <= squares(now)) {
      [p, now, held] = [next, there, held / 10];
      if (small) break;
    } else {
      if (small) break;
      held = Math.max(held, 1e-9) * 10;
      if (held > 1e9) break;
    }
  }
  const slope = slopesOf(off, p);
  return now.every(Number.isFinite) ? { p, off: now, normal: slope.transpose().mmul(slope) } : undefined;
}

const squares = (all: readonly number[]): number => all.reduce((sum, o) => sum + o * o, 0);

function stepOf(normal: Matrix, gradient: Matrix, held: number): number[] | undefined {
  const damped = normal.clone();
  for (let k = 0; k < damped.rows; k++) damped.set(k, k, damped.get(k, k) * (1 + held));
  return inverted(damped)?.mmul(gradient).getColumn(0);
}

/** Undefined where it has none: the library throws. */
export function inverted(matrix: Matrix): Matrix | undefined {
  try {
    const made = inverse(matrix);
    return made.to1DArray().every(Number.isFinite) ? made : undefined;
  } catch {
    return undefined;
  }
}

/** The same by a small step to one side: as good to go by, in half the time. */
function roughSlopes(off: (p: readonly number[]) => number[], p: readonly number[], now: readonly number[]): Matrix {
  const columns = p.map((value, k) => {
    const by = 1e-7 * Math.max(1, Math.abs(value));
    return off(p.map((v, n) => (n === k ? v + by : v))).map((m, n) => (m - now[n]!) / by);
  });
  return new Matrix(columns).transpose();
}

/** How each is off more with each number that is looked for, by a small step to either side. */
function slopesOf(off: (p: readonly number[]) => number[], p: readonly number[]): Matrix {
  const columns = p.map((value, k) => {
    const by = 1e-6 * Math.max(1, Math.abs(value));
    const [more, less] = [by, -by].map((d) => off(p.map((v, n) => (n === k ? v + d : v))));
    return more!.map((m, n) => (m - less![n]!) / (2 * by));
  });
  return new Matrix(columns).transpose();
}
