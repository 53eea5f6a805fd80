import type { Job, Plan } from '@steddo/contract';
import { faceOut, leaf } from '@steddo/core';

/** How far the set's back and its face stand from the wall, mm: folded mount, spacers, thickness. */
export function setDepth(job: Job, plan: Plan): { back: number; face: number } {
  // in a corner along its middle line
  if (plan.corner) return { back: plan.corner.standOff, face: plan.corner.front };
  const { screws, screwCheck } = plan.screen;
  const spacer = screws?.find((s) => s.id === screwCheck?.chosen)?.spacer ?? 0;
  const plane = plan.placement?.plane ?? 0;
  const out = { spacer: leaf('spacer', spacer, 'mm'), plane: leaf('plate-plane', plane, 'mm') };
  return { back: (job.mount?.depth.folded ?? 0) + spacer + plane, face: faceOut(job, out).value };
}
