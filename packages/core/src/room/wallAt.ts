import type { Build, BuildKind, Item, Job, Zone } from '@steddo/contract';
import { WALL_KINDS } from './wallKinds';

/** The wall as it is at one place: its build, and how far its face stands in front of the rest, mm. */
export interface WallHere {
  build: Build;
  face: number;
}

export type Wall = Job['room']['wall'];

/** A wall, and how far the back of what is screwed to it stands in front of the wall's own face, mm. */
export interface Fronted {
  wall: Wall;
  plane: number;
  /** What was chosen to pack it out by, mm. */
  chosen: number;
  /** It is a vehicle's: no table for timber knows what it holds, and a skin is behind it. */
  vehicle?: boolean;
  /** What is in or on it, whose edges are free edges of masonry. */
  things?: readonly Item[];
}

/** The parts of the main wall that differ. */
export const mainZones = ({ zones = [] }: Wall): Zone[] => zones.filter((z) => (z.wall ?? 'main') === 'main');

/** Whether a place is in a part of the wall, its edges included. */
export const isIn = (zone: Omit<Zone, 'id'>, x: number, y: number): boolean =>
  x >= zone.left && x <= zone.right && y >= zone.bottom && y <= zone.top;

/** The build at a place on the main wall: a zone's own words where it lies in one, the last zone winning. */
export function wallAt(wall: Wall, x: number, y: number): WallHere {
  const here: WallHere = { build: wall.build, face: 0 };
  for (const zone of wall.zones ?? []) {
    if ((zone.wall ?? 'main') !== 'main' || !isIn(zone, x, y)) continue;
    if (zone.build) here.build = { ...here.build, ...zone.build };
    here.face = zone.face ?? here.face;
  }
  return here;
}

/** The kind of wall at a place alone: asked at every slot of every plate that is tried. */
export function kindAt(wall: Wall, x: number, y: number): BuildKind {
  let { kind } = wall.build;
  for (const zone of wall.zones ?? [])
    if (zone.build?.kind && (zone.wall ?? 'main') === 'main' && isIn(zone, x, y)) kind = zone.build.kind;
  return kind;
}

/** Where a number of the build at a place stands in the job. */
export function buildPathAt(wall: Wall, x: number, y: number, field: keyof Build): string {
  const said = mainZones(wall).findLast((z) => isIn(z, x, y) && z.build?.[field] !== undefined);
  return said ? `room.wall.zones.${said.id}.build.${field}` : `room.wall.build.${field}`;
}

/** What lies between plate and wood at a place, mm: the packing out to the plate's plane, the board there and the hollow behind it. */
export function overAt(
  { wall, plane }: Fronted,
  at: { x: number; y: number },
): { board: number; gap: number; packing: number; build: Build } {
  const { build, face } = wallAt(wall, at.x, at.y);
  return { build, board: boardOf(build), gap: gapOf(build), packing: Math.max(0, plane - face) };
}

/** Thickness of what covers the wall, mm; a bare wall has none. */
export const boardOf = (build: Build): number =>
  build.cover === 'none' ? 0 : (build.board ?? WALL_KINDS[build.kind].boardMm);

/** The hollow between the covering and what carries, mm: battens, dabs; a bare wall has none. */
export const gapOf = ({ cover, gap = 0 }: Build): number => (cover === 'none' ? 0 : gap);

/** What a label means by covering, mm: all that is before the wood, the hollow with it. */
export const coveringOf = (build: Build): number => boardOf(build) + gapOf(build);

/** The builds that a wall has somewhere, its own first. */
export const buildsOf = (wall: Wall): Build[] => [
  wall.build,
  ...mainZones(wall).flatMap((z) => (z.build ? [{ ...wall.build, ...z.build }] : [])),
];

/** The parts of another build behind a box on the wall; `own` where the wall's own build is behind some of it too. */
export function partsBehind(wall: Wall, box: Omit<Zone, 'id'>): { own: boolean; parts: Zone[] } {
  const { left, right, bottom, top } = box;
  const parts = mainZones(wall).filter(
    (z) => z.build && z.left < right && z.right > left && z.bottom < top && z.top > bottom,
  );
  return { own: !parts.some((z) => isIn(z, left, bottom) && isIn(z, right, top)), parts };
}

/** A wall that is built like one of its parts all over. */
export const likePart = ({ width, height, build }: Wall, part: Zone): Wall => ({
  ...{ width, height },
  build: { ...build, ...part.build },
});

/** The build whose studs are looked for: the wall's own, else that of the first part that has some. */
export function studBuildOf(wall: Wall): { build: Build; path: string } {
  const own = { build: wall.build, path: 'room.wall.build' };
  const hasStuds = ({ kind }: Build) => WALL_KINDS[kind].main === 'stud' || WALL_KINDS[kind].main === 'metal-stud';
  if (hasStuds(wall.build)) return own;
  const zone = mainZones(wall).find((z) => z.build && hasStuds({ ...wall.build, ...z.build }));
  return zone ? { build: { ...wall.build, ...zone.build }, path: `room.wall.zones.${zone.id}.build` } : own;
}
