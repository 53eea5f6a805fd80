import Fraction from 'fraction.js';
import { INCHES_PER_FOOT, fromMm, toMm, type LengthUnit } from './convert';

/** How people read lengths in a job: the unit, and the tape's division in that unit. */
export interface TapeStyle {
  unit: Exclude<LengthUnit, 'm'>;
  /** Smallest step shown, in mm. */
  divisionMm: number;
}

/** A length as it stands on the tape: stacked on screen, in one line in print. */
export interface TapeParts {
  negative: boolean;
  feet?: number;
  /** Whole inches; whole or decimal text in metric. */
  whole: string;
  numerator?: number;
  denominator?: number;
  unit: TapeStyle['unit'];
}

export const IMPERIAL: TapeStyle = { unit: 'in', divisionMm: toMm(1, 'in') / 16 };
export const METRIC: TapeStyle = { unit: 'mm', divisionMm: 1 };

/** The tape of a job: sixteenths of an inch, or millimetres. */
export const tapeOf = (units: 'imperial' | 'metric'): TapeStyle => (units === 'imperial' ? IMPERIAL : METRIC);

/**
 * Splits a length into what stands on the tape, rounded once, half up, to the division.
 * Throws for a value that is not finite: no NaN reaches a screen.
 * `tapeParts(1482.725, IMPERIAL)` is 58 whole, 3 over 8.
 */
export function tapeParts(mm: number, style: TapeStyle): TapeParts {
  if (!Number.isFinite(mm)) throw new RangeError(`not a length: ${mm}`);
  const ticks = Math.floor(Math.abs(mm) / style.divisionMm + 0.5 + 1e-9);
  const negative = mm < 0 && ticks > 0;
  if (style.unit === 'mm' || style.unit === 'cm') {
    const inUnit = fromMm(ticks * style.divisionMm, style.unit);
    return { negative, whole: trimmed(inUnit), unit: style.unit };
  }
  const perInch = Math.round(toMm(1, 'in') / style.divisionMm);
  const inches = new Fraction(ticks, perInch);
  const whole = Number(inches.floor());
  const rest = inches.sub(whole);
  const fraction = rest.n === 0n ? {} : { numerator: Number(rest.n), denominator: Number(rest.d) };
  if (style.unit === 'in') return { negative, whole: String(whole), unit: 'in', ...fraction };
  const feet = Math.floor(whole / INCHES_PER_FOOT);
  const left = String(whole - feet * INCHES_PER_FOOT);
  return { negative, feet, whole: left, unit: 'ft', ...fraction };
}

/**
 * Writes a length as a person would: `formatTape(1482.725, IMPERIAL)` is `58 3/8 in`,
 * with feet `4 ft 10 3/8 in`, in millimetres `1483 mm`.
 */
export function formatTape(mm: number, style: TapeStyle): string {
  const parts = tapeParts(mm, style);
  const sign = parts.negative ? '-' : '';
  const fraction = parts.numerator === undefined ? '' : `${parts.numerator}/${parts.denominator}`;
  const inches = fraction === '' ? parts.whole : parts.whole === '0' ? fraction : `${parts.whole} ${fraction}`;
  if (parts.feet !== undefined) return `${sign}${parts.feet} ft ${inches} in`;
  return `${sign}${inches} ${parts.unit}`;
}

/** The nearest length that the tape's division can show, mm: `onDivision(10.2, METRIC)` is 10. */
export const onDivision = (mm: number, style: TapeStyle): number =>
  Math.round(mm / style.divisionMm) * style.divisionMm;

const trimmed = (value: number): string => String(Number(value.toFixed(4)));
