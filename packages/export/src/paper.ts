/** Sheets of paper, mm. A roll is as wide as it is and as long as it has to be. */
export const PAPERS = ['a4', 'letter', 'roll'] as const;
export type Paper = (typeof PAPERS)[number];

export interface SheetSize {
  width: number;
  height: number;
}

const SIZES: Record<Exclude<Paper, 'roll'>, SheetSize> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
};

export const sizeOf = (paper: Exclude<Paper, 'roll'>): SheetSize => SIZES[paper];

/** Points a millimetre: 72 to the inch of 25.4. */
export const POINTS_PER_MM = 72 / 25.4;

export const toPoints = (mm: number): number => mm * POINTS_PER_MM;
