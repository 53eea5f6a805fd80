import type { Hole, Job } from '@steddo/contract';
import { courseNumber, courseOf, jointsOfWall, shiftOf } from './markedJoints';
import { unitChance, type UnitChance } from './solidChance';

/** What the marked joints of a job say of a hole in its masonry. */
export const unitAt = ({ room, evidence = [] }: Job, { x, y, bit }: Pick<Hole, 'x' | 'y' | 'bit'>): UnitChance =>
  unitChance(jointsOfWall(room.wall, evidence)(x, y), x, y, bit);

/**
 * The brick or block at a place as far as its joints were marked, and its course counted up from the floor; undefined without a marked bed. Beds at 0 and every 75, an upright at 1000, units of 215: at
 * (1100, 100) course 2, 80 to 145, 1005 to 1220 or half a unit aside.
 */
export function unitHere({ room, evidence = [] }: Job, x: number, y: number): Hole['unit'] {
  const marked = jointsOfWall(room.wall, evidence)(x, y);
  if (!marked?.bed) return undefined;
  const { bed, upright, joint, bond } = marked;
  const k = courseOf(y, bed);
  const bottom = bed.at + k * bed.every + joint / 2;
  const base = { course: courseNumber(k, bed, joint), bottom, top: bottom + bed.every - joint };
  if (!upright) return base;
  const from = upright.at + shiftOf(k, upright.every, bond);
  const left = from + Math.floor((x - from) / upright.every) * upright.every + joint / 2;
  return { ...base, left, right: left + upright.every - joint };
}
