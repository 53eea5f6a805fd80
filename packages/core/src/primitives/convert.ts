/** Standard gravity, m/s2: exact by definition. */
export const GRAVITY_N_PER_KG = 9.80665;
/** The only place where lengths and masses change unit. Both factors are exact by definition (1959). */
export const MM_PER_INCH = 25.4;
export const KG_PER_POUND = 0.45359237;
export const INCHES_PER_FOOT = 12;

export const LENGTH_UNITS = ['in', 'ft', 'mm', 'cm', 'm'] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];
export type MassUnit = 'lb' | 'kg';

const MM_PER: Record<LengthUnit, number> = {
  in: MM_PER_INCH,
  ft: MM_PER_INCH * INCHES_PER_FOOT,
  mm: 1,
  cm: 10,
  m: 1000,
};

/** Length in millimetres: `toMm(1, 'in')` is 25.4. */
export const toMm = (value: number, unit: LengthUnit): number => value * MM_PER[unit];

/** Length out of millimetres: `fromMm(25.4, 'in')` is 1. */
export const fromMm = (mm: number, unit: LengthUnit): number => mm / MM_PER[unit];

/** Mass in kilograms: `toKg(100, 'lb')` is 45.359237. */
export const toKg = (value: number, unit: MassUnit): number => (unit === 'lb' ? value * KG_PER_POUND : value);

/** Mass out of kilograms: `fromKg(45.359237, 'lb')` is 100. */
export const fromKg = (kg: number, unit: MassUnit): number => (unit === 'lb' ? kg / KG_PER_POUND : kg);

/** Degrees and radians; degrees in files and on screens, radians inside a function. */
export const toRad = (deg: number): number => (deg * Math.PI) / 180;
export const toDeg = (rad: number): number => (rad * 180) / Math.PI;
