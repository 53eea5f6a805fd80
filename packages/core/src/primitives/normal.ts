import { errorFunction } from 'simple-statistics';

/** Density of the normal distribution at `z` from its mean. `density(0, 1)` is 0.39894. */
export const density = (z: number, sd: number): number =>
  Math.exp(-0.5 * (z / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));

/**
 * Chance that a normal value with mean `off` and `sd` lies within `half` of zero.
 * `chanceWithin(1.96, 0, 1)` is 0.95; a negative `half` gives 0.
 */
export function chanceWithin(half: number, off: number, sd: number): number {
  if (half <= 0) return 0;
  return Math.max(0, cumulative((half - off) / sd) - cumulative((-half - off) / sd));
}

/** Chance of a standard normal value below `z`. `cumulative(1.96)` is 0.975. */
export const cumulative = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;
