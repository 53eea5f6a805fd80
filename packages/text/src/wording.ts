import type { Unit } from '@steddo/contract';

/** How values are worded in one job: its units, and the names of its things. */
export interface Wording {
  length: (mm: number) => string;
  /** A set's size, in inches whatever the units are: so it is sold, so it stands on the label. */
  diagonal: (mm: number) => string;
  mass: (kg: number) => string;
  degrees: (deg: number) => string;
  force: (newtons: number) => string;
  value: (value: number, unit: Unit) => string;
  /** The name of a viewer or a thing on the wall, by id. */
  thing: (id: string) => string;
}

/** Rounded for reading only: `rounded(2.34567, 1)` is `2.3`. */
export const rounded = (value: number, places: number): string => String(Number(value.toFixed(places)) + 0);

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A share of what may be held, upwards, so that what is above it never reads as being at it: 1.0004 is `101 %`. */
export const shareText = (share: number): string => `${Math.ceil(share * 100 - 1e-9)} %`;
