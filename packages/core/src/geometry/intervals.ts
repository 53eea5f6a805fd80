import { SAME_MM } from '../tolerances';
import type { Working } from '@steddo/contract';

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
  const sorted = [...forbidden].filter((f) => f.hi - f.lo > SAME_MM).sort((a, b) => a.lo - b.lo);
  const found: Interval[] = [];
  let from: Edge = { at: -Infinity, by: 'nothing' };
  for (const f of sorted) {
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
    if (!best || Math.abs(edge.at - wanted) < Math.abs(best.at - wanted))
      best = { at: edge.at, edge };
  }
  return best;
}

/**
 * A smallest set of constraints that cannot all hold; empty when everything together is feasible.
 * Three intervals are enough to cover a line that a floor, a ceiling and one thing bound, so sets
 * up to three are tried outright; a longer chain is thinned until no member can be left out.
 */
export function conflictOf(forbidden: readonly Forbidden[]): string[] {
  if (feasible(forbidden).length > 0) return [];
  const blocked = (some: readonly Forbidden[]) => feasible(some).length === 0;
  const small = subsets(forbidden, 3).find(blocked) ?? thinned(forbidden, blocked);
  return [...new Set(small.map((f) => f.by))];
}

/** All subsets of one to `most` members, smaller ones first, in order. */
function subsets<T>(all: readonly T[], most: number): T[][] {
  const of = (size: number, from: number): T[][] =>
    size === 0
      ? [[]]
      : all
          .slice(from)
          .flatMap((first, i) => of(size - 1, from + i + 1).map((rest) => [first, ...rest]));
  return Array.from({ length: most }, (_, i) => of(i + 1, 0)).flat();
}

function thinned(
  all: readonly Forbidden[],
  blocked: (some: readonly Forbidden[]) => boolean,
): Forbidden[] {
  let kept = [...all];
  for (const candidate of all) {
    const without = kept.filter((f) => f !== candidate);
    if (blocked(without)) kept = without;
  }
  return kept;
}

/** Plain pairs for the plan; only finite intervals come out of a room. */
export const asPairs = (intervals: readonly Interval[]): [number, number][] =>
  intervals.map(({ from, to }) => [from.at, to.at]);
