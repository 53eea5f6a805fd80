import type { Job, Working } from '@steddo/contract';
import { outOf } from '../room/roomThings';

/** Out of the wall at most, with an edge between these heights over a walkway, mm: 4, 27, 80 in (ADA 2010, 307.2). */
const WALKWAY = { outMm: 101.6, fromMm: 685.8, toMm: 2032 } as const;

/**
 * Whether the folded set sticks out over a walkway that is drawn on the floor along the wall: its front more than 4 in (101.6 mm) out of the
 * wall with its lower edge 27 to 80 in (685.8 to 2032 mm) above the floor, where no cane finds it
 * and no head clears it (ADA 2010, 307.2). What stands on the floor under its whole width keeps people off it.
 * Front 126 out, bottom 1100: true.
 */
export function overWalkway(job: Job, set: { left: number; right: number; bottom: number }, front: Working): boolean {
  const ways = (job.room.floor ?? []).filter((f) => f.kind === 'walkway' && f.near <= front.value);
  if (!ways.some((f) => f.left < set.right && f.right > set.left)) return false;
  if (front.value <= WALKWAY.outMm) return false;
  if (set.bottom <= WALKWAY.fromMm || set.bottom > WALKWAY.toMm) return false;
  return !guarded(job, set, front.value);
}

/** By things that stand on the floor, begin low enough for a cane and reach as far out as the set. */
function guarded(job: Job, { left, right }: { left: number; right: number }, outMm: number): boolean {
  const spans = [
    ...(job.room.objects ?? []).filter(
      (o) => (o.wall ?? 'main') === 'main' && o.bottom <= WALKWAY.fromMm && outOf(o) >= outMm,
    ),
    ...(job.room.floor ?? []).filter((f) => f.kind !== 'walkway' && f.near <= outMm),
  ];
  let covered = left;
  for (const s of [...spans].sort((a, b) => a.left - b.left))
    if (s.left <= covered) covered = Math.max(covered, s.right);
  return covered >= right;
}
