/** Convex shapes on the floor plan: x right, z out of the wall, mm. */
export interface Point {
  x: number;
  z: number;
}

/** A half plane that is taken: free where nx x + nz z >= d; the normal has length one. */
export interface Plane {
  kind: 'plane';
  nx: number;
  nz: number;
  d: number;
}

export interface Bounds {
  left: number;
  right: number;
  near: number;
  far: number;
}

/** A convex polygon that is taken, its corners in order either way round, and the box about it. */
export interface Polygon {
  kind: 'polygon';
  points: readonly Point[];
  bounds: Bounds;
  /** The polygon fills its box. */
  upright: boolean;
}

export const rectangle = (left: number, right: number, near: number, far: number): Polygon => ({
  kind: 'polygon',
  points: [
    { x: left, z: near },
    { x: right, z: near },
    { x: right, z: far },
    { x: left, z: far },
  ],
  bounds: { left, right, near, far },
  upright: true,
});

function polygon(points: readonly Point[]): Polygon {
  const xs = points.map((p) => p.x);
  const zs = points.map((p) => p.z);
  const bounds = {
    left: Math.min(...xs),
    right: Math.max(...xs),
    near: Math.min(...zs),
    far: Math.max(...zs),
  };
  return { kind: 'polygon', points, bounds, upright: false };
}

/**
 * A quarter of a disc about a hinge, as a polygon that holds it whole: the arc is replaced by its
 * tangents, so that it is never smaller than what a door sweeps. `across` and `out` are 1 or -1:
 * to which side of the hinge it lies.
 */
export function quarterDisc(hinge: Point, radius: number, across: 1 | -1, out: 1 | -1): Polygon {
  const outer = radius / Math.cos(Math.PI / (4 * SIDES));
  const arc = Array.from({ length: SIDES }, (_, i) => {
    const angle = ((i + 0.5) * Math.PI) / (2 * SIDES);
    return { x: outer * Math.cos(angle), z: outer * Math.sin(angle) };
  });
  const all = [{ x: 0, z: 0 }, { x: radius, z: 0 }, ...arc, { x: 0, z: radius }];
  return polygon(all.map(({ x, z }) => ({ x: hinge.x + across * x, z: hinge.z + out * z })));
}
const SIDES = 6;

/**
 * A gap between a convex polygon and what is taken, mm: never more than the true distance, and zero
 * or less exactly when they overlap. For polygons the widest gap along any edge's normal (separating
 * axis). Unit square against one that begins 3 to its right: 3.
 */
export function gapTo(corners: readonly Point[], taken: Plane | Polygon): number {
  if (taken.kind === 'plane') {
    let least = Infinity;
    for (const { x, z } of corners) least = Math.min(least, taken.nx * x + taken.nz * z - taken.d);
    return least;
  }
  return Math.max(gapAlong(corners, taken.points), gapAlong(taken.points, corners));
}

/**
 * The same for an upright box: along its own sides first, which is all there is to it against another
 * upright box. More than `enough` is not looked at any closer.
 */
export function boxGap(box: Bounds, taken: Plane | Polygon, enough: number): number {
  if (taken.kind === 'plane') {
    const x = taken.nx > 0 ? box.left : box.right;
    const z = taken.nz > 0 ? box.near : box.far;
    return taken.nx * x + taken.nz * z - taken.d;
  }
  const { left, right, near, far } = taken.bounds;
  const gap = Math.max(left - box.right, box.left - right, near - box.far, box.near - far);
  if (taken.upright || gap > enough) return gap;
  return Math.max(gap, gapTo(rectangle(box.left, box.right, box.near, box.far).points, taken));
}

/** The widest gap along the normals of the first polygon's edges. */
function gapAlong(of: readonly Point[], other: readonly Point[]): number {
  let widest = -Infinity;
  for (let i = 0; i < of.length; i++) {
    const p = of[i]!;
    const q = of[(i + 1) % of.length]!;
    const long = Math.hypot(q.x - p.x, q.z - p.z);
    if (long === 0) continue;
    const nx = (q.z - p.z) / long;
    const nz = (p.x - q.x) / long;
    // which side of the edge its own polygon lies on tells which way the normal points out
    const [own, ours] = [extent(of, nx, nz), nx * p.x + nz * p.z];
    const outward = own.most - ours <= ours - own.least;
    const far = extent(other, nx, nz);
    widest = Math.max(widest, outward ? far.least - ours : ours - far.most);
  }
  return widest;
}

function extent(points: readonly Point[], nx: number, nz: number): { least: number; most: number } {
  let [least, most] = [Infinity, -Infinity];
  for (const { x, z } of points) {
    const at = nx * x + nz * z;
    if (at < least) least = at;
    if (at > most) most = at;
  }
  return { least, most };
}
