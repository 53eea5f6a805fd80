import type { Item, Plate } from '@steddo/contract';

/** The plate's open areas that could hold a thing whole with the plate's middle at x, highest first. */
export function openFor(item: Item, plate: Plate, x: number) {
  return (plate.open ?? [])
    .map((open, index) => ({ open, index }))
    .filter(({ open }) => open.left + x <= item.left && item.right <= open.right + x)
    .filter(({ open }) => open.top - open.bottom >= item.top - item.bottom)
    .sort((a, b) => b.open.top - a.open.top);
}

/** Open all the way up, as between two brackets: it holds what is higher than it too. */
const isThrough = ({ bottom, top }: NonNullable<Plate['open']>[number], { height }: Plate): boolean =>
  bottom <= 0 && top >= height;

export const isUnder = (item: Item, plate: Plate, x: number): boolean =>
  item.left < x + plate.width / 2 &&
  x - plate.width / 2 < item.right &&
  !(plate.open ?? []).some((o) => isThrough(o, plate) && o.left + x <= item.left && item.right <= o.right + x);

/**
 * Heights of the plate's bottom at which its solid part would sit on a thing, lowest first, open
 * intervals: (bottom - plate height, top) less the stretches in which the thing lies in an opening.
 * A thing from 300 to 414 under a plate 200 tall: (100, 414).
 */
export function blockedPlate(item: Item, plate: Plate, x: number): [number, number][] {
  if (!isUnder(item, plate, x)) return [];
  if (!plate.open?.length) return [[item.bottom - plate.height, item.top]];
  const bounds = [
    item.bottom - plate.height,
    ...openFor(item, plate, x).flatMap(({ open }) => [item.top - open.top, item.bottom - open.bottom]),
    item.top,
  ];
  const blocked: [number, number][] = [];
  for (let i = 0; i + 1 < bounds.length; i += 2) blocked.push([bounds[i]!, bounds[i + 1]!]);
  return blocked;
}
