import type { Item, Job } from '@steddo/contract';
import { toRad } from '../primitives/convert';
import { cornerAngleOf, cornerSideOf } from '../room/roomKind';
import { outOf } from '../room/roomThings';
import { fromWall } from './cornerGeometry';

/**
 * A corner job as it is seen along the line that halves its corner: what is on either wall side by side, left and right of
 * the corner at 0, as far off it as it looks from there. What hangs in front of what up and down is the same as on one wall.
 * A window from 1000 to 1400 on the right wall of a square corner: from 707 to 990.
 */
export function facingJob(job: Job): Job {
  const sine = Math.sin(toRad(cornerAngleOf(job) / 2));
  const side = cornerSideOf(job);
  const objects = (job.room.objects ?? []).flatMap((item): Item[] => {
    const wall = item.wall ?? 'main';
    if (wall !== 'main' && wall !== side) return [];
    const own = wall === 'main' ? mainFromCorner(job, item) : item;
    const onRight = (side === 'left') === (wall === 'main');
    const [a, b] = [own.left * sine, own.right * sine];
    const { wall: _, ...rest } = item;
    return [{ ...rest, left: onRight ? a : -b, right: onRight ? b : -a }];
  });
  return { ...job, room: { ...job.room, objects } };
}

/** A stretch of the main wall from the corner instead of from its left end. */
export function mainFromCorner(
  job: Job,
  { left, right }: { left: number; right: number },
): { left: number; right: number } {
  const { width } = job.room.wall;
  return cornerSideOf(job) === 'left' ? { left, right } : { left: width - right, right: width - left };
}

/**
 * The same with the viewers where they are to the corner's middle line, and what stands out of the walls as far along it
 * as it reaches: for a drawing of the room from the side.
 */
export function seatsFacing(job: Job): Job {
  const angle = cornerAngleOf(job);
  const side = cornerSideOf(job);
  const main = side === 'left' ? 'right' : 'left';
  const { width } = job.room.wall;
  const facing = facingJob(job);
  const viewers = (job.room.viewers ?? []).map((v) => {
    if (v.distance === undefined) return v;
    if (v.x === undefined) return { ...v, distance: v.distance / Math.sin(toRad(angle / 2)) };
    const along = side === 'left' ? v.x : width - v.x;
    const { ahead, across } = fromWall(angle, main, { along, out: v.distance });
    return { ...v, distance: ahead, x: across };
  });
  const objects = (facing.room.objects ?? []).map((item) => {
    const own = job.room.objects!.find((o) => o.id === item.id)!;
    const isMain = (own.wall ?? 'main') === 'main';
    const { left, right } = isMain ? mainFromCorner(job, own) : own;
    const ends = [left, right].map((along) => fromWall(angle, isMain ? main : side, { along, out: outOf(own) }).ahead);
    return { ...item, out: Math.max(...ends) };
  });
  return { ...job, room: { ...job.room, viewers, objects } };
}
