import type { Job, Mount } from '@steddo/contract';
import { STANCES, type Feet, type Stance } from '../corner/cornerFeet';
import type { WallSide } from '../corner/cornerGeometry';
import type { CornerPlace } from '../corner/cornerPlace';
import { SIDE_WALL_MM } from '../room/wallView';

/** How far a wall goes from the corner. */
export function wallWidth(job: Job, { main, side }: CornerPlace, wall: WallSide): number {
  if (wall === main) return job.room.wall.width;
  return job.room.sideWalls?.[side]?.width ?? SIDE_WALL_MM;
}

/** Whether a foot's plate is all on its wall in that stance: neither round the corner nor past the wall's end. */
export function isOnWall(job: Job, mount: Mount, foot: Feet, place: CornerPlace, stance: Stance): boolean {
  const half = (mount.plate?.width ?? 0) / 2;
  const x = foot[stance]?.value;
  return x !== undefined && x >= half && x <= wallWidth(job, place, foot.wall) - half;
}

/** How each foot of a rack stands, in the order of the feet. */
export type Stand = readonly Stance[];

/** The ways in which both feet are on their walls: alike first, the wider before the narrower; then each its own way. */
export function stancesOn(job: Job, mount: Mount, feet: readonly Feet[], place: CornerPlace): Stand[] {
  const alike = STANCES.map((s): Stand => feet.map(() => s));
  const mixed: Stand[] = feet.length === 2 ? [STANCES, [...STANCES].reverse()] : [];
  return [...alike, ...mixed].filter((stand) => feet.every((foot, i) => isOnWall(job, mount, foot, place, stand[i]!)));
}
