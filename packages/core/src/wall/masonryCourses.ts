import type { Course, Evidence } from '@steddo/contract';
import { isIn, wallAt, type Wall } from '../room/wallAt';
import {
  courseNumber,
  courseOf,
  jointsOfWall,
  laidOtherwise,
  markedJoints,
  shiftOf,
  type JointLine,
  type MarkedJoints,
} from './markedJoints';

interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/**
 * Courses and joints of a masonry wall and of its parts in masonry, set out from marked joints and the unit's size,
 * counted up from the floor.
 *
 *   course height = unit + joint, bond = unit + joint; every other course half a bond over, unless they stand in line
 *
 * Block 440 x 215 with 10 mm joints marked at (1500, 1420): courses every 225 mm, joints every 450 mm; with a bed alone
 * its courses have no uprights. None without a marked bed, and for concrete. Undefined where there are none at all.
 */
export function masonryCourses(wall: Wall, evidence: readonly Evidence[]): Course[] | undefined {
  const jointsAt = jointsOfWall(wall, evidence);
  const whole = { left: 0, right: wall.width, bottom: 0, top: wall.height };
  const own = wall.build.kind === 'masonry' ? coursesIn(ownJoints(wall, evidence), whole, whole) : [];
  const parts = laidOtherwise(wall).flatMap((z) => {
    const middle = { x: (z.left + z.right) / 2, y: (z.bottom + z.top) / 2 };
    if (wallAt(wall, middle.x, middle.y).build.kind !== 'masonry') return [];
    return coursesIn(jointsAt(middle.x, middle.y), z, whole);
  });
  const all = [...own, ...parts];
  return all.length > 0 ? all : undefined;
}

/** Of the wall itself, whatever its parts are. */
function ownJoints(wall: Wall, evidence: readonly Evidence[]): MarkedJoints | undefined {
  const others = laidOtherwise(wall);
  const own = evidence.filter((e) => !others.some((z) => e.y !== undefined && isIn(z, e.x, e.y)));
  return markedJoints(wall.build, own);
}

/** More courses, or units in one, are no wall of a home: they are left out of the drawing, and count for the holes as before. Ours. */
const MOST = 500;

function coursesIn(marked: MarkedJoints | undefined, part: Box, whole: Box): Course[] {
  if (!marked?.bed) return [];
  const { bed, upright, joint, bond } = marked;
  const [bottom, top] = [Math.max(part.bottom, whole.bottom), Math.min(part.top, whole.top)];
  const [left, right] = [Math.max(part.left, whole.left), Math.min(part.right, whole.right)];
  const lowest = courseOf(bottom, bed);
  const highest = courseOf(top, bed) + 1;
  const sides = left > whole.left || right < whole.right ? { left, right } : {};
  const along = upright ? (right - left) / upright.every : 0;
  if (along > MOST || highest - lowest > MOST) return [];
  return Array.from({ length: Math.max(0, highest - lowest) }, (_, i): Course => {
    const k = lowest + i;
    return {
      number: courseNumber(k, bed, joint),
      bottom: Math.max(bottom, bed.at + k * bed.every + joint / 2),
      top: Math.min(top, bed.at + (k + 1) * bed.every - joint / 2),
      ...sides,
      joints: upright ? jointsAlong(upright, shiftOf(k, upright.every, bond), left, right) : [],
    };
  }).filter((c) => c.top > c.bottom);
}

function jointsAlong({ at, every }: JointLine, shift: number, left: number, right: number): number[] {
  const x = at + shift;
  const first = Math.ceil((left - x) / every);
  const last = Math.floor((right - x) / every);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => x + (first + i) * every);
}
