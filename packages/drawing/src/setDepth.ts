import type { Job, Plan } from '@steddo/contract';
import { faceOut, leaf, platePlane, timberedJob } from '@steddo/core';

/** How far the set's back and its face stand from the wall, mm: folded mount, spacers, thickness. */
export function setDepth(job: Job, plan: Plan): { back: number; face: number } {
  const { screws, screwCheck } = plan.screen;
  const spacer = screws?.find((s) => s.id === screwCheck?.chosen)?.spacer ?? 0;
  const face = faceOut(job, spacer > 0 ? leaf('spacer', spacer, 'mm') : undefined).value;
  const plane = planeOf(job, plan);
  return { back: (job.mount?.depth.folded ?? 0) + spacer + plane, face: face + plane };
}

/** How far the plate's back stands in front of the wall's own face: packing, or a part that stands out. */
export function planeOf(given: Job, plan: Plan): number {
  const { room, choices } = timberedJob(given, plan);
  const plate = plan.placement?.plate;
  return plate ? platePlane(room.wall, plate, choices?.packing).plane : 0;
}
