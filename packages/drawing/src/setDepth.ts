import type { Job, Plan } from '@steddo/contract';
import { faceOut, leaf } from '@steddo/core';

/** How far the set's back and its face stand from the wall, mm: folded mount, spacers, thickness. */
export function setDepth(job: Job, plan: Plan): { back: number; face: number } {
  const { screws, screwCheck } = plan.screen;
  const spacer = screws?.find((s) => s.id === screwCheck?.chosen)?.spacer ?? 0;
  const face = faceOut(job, spacer > 0 ? leaf('spacer', spacer, 'mm') : undefined).value;
  return { back: (job.mount?.depth.folded ?? 0) + spacer, face };
}
