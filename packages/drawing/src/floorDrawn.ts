import type { Job } from '@steddo/contract';

const BEHIND_MM = 400;
/** Half of a head seen from above. */
export const HEAD_MM = 110;

/** How far from the wall the floor is drawn. */
export function floorDepth(job: Job): number {
  const seats = (job.room.viewers ?? []).flatMap((v) => v.distance ?? []);
  const things = (job.room.floor ?? []).map((f) => f.far);
  return Math.max(1500, ...seats, ...things) + BEHIND_MM;
}

/** From where to where the floor is drawn: the wall, and who sits beyond its ends. */
export function floorSides(job: Job): { left: number; right: number } {
  const xs = (job.room.viewers ?? []).flatMap((v) => v.x ?? []);
  return {
    left: Math.min(0, ...xs.map((x) => x - 2 * HEAD_MM)),
    right: Math.max(job.room.wall.width, ...xs.map((x) => x + 2 * HEAD_MM)),
  };
}
