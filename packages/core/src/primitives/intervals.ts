import type { Working } from '@steddo/contract';
import { SAME_MM } from './epsilons';

/**
 * Exact unions of intervals on a line, each edge remembering what put it there.
 *
 *   forbidden   ─────(lo········hi)──────      open: touching is allowed
 *   feasible    ═════]          [═════
 */
export interface Forbidden {
  /** What forbids it, such as `ceiling` or `object:o2`. */
  by: string;
  lo: number;
  hi: number;
  /** How the edge came about; absent where the edge is infinite. */
  loWorking?: Working;
  hiWorking?: Working;
  /** By how much it can give way at most, mm: a floor not at all, a ceiling by its gap. Absent: any. */
  yields?: number;
}

export interface Edge {
  at: number;
  by: string;
  working?: Working;
}

export interface Interval {
  from: Edge;
  to: Edge;
}

/**
 * What is left of the line when every forbidden open interval is taken away.
 * `feasible([{ by: 'floor', lo: -Infinity, hi: 300 }, { by: 'ceiling', lo: 2000, hi: Infinity }])` is [300, 2000].
 * An interval may be a single point; an empty result means that nothing is possible.
 */
export function feasible(forbidden: readonly Forbidden[]): Interval[] {
  const sorted = [...forbidden].sort((a, b) => a.lo - b.lo);
  const found: Interval[] = [];
  let from: Edge = { at: -Infinity, by: 'nothing' };
  for (const f of sorted) {
    if (f.hi - f.lo <= SAME_MM) continue;
    if (f.lo >= from.at - SAME_MM && f.lo > -Infinity)
      found.push({ from, to: { at: Math.max(f.lo, from.at), by: f.by, working: f.loWorking } });
    if (f.hi > from.at) from = { at: f.hi, by: f.by, working: f.hiWorking };
  }
  if (from.at < Infinity) found.push({ from, to: { at: Infinity, by: 'nothing' } });
  return found;
}

export interface Nearest {
  at: number;
  /** The edge that stands in the way; absent when the wanted place is free. */
  edge?: Edge;
}

/** The feasible place nearest to the wanted one, or undefined when there is none. */
export function nearest(intervals: readonly Interval[], wanted: number): Nearest | undefined {
  let best: Nearest | undefined;
  for (const { from, to } of intervals) {
    if (wanted >= from.at - SAME_MM && wanted <= to.at + SAME_MM) return { at: wanted };
    const edge = wanted < from.at ? from : to;
    if (!best || Math.abs(edge.at - wanted) < Math.abs(best.at - wanted)) best = { at: edge.at, edge };
  }
  return best;
}

/**
 * A smallest set of constraints that cannot all hold; empty when everything together is feasible.
 * To cover a line with as few open intervals as may be: from the left, always the one that reaches
 * furthest among those that overlap what is covered already (greedy is exact here).
 * Floor to 600, a shelf over 500 to 1500, ceiling from 1400: all three.
 */
export function conflictOf(forbidden: readonly Forbidden[]): string[] {
  if (feasible(forbidden).length > 0) return [];
  const real = forbidden.filter((f) => f.hi - f.lo > SAME_MM);
  const found: Forbidden[] = [];
  let covered = -Infinity;
  while (covered < Infinity) {
    const next = furthest(real, covered);
    if (!next) break;
    found.push(next);
    covered = next.hi;
  }
  return [...new Set(found.map((f) => f.by))];
}

/** Of those that overlap what is covered, the one that reaches furthest beyond it. */
function furthest(from: readonly Forbidden[], covered: number): Forbidden | undefined {
  return from
    .filter((f) => (f.lo < covered - SAME_MM || f.lo === -Infinity) && f.hi > covered)
    .reduce<Forbidden | undefined>((a, f) => (!a || f.hi > a.hi ? f : a), undefined);
}

export interface Relaxation {
  at: number;
  relax: { by: string; amount: number }[];
}

/**
 * The least that would have to give way for one place to become free: where it is, and what gives
 * by how much. Exact: the amounts summed are concave between the ends of the intervals, so that the
 * least is at an end, or where something cannot give more. Undefined when everything that could give way does not give enough.
 * Floor to 600, ceiling from 580 with a gap of 50: the ceiling by 20, at 600.
 */
export function leastRelaxation(forbidden: readonly Forbidden[]): Relaxation | undefined {
  const ends = forbidden
    .flatMap((f) => [f.lo, f.hi, f.lo + (f.yields ?? 0), f.hi - (f.yields ?? 0)])
    .filter(Number.isFinite);
  let best: (Relaxation & { total: number }) | undefined;
  for (const at of [...new Set(ends)].sort((a, b) => a - b)) {
    const relax = givenUp(forbidden, at);
    if (!relax) continue;
    const total = relax.reduce((sum, r) => sum + r.amount, 0);
    const fewer = best && Math.abs(total - best.total) <= SAME_MM && relax.length < best.relax.length;
    if (!best || total < best.total - SAME_MM || fewer) best = { at, relax, total };
  }
  return best && { at: best.at, relax: best.relax };
}

/** What has to give way for `at` to be free; undefined when something cannot give so much. */
function givenUp(forbidden: readonly Forbidden[], at: number): Relaxation['relax'] | undefined {
  const most = new Map<string, number>();
  for (const f of forbidden) {
    const depth = Math.min(at - f.lo, f.hi - at);
    if (depth <= SAME_MM) continue;
    if (depth > (f.yields ?? Infinity) + SAME_MM) return undefined;
    most.set(f.by, Math.max(depth, most.get(f.by) ?? 0));
  }
  return [...most].map(([by, amount]) => ({ by, amount }));
}

/** Plain pairs for the plan; only finite intervals come out of a room. */
export const asPairs = (intervals: readonly Interval[]): [number, number][] =>
  intervals.map(({ from, to }) => [from.at, to.at]);
