import type { Finding, Job } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall, setMayCover } from '../room/roomThings';
import { LIFT_ON_MM } from './heightLimits';
import { SAME_MM } from '../primitives/epsilons';

/**
 * The set has to rise over its hooks before it drops: a shelf or cabinet just above it leaves less
 * room than that. A shelf 10 above the set, with 25 to lift: 15 short, a caution.
 */
export function liftOnFindings(job: Job, set: { left: number; right: number; top: number }): Finding[] {
  const needMm = job.aim.liftOn ?? LIFT_ON_MM;
  return onMainWall(job.room.objects)
    .filter((i) => !setMayCover(i) && i.left < set.right && set.left < i.right)
    .filter((i) => i.bottom >= set.top - SAME_MM && i.bottom - set.top < needMm - SAME_MM)
    .map((i) => {
      const haveMm = Math.max(0, i.bottom - set.top);
      return finding('lift-on-short', 'caution', 'height', { object: i.id, haveMm, needMm });
    });
}
