import Fraction from 'fraction.js';
import { INCHES_PER_FOOT, toMm, type LengthUnit } from './convert';

/**
 * Reads a length as people write it: `58 3/8`, `58-3/8"`, `4' 10 3/8"`, `4 ft 10.375 in`,
 * `148.3 cm`, `1.483 m`, `1483mm`, `¾`, `7/32`. A bare number takes the job's unit.
 *
 *   length  = [sign] ( feet [inches] | measure unit? )
 *   feet    = measure ("'" | ft)          inches = measure ('"' | in)?
 *   measure = whole [ (" " | "-") n/d ] | n/d | decimal
 */
export interface TapeRules {
  /** The unit of a bare number. */
  unit: LengthUnit;
  negative?: boolean;
  /** Least and most that make sense here, mm. Beyond `atMostMm` the value is questioned. */
  atLeastMm?: number;
  atMostMm?: number;
}

export type TapeFault =
  | { code: 'empty' }
  | { code: 'not-a-length'; text: string }
  | { code: 'comma'; text: string }
  | { code: 'negative' }
  | { code: 'denominator'; denominator: number }
  | { code: 'improper'; text: string }
  | { code: 'twelve-inches'; inches: number }
  | { code: 'too-small'; atLeastMm: number }
  /** Beyond what fits here; `perhapsMm` is the same number read in another unit, if that would fit. */
  | { code: 'beyond'; mm: number; atMostMm: number; perhapsMm?: number; perhapsUnit?: LengthUnit };

export type TapeReading = { ok: true; mm: number; unit: LengthUnit } | { ok: false; fault: TapeFault };

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const UNIT_NAMES: Record<string, LengthUnit> = {
  '"': 'in',
  in: 'in',
  inch: 'in',
  inches: 'in',
  "'": 'ft',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  mm: 'mm',
  cm: 'cm',
  m: 'm',
};
/** A tape is divided by halving. */
const DENOMINATORS = [2, 4, 8, 16, 32, 64];

const MEASURE = String.raw`\d+\s*[\s-]\s*\d+/\d+|\d+/\d+|\d*\.\d+|\d+\.?`;
const UNIT = String.raw`"|'|inches|inch|in|feet|foot|ft|mm|cm|m`;
const FEET_AND_INCHES = new RegExp(
  `^(${MEASURE})\\s*(?:'|feet|foot|ft)\\s*-?\\s*(${MEASURE})\\s*(?:"|inches|inch|in)?$`,
);
const ONE_MEASURE = new RegExp(`^(${MEASURE})\\s*(${UNIT})?\\.?$`);

/**
 * Parses a typed or pasted length. Expected failures come back as data, with what is wrong;
 * nothing is clamped or guessed.
 * `parseTape("4' 10 3/8\"", { unit: 'in' })` is 1482.725 mm.
 */
export function parseTape(text: string, rules: TapeRules): TapeReading {
  const plain = simplify(text);
  if (plain === '') return failed({ code: 'empty' });
  if (plain.includes(',')) return failed({ code: 'comma', text: text.trim() });
  const negative = /^[-−]/.test(plain);
  const body = plain.replace(/^[-−+]\s*/, '');
  const read = readBody(body, rules.unit);
  if ('code' in read) return failed(read);
  const mm = negative ? -read.mm : read.mm;
  if (negative && mm !== 0 && !rules.negative) return failed({ code: 'negative' });
  return checkRange(mm, read.bare, rules, read.unit);
}

function simplify(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c] ?? ''}`)
    .replace(/⁄/g, '/')
    .replace(/''|[″“”]/g, '"')
    .replace(/[′‘’]/g, "'")
    .replace(/\s*\/\s*/g, '/')
    .replace(/\s+/g, ' ')
    .trim();
}

type Body = { mm: number; unit: LengthUnit; bare: boolean };

function readBody(body: string, unit: LengthUnit): Body | TapeFault {
  const both = FEET_AND_INCHES.exec(body);
  if (both) {
    const feet = readMeasure(both[1] ?? '');
    const inches = readMeasure(both[2] ?? '');
    if (typeof feet !== 'number') return feet;
    if (typeof inches !== 'number') return inches;
    if (inches >= INCHES_PER_FOOT) return { code: 'twelve-inches', inches };
    return { mm: toMm(feet * INCHES_PER_FOOT + inches, 'in'), unit: 'ft', bare: false };
  }
  const one = ONE_MEASURE.exec(body);
  if (!one) return { code: 'not-a-length', text: body };
  const value = readMeasure(one[1] ?? '');
  if (typeof value !== 'number') return value;
  const said = one[2] === undefined ? undefined : UNIT_NAMES[one[2]];
  return { mm: toMm(value, said ?? unit), unit: said ?? unit, bare: said === undefined };
}

function readMeasure(text: string): number | TapeFault {
  const parts = /^(?:(\d+)\s*[\s-]\s*)?(\d+)\/(\d+)$/.exec(text);
  if (!parts) return Number(text);
  const [, whole = '0', top = '', bottom = ''] = parts;
  const denominator = Number(bottom);
  if (!DENOMINATORS.includes(denominator)) return { code: 'denominator', denominator };
  if (Number(top) >= denominator) return { code: 'improper', text };
  return new Fraction(Number(top), denominator).add(Number(whole)).valueOf();
}

function checkRange(mm: number, bare: boolean, rules: TapeRules, unit: LengthUnit): TapeReading {
  const { atLeastMm, atMostMm } = rules;
  if (atLeastMm !== undefined && mm < atLeastMm) return failed({ code: 'too-small', atLeastMm });
  if (atMostMm === undefined || mm <= atMostMm) return { ok: true, mm, unit };
  const others: LengthUnit[] = ['mm', 'cm', 'in'];
  const perhapsUnit = others.find((u) => bare && u !== unit && toMm(mm / toMm(1, unit), u) <= atMostMm);
  const guess = perhapsUnit && { perhapsUnit, perhapsMm: toMm(mm / toMm(1, unit), perhapsUnit) };
  return failed({ code: 'beyond', mm, atMostMm, ...guess });
}

const failed = (fault: TapeFault): TapeReading => ({ ok: false, fault });
