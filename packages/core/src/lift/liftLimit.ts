/** Load constant of the revised NIOSH equation, kg (Waters et al. 1993, from memory). */
export const LOAD_KG = 23;
/** Coupling: a set has no handles, fair hold. */
export const COUPLING = 0.95;
/** Hands before the ankles: the body, and the set held flat against it, cm. Ours. */
const HELD_CM = 25;

/** One lift of a set, its back to the wall. */
export interface Lift {
  /** Height of the hands where the lift begins or ends, cm. */
  fromCm: number;
  toCm: number;
  thicknessCm: number;
  /** How far the body turns between the two, degrees. */
  turnDeg: number;
}

/** What the equation takes off the load constant at one end: 1 takes nothing, 0 leaves nothing to lift. */
export interface Multipliers {
  out: number;
  height: number;
  travel: number;
  turn: number;
}

const zeroOutside = (value: number, high: number, multiplier: number): number => (value > high ? 0 : multiplier);

/**
 * The multipliers of the revised NIOSH lifting equation (Waters et al. 1993, from memory) at the worse end:
 *
 *   HM 25 / H (1 below 25, 0 above 63 cm)           VM 1 - 0.003 |V - 75| (0 above 175)
 *   DM 0.82 + 4.5 / D (1 below 25, 0 above 175)     AM 1 - 0.0032 A (0 above 135 degrees)
 *
 * Hands 35 to 115 cm up, a set 55 mm thick: 0.901, 0.88 at both ends, 0.876, 1.
 */
export function multipliersOf({ fromCm, toCm, thicknessCm, turnDeg }: Lift): Multipliers {
  const out = HELD_CM + thicknessCm / 2;
  const travel = Math.abs(toCm - fromCm);
  const height = (cm: number) => zeroOutside(cm, 175, 1 - 0.003 * Math.abs(cm - 75));
  return {
    out: zeroOutside(out, 63, Math.min(1, 25 / out)),
    height: Math.min(height(fromCm), height(toCm)),
    travel: zeroOutside(travel, 175, travel < 25 ? 1 : 0.82 + 4.5 / travel),
    turn: zeroOutside(turnDeg, 135, 1 - 0.0032 * turnDeg),
  };
}

/** What one person may lift at the worse end, kg: hands from 35 to 115 cm, 55 mm thick: 15.18. */
export function liftLimitKg(lift: Lift): number {
  const { out, height, travel, turn } = multipliersOf(lift);
  return LOAD_KG * out * height * travel * turn * COUPLING;
}
