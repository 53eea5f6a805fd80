import type { Finding, Job, Plan } from '@steddo/contract';
import { WOOD_STEP_MM } from '../tolerances';
import { hazardFindings, holesWithHazards } from './hazardFindings';
import { hazardsOf } from './hazardZones';
import type { StudsFound } from './inferStuds';
import { masonryCourses } from './masonryCourses';
import { backingOf, noggingsOf } from './otherTimber';

/** What the readings show of the wall; sections without readings stay absent. */
export function wallPart(job: Job, base: Plan, found: StudsFound): void {
  const { studs } = found;
  const { wall } = job.room;
  const evidence = (job.evidence ?? []).filter((e) => (e.wall ?? 'main') === 'main');
  const { kind } = wall.build;
  if (studs.length > 0) base.studs = studs;
  if (evidence.length + (job.scans ?? []).length > 0 && kind !== 'masonry')
    base.wood = { step: WOOD_STEP_MM, p: [...found.wood].filter((_, x) => x % WOOD_STEP_MM === 0) };
  const noggings = noggingsOf(evidence, studs, wall.width);
  if (noggings.length > 0) base.noggings = noggings;
  const backing = backingOf(evidence);
  if (backing) base.backing = backing;
  const courses = masonryCourses(wall.build, evidence, wall);
  if (courses) base.courses = courses;
}

/** What has to be expected in the wall, and what looks have shown, at every hole and opening. */
export function hazardPart(job: Job, base: Plan, { studs }: StudsFound): Finding[] {
  const hazards = hazardsOf(job);
  if (hazards.zones.length + hazards.seen.length > 0) base.hazards = hazards;
  if (base.holes) base.holes = holesWithHazards(job, studs, base.holes, hazards);
  return hazardFindings(job, studs, base.holes ?? [], hazards);
}
