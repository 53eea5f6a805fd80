import type { Build, Job } from '@steddo/contract';
import { WALL_KINDS } from './wallKinds';

/** The wall as it is at one place: its build, and how far its face stands in front of the rest, mm. */
export interface WallHere {
  build: Build;
  face: number;
}

export type Wall = Job['room']['wall'];

/** A wall and what was chosen to pack the plate out from it, mm. */
export interface Fronted {
  wall: Wall;
  packing: number;
  /** Its backing is a vehicle's, which no table for timber knows. */
  vehicle?: boolean;
}

export const frontedBy = ({ room, choices, mount }: Pick<Job, 'room' | 'choices' | 'mount'>): Fronted => ({
  wall: room.wall,
  packing: choices?.packing ?? 0,
  ...(mount?.type === 'vehicle' ? { vehicle: true } : {}),
});

/** The build at a place on the main wall: a zone's own words where it lies in one, the last zone winning. */
export function wallAt(wall: Wall, x: number, y: number): WallHere {
  const here: WallHere = { build: wall.build, face: 0 };
  for (const zone of wall.zones ?? []) {
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
  { wall, packing }: Fronted,
  at: { x: number; y: number },
  foremost: number,
): { board: number; packing: number; build: Build } {
  const { build, face } = wallAt(wall, at.x, at.y);
  return { build, board: boardOf(build), packing: packing + foremost - face };
}

/** The foremost face under any of these places, mm. */
export const foremostOf = (wall: Wall, places: readonly { x: number; y: number }[]): number =>
  Math.max(...places.map((p) => wallAt(wall, p.x, p.y).face));

/** Thickness of what covers the wall, mm; a bare wall has none. */
export const boardOf = (build: Build): number =>
  build.cover === 'none' ? 0 : (build.board ?? WALL_KINDS[build.kind].boardMm);
