import { Matrix, SVD } from 'ml-matrix';
import type { PicturePlace, Tapped } from './pictures';

/**
 * A plane seen by a pinhole: with the place (x, y) on the wall in mm and (u, v) in the picture in pixels,
 * u = (h1 x + h2 y + h3) / (h7 x + h8 y + h9), v alike with h4 to h6. Nine numbers by rows.
 */
export type Homography = readonly number[];

/** Places are moved to their middle and made as large as one: Hartley's normalisation. */
export interface Scaling {
  x: number;
  y: number;
  by: number;
}

export function scalingOf(points: readonly { x: number; y: number }[]): Scaling {
  const mean = (of: (p: { x: number; y: number }) => number) =>
    points.reduce((sum, p) => sum + of(p), 0) / points.length;
  const [x, y] = [mean((p) => p.x), mean((p) => p.y)];
  return { x, y, by: Math.SQRT2 / mean((p) => Math.hypot(p.x - x, p.y - y)) };
}

export const applied = ({ x, y, by }: Scaling, px: number, py: number) => ({ x: (px - x) * by, y: (py - y) * by });

/**
 * The eight numbers from four taps or more, the ninth being 1, by the direct linear transform; wall and picture scaled.
 * Undefined where the places' middle would be beside the camera.
 */
export function linear(taps: readonly Tapped[]): number[] | undefined {
  const rows = taps.flatMap(({ x, y, u, v }) => [
    [x, y, 1, 0, 0, 0, -u * x, -u * y, -u],
    [0, 0, 0, x, y, 1, -v * x, -v * y, -v],
  ]);
  // eight rows have no vector for what they leave open
  while (rows.length < 9) rows.push(new Array<number>(9).fill(0));
  const svd = new SVD(new Matrix(rows), { computeLeftSingularVectors: false, autoTranspose: false });
  const last = svd.rightSingularVectors.getColumn(8);
  const ninth = last[8]!;
  return Math.abs(ninth) < 1e-9 ? undefined : last.slice(0, 8).map((value) => value / ninth);
}

type Eight = [number, number, number, number, number, number, number, number];
type Nine = [...Eight, number];

/** Where a place of the wall is; undefined behind the camera. */
export function projected(h: Homography, x: number, y: number): PicturePlace | undefined {
  const [a, b, c, d, e, f, g, k, i = 1] = h as Nine;
  const w = g * x + k * y + i;
  return w <= 0 ? undefined : { u: (a * x + b * y + c) / w, v: (d * x + e * y + f) / w };
}

/** Where on the wall what is seen there is: two linear equations; undefined beyond the wall's horizon. */
export function unprojected(h: Homography, { u, v }: PicturePlace): { x: number; y: number } | undefined {
  const [a, b, c, d, e, f, g, k, i = 1] = h as Nine;
  const [p, q, r, s] = [a - u * g, b - u * k, d - v * g, e - v * k];
  const det = p * s - q * r;
  if (det === 0 || Math.abs(det) < 1e-12 * (Math.abs(p * s) + Math.abs(q * r))) return undefined;
  const x = ((i * u - c) * s - (i * v - f) * q) / det;
  const y = ((i * v - f) * p - (i * u - c) * r) / det;
  return g * x + k * y + i <= 0 ? undefined : { x, y };
}

/** From the eight between scaled places the nine between mm and pixels. */
export function unscaled(h: Homography, wall: Scaling, picture: Scaling): number[] {
  const [a, b, c, d, e, f, g, k] = h as Eight;
  const to = new Matrix([
    [wall.by, 0, -wall.by * wall.x],
    [0, wall.by, -wall.by * wall.y],
    [0, 0, 1],
  ]);
  const back = new Matrix([
    [1 / picture.by, 0, picture.x],
    [0, 1 / picture.by, picture.y],
    [0, 0, 1],
  ]);
  return back
    .mmul(
      new Matrix([
        [a, b, c],
        [d, e, f],
        [g, k, 1],
      ]),
    )
    .mmul(to)
    .to1DArray();
}
