import type { Op, Unit, Working } from '@steddo/contract';
import type { Term } from './terms';

/** Trees of arithmetic: each number that a person acts on carries the one that made it. */

/** Where a number stands in the job, and whether nobody has measured it. */
export interface From {
  path?: string;
  guess?: boolean;
}

/** A reading or constant. `guess` marks a default that nobody measured. */
export function leaf(label: Term, value: number, unit: Unit, from: From = {}): Working {
  return {
    label,
    value,
    unit,
    ...(from.path === undefined ? {} : { path: from.path }),
    ...(from.guess ? { guess: true } : {}),
  };
}

/** A node whose value is computed from its terms, so that it cannot disagree with them. */
export function node(label: Term, op: Op, unit: Unit, terms: Working[]): Working {
  return {
    label,
    op,
    unit,
    terms,
    value: combine(
      op,
      terms.map((t) => t.value),
    ),
  };
}

export const sum = (label: Term, ...terms: Working[]): Working => node(label, '+', 'mm', terms);
export const minus = (label: Term, ...terms: Working[]): Working => node(label, '-', 'mm', terms);
export const half = (label: Term, term: Working): Working =>
  node(label, '/', term.unit, [term, leaf('two', 2, 'count')]);

/** The same number under another name. */
export function named(label: Term, working: Working): Working {
  return { ...working, label };
}

/**
 * Evaluates a tree from its leaves, ignoring the values stored in its nodes.
 * A leaf gives its value: `evaluate(sum('hook', leaf('a', 48, 'mm'), leaf('b', 5, 'mm')))` is 53.
 */
export function evaluate(working: Working): number {
  if (working.op === undefined || working.terms === undefined) return working.value;
  return combine(working.op, working.terms.map(evaluate));
}

/** Every leaf of a tree, left to right. */
export function leaves(working: Working): Working[] {
  const found: Working[] = [];
  const walk = (w: Working): void => {
    if (w.terms === undefined) found.push(w);
    else for (const term of w.terms) walk(term);
  };
  walk(working);
  return found;
}

const DEGREES = 180 / Math.PI;

/** What an operation makes of its terms, in their order. */
export function combine(op: Op, values: readonly number[]): number {
  // by index: this is gone through a million times in a search
  const first = values[0] ?? 0;
  const second = values[1] ?? 0;
  switch (op) {
    case '+': {
      let sum = 0;
      for (let i = 0; i < values.length; i++) sum += values[i]!;
      return sum;
    }
    case '-': {
      let left = first;
      for (let i = 1; i < values.length; i++) left -= values[i]!;
      return left;
    }
    case '*': {
      let product = 1;
      for (let i = 0; i < values.length; i++) product *= values[i]!;
      return product;
    }
    case '/':
      return first / second;
    case 'min':
      return Math.min(...values);
    case 'max':
      return Math.max(...values);
    case 'mean':
      return values.reduce((a, b) => a + b, 0) / values.length;
    case 'atan':
      return Math.atan2(first, second) * DEGREES;
    case 'tan':
      return Math.tan(first / DEGREES);
    case 'sin':
      return Math.sin(first / DEGREES);
    case 'cos':
      return Math.cos(first / DEGREES);
    case 'abs':
      return Math.abs(first);
    case 'hypot':
      return values.length === 2 ? Math.hypot(first, second) : Math.hypot(...values);
    case 'sqrt':
      return Math.sqrt(first);
    case 'pow':
      return first ** second;
    case 'round':
      return Math.round(first / second) * second;
  }
}
