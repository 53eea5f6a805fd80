import { longestPitch, pitchTail, tapRuns, type PitchPrior } from './pitchPrior';

/**
 * Studs along a wall as a renewal process on a grid of 1 mm: the chance of each place to carry a stud's
 * layout ply, given how much the readings speak for one there.
 *
 *   A(n) = G(n) / E[p] + sum over p of g(p) A(n-p) L(n-p)        everything left of a stud at n
 *   B(n) = G(N-1-n)    + sum over p of g(p) L(n+p) B(n+p)        everything right of it
 *   Z    = sum over n of A(n) L(n) G(N-1-n)                      all ways, the last stud at n
 *   P(stud at n) = A(n) L(n) B(n) / Z
 *
 * g the weight of a pitch, G(k) that of a pitch longer than k: the process is in equilibrium at both
 * ends, as if it came from far away and went on. L(n) is the weight of a stud at n against none.
 * The flat part of g is a sliding sum kept in two halves of blocks, so that nothing is subtracted and
 * the time does not depend on how long it is. Numbers are held near one by scaling what is in reach.
 */
export interface Renewal {
  /** P(stud's layout ply at n). */
  posterior: Float64Array;
  logZ: number;
}

/** Over this the numbers in reach are scaled down. */
const LARGE = 1e120;

/** Walls that may begin or end with a stud: the share of walls that do, and where, by place. */
export interface Ends {
  left?: { share: number; at: (n: number) => number };
  right?: { share: number; at: (n: number) => number };
}

/**
 * `logL[n]` for every place of the grid; -Infinity forbids a stud there. Where `ends` has one, that share
 * of walls begins (or ends) with a stud placed by its density, and goes on from there.
 */
export function renewal(logL: Float64Array, prior: PitchPrior, ends: Ends = {}): Renewal {
  const size = logL.length;
  const { beyond, mean } = pitchTail(prior);
  const { left: first, right: final } = ends;
  const open = (n: number) => beyond(n) / mean;
  const start = first ? (n: number) => (1 - first.share) * open(n) + first.share * first.at(n) : open;
  const stop = final
    ? (m: number) => (1 - final.share) * beyond(m) + final.share * mean * final.at(size - 1 - m)
    : beyond;
  const left = pass(logL, prior, start);
  const mirrored = Float64Array.from(logL).reverse();
  const right = pass(mirrored, prior, stop);
  const logs = new Float64Array(size);
  const last = new Float64Array(size);
  for (let n = 0; n < size; n++) {
    const m = size - 1 - n;
    logs[n] = Math.log(left.value[n]!) + left.scale[n]! + logL[n]! + Math.log(right.value[m]!) + right.scale[m]!;
    last[n] = Math.log(left.value[n]!) + left.scale[n]! + logL[n]! + Math.log(stop(m));
  }
  const logZ = logSum(last);
  return { posterior: logs.map((v) => Math.exp(v - logZ)), logZ };
}

/** log of the sum of exponentials. */
export function logSum(logs: Float64Array): number {
  let most = -Infinity;
  for (const v of logs) if (v > most) most = v;
  if (most === -Infinity) return -Infinity;
  let sum = 0;
  for (const v of logs) sum += Math.exp(v - most);
  return most + Math.log(sum);
}

/** One direction: values, each times the exponential of its scale. */
interface Pass {
  value: Float64Array;
  scale: Float64Array;
}

function pass(logL: Float64Array, prior: PitchPrior, start: (n: number) => number): Pass {
  const size = logL.length;
  const value = new Float64Array(size);
  const scale = new Float64Array(size);
  const reach = longestPitch(prior);
  // what each place hands on: its value times L, on the scale that holds now; nothing before the first
  const padded = new Float64Array(reach + size);
  const handed = padded.subarray(reach);
  const window = slidingSum(handed, prior.flat.from, prior.flat.to);
  const runs = tapRuns(prior);
  // so many places take from none of each other: their peaks are summed together, tap by tap
  const block = Math.min(size, ...runs.map((r) => r.from));
  const tapped = new Float64Array(size);
  let now = 0;
  let unit = 1;
  for (let from = 0; from < size; from += block) {
    const to = Math.min(size, from + block);
    for (const run of runs) addTaps(tapped, run.weights, padded, { from, to, at: reach - run.from });
    for (let n = from; n < to; n++) {
      let sum = start(n) * unit + tapped[n]!;
      if (prior.flat.weight > 0) sum += prior.flat.weight * window.upTo(n);
      value[n] = sum;
      scale[n] = now;
      const weight = logL[n]!;
      let next = sum * Math.exp(weight);
      if (next > LARGE) {
        const by = Math.log(sum) + weight;
        const factor = Math.exp(-by);
        for (let m = Math.max(0, n - reach); m < n; m++) handed[m]! *= factor;
        for (let m = n + 1; m < to; m++) tapped[m]! *= factor;
        window.rebuild(n);
        now += by;
        unit = Math.exp(-now);
        next = 1;
      }
      handed[n] = next;
    }
  }
  return { value, scale };
}

/** Places `from` to `to` of the sum, the first of which takes its first tap from `values[from + at]`. */
interface Places {
  from: number;
  to: number;
  at: number;
}

/** Adds to every place its taps times values, the values going down; four taps at a time, which is twice as fast. */
function addTaps(sums: Float64Array, weights: Float64Array, values: Float64Array, { from, to, at }: Places): void {
  let i = 0;
  for (; i + 3 < weights.length; i += 4) {
    const [a, b, c, d] = [weights[i]!, weights[i + 1]!, weights[i + 2]!, weights[i + 3]!];
    const first = from + at - i;
    let [second, third, fourth] = [values[first - 1]!, values[first - 2]!, values[first - 3]!];
    for (let n = from; n < to; n++) {
      const here = values[n + at - i]!;
      sums[n]! += a * here + b * second + c * third + d * fourth;
      fourth = third;
      third = second;
      second = here;
    }
  }
  for (; i < weights.length; i++) {
    const weight = weights[i]!;
    for (let n = from; n < to; n++) sums[n]! += weight * values[n + at - i]!;
  }
}

/**
 * The sum of `values` from n - to to n - from, for n going up by one: blocks as long as the window, the
 * end of one block and the beginning of the next, each summed once. No subtraction, so that small sums
 * after large ones stay exact.
 */
function slidingSum(values: Float64Array, from: number, to: number) {
  const long = to - from + 1;
  /** Sums from each place of the earlier block to its end. */
  let tail = new Float64Array(long + 1);
  /** Sum of the later block so far. */
  let head = 0;
  let block = -1;
  const at = (i: number): number => (i >= 0 ? (values[i] ?? 0) : 0);
  const load = (index: number) => {
    tail = new Float64Array(long + 1);
    for (let i = long - 1; i >= 0; i--) tail[i] = tail[i + 1]! + at(index * long - long + i);
  };
  return {
    upTo(n: number): number {
      const end = n - from;
      if (end < 0) return 0;
      const index = Math.floor(end / long);
      if (index !== block) {
        load(index);
        head = 0;
        block = index;
      }
      head += at(end);
      return tail[end - index * long + 1]! + head;
    },
    /** After the values were scaled: with everything up to the last place asked for. */
    rebuild(n: number): void {
      const end = n - from;
      if (end < 0) return;
      load(block);
      head = 0;
      for (let i = block * long; i <= end; i++) head += at(i);
    },
  };
}
