import { projected, unprojected } from './homography';
import { bent } from './lens';
import type { PicturePlace, PictureSize } from './pictures';
import type { WallPlane } from './wallPlane';

/** A camera before the wall: what is out of the wall's plane has its place in the picture too. */
export interface Camera {
  /** Focal length, pixels. */
  focal: number;
  /** The focal length is a usual one, because the picture, taken straight on, says nothing of it. */
  assumed: boolean;
  /** Where the lens is, mm: from the wall's left end, from the floor, out of the wall. */
  at: { x: number; y: number; z: number };
  /** Wall to picture for places out of the wall, three rows of four. */
  matrix: readonly number[];
}

export type CameraFault = 'behind-the-wall';
export type Found = { ok: true; camera: Camera } | { ok: false; why: CameraFault };

/** Of the picture's longer edge: a phone's usual lens, 26 mm on a film 36 mm wide. Common practice. */
const USUAL_FOCAL = 26 / 36;
/** Focal lengths to the longer edge that cameras have: from 90 degrees across to 12. Another one is a sign that the picture says nothing of it. */
const FOCALS = { least: 0.5, most: 5 } as const;
/** Wall in metres: numbers near one. */
const MM = 1000;

type Three = [number, number, number];

/**
 * The camera that saw the wall's plane so, its pixels square and its middle the picture's middle. With K = diag(f, f, 1)
 * the first two columns of K^-1 H are the wall's right and up, at right angles and equally long: two equations for f
 * (Zhang's, from memory), solved together by least squares; in a picture taken straight on both say nothing, and a
 * usual one is assumed.
 *
 * `assume` is taken instead of what the picture says. Fails where the wall would be seen from behind.
 */
export function cameraBefore(plane: Pick<WallPlane, 'matrix'>, { width, height }: PictureSize, assume?: number): Found {
  const [cu, cv] = [width / 2, height / 2];
  const m = plane.matrix;
  // the picture's middle becomes the origin, the wall's mm metres
  const column = (i: number, by: number): Three => [
    (m[i]! - cu * m[6 + i]!) * by,
    (m[3 + i]! - cv * m[6 + i]!) * by,
    m[6 + i]! * by,
  ];
  const [a, b, c] = [column(0, MM), column(1, MM), column(2, 1)];
  const longer = Math.max(width, height);
  const found = assume === undefined ? focalOf(a, b) : undefined;
  const known = found !== undefined && found >= FOCALS.least * longer && found <= FOCALS.most * longer;
  const focal = known ? found : (assume ?? USUAL_FOCAL * longer);
  const unfocused = ([x, y, z]: Three): Three => [x / focal, y / focal, z];
  const [right, up, origin] = [unfocused(a), unfocused(b), unfocused(c)];
  const scale = 2 / (length(right) + length(up));
  const r1 = unit(right);
  // at right angles to the first, whatever the taps left over
  const r2 = unit(less(up, times(r1, dot(up, r1))));
  const r3 = cross(r1, r2);
  const t = times(origin, scale);
  // the lens in the wall's own directions, metres
  const lens: Three = [-dot(r1, t), -dot(r2, t), -dot(r3, t)];
  if (lens[2] <= 0 || t[2] <= 0) return { ok: false, why: 'behind-the-wall' };
  const out = times(r3, 1 / MM);
  const rows = [0, 1, 2].map((i) => [r1[i]! / MM, r2[i]! / MM, out[i]!, t[i]!]);
  const [first, second, third] = rows as [number[], number[], number[]];
  const matrix = [
    ...first.map((value, i) => focal * value + cu * third[i]!),
    ...second.map((value, i) => focal * value + cv * third[i]!),
    ...third,
  ];
  const at = { x: lens[0] * MM, y: lens[1] * MM, z: lens[2] * MM };
  return { ok: true, camera: { focal, assumed: !known, at, matrix } };
}

/**
 * Where a place is in the picture, `z` mm out of the wall; undefined behind the camera. On the wall itself the plane's own
 * place, which the taps were fitted to, is taken: what is drawn there lies where it was tapped.
 */
export function seenAt(
  plane: Pick<WallPlane, 'matrix' | 'bend'>,
  { matrix }: Camera,
  x: number,
  y: number,
  z: number,
): PicturePlace | undefined {
  const foot = projected(plane.matrix, x, y);
  if (z === 0 || !foot) return foot && bent(plane.bend, foot);
  const [at, base] = [project(matrix, x, y, z), project(matrix, x, y, 0)];
  return at && base && bent(plane.bend, { u: foot.u + at.u - base.u, v: foot.v + at.v - base.v });
}

/**
 * Where something that stands `z` mm out of the wall is, that is seen there; undefined where the ray does not meet it.
 * The camera's ray is straight: two linear equations, as for the wall itself.
 */
export function frontOfWall(
  { matrix: m }: Camera,
  { u, v }: PicturePlace,
  z: number,
): { x: number; y: number } | undefined {
  const out = (row: number) => m[row + 2]! * z + m[row + 3]!;
  const plane = [m[0]!, m[1]!, out(0), m[4]!, m[5]!, out(4), m[8]!, m[9]!, out(8)];
  return unprojected(plane, { u, v });
}

function project(m: readonly number[], x: number, y: number, z: number): PicturePlace | undefined {
  const row = (i: number) => m[i]! * x + m[i + 1]! * y + m[i + 2]! * z + m[i + 3]!;
  const w = row(8);
  return w <= 0 ? undefined : { u: row(0) / w, v: row(4) / w };
}

/** f from the two equations that the wall's right and up give: with g = 1 / f^2, p g + q = 0 for both. */
function focalOf(a: Three, b: Three): number | undefined {
  const equations = [
    { p: a[0] * b[0] + a[1] * b[1], q: a[2] * b[2] },
    { p: a[0] ** 2 + a[1] ** 2 - b[0] ** 2 - b[1] ** 2, q: a[2] ** 2 - b[2] ** 2 },
  ];
  const [pp, pq] = [equations.reduce((s, { p }) => s + p * p, 0), equations.reduce((s, { p, q }) => s + p * q, 0)];
  const g = -pq / pp;
  return g > 0 && Number.isFinite(g) ? 1 / Math.sqrt(g) : undefined;
}

const dot = (a: Three, b: Three): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const length = (a: Three): number => Math.sqrt(dot(a, a));
const times = (a: Three, by: number): Three => [a[0] * by, a[1] * by, a[2] * by];
const less = (a: Three, b: Three): Three => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const unit = (a: Three): Three => times(a, 1 / length(a));
const cross = (a: Three, b: Three): Three => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
