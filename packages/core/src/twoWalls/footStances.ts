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

/** The stances in which both feet are on their walls: of two feet neither stands otherwise than the other. */
export const stancesOn = (job: Job, mount: Mount, feet: readonly Feet[], place: CornerPlace): Stance[] =>
  STANCES.filter((stance) => feet.every((foot) => isOnWall(job, mount, foot, place, stance)));
