import { Matrix } from 'ml-matrix';
import { cameraBefore, frontOfWall, type Camera } from './camera';
import { unprojected, unscaled } from './homography';
import { lensBend, straightened } from './lens';
import type { PicturePlace, PictureSize, Tap } from './pictures';
import { TAPED_SD_MM } from './adjust';
import { NINETEEN_OF_TWENTY, type WallPlane } from './wallPlane';

/** Something upright that was measured by the picture, mm, and how far each measure may be out, nineteen of twenty. */
export interface MeasuredBox {
  left: number;
  right: number;
  bottom: number;
  top: number;
  doubt: Record<Side | 'width' | 'height', number>;
}
type Side = 'left' | 'right' | 'bottom' | 'top';

/** How far a lens that the picture does not tell may be off the usual one, as a share. Ours: phones have 24 to 30 mm. */
const ASSUMED_FOCAL_SD = 0.12;

export interface SeenWall {
  plane: WallPlane;
  camera: Camera;
  picture: PictureSize;
}

/**
 * A box by two of its corners in the picture, opposite ones, its front `out` mm before the wall. The doubt of everything
 * that was laid, of both taps, of the depth's tape and of a lens that is assumed is carried through by small steps of each.
 * Undefined beyond the wall's horizon.
 * A thing seen straight on, two pixels to a millimetre, taps 1 px off: each edge within 1 mm and the plane's own doubt.
 */
export function measureBox(seen: SeenWall, [a, b]: readonly [Tap, Tap], out = 0): MeasuredBox | undefined {
  const at = sidesOf(seen, [a, b], out);
  const sides = at([]);
  if (!sides) return undefined;
  const { covariance } = seen.plane;
  const spread = new Matrix(6, 6);
  // rows: left, right, bottom, top, width, height
  const slope = (k: number, by: number): number[] | undefined => {
    const [more, less] = [at([k, by]), at([k, -by])];
    return more && less && withSize(more).map((m, i) => (m - withSize(less)[i]!) / (2 * by));
  };
  const ofPlane = Array.from({ length: 9 }, (_, k) => slope(k, 1e-6));
  if (ofPlane.some((s) => !s)) return undefined;
  const jacobian = new Matrix(ofPlane as number[][]).transpose();
  spread.add(jacobian.mmul(covariance).mmul(jacobian.transpose()));
  const others: [number, number, number][] = [
    [9, a.sd, 0.1],
    [10, a.sd, 0.1],
    [11, b.sd, 0.1],
    [12, b.sd, 0.1],
    ...(out > 0 ? ([[13, TAPED_SD_MM, 1]] as [number, number, number][]) : []),
    ...(out > 0 && seen.camera.assumed ? ([[14, ASSUMED_FOCAL_SD, 0.01]] as [number, number, number][]) : []),
  ];
  for (const [k, sd, by] of others) {
    const column = slope(k, by);
    if (!column) return undefined;
    const moved = Matrix.columnVector(column);
    spread.add(moved.mmul(moved.transpose()).mul(sd * sd));
  }
  const [left, right, bottom, top, width, height] = spread
    .diagonal()
    .map((v) => NINETEEN_OF_TWENTY * Math.sqrt(Math.max(0, v))) as [number, number, number, number, number, number];
  return { ...sides, doubt: { left, right, bottom, top, width, height } };
}

type Sides = Record<Side, number>;

const withSize = ({ left, right, bottom, top }: Sides): number[] => [
  left,
  right,
  bottom,
  top,
  right - left,
  top - bottom,
];

/** The box's sides, with one of the numbers that it rests on moved: nine of the plane, four of the taps, its depth, the focal length. */
function sidesOf({ plane, picture, camera }: SeenWall, taps: readonly [Tap, Tap], out: number) {
  const { wall, picture: to } = plane.scaling;
  return ([moved, by = 0]: readonly [number, number] | readonly []): Sides | undefined => {
    const more = (k: number) => (moved === k ? by : 0);
    const eight = plane.scaled.slice(0, 8).map((value, k) => value + more(k));
    const bend = lensBend(picture, plane.scaled[8]! + more(8));
    const matrix = unscaled(eight, wall, to);
    const assumed = camera.assumed ? camera.focal * (1 + more(14)) : undefined;
    const found = out > 0 ? cameraBefore({ matrix }, picture, assumed) : undefined;
    const place = (tap: PicturePlace) => {
      const ideal = straightened(bend, tap);
      if (!found) return unprojected(matrix, ideal);
      return found.ok ? frontOfWall(found.camera, ideal, out + more(13)) : undefined;
    };
    const [p, q] = taps.map((t, i) => place({ u: t.u + more(9 + 2 * i), v: t.v + more(10 + 2 * i) }));
    if (!p || !q) return undefined;
    return {
      left: Math.min(p.x, q.x),
      right: Math.max(p.x, q.x),
      bottom: Math.min(p.y, q.y),
      top: Math.max(p.y, q.y),
    };
  };
}
