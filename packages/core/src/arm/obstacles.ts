import type { Item, Job } from '@steddo/contract';
import { outOf } from '../room/roomThings';
import { quarterDisc, rectangle, type Plane, type Polygon } from '../primitives/convex';

/** What the set may not cross, from above; `by` names it: `own-wall`, `wall:left`, `object:o2`, `floor:f1`, `door:o3`. */
export type Obstacle = (Plane | Polygon) & { by: string };

/** What the set takes up in height anywhere on its way, mm: sagged at the bottom, not yet at the top. */
export interface Band {
  bottom: number;
  top: number;
}

/** Something that may be in the way, and between what heights it is. */
export interface Standing {
  obstacle: Obstacle;
  low: number;
  high: number;
}

/**
 * Everything that a set could meet in a room, at whatever height: its own wall, side walls that are
 * there, what stands out of them, a chimney breast that the plate does not hang on, furniture, and the
 * quarter of a disc that each door sweeps.
 */
export function standingIn(room: Job['room'], plateX?: number, plateWidth = 0): Standing[] {
  const { wall } = room;
  const plate = plateX === undefined ? undefined : { x: plateX, width: plateWidth };
  const zones = (wall.zones ?? []).filter((z) => (z.wall ?? 'main') === 'main' && (z.face ?? 0) > 0);
  return [
    ...wallsOf(room.wall).map((obstacle) => ({ obstacle, low: -Infinity, high: Infinity })),
    ...zones.map((z) => ({
      obstacle: { ...rectangle(z.left, z.right, 0, z.face ?? 0), by: `zone:${z.id}` },
      low: z.bottom,
      high: z.top,
    })),
    ...(room.objects ?? [])
      .filter((o) => !carries(o, plate))
      .flatMap((o) => itemShapes(o, wall.width).map((obstacle) => ({ obstacle, low: o.bottom, high: o.top }))),
    ...(room.floor ?? []).map((f) => ({
      obstacle: { ...rectangle(f.left, f.right, f.near, f.far), by: `floor:${f.id}` },
      // what nobody has measured is as high as the set
      low: f.height === undefined ? -Infinity : 0,
      high: f.height ?? Infinity,
    })),
  ];
}

/** What of a room the set may not cross at its height. What is wholly under or over it is none of these. */
export const obstaclesAt = (standing: readonly Standing[], band: Band): Obstacle[] =>
  standing.filter(({ low, high }) => low < band.top && band.bottom < high).map((s) => s.obstacle);

/** The set's own wall first, then the side walls that are there. */
export function wallsOf({ width, returns }: Job['room']['wall']): Obstacle[] {
  const walls: Obstacle[] = [{ kind: 'plane', nx: 0, nz: 1, d: 0, by: 'own-wall' }];
  if (returns?.left) walls.push({ kind: 'plane', nx: 1, nz: 0, d: 0, by: 'wall:left' });
  if (returns?.right) walls.push({ kind: 'plane', nx: -1, nz: 0, d: -width, by: 'wall:right' });
  return walls;
}

/** The breast that the plate is on is the set's own wall: depths are taken from it. */
function carries(item: Item, plate: { x: number; width: number } | undefined): boolean {
  if (item.kind !== 'chimney' || !plate || (item.wall ?? 'main') !== 'main') return false;
  return item.left <= plate.x - plate.width / 2 && plate.x + plate.width / 2 <= item.right;
}

function itemShapes(item: Item, wallWidth: number): Obstacle[] {
  const out = outOf(item);
  const box = out > 0 ? [{ ...onItsWall(item, out, wallWidth), by: `object:${item.id}` }] : [];
  return item.kind === 'door' ? [...box, ...doorShapes(item, wallWidth)] : box;
}

/** On a side wall left and right are distances from the shared corner. */
function onItsWall({ wall = 'main', left, right }: Item, out: number, wallWidth: number): Polygon {
  if (wall === 'left') return rectangle(0, out, left, right);
  if (wall === 'right') return rectangle(wallWidth - out, wallWidth, left, right);
  return rectangle(left, right, 0, out);
}

/** What a door sweeps, into the room; with its hinge not known, on either side. */
function doorShapes(item: Item, wallWidth: number): Obstacle[] {
  const { wall = 'main', left, right, id } = item;
  const radius = right - left;
  const hinges = item.hinge ? [item.hinge] : (['left', 'right'] as const);
  return hinges.map((hinge) => {
    const at = hinge === 'left' ? left : right;
    const along = hinge === 'left' ? 1 : -1;
    const by = `door:${id}`;
    if (wall === 'left') return { ...quarterDisc({ x: 0, z: at }, radius, 1, along), by };
    if (wall === 'right') return { ...quarterDisc({ x: wallWidth, z: at }, radius, -1, along), by };
    return { ...quarterDisc({ x: at, z: 0 }, radius, along, 1), by };
  });
}
