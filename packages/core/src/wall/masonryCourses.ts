import type { Build, Course, Evidence } from '@steddo/contract';
import { courseOf, markedJoints, shiftOf, type JointLine } from './markedJoints';

/**
 * Courses and joints of a masonry wall, set out from marked joints and the unit's size, half over half.
 *
 *   course height = unit + joint, bond = unit + joint; every other course half a bond over
 *
 * Block 440 x 215 with 10 mm joints marked at (1500, 1420): courses every 225 mm, joints every 450 mm; with a bed alone
 * its courses have no uprights. Undefined without a marked bed, and for concrete.
 */
export function masonryCourses(
  build: Build,
  evidence: readonly Evidence[],
  wall: { width: number; height: number },
): Course[] | undefined {
  if (build.kind !== 'masonry') return undefined;
  const marked = markedJoints(build, evidence);
  if (!marked?.bed) return undefined;
  const { bed, upright, joint } = marked;
  const lowest = courseOf(0, bed);
  const highest = courseOf(wall.height, bed) + 1;
  return Array.from({ length: highest - lowest }, (_, i): Course => {
    const k = lowest + i;
    return {
      bottom: Math.max(0, bed.at + k * bed.every + joint / 2),
      top: Math.min(wall.height, bed.at + (k + 1) * bed.every - joint / 2),
      joints: upright ? jointsAlong(upright, shiftOf(k, upright.every), wall.width) : [],
    };
  }).filter((c) => c.top > c.bottom);
}

function jointsAlong({ at, every }: JointLine, shift: number, width: number): number[] {
  const x = at + shift;
  const first = Math.ceil(-x / every);
  const last = Math.floor((width - x) / every);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => x + (first + i) * every);
}
