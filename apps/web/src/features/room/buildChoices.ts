import { behindChoice, bondChoice, coverChoice, masonryChoice, stateChoice, wallChoice } from '@steddo/text';

const options = <K extends string>(names: Record<K, string>): readonly { value: K; name: string }[] =>
  (Object.keys(names) as K[]).map((value) => ({ value, name: names[value] }));

/** What a wall, or a part of it, can be, for choosing from; a part that differs is at least known. */
export const WALLS = options(wallChoice);
export const KINDS = WALLS.filter((k) => k.value !== 'unknown');
export const COVERS = options(coverChoice);
export const STATES = options(stateChoice);
export const MASONRY = options(masonryChoice);
export const BONDS = options(bondChoice);
export const BEHIND = options(behindChoice);
