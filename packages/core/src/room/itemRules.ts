import type { Item, ItemKind } from '@steddo/contract';

/** What may stand in front of a thing on the wall, unless the job says otherwise. */
const DEFAULTS: Record<ItemKind, { setMayCover: boolean; plateMayCover: boolean }> = {
  outlet: { setMayCover: true, plateMayCover: false },
  switch: { setMayCover: false, plateMayCover: false },
  data: { setMayCover: true, plateMayCover: false },
  furniture: { setMayCover: false, plateMayCover: false },
  cabinet: { setMayCover: false, plateMayCover: false },
  shelf: { setMayCover: false, plateMayCover: false },
  mantel: { setMayCover: false, plateMayCover: false },
  opening: { setMayCover: false, plateMayCover: false },
  chimney: { setMayCover: true, plateMayCover: true },
  window: { setMayCover: false, plateMayCover: false },
  curtain: { setMayCover: false, plateMayCover: false },
  door: { setMayCover: false, plateMayCover: false },
  vent: { setMayCover: false, plateMayCover: false },
  pipe: { setMayCover: true, plateMayCover: false },
  gas: { setMayCover: false, plateMayCover: false },
  soundbar: { setMayCover: false, plateMayCover: false },
  box: { setMayCover: true, plateMayCover: false },
  other: { setMayCover: false, plateMayCover: false },
};

/** May the set hang in front of it? An outlet may be covered by the set, furniture may not. */
export const setMayCover = (item: Item): boolean => item.setMayCover ?? DEFAULTS[item.kind].setMayCover;

/** May the plate sit on it? An outlet may not be covered by the plate unless the plate is open there. */
export const plateMayCover = (item: Item): boolean => item.plateMayCover ?? DEFAULTS[item.kind].plateMayCover;

/** The items on the wall that the job is about. */
export const onMainWall = (items: readonly Item[] | undefined): Item[] =>
  (items ?? []).filter((i) => (i.wall ?? 'main') === 'main');
