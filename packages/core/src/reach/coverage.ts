import type { Point } from '../primitives/convex';
import { toDeg } from '../primitives/convert';
import { reachTable, type Reach, type Stand } from '../arm/reachTable';
import { aimAt, faceOf, offAxis } from '../arm/setShape';

/** Grid of the set's joint over the floor on which poses are tried, and that of the coverage map, mm. */
export const COVERAGE_STEP_MM = 50;

/** The floor as a grid of cells, each by its middle, mm. */
export interface FloorGrid {
  left: number;
  near: number;
  step: number;
  columns: number;
  rows: number;
}

/** Poses are tried on a coarser grid than for a seat: it moves the answer by less than a cell. */
const POSE_STEP_MM = 60;

/** What the map is worked out from, once. */
export const coverageStands = (reach: Reach): Stand[] => reachTable(reach, POSE_STEP_MM).stands;

/**
 * The least angle off the set's axis over every pose, degrees, for one row of cells; a cell in the
 * set's own way counts as if nothing stood on it. A cell straight ahead: 0.
 */
export function coverageRow(reach: Reach, stands: readonly Stand[], grid: FloorGrid, row: number): Float32Array {
  const z = grid.near + (row + 0.5) * grid.step;
  return Float32Array.from({ length: grid.columns }, (_, column) =>
    leastOff(reach, stands, { x: grid.left + (column + 0.5) * grid.step, z }),
  );
}

/** The whole map, row by row from the wall. */
export function coverage(reach: Reach, grid: FloorGrid): Float32Array[] {
  const stands = coverageStands(reach);
  return Array.from({ length: grid.rows }, (_, row) => coverageRow(reach, stands, grid, row));
}

/** In degrees; over at the first pose that looks straight there. */
export function leastOff({ shape }: Reach, stands: readonly Stand[], seat: Point): number {
  let least = Infinity;
  for (const stand of stands) {
    const aim = aimAt(shape, stand, seat);
    if (aim === undefined) continue;
    const yaw = aim > stand.hi ? stand.hi : aim < stand.lo ? stand.lo : aim;
    const pose = { x: stand.x, z: stand.z, yaw };
    // behind the set's own face nobody sees anything
    const face = yaw === aim ? faceOf(shape, pose) : undefined;
    if (face && (seat.x - face.x) * Math.sin(yaw) + (seat.z - face.z) * Math.cos(yaw) > 0) return 0;
    least = Math.min(least, Math.abs(offAxis(shape, pose, seat)));
  }
  return toDeg(least);
}

/** The grid that covers a floor from the wall on, in cells of so many mm. */
export const gridOver = (left: number, right: number, far: number, step: number): FloorGrid => ({
  left,
  near: 0,
  step,
  columns: Math.ceil((right - left) / step),
  rows: Math.ceil(far / step),
});
