import type { HazardZone, Item, ItemKind } from '@steddo/contract';

/** What serves a thing from inside the wall, and which ways it runs from there. */
export interface Served {
  what: HazardZone['what'];
  ways: readonly HazardZone['way'][];
}

/** What is true of a kind of thing on a wall, unless the job says otherwise. */
export interface RoomThing {
  /** May the set hang in front of it? An outlet may be covered by the set, furniture may not. */
  setMayCover: boolean;
  /** May the plate sit on it? An outlet may not be covered by the plate unless the plate is open there. */
  plateMayCover: boolean;
  /** How far it stands out of its wall when nobody has measured it, mm. Ours. */
  outMm: number;
  /** It may stand below a set that hangs above it. */
  standsBelow: boolean;
  /**
   * Cables up, down and sideways through the studs (BS 7671 522.6.202, from memory: straight from the accessory;
   * other places, other rules); pipes the way they are drawn; a fire's flue and a vent's duct up.
   */
  served?: Served;
}

const serves = (what: Served['what'], ...ways: Served['ways']): Served => ({ what, ways });
const EVERY_WAY = ['up', 'down', 'left', 'right', 'at'] as const;

/** Every kind of thing; one that is missing here does not compile. */
export const ROOM_THINGS: Record<ItemKind, RoomThing> = {
  outlet: {
    setMayCover: true,
    plateMayCover: false,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  switch: {
    setMayCover: false,
    plateMayCover: false,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  data: {
    setMayCover: true,
    plateMayCover: false,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  furniture: { setMayCover: false, plateMayCover: false, outMm: 400, standsBelow: true },
  cabinet: { setMayCover: false, plateMayCover: false, outMm: 330, standsBelow: true },
  shelf: { setMayCover: false, plateMayCover: false, outMm: 250, standsBelow: true },
  mantel: { setMayCover: false, plateMayCover: false, outMm: 200, standsBelow: true },
  opening: { setMayCover: false, plateMayCover: false, outMm: 0, standsBelow: true, served: serves('duct', 'up') },
  chimney: { setMayCover: true, plateMayCover: true, outMm: 300, standsBelow: false },
  window: { setMayCover: false, plateMayCover: false, outMm: 0, standsBelow: false },
  curtain: { setMayCover: false, plateMayCover: false, outMm: 100, standsBelow: false },
  door: { setMayCover: false, plateMayCover: false, outMm: 0, standsBelow: false },
  vent: {
    setMayCover: false,
    plateMayCover: false,
    outMm: 0,
    standsBelow: false,
    served: serves('duct', 'up', 'down', 'at'),
  },
  pipe: { setMayCover: true, plateMayCover: false, outMm: 0, standsBelow: false, served: serves('pipe', ...EVERY_WAY) },
  gas: { setMayCover: false, plateMayCover: false, outMm: 0, standsBelow: false, served: serves('gas', ...EVERY_WAY) },
  soundbar: { setMayCover: false, plateMayCover: false, outMm: 90, standsBelow: false },
  box: { setMayCover: true, plateMayCover: false, outMm: 0, standsBelow: false },
  other: { setMayCover: false, plateMayCover: false, outMm: 0, standsBelow: false },
};

/** By the thing's own word, else by its kind. */
export const setMayCover = (item: Item): boolean => item.setMayCover ?? ROOM_THINGS[item.kind].setMayCover;

export const plateMayCover = (item: Item): boolean => item.plateMayCover ?? ROOM_THINGS[item.kind].plateMayCover;

/** The items on the wall that the job is about. */
export const onMainWall = (items: readonly Item[] | undefined): Item[] =>
  (items ?? []).filter((i) => (i.wall ?? 'main') === 'main');
