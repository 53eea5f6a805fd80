import type { Job, Mount } from '@steddo/contract';

/** Width of an arm, and how far it goes beyond what it holds, mm: to be drawn and kept clear of. Ours. */
const ARM_MM = 34;
const BEYOND_MM = 24;

/** A pattern this narrow takes a plate in the middle instead of arms, mm. */
const PLATE_PATTERN_MM = 100;

/** Something of the mount on the set's back, from its outline's centre, seen from the front. mm. */
export interface OnBack {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/**
 * The mount's two arms over the inserts with their hooks at the rail, or the plate in the middle of a small pattern.
 * A pattern of 200 x 200 in the middle, 40 under the rail: arms 34 wide at -100 and 100, from -124 to 124.
 */
export function armsOnBack({ pattern, patternCentre }: Job['screen'], { type }: Mount, above: number): OnBack[] {
  const [cx, cy] = [patternCentre?.right ?? 0, patternCentre?.up ?? 0];
  const { width, height } = pattern;
  if (type === 'monitor-arm' || width <= PLATE_PATTERN_MM) {
    const half = Math.max(width, height) / 2 + BEYOND_MM / 2;
    return [{ left: cx - half, right: cx + half, bottom: cy - half, top: cy + half }];
  }
  const rail = cy - above;
  const top = Math.max(rail, cy + height / 2) + BEYOND_MM;
  const bottom = Math.min(rail, cy - height / 2) - BEYOND_MM;
  return [-1, 1].map((side) => {
    const x = cx + (side * width) / 2;
    return { left: x - ARM_MM / 2, right: x + ARM_MM / 2, bottom, top };
  });
}
