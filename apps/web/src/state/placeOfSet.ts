import type { RoomShown } from './roomStore';

/** Where the set is, mm: a late plan is an earlier one, and the set is where it was moved to since. */
export function placeOfSet({ job, plan, late }: Pick<RoomShown, 'job' | 'plan' | 'late'>) {
  const placed = plan.placement?.centre;
  return late && placed ? { x: job.choices?.centreX ?? placed.x, y: job.choices?.centreY ?? placed.y } : placed;
}
