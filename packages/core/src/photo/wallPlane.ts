import { Matrix, inverse } from 'ml-matrix';
import { adjusted } from './adjust';
import { applied, projected, unprojected, unscaled, type Homography, type Scaling } from './homography';
import { faultOfLaid, type Laid, type PlaneFault } from './laid';
import { bent, lensBend, straightened, type LensBend } from './lens';
import type { PicturePlace } from './pictures';

/**
 * The wall's plane in a photograph: where a place of the wall is in the picture, where a place in the picture is on the
 * wall, and how far that may be out.
 */
export interface WallPlane {
  /** Wall to picture before the lens bends it, nine numbers by rows. */
  matrix: Homography;
  bend: LensBend;
  /** The eight in scaled places, the ninth being 1, and k1. */
  scaled: readonly number[];
  /** Covariance of those nine. */
  covariance: Matrix;
  scaling: { wall: Scaling; picture: Scaling };
  /** Where the references' corners are on the wall, mm, by reference, as all that was laid and taped has it. */
  references: readonly (readonly { x: number; y: number }[])[];
}

export type Planed = { ok: true; plane: WallPlane } | { ok: false; why: PlaneFault };

/** Half of what nineteen of twenty lie within, in standard deviations. */
export const NINETEEN_OF_TWENTY = 1.96;

/**
 * The plane from what was laid onto a picture: by the normalised direct linear transform, then least squares on the
 * picture (Hartley and Zisserman, Multiple View Geometry, 4.4 and 4.5, from memory) together with the lens's bending,
 * the places of what is not the wall's own, and everything that was taped. Each tap is off by its own standard deviation
 * each way, by itself.
 *
 * Fails where four taps say nothing (three in a line, crossed, mirrored), where nothing is tied to the wall's end and the
 * floor, where a straight edge tells nothing of the lens, and where what was laid does not agree with what was taped.
 * A wall seen straight on, 1000 mm to 500 px: `matrix` maps (1000, 0) to 500 px right of (0, 0).
 */
export function wallPlane(laid: Laid): Planed {
  const fault = faultOfLaid(laid);
  if (fault) return { ok: false, why: fault };
  const made = adjusted(laid);
  if (!made.ok) return made;
  const { eight, k1, covariance, scaling, references } = made;
  const plane = {
    matrix: unscaled(eight, scaling.wall, scaling.picture),
    bend: lensBend(laid.picture, k1),
    scaled: [...eight, k1],
    covariance,
    scaling,
    references,
  };
  return { ok: true, plane };
}

type Seeing = Pick<WallPlane, 'matrix' | 'bend'>;

/** Where a place of the wall is in the picture, pixels; undefined where it is behind the camera. */
export function inPicture({ matrix, bend }: Seeing, x: number, y: number): PicturePlace | undefined {
  const ideal = projected(matrix, x, y);
  return ideal && bent(bend, ideal);
}

/** A place on the wall, mm, and half of what nineteen of twenty such measures lie within, each way. */
export interface Measured {
  x: number;
  y: number;
  doubt: { x: number; y: number };
}

/**
 * Where a tapped place of the picture is on the wall, with the doubt that its tap, `sd` pixels off, and all that was laid
 * leave: with F(place, h, k1) = tap, d place = F_place^-1 (d tap - F_h d h - F_k1 d k1). Undefined beyond the wall's horizon.
 */
export function onWall(plane: WallPlane, { u, v, sd }: PicturePlace & { sd: number }): Measured | undefined {
  const { matrix, scaled, covariance, scaling } = plane;
  const at = unprojected(matrix, straightened(plane.bend, { u, v }));
  if (!at) return undefined;
  const place = applied(scaling.wall, at.x, at.y);
  const { ofPlace, ofPlane } = slopes(scaled, scaledBend(plane), place.x, place.y);
  const back = inverse(ofPlace);
  const tapped = Matrix.eye(2).mul((sd * scaling.picture.by) ** 2);
  const spread = ofPlane.mmul(covariance).mmul(ofPlane.transpose()).add(tapped);
  const out = back.mmul(spread).mmul(back.transpose());
  const half = (i: number) => (NINETEEN_OF_TWENTY * Math.sqrt(Math.max(0, out.get(i, i)))) / scaling.wall.by;
  return { ...at, doubt: { x: half(0), y: half(1) } };
}

/**
 * How far off the wall's place may be where the plane draws it, mm, nineteen of twenty, the worse of both ways:
 * what a drawing on the photograph may be out.
 */
export function drawnDoubt(plane: WallPlane, x: number, y: number): number {
  const at = inPicture(plane, x, y);
  const measured = at && onWall(plane, { ...at, sd: 0 });
  return measured ? Math.max(measured.doubt.x, measured.doubt.y) : Infinity;
}

/** The lens's bending between scaled places. */
function scaledBend({ bend, scaling: { picture } }: WallPlane): LensBend {
  const middle = applied(picture, bend.middle.u, bend.middle.v);
  return { k1: bend.k1, middle: { u: middle.x, v: middle.y }, half: bend.half * picture.by };
}

/** How the place in the picture changes with the place on the wall, and with each of the nine; all scaled. */
function slopes(h: readonly number[], { k1, middle, half }: LensBend, x: number, y: number) {
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
  const [du, dv] = [u - middle.u, v - middle.v];
  const far = (du * du + dv * dv) / half ** 2;
  const cross = (2 * k1) / half ** 2;
  const ofIdeal = new Matrix([
    [1 + k1 * far + cross * du * du, cross * du * dv],
    [cross * du * dv, 1 + k1 * far + cross * dv * dv],
  ]);
  const ofK1 = [du * far, dv * far];
  const bentH = ofIdeal.mmul(ofH);
  return {
    ofPlace: ofIdeal.mmul(ofPlace),
    ofPlane: new Matrix([0, 1].map((i) => [...bentH.getRow(i), ofK1[i]!])),
  };
}
