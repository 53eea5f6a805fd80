import type { PicturePlace, PictureSize } from '@steddo/core/photo';
import type { Cross } from './laidCrosses';

/** How close a picture is seen, and what of it is in the middle. */
export interface PhotoView {
  factor: number;
  middle: PicturePlace;
}

const STEP = 2.5;
const MOST = STEP ** 3;
const LEAST_REACH_PX = 24;

export const fitted = ({ width, height }: PictureSize): PhotoView => ({
  factor: 1,
  middle: { u: width / 2, v: height / 2 },
});

/** What is in the middle stays within the picture; where all of it is seen that is its own middle. */
function kept({ factor, middle }: PhotoView, size: PictureSize): PhotoView {
  if (factor <= 1) return fitted(size);
  const within = (value: number, of: number) => Math.min(of - of / (2 * factor), Math.max(of / (2 * factor), value));
  return { factor, middle: { u: within(middle.u, size.width), v: within(middle.v, size.height) } };
}

/** Closer to the crosses that are laid, or to where it was looked at before. */
export function closer({ factor, middle }: PhotoView, crosses: readonly Cross[], size: PictureSize): PhotoView {
  const meant = factor > 1 || crosses.length === 0 ? middle : meanOf(crosses);
  return kept({ factor: Math.min(MOST, factor * STEP), middle: meant }, size);
}

export const further = ({ factor, middle }: PhotoView, size: PictureSize): PhotoView =>
  kept({ factor: factor / STEP, middle }, size);

export const panned = ({ factor, middle }: PhotoView, by: PicturePlace, size: PictureSize): PhotoView =>
  kept({ factor, middle: { u: middle.u + by.u, v: middle.v + by.v } }, size);

function meanOf(crosses: readonly Cross[]): PicturePlace {
  const mean = (of: (c: Cross) => number) => crosses.reduce((sum, c) => sum + of(c), 0) / crosses.length;
  return { u: mean((c) => c.at.u), v: mean((c) => c.at.v) };
}

/** A cross that nobody has laid yet waits in what is seen. */
export const begunAt = (
  at: PicturePlace,
  { factor, middle }: PhotoView,
  { width, height }: PictureSize,
): PicturePlace => ({
  u: middle.u + (at.u - width / 2) / factor,
  v: middle.v + (at.v - height / 2) / factor,
});

/** How large a cross can be taken hold of, px: crosses near each other share what is between them. */
export function reachOf(crosses: readonly Cross[], i: number, scale: number, most: number): number {
  const own = crosses[i]!.at;
  const near = crosses
    .filter((_, k) => k !== i)
    .map(({ at }) => Math.max(Math.abs(at.u - own.u), Math.abs(at.v - own.v)) * scale);
  return Math.max(LEAST_REACH_PX, Math.min(most, ...near));
}
