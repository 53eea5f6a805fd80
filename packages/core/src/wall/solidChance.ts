import type { Backing } from '@steddo/contract';
import { cumulative } from '../primitives/normal';
import { DRILL_SD_MM } from './holeChance';
import { courseOf, shiftOf, type JointLine, type MarkedJoints } from './markedJoints';

/** A hole's centre keeps so many of its diameters off a joint's middle, and one off its mortar however thick that is. Ours. */
export const JOINT_DIAMETERS = 1.5;

/** Kept from the edge of a backing, mm; and what is taken of backing whose edges nobody has marked. Ours. */
export const BACKING_EDGE_MM = 20;
const BACKING_UNMARKED = 0.95;

/** What is known of one way of the joints at a place, and what it comes to. */
export interface UnitChance {
  chance: number;
  /** Of the joints that were marked, alone. */
  known: number;
  /** Joints that run the other way than any mark says: level, upright. */
  unmarked: ('bed' | 'upright')[];
}

/**
 * Chance that a hole in masonry has its centre 1.5 of its diameters off every joint: of beds and of uprights apart, by
 * where they were marked and where the drill lands; of those that nobody marked the share of the wall that is so.
 * Concrete has no joints. A 12.7 mm hole in the middle of a 57 mm course: 33.5 - 19.05 mm to spare on both sides,
 * 5.6 sd.
 */
export function unitChance(joints: MarkedJoints | undefined, x: number, y: number, holeMm: number): UnitChance {
  if (!joints) return { chance: 1, known: 1, unmarked: [] };
  const { unit, joint, bed, upright, bond } = joints;
  const off = Math.max(JOINT_DIAMETERS * holeMm, joint / 2 + holeMm);
  const blind = (size: number) => Math.max(0, size + joint - 2 * off) / (size + joint);
  const onBed = bed ? clearOf(bed, y, off) : blind(unit.height);
  const course = bed ? courseOf(y, bed) : 0;
  const line = upright && { ...upright, at: upright.at + shiftOf(course, upright.every, bond) };
  const onUpright = line ? clearOf(line, x, off) : blind(unit.width);
  return {
    chance: onBed * onUpright,
    known: (bed ? onBed : 1) * (upright ? onUpright : 1),
    unmarked: [...(bed ? [] : (['bed'] as const)), ...(upright ? [] : (['upright'] as const))],
  };
}

/** That a place is `off` from the middle of the joint before it and of the one after. */
function clearOf({ at, every, sd }: JointLine, place: number, off: number): number {
  const after = at + (Math.floor((place - at) / every) + 1) * every;
  const spread = Math.hypot(sd, DRILL_SD_MM);
  const [low, high] = [after - every + off, after - off];
  return Math.max(0, cumulative((high - place) / spread) - cumulative((low - place) / spread));
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
