import { seeded } from './random';

/** A level that tells its slope all the while, such as a phone on its edge, until it is let go. */
export interface LiveLevel {
  /** Degrees in its own frame, the end at its right high is plus; undefined on no edge. Gives back what lets it go. */
  follow: (told: (deg: number | undefined) => void) => () => void;
}

/** One of its tellings: when, in ms, and what. */
export interface LevelSample {
  at: number;
  deg: number;
}

/** It has to lie still for so long, ms, and within so little, degrees. Ours. */
const STILL_MS = 1500;
const STILL_DEG = 0.15;
const LEAST_SAMPLES = 8;
/** Nearer to lying on its back than this it stands on no edge: share of the weight that its face takes. */
const ON_ITS_BACK = 0.7;

/**
 * Slope of the edge that a device stands on, degrees, right end high is plus as one looks at its screen; from the
 * angles that a browser tells (`beta` front to back, `gamma` left to right, W3C Device Orientation). Whichever edge is
 * down counts. Undefined where it lies on its back. Upright and level, beta 90 and gamma 0: 0; on its long edge, its
 * left side down, beta 0 and gamma -90: 0; there with beta 1: -1, its right end is low.
 */
export function edgeSlope(beta: number, gamma: number): number | undefined {
  const [b, g] = [(beta * Math.PI) / 180, (gamma * Math.PI) / 180];
  // which way is up, in the device's own frame: x to the right of its screen, y to its top, z out of it
  const up = { x: -Math.cos(b) * Math.sin(g), y: Math.sin(b), z: Math.cos(b) * Math.cos(g) };
  if (Math.abs(up.z) > ON_ITS_BACK) return undefined;
  const turned = (Math.atan2(up.x, up.y) * 180) / Math.PI;
  return turned - 90 * Math.round(turned / 90);
}

/**
 * What a level says once it lies still: the mean of the last second and a half, as far as all of it is within 0.15
 * degrees; undefined until then. Degrees.
 */
export function steadyAngle(samples: readonly LevelSample[]): number | undefined {
  const last = samples.at(-1);
  const first = samples[0];
  if (!last || !first || last.at - first.at < STILL_MS) return undefined;
  const recent = samples.filter((s) => s.at >= last.at - STILL_MS).map((s) => s.deg);
  if (recent.length < LEAST_SAMPLES || Math.max(...recent) - Math.min(...recent) > STILL_DEG) return undefined;
  return recent.reduce((sum, d) => sum + d, 0) / recent.length;
}

/** The noise of a simulated level, degrees. */
const NOISE_DEG = 0.02;

/**
 * A stand-in for a phone: each call is one of its tellings in its own frame, `turned` with its face to the wall. What
 * it stands on slopes by `trueDeg`, and it is off by `ownDeg` itself. 0.5 and 0.2: about 0.7, turned about -0.3.
 */
export function simulatedSlope(trueDeg: number, ownDeg: number, seed: number): (turned: boolean) => number {
  const random = seeded(seed);
  return (turned) => (turned ? -trueDeg : trueDeg) + ownDeg + random.normal(NOISE_DEG);
}
