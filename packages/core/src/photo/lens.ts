import type { PicturePlace, PictureSize } from './pictures';

/**
 * How a lens bends what is straight: away from the picture's middle by k1 times the square of the distance from it,
 * that distance as a share of half the picture's diagonal. Below 0 a barrel, above 0 a cushion.
 */
export interface LensBend {
  k1: number;
  middle: PicturePlace;
  /** Half the diagonal, pixels. */
  half: number;
}

const SETTLED_PX = 1e-9;
const MOST_STEPS = 40;

/** The lens before a picture of that size. */
export const lensBend = ({ width, height }: PictureSize, k1: number): LensBend => ({
  k1,
  middle: { u: width / 2, v: height / 2 },
  half: Math.hypot(width, height) / 2,
});

/**
 * Where a lens puts what a pinhole would put there.
 * With k1 -0.02 a place at the corner of a picture, one half diagonal from its middle, is drawn in by two hundredths of that.
 */
export function bent({ k1, middle, half }: LensBend, { u, v }: PicturePlace): PicturePlace {
  const [du, dv] = [u - middle.u, v - middle.v];
  const by = 1 + (k1 * (du * du + dv * dv)) / half ** 2;
  return { u: middle.u + du * by, v: middle.v + dv * by };
}

/**
 * Where a pinhole would put what the lens has put there: `bent` turned round, by Newton's steps along the ray from the
 * middle. Where a barrel folds back, further out than any picture, the nearest place that there is.
 */
export function straightened({ k1, middle, half }: LensBend, { u, v }: PicturePlace): PicturePlace {
  if (k1 === 0) return { u, v };
  const [du, dv] = [u - middle.u, v - middle.v];
  const seen = Math.hypot(du, dv);
  if (seen === 0) return { u, v };
  const bend = k1 / half ** 2;
  let r = seen;
  for (let i = 0; i < MOST_STEPS; i++) {
    const slope = 1 + 3 * bend * r * r;
    if (slope <= 0.05) break;
    const step = (r * (1 + bend * r * r) - seen) / slope;
    r -= step;
    if (Math.abs(step) < SETTLED_PX) break;
  }
  return { u: middle.u + (du * r) / seen, v: middle.v + (dv * r) / seen };
}
