import type { HazardZone, Item, ItemKind, Job, Zone } from '@steddo/contract';

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
  /** It is in or on the wall: nothing is drilled through it, whatever may be covered. */
  inWall: boolean;
  /** What it is before it is measured, mm: to be dragged or typed. Ours. */
  usual: { width: number; height: number; bottom: number };
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
    usual: { width: 70, height: 114, bottom: 300 },
    setMayCover: true,
    plateMayCover: false,
    inWall: true,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  switch: {
    usual: { width: 70, height: 114, bottom: 1050 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  data: {
    usual: { width: 70, height: 114, bottom: 300 },
    setMayCover: true,
    plateMayCover: false,
    inWall: true,
    outMm: 5,
    standsBelow: false,
    served: serves('cable', ...EVERY_WAY),
  },
  furniture: {
    usual: { width: 1200, height: 600, bottom: 0 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 400,
    standsBelow: true,
  },
  cabinet: {
    usual: { width: 600, height: 700, bottom: 1400 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 330,
    standsBelow: true,
  },
  shelf: {
    usual: { width: 900, height: 30, bottom: 1800 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 250,
    standsBelow: true,
  },
  mantel: {
    usual: { width: 1500, height: 80, bottom: 1200 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 200,
    standsBelow: true,
  },
  opening: {
    usual: { width: 1100, height: 800, bottom: 0 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: true,
    served: serves('duct', 'up'),
  },
  chimney: {
    usual: { width: 1500, height: 2400, bottom: 0 },
    setMayCover: true,
    plateMayCover: true,
    inWall: false,
    outMm: 300,
    standsBelow: false,
  },
  // stands on its own hearth; its flue goes up
  stove: {
    usual: { width: 500, height: 650, bottom: 0 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 350,
    standsBelow: true,
    served: serves('duct', 'up'),
  },
  window: {
    usual: { width: 1000, height: 1200, bottom: 900 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
  },
  curtain: {
    usual: { width: 300, height: 2200, bottom: 0 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 100,
    standsBelow: false,
  },
  door: {
    usual: { width: 860, height: 2030, bottom: 0 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
  },
  vent: {
    usual: { width: 300, height: 150, bottom: 200 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
    served: serves('duct', 'up', 'down', 'at'),
  },
  pipe: {
    usual: { width: 40, height: 2400, bottom: 0 },
    setMayCover: true,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
    served: serves('pipe', ...EVERY_WAY),
  },
  gas: {
    usual: { width: 60, height: 60, bottom: 100 },
    setMayCover: false,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
    served: serves('gas', ...EVERY_WAY),
  },
  soundbar: {
    usual: { width: 900, height: 70, bottom: 700 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 90,
    standsBelow: false,
  },
  box: {
    usual: { width: 368, height: 445, bottom: 1000 },
    setMayCover: true,
    plateMayCover: false,
    inWall: true,
    outMm: 0,
    standsBelow: false,
  },
  // another screen: kept clear at every swing
  set: {
    usual: { width: 700, height: 420, bottom: 1100 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 100,
    standsBelow: false,
  },
  // a box behind the set
  device: {
    usual: { width: 160, height: 110, bottom: 1150 },
    setMayCover: true,
    plateMayCover: false,
    inWall: false,
    outMm: 30,
    standsBelow: false,
  },
  // inside the wall: the set and the plate may hang before it, and no hole comes near it
  flue: {
    usual: { width: 200, height: 1200, bottom: 1000 },
    setMayCover: true,
    plateMayCover: true,
    inWall: true,
    outMm: 0,
    standsBelow: false,
    served: serves('duct', 'at'),
  },
  other: {
    usual: { width: 300, height: 300, bottom: 1000 },
    setMayCover: false,
    plateMayCover: false,
    inWall: false,
    outMm: 0,
    standsBelow: false,
  },
};

export const ITEM_KINDS = Object.keys(ROOM_THINGS) as ItemKind[];

/** By the thing's own word, else by its kind. */
export const setMayCover = (item: Item): boolean => item.setMayCover ?? ROOM_THINGS[item.kind].setMayCover;

/** A plate lies over an outlet only where that sits behind the wall's surface, or has flat plugs alone. */
export function plateMayCover(item: Item, leads: Job['leads'] = []): boolean {
  const may = item.plateMayCover ?? ROOM_THINGS[item.kind].plateMayCover;
  if (!may || item.kind !== 'outlet' || item.recessed) return may;
  const plugs = leads.filter((l) => l.to === item.id);
  return plugs.length > 0 && plugs.every((l) => l.plugDepth !== undefined && l.plugDepth <= FLAT_PLUG_MM);
}

/** A plug no deeper than this is flat, mm. Ours. */
const FLAT_PLUG_MM = 12;

/** Kept between a hole's rim and what is in or on the wall, mm. Ours. */
const OFF_THING_MM = 3;

/** Whether a hole keeps off everything that is in or on its wall, each by its own doubt. `but`: what it is for. */
export function isClearOfThings(
  things: readonly Item[],
  { x, y }: { x: number; y: number },
  holeMm: number,
  but?: string,
): boolean {
  return things.every((t) => {
    if (!ROOM_THINGS[t.kind].inWall || t.id === but) return true;
    const off = holeMm / 2 + OFF_THING_MM + (t.doubt ?? 0);
    return outsideOf(t, x, y) >= off;
  });
}

/** How far outside a thing a place is, mm; below zero inside of it. */
export function outsideOf({ left, right, bottom, top }: Omit<Zone, 'id'>, x: number, y: number): number {
  const [dx, dy] = [Math.max(left - x, x - right), Math.max(bottom - y, y - top)];
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
}

/** The items on the wall that the job is about. */
export const onMainWall = (items: readonly Item[] | undefined): Item[] =>
  (items ?? []).filter((i) => (i.wall ?? 'main') === 'main');

/** How far a thing stands out of its wall, mm: measured, or what is usual for its kind. */
export const outOf = (item: Item): number => item.out ?? ROOM_THINGS[item.kind].outMm;
