import type { Build } from '@steddo/contract';
import { MM_PER_INCH } from '../primitives/convert';

/** What the standards print of timber and lag screws. All from memory; docs/sources.md lists each table. */

export type Timber = NonNullable<Build['timber']>;

/** Specific gravity of the timber a stud is cut from (NDS 2018, table 12.3.3A, from memory). */
export const GRAVITY: Record<Timber, number> = {
  'spruce-pine-fir': 0.42,
  'hem-fir': 0.43,
  'douglas-fir': 0.5,
  'southern-pine': 0.55,
};

/** Timber whose kind nobody has said: the lightest of the table, which holds least. */
export const USUAL_TIMBER: Timber = 'spruce-pine-fir';

export const gravityOf = (build: Pick<Build, 'timber'>): number => GRAVITY[build.timber ?? USUAL_TIMBER];

/** One size of lag screw: shank, root of the thread, tip, mm; bending yield strength, psi. */
export interface LagSize {
  shankMm: number;
  rootMm: number;
  tipMm: number;
  yieldPsi: number;
}

/**
 * Common lag screws of 1/4, 5/16 and 3/8 in: root and tip from NDS 2018 appendix L (table L2), bending yield
 * from appendix I and the footnotes of table 12K; both from memory.
 */
const LAGS: readonly LagSize[] = [
  { shankMm: MM_PER_INCH / 4, rootMm: 0.173 * MM_PER_INCH, tipMm: (5 / 32) * MM_PER_INCH, yieldPsi: 70_000 },
  { shankMm: (5 / 16) * MM_PER_INCH, rootMm: 0.227 * MM_PER_INCH, tipMm: (3 / 16) * MM_PER_INCH, yieldPsi: 60_000 },
  { shankMm: (3 / 8) * MM_PER_INCH, rootMm: 0.265 * MM_PER_INCH, tipMm: (7 / 32) * MM_PER_INCH, yieldPsi: 45_000 },
];

/** A lag whose shank differs from the table's by more is not the table's lag, mm. */
const SHANK_TOLERANCE_MM = 0.1;

/**
 * The table's row for a lag of a shank diameter in mm; undefined off the table by more than 0.1 mm, and
 * then nothing is said about what it holds. 7.94: the 5/16 in lag, root 5.766 mm.
 */
export const lagSizeOf = (diameter: number): LagSize | undefined =>
  LAGS.find((l) => Math.abs(l.shankMm - diameter) <= SHANK_TOLERANCE_MM);

/**
 * Thread of a lag when nobody has measured it, mm: the smaller of L/2 + 1/2 in and 6 in (NDS appendix L,
 * from memory). 64 mm long: 44.7.
 */
export const usualThread = (lengthMm: number): number => Math.min(lengthMm / 2 + MM_PER_INCH / 2, 6 * MM_PER_INCH);

/** Bearing strength of sheet steel under a dowel, psi (ASTM A653 grade 33; NDS 2018 table 12K's footnote, from memory). */
export const STEEL_BEARING_PSI = 61_850;

/**
 * Duration factors (NDS 2018, table 2.3.2, from memory): what stays, what is there for a week in all, what a hand
 * does for minutes. Which pose counts as which is ours: folded and each seat's stay, any other does not.
 */
export const DURATION = { stays: 0.9, passing: 1.15, hand: 1.6 } as const;

/** A lag reaches at least so many diameters into the wood (NDS 12.1.4.6, from memory). */
export const LEAST_PENETRATION_D = 4;

/** Lags in one stud: full value from so many diameters apart, none below the second (NDS 12.5.1B and C, from memory). */
export const ROW_SPACING_D = { full: 4, least: 3 } as const;

/** Pounds of force to newtons, and pounds per square inch to newtons per square millimetre: exact by definition. */
export const N_PER_POUND = 4.4482216152605;
export const MPA_PER_PSI = N_PER_POUND / MM_PER_INCH ** 2;
