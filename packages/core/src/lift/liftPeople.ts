/** From this diagonal on two people lift, mm (50 in). Common practice. */
const TWO_PEOPLE_MM = 1270;

/** Load constant of the revised NIOSH equation, kg (Waters et al. 1993, from memory). */
const LOAD_KG = 23;
/** Coupling: a set has no handles, fair hold. */
const COUPLING = 0.95;
/** Hands before the ankles: the body, and the set held flat against it, cm. Ours. */
const HELD_CM = 25;

export interface Lift {
  /** Height of the hands where the lift begins or ends, cm. */
  fromCm: number;
  toCm: number;
  thicknessCm: number;
}

const zeroOutside = (value: number, low: number, high: number, multiplier: number): number =>
  value < low || value > high ? 0 : multiplier;

/**
 * What one person may lift by the revised NIOSH lifting equation, kg: the lesser of both ends.
 * 23 HM VM DM CM with nobody turning: hands 25 cm out, from 75 to 100 cm up: 23 x 0.925 x 0.95 = 20.2.
 */
export function liftLimitKg({ fromCm, toCm, thicknessCm }: Lift): number {
  const out = HELD_CM + thicknessCm / 2;
  const horizontal = zeroOutside(out, 0, 63, Math.min(1, 25 / out));
  const travel = Math.abs(toCm - fromCm);
  const distance = zeroOutside(travel, 0, 175, travel < 25 ? 1 : 0.82 + 4.5 / travel);
  const at = (cm: number) =>
    LOAD_KG * horizontal * distance * COUPLING * zeroOutside(cm, 0, 175, 1 - 0.003 * Math.abs(cm - 75));
  return Math.min(at(fromCm), at(toCm));
}

/**
 * How many people lift the set: two over a 50 in diagonal (common practice) or above what one may
 * lift; each further one where even that is too much. An end out of anybody's reach asks for two.
 */
export function liftPeople(massKg: number, diagonalMm: number, limitKg: number): number {
  const byMass = limitKg > 0 ? Math.ceil(massKg / limitKg) : 2;
  return Math.max(diagonalMm > TWO_PEOPLE_MM ? 2 : 1, byMass);
}
