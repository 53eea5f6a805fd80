import type { Finding, Item, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall, setMayCover } from '../room/roomThings';
import { riseLeaf } from './heightLimits';
import { SAME_MM } from '../primitives/epsilons';

interface SetTop {
  left: number;
  right: number;
  top: number;
}

/** How far the set has to come over its rail, mm: the mount's own rise, else what the room was given, else 25. */
export const riseOf = (job: Job): number => riseLeaf(job).value;

const over = (job: Job, set: SetTop): Item[] =>
  onMainWall(job.room.objects)
    .filter((i) => !setMayCover(i) && i.left < set.right && set.left < i.right)
    .filter((i) => i.bottom >= set.top - SAME_MM);

/** What is left above the set to the lowest thing over it, or to the ceiling, mm. */
export const liftRoom = (job: Job, set: SetTop): number =>
  Math.max(0, Math.min(job.room.wall.height, ...over(job, set).map((i) => i.bottom)) - set.top);

/**
 * The set has to rise over its hooks before it drops: a shelf or cabinet just above it leaves less
 * room than that. A shelf 10 above the set, with 25 to lift: 15 short, a caution.
 */
export function liftOnFindings(job: Job, set: SetTop): Finding[] {
  const needMm = riseOf(job);
  return over(job, set)
    .filter((i) => i.bottom - set.top < needMm - SAME_MM)
    .map((i) => {
      const haveMm = Math.max(0, i.bottom - set.top);
      return finding('lift-on-short', 'caution', 'height', { object: i.id, haveMm, needMm });
    });
}
