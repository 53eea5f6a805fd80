import type { Build, Job } from '@steddo/contract';
import { boardOf } from '../mount/fitMount';

/** The wall as it is at one place: its build, and how far its face stands in front of the rest, mm. */
export interface WallHere {
  build: Build;
  face: number;
}

/** The build at a place on the main wall: a zone's own words where it lies in one, the last zone winning. */
export function wallAt(job: Job, x: number, y: number): WallHere {
  const here: WallHere = { build: job.room.wall.build, face: 0 };
  for (const zone of job.room.wall.zones ?? []) {
    if ((zone.wall ?? 'main') !== 'main') continue;
    if (x < zone.left || x > zone.right || y < zone.bottom || y > zone.top) continue;
    if (zone.build) here.build = { ...here.build, ...zone.build };
    here.face = zone.face ?? here.face;
  }
  return here;
}

/**
 * What lies between plate and wood at a place, mm: the board there and the packing. Where the plate spans
 * two faces it rests on the foremost, and the other is packed out to it.
 */
export function overAt(
  job: Job,
  at: { x: number; y: number },
  foremost: number,
): { board: number; packing: number; build: Build } {
  const { build, face } = wallAt(job, at.x, at.y);
  return { build, board: boardOf(build), packing: (job.choices?.packing ?? 0) + foremost - face };
}

/** The foremost face under any of these places, mm. */
export const foremostOf = (job: Job, places: readonly { x: number; y: number }[]): number =>
  Math.max(...places.map((p) => wallAt(job, p.x, p.y).face));
