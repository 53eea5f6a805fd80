import type { Backing, Build, Course } from '@steddo/contract';
import { USUAL_JOINT_MM } from './masonryCourses';

/** Kept from a mortar joint, mm. Ours. */
const JOINT_MM = 30;

/** Kept from the edge of a backing, mm; and what is taken of backing whose edges nobody has marked. Ours. */
const BACKING_EDGE_MM = 20;
const BACKING_UNMARKED = 0.95;

/** Sizes of units whose own nobody has measured, mm: metric brick and block with 10 mm joints. Common practice. */
const USUAL_UNITS = {
  brick: { width: 215, height: 65 },
  block: { width: 440, height: 215 },
  stone: { width: 300, height: 150 },
} as const;

/**
 * Chance that a hole in masonry is in a unit and 30 mm from every joint. Where joints were marked it is
 * known; where none was, the share of the wall that is such; concrete has no joints.
 * Block 440 x 215 with 10 mm joints, nothing marked: 380 x 155 of 450 x 225, 0.582.
 */
export function unitChance(build: Build, courses: readonly Course[] | undefined, x: number, y: number): number {
  if (build.masonry === 'concrete') return 1;
  const joint = build.unit?.joint ?? USUAL_JOINT_MM;
  if (courses) return jointGap(courses, x, y, joint) >= JOINT_MM ? 1 : 0;
  const unit = build.unit ?? USUAL_UNITS[build.masonry ?? 'block'];
  const clear = Math.max(0, unit.width - 2 * JOINT_MM) * Math.max(0, unit.height - 2 * JOINT_MM);
  return clear / ((unit.width + joint) * (unit.height + joint));
}

/** From a place to the nearest joint, of so much mortar, mm; negative in a joint. */
export function jointGap(courses: readonly Course[], x: number, y: number, joint: number): number {
  const own = courses.find((c) => y >= c.bottom && y <= c.top);
  if (!own) return -1;
  const beside = own.joints.map((j) => Math.abs(j - x) - joint / 2);
  return Math.min(y - own.bottom, own.top - y, ...beside);
}

/**
 * Chance that a hole is in the backing: 1 well inside its marked edges, 0 beyond one, and 0.95 where an
 * edge on some side was never marked.
 */
export function backingChance(backing: Backing | undefined, x: number, y: number): number {
  const gaps = [
    backing?.left === undefined ? undefined : x - backing.left,
    backing?.right === undefined ? undefined : backing.right - x,
    backing?.bottom === undefined ? undefined : y - backing.bottom,
    backing?.top === undefined ? undefined : backing.top - y,
  ];
  if (gaps.some((g) => g !== undefined && g < BACKING_EDGE_MM)) return 0;
  return gaps.every((g) => g !== undefined) ? 1 : BACKING_UNMARKED;
}
