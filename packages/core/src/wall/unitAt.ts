import type { Hole, Job } from '@steddo/contract';
import { wallAt } from '../room/wallAt';
import { markedJoints } from './markedJoints';
import { unitChance, type UnitChance } from './solidChance';

/** What the marked joints of a job say of a hole in its masonry. */
export const unitAt = ({ room, evidence = [] }: Job, { x, y, bit }: Pick<Hole, 'x' | 'y' | 'bit'>): UnitChance =>
  unitChance(markedJoints(wallAt(room.wall, x, y).build, evidence), x, y, bit);
