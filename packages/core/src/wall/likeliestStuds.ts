import { longestPitch, pitchTail, tapRuns, type PitchPrior } from './pitchPrior';
import type { Layer, WallBelief } from './wallBelief';

/** A stud of the likeliest layout: the left face of its layout ply, and its type by index. */
export interface LaidStud {
  n: number;
  type: number;
}

/**
 * The one layout of studs that goes best with the readings, for the likeliest width: the renewal's
 * recursion with the largest term in place of the sum. The flat part of the pitch prior is a sliding
 * maximum, kept as a queue that only falls, so that time is linear in the wall's length.
 *
 *   M(n) = max( start(n), max over p of log g(p) + M(n-p) + log L(n-p) )
 */
export function likeliestStuds(belief: WallBelief): { layer: Layer; studs: LaidStud[] } {
  const layer = belief.layers.reduce((a, b) => (b.weight > a.weight ? b : a));
  const { best, from } = bestWays(belief, layer.logL);
  const end = lastStud(belief, layer.logL, best);
  const studs: LaidStud[] = [];
  for (let n = end; n >= 0; n = from[n]!) studs.unshift({ n: n + belief.grid.from, type: likeliestType(layer, n) });
  return { layer, studs };
}

function likeliestType({ chance }: Layer, n: number): number {
  return chance.reduce((best, c, k) => (c[n]! > chance[best]![n]! ? k : best), 0);
}

/** Best log weight of everything left of a stud at each place, and which stud came before it (-1: none). */
function bestWays({ grid, prior, ends }: WallBelief, logL: Float64Array) {
  const { size } = grid;
  const { beyond, mean } = pitchTail(prior);
  const { left } = ends;
  const start = (n: number) => ((left ? 1 - left.share : 1) * beyond(n)) / mean + (left ? left.share * left.at(n) : 0);
  const flat = Math.log(prior.flat.weight);
  const best = new Float64Array(size);
  const from = new Int32Array(size);
  const reach = longestPitch(prior);
  const padded = new Float64Array(reach + size).fill(-Infinity);
  const handed = padded.subarray(reach);
  const window = slidingMax(handed, prior.flat.from, prior.flat.to);
  const peaks = peaksOf(prior, handed);
  for (let n = 0; n < size; n++) {
    let [value, before] = [Math.log(start(n)), -1];
    const far = window(n);
    if (far >= 0 && flat + handed[far]! > value) [value, before] = [flat + handed[far]!, far];
    for (const { pitch, logs, most, furthest } of peaks) {
      // nothing in reach of this peak can be better, at its best pitch either
      const high = furthest(n);
      if (high < 0 || most + handed[high]! <= value) continue;
      for (let i = 0; i < logs.length; i++) {
        const by = logs[i]! + padded[reach + n - pitch - i]!;
        if (by > value) [value, before] = [by, n - pitch - i];
      }
    }
    best[n] = value;
    from[n] = before;
    handed[n] = value + logL[n]!;
  }
  return { best, from };
}

/** Neighbouring pitches of a peak from the shortest on, and the largest value that they reach. */
function peaksOf(prior: PitchPrior, handed: Float64Array) {
  const { from, to, weight } = prior.flat;
  return tapRuns(prior).map(({ from: pitch, weights }) => {
    const logs = weights.map((w, i) => Math.log(w + (pitch + i >= from && pitch + i <= to ? weight : 0)));
    const furthest = slidingMax(handed, pitch, pitch + weights.length - 1);
    return { pitch, logs, most: Math.max(...logs), furthest };
  });
}

function lastStud({ grid, prior, ends }: WallBelief, logL: Float64Array, best: Float64Array): number {
  const { beyond, mean } = pitchTail(prior);
  const { right } = ends;
  let [end, most] = [-1, -Infinity];
  for (let n = Math.max(0, grid.size - 1 - longestPitch(prior)); n < grid.size; n++) {
    const after =
      (right ? 1 - right.share : 1) * beyond(grid.size - 1 - n) + (right ? right.share * mean * right.at(n) : 0);
    const value = best[n]! + logL[n]! + Math.log(after);
    if (value > most) [end, most] = [n, value];
  }
  return end;
}

/** Index of the largest value from n - to to n - from, for n going up by one; -1 while there is none. */
function slidingMax(values: Float64Array, from: number, to: number): (n: number) => number {
  const queue = new Int32Array(values.length);
  let [head, end] = [0, 0];
  return (n) => {
    const enters = n - from;
    if (enters < 0) return -1;
    const value = values[enters]!;
    while (end > head && values[queue[end - 1]!]! <= value) end -= 1;
    queue[end++] = enters;
    if (queue[head]! < n - to) head += 1;
    return queue[head]!;
  };
}
