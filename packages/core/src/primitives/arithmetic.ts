import type { Op, Unit, Working } from '@steddo/contract';
import { combine, leaf, node, type From } from './working';
import type { Term } from './terms';

/**
 * What a formula is written over, once: on numbers where it is searched with, on workings where it is shown.
 * `node` is of its terms by `op`; labels and units matter to workings alone.
 */
export interface Arithmetic<N> {
  leaf: (label: Term, value: number, unit: Unit, from?: From) => N;
  node: (label: Term, op: Op, unit: Unit, terms: N[]) => N;
  /** The largest size among its values. */
  most: (n: N) => number;
}

export const WORKINGS: Arithmetic<Working> = { leaf, node, most: (w) => Math.abs(w.value) };

export const NUMBERS: Arithmetic<number> = {
  leaf: (_, value) => value,
  node: (_, op, _unit, terms) => combine(op, terms),
  most: Math.abs,
};

/** One number, or one for each of many cases side by side: a formula is gone through once for all of them. */
export type Lanes = number | Float64Array;

export const LANES: Arithmetic<Lanes> = {
  leaf: (_, value) => value,
  node: (_, op, _unit, terms) => combineLanes(op, terms),
  most: (n) => (typeof n === 'number' ? Math.abs(n) : n.reduce((most, v) => Math.max(most, Math.abs(v)), 0)),
};

/** A number of one case. */
export const laneAt = (n: Lanes, i: number): number => (typeof n === 'number' ? n : n[i]!);

function combineLanes(op: Op, terms: readonly Lanes[]): Lanes {
  const length = lengthOf(terms);
  if (length === undefined) return combine(op, terms as number[]);
  const out = new Float64Array(length);
  const first = terms[0] ?? 0;
  const second = terms[1] ?? 0;
  switch (op) {
    case '+':
      for (const t of terms) add(out, t, 1);
      return out;
    case '*':
      out.fill(1);
      for (const t of terms)
        if (typeof t === 'number') for (let i = 0; i < length; i++) out[i]! *= t;
        else for (let i = 0; i < length; i++) out[i]! *= t[i]!;
      return out;
    case '-':
      add(out, first, 1);
      for (let k = 1; k < terms.length; k++) add(out, terms[k]!, -1);
      return out;
    case '/':
      for (let i = 0; i < length; i++) out[i] = laneAt(first, i) / laneAt(second, i);
      return out;
    case 'hypot':
      for (const t of terms)
        for (let i = 0; i < length; i++) {
          const v = laneAt(t, i);
          out[i]! += v * v;
        }
      for (let i = 0; i < length; i++) out[i] = Math.sqrt(out[i]!);
      return out;
    case 'abs':
      for (let i = 0; i < length; i++) out[i] = Math.abs(laneAt(first, i));
      return out;
    default:
      return out.map((_, i) =>
        combine(
          op,
          terms.map((t) => laneAt(t, i)),
        ),
      );
  }
}

function lengthOf(terms: readonly Lanes[]): number | undefined {
  for (let k = 0; k < terms.length; k++) {
    const t = terms[k]!;
    if (typeof t !== 'number') return t.length;
  }
  return undefined;
}

function add(out: Float64Array, t: Lanes, sign: 1 | -1): void {
  if (typeof t === 'number') for (let i = 0; i < out.length; i++) out[i]! += sign * t;
  else for (let i = 0; i < out.length; i++) out[i]! += sign * t[i]!;
}
