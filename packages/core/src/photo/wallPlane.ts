import { Matrix, SVD, inverse } from 'ml-matrix';

/**
 * The wall's plane in a photograph: where a place of the wall is in the picture, where a place in the picture is on the
 * wall, and how far that may be out.
 *
 * A plane is seen through a lens without distortion by a homography: with the place (x, y) on the wall in mm and (u, v)
 * in the picture in pixels, u = (h1 x + h2 y + h3) / (h7 x + h8 y + h9), v alike with h4 to h6.
 */

/** A place in a picture, pixels from its upper left corner. */
export interface PicturePlace {
  u: number;
  v: number;
}

/** A place that was tapped in the picture, and where it is on the wall, mm. */
export interface Tapped extends PicturePlace {
  x: number;
  y: number;
}

export interface WallPlane {
  /** Wall to picture, nine numbers by rows. */
  matrix: readonly number[];
  /** Covariance of the first eight, with the wall's and the picture's places scaled as `scaling` says. */
  covariance: Matrix;
  scaling: { wall: Scaling; picture: Scaling };
  /** The eight in scaled places, the ninth being 1. */
  scaled: readonly number[];
  /** How far a tap may be off, one standard deviation, pixels. */
  tapSd: number;
}

/** Places are moved to their middle and made as large as one: Hartley's normalisation. */
interface Scaling {
  x: number;
  y: number;
  by: number;
}

/** Why four taps say nothing of the wall. */
export type PlaneFault = 'too-few' | 'in-a-line' | 'crossed' | 'mirrored';

export type Planed = { ok: true; plane: WallPlane } | { ok: false; why: PlaneFault };

/** Half of what nineteen of twenty lie within, in standard deviations. */
const NINETEEN_OF_TWENTY = 1.96;
/** Of a triangle's area to its longest side squared: less is a line to a finger. */
const FLAT = 0.02;
const REFINED = 12;
const SETTLED = 1e-12;

/**
 * The plane from taps of known places, four or more: by the normalised direct linear transform, then least squares on
 * the picture (Hartley and Zisserman, Multiple View Geometry, 4.4 and 4.5, from memory). Taps are off by `tapSd` pixels,
 * one standard deviation, each way, by themselves.
 *
 * Fails where there are fewer than four, where three of four lie in a line, where they were tapped in another order
 * than they lie on the wall, or as in a mirror.
 * A wall seen straight on, 1000 mm to 500 px: `matrix` maps (1000, 0) to 500 px right of (0, 0).
 */
export function wallPlane(taps: readonly Tapped[], tapSd: number): Planed {
  const fault = faultOf(taps);
  if (fault) return { ok: false, why: fault };
  const wall = scalingOf(taps.map(({ x, y }) => ({ x, y })));
  const picture = scalingOf(taps.map(({ u, v }) => ({ x: u, y: v })));
  const scaledTaps = taps.map(({ x, y, u, v }) => {
    const [from, to] = [applied(wall, x, y), applied(picture, u, v)];
    return { x: from.x, y: from.y, u: to.x, v: to.y };
  });
  const start = linear(scaledTaps);
  if (!start) return { ok: false, why: 'in-a-line' };
  const scaled = refined(start, scaledTaps);
  const normal = normalMatrix(scaled, scaledTaps);
  const variance = (tapSd * picture.by) ** 2;
  const covariance = inverse(normal).mul(variance);
  const matrix = unscaled(scaled, wall, picture);
  return { ok: true, plane: { matrix, covariance, scaling: { wall, picture }, scaled, tapSd } };
}

/** Where a place of the wall is in the picture, pixels; undefined where it is behind the camera. */
export function inPicture({ matrix }: Pick<WallPlane, 'matrix'>, x: number, y: number): PicturePlace | undefined {
  const [a, b, c, d, e, f, g, h, i] = matrix as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const w = g * x + h * y + i;
  return w <= 0 ? undefined : { u: (a * x + b * y + c) / w, v: (d * x + e * y + f) / w };
}

/** A place on the wall, mm, and half of what nineteen of twenty such measures lie within, each way. */
export interface Measured {
  x: number;
  y: number;
  doubt: { x: number; y: number };
}

/**
 * Where a tapped place of the picture is on the wall, with the doubt that its tap and those of the plane leave:
 * with F(place, h) = tap, d place = F_place^-1 (d tap - F_h d h). Undefined beyond the wall's horizon.
 */
export function onWall(plane: WallPlane, u: number, v: number): Measured | undefined {
  const { scaled, covariance, scaling, tapSd } = plane;
  const to = applied(scaling.picture, u, v);
  const place = solved(scaled, to.x, to.y);
  if (!place) return undefined;
  const { ofPlace, ofH } = slopes(scaled, place.x, place.y);
  const back = inverse(ofPlace);
  const tapped = Matrix.eye(2).mul((tapSd * scaling.picture.by) ** 2);
  const spread = ofH.mmul(covariance).mmul(ofH.transpose()).add(tapped);
  const out = back.mmul(spread).mmul(back.transpose());
  const sd = (i: number) => Math.sqrt(Math.max(0, out.get(i, i))) / scaling.wall.by;
  return {
    x: place.x / scaling.wall.by + scaling.wall.x,
    y: place.y / scaling.wall.by + scaling.wall.y,
    doubt: { x: NINETEEN_OF_TWENTY * sd(0), y: NINETEEN_OF_TWENTY * sd(1) },
  };
}

/**
 * How far off the wall's place may be where the plane draws it, mm, nineteen of twenty, the worse of both ways:
 * what a drawing on the photograph may be out.
 */
export function drawnDoubt(plane: WallPlane, x: number, y: number): number {
  const at = inPicture(plane, x, y);
  const measured = at && onWall({ ...plane, tapSd: 0 }, at.u, at.v);
  return measured ? Math.max(measured.doubt.x, measured.doubt.y) : Infinity;
}

function faultOf(taps: readonly Tapped[]): PlaneFault | undefined {
  if (taps.length < 4) return 'too-few';
  if (taps.length > 4) return undefined;
  const picture = turns(taps.map(({ u, v }) => ({ x: u, y: v })));
  const wall = turns(taps.map(({ x, y }) => ({ x, y })));
  if ([...picture, ...wall].some((t) => Math.abs(t) < FLAT)) return 'in-a-line';
  // the wall's y goes up and the picture's v goes down: who looks at its front sees every turn the other way round
  const same = picture.map((t, i) => Math.sign(t) === Math.sign(wall[i]!));
  if (same.every((s) => !s)) return undefined;
  return same.every((s) => s) ? 'mirrored' : 'crossed';
}

/** Of each three that follow each other: the area of their triangle to the longest side squared, signed by the turn. */
function turns(points: readonly { x: number; y: number }[]): number[] {
  return points.map((a, i) => {
    const [b, c] = [points[(i + 1) % points.length]!, points[(i + 2) % points.length]!];
    const area = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
    const side = Math.max(
      Math.hypot(b.x - a.x, b.y - a.y),
      Math.hypot(c.x - b.x, c.y - b.y),
      Math.hypot(c.x - a.x, c.y - a.y),
    );
    return side === 0 ? 0 : area / side ** 2;
  });
}

function scalingOf(points: readonly { x: number; y: number }[]): Scaling {
  const mean = (of: (p: { x: number; y: number }) => number) =>
    points.reduce((sum, p) => sum + of(p), 0) / points.length;
  const [x, y] = [mean((p) => p.x), mean((p) => p.y)];
  return { x, y, by: Math.SQRT2 / mean((p) => Math.hypot(p.x - x, p.y - y)) };
}

const applied = ({ x, y, by }: Scaling, px: number, py: number) => ({ x: (px - x) * by, y: (py - y) * by });

/** The eight numbers, the ninth being 1: the places' middle is in front of the camera, so that it is not 0. */
function linear(taps: readonly Tapped[]): number[] | undefined {
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

/** Gauss and Newton on the distances in the picture. */
function refined(start: number[], taps: readonly Tapped[]): number[] {
  let h = start;
  for (let i = 0; i < REFINED; i++) {
    const { slope, off } = residuals(h, taps);
    const step = new SVD(slope, { autoTranspose: true }).solve(off).getColumn(0);
    h = h.map((value, k) => value + step[k]!);
    if (Math.max(...step.map(Math.abs)) < SETTLED) break;
  }
  return h;
}

function residuals(h: readonly number[], taps: readonly Tapped[]): { slope: Matrix; off: Matrix } {
  const slope = new Matrix(2 * taps.length, 8);
  const off = new Matrix(2 * taps.length, 1);
  taps.forEach(({ x, y, u, v }, i) => {
    const { ofH, at } = slopes(h, x, y);
    for (const row of [0, 1]) slope.setRow(2 * i + row, ofH.getRow(row));
    off.set(2 * i, 0, u - at.u);
    off.set(2 * i + 1, 0, v - at.v);
  });
  return { slope, off };
}

function normalMatrix(h: readonly number[], taps: readonly Tapped[]): Matrix {
  const { slope } = residuals(h, taps);
  return slope.transpose().mmul(slope);
}

/** Where a place is in the picture, and how that changes with the place and with each of the eight. */
function slopes(h: readonly number[], x: number, y: number) {
  const [a, b, c, d, e, f, g, k] = h as [number, number, number, number, number, number, number, number];
  const w = g * x + k * y + 1;
  const [u, v] = [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
  const ofH = new Matrix([
    [x / w, y / w, 1 / w, 0, 0, 0, (-u * x) / w, (-u * y) / w],
    [0, 0, 0, x / w, y / w, 1 / w, (-v * x) / w, (-v * y) / w],
  ]);
  const ofPlace = new Matrix([
    [(a - u * g) / w, (b - u * k) / w],
    [(d - v * g) / w, (e - v * k) / w],
  ]);
  return { at: { u, v }, ofH, ofPlace };
}

/** The place whose picture is there: two linear equations. */
function solved(h: readonly number[], u: number, v: number): { x: number; y: number } | undefined {
  const [a, b, c, d, e, f, g, k] = h as [number, number, number, number, number, number, number, number];
  const [p, q, r, s] = [a - u * g, b - u * k, d - v * g, e - v * k];
  const det = p * s - q * r;
  if (Math.abs(det) < 1e-12) return undefined;
  const x = ((u - c) * s - (v - f) * q) / det;
  const y = ((v - f) * p - (u - c) * r) / det;
  return g * x + k * y + 1 <= 0 ? undefined : { x, y };
}

function unscaled(h: readonly number[], wall: Scaling, picture: Scaling): number[] {
  const [a, b, c, d, e, f, g, k] = h as [number, number, number, number, number, number, number, number];
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
