import type { Job, Mount, ReachPlan, Side, Working } from '@steddo/contract';
import { planPlate } from './planPlate';
import type { StudsFound } from '../wall/inferStuds';
import { foldOffsetOf } from '../arm/arm';

/**
 * What each fold does to the plate: where its middle goes, off what would hang the set in its middle
 * by how much, and over which studs its slots come. The same search as the plan's own.
 */
export function foldChoices(
  job: Job,
  mount: Mount,
  found: StudsFound,
  centreX: Working,
  chosen: Side | undefined,
): NonNullable<ReachPlan['folds']> {
  return (['left', 'right'] as const).map((fold) => {
    const asked: Job = { ...job, choices: { ...job.choices, fold } };
    const plate = planPlate(asked, mount, found, centreX);
    const on = plate.onStuds;
    return {
      fold,
      centreOffset: foldOffsetOf(mount, fold),
      plateX: plate.x.value,
      ...(on ? { shift: on.shift } : {}),
      studs: (on?.studs ?? []).map((i) => found.studs[i]!.centre),
      chosen: fold === chosen,
    };
  });
}
