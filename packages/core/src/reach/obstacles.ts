import type { Item, Job, Plate } from '@steddo/contract';
import { quarterDisc, rectangle, type Plane, type Polygon } from '../geometry/convex';
import { USUAL_OUT_MM } from '../tolerances';

/** What the set may not cross, from above; `by` names it: `own-wall`, `wall:left`, `object:o2`, `floor:f1`, `door:o3`. */
export type Obstacle = (Plane | Polygon) & { by: string };

/** What the set takes up in height anywhere on its way, mm: sagged at the bottom, not yet at the top. */
export interface Band {
  bottom: number;
  top: number;
}

/**
 * Everything at the set's height that its outline may not cross: its own wall, side walls that are
 * there, what stands out of them, a chimney breast that it does not hang on, furniture, and the
 * quarter of a disc that each door sweeps. What is wholly under or over the set is none of these.
 */
export function obstaclesOf(job: Job, band: Band, plate?: Pick<Plate, 'width'> & { x: number }): Obstacle[] {
  const { wall } = job.room;
  const meets = (low: number, high: number) => low < band.top && band.bottom < high;
  return [
    ...wallsOf(job),
    ...(wall.zones ?? [])
      .filter((z) => (z.wall ?? 'main') === 'main' && (z.face ?? 0) > 0 && meets(z.bottom, z.top))
      .map((z) => ({ ...rectangle(z.left, z.right, 0, z.face ?? 0), by: `zone:${z.id}` })),
    ...(job.room.objects ?? [])
      .filter((o) => meets(o.bottom, o.top))
      .flatMap((o) => (carries(o, plate) ? [] : itemShapes(o, wall.width))),
    ...(job.room.floor ?? [])
      .filter((f) => f.height === undefined || meets(0, f.height))
      .map((f) => ({ ...rectangle(f.left, f.right, f.near, f.far), by: `floor:${f.id}` })),
  ];
}

/** The set's own wall first, then the side walls that are there. */
export function wallsOf(job: Job): Obstacle[] {
  const { width, returns } = job.room.wall;
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

/** How far a thing stands out of its wall, mm: measured, or what is usual for its kind. */
export const outOf = (item: Item): number => item.out ?? USUAL_OUT_MM[item.kind] ?? 0;

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
