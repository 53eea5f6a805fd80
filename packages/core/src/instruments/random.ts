import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of chance that gives the same again for the same seed. */
export interface Random {
  /** Uniform in [0, 1). */
  next: () => number;
  /** Normal with mean 0. */
  normal: (sd: number) => number;
  between: (from: number, to: number) => number;
  pick: <T>(from: readonly T[]) => T;
  /** Poisson with a small mean. */
  count: (mean: number) => number;
}

/** `seeded(7).next()` is the same number every time. */
export function seeded(seed: number): Random {
  const source = xoroshiro128plus(seed | 0);
  const next = () => uniformFloat64(source);
  return {
    next,
    // Box and Muller; 1 - next() is never 0
    normal: (sd) => sd * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    between: (from, to) => from + (to - from) * next(),
    pick: (from) => from[Math.floor(next() * from.length)]!,
    count: (mean) => {
      // Knuth: multiply until below exp(-mean)
      const limit = Math.exp(-mean);
      let [n, product] = [0, next()];
      while (product > limit) [n, product] = [n + 1, product * next()];
      return n;
    },
  };
}
