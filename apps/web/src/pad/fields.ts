import {
  fromKg,
  fromMm,
  parseAmount,
  parseTape,
  formatTape,
  N_PER_POUND,
  toKg,
  type Command,
  type LengthUnit,
  type TapeStyle,
} from '@steddo/core';
import { amountFaultText, rounded, tapeFaultText, type Wording } from '@steddo/text';
import type { Job, Units } from '@steddo/contract';

/** One number that the tape pad can take: what it is, what it takes, and what becomes of it. */
export interface Field {
  /** Path in the job; the draft is kept under it. */
  path: string;
  label: string;
  kind: 'length' | 'mass' | 'angle' | 'count' | 'force' | 'celsius';
  /** mm, kg, degrees, newtons or a plain number; absent when there is none yet. */
  value?: number;
  guess?: boolean;
  /** Bounds in the unit of the file; beyond them the pad says what it takes. */
  min: number;
  max: number;
  /** A set's diagonal: in inches, whatever the job's units. */
  inInches?: boolean;
  /** Lengths that are always in mm, whatever the job's units: hole patterns. */
  alwaysMm?: boolean;
  hint?: string;
  /** What becomes of the value, in the job as it is when the value is taken. */
  command: (value: number, job: Job) => Command;
}

export type Typed =
  | { ok: true; value: number }
  | { ok: false; reason: string; perhaps?: { value: number; unit: LengthUnit } };

/** The unit that a bare number is in. */
export type EntryUnit = LengthUnit | 'lb' | 'kg' | 'deg' | 'x' | 'N' | 'C';

export const unitsFor = (field: Field): readonly EntryUnit[] =>
  field.kind === 'length'
    ? ['in', 'ft', 'mm', 'cm']
    : field.kind === 'mass'
      ? ['lb', 'kg']
      : field.kind === 'force'
        ? ['N', 'lb']
        : field.kind === 'count'
          ? ['x']
          : field.kind === 'celsius'
            ? ['C']
            : ['deg'];

export function unitAtStart(field: Field, units: Units): EntryUnit {
  if (field.kind === 'mass') return units === 'imperial' ? 'lb' : 'kg';
  if (field.kind === 'force') return units === 'imperial' ? 'lb' : 'N';
  if (field.kind === 'angle') return 'deg';
  if (field.kind === 'count') return 'x';
  if (field.kind === 'celsius') return 'C';
  if (field.inInches) return 'in';
  return field.alwaysMm || units === 'metric' ? 'mm' : 'in';
}

/** Reads what was typed by the field's rules, or says in a sentence what it takes. */
export function readTyped(text: string, field: Field, unit: EntryUnit, say: Wording): Typed {
  if (field.kind === 'length') return readLength(text, field, unit as LengthUnit, say);
  const read = parseAmount(text, AMOUNT_UNITS[field.kind], field.min, field.max, (v, u) => {
    const pounds = (u ?? unit) === 'lb';
    if (field.kind === 'mass') return toKg(v, pounds ? 'lb' : 'kg');
    return field.kind === 'force' && pounds ? v * N_PER_POUND : v;
  });
  if (read.ok) return { ok: true, value: read.value };
  return {
    ok: false,
    reason: amountFaultText(read.fault, amountWords(field, say)),
  };
}

const AMOUNT_UNITS: Record<Exclude<Field['kind'], 'length'>, string[]> = {
  mass: ['lb', 'kg'],
  force: ['lb', 'n'],
  count: ['x'],
  angle: ['°'],
  celsius: ['°c', 'c'],
};

const plain = (value: number): string => rounded(value, 3);
const celsiusText = (value: number): string => `${rounded(value, 1)} °C`;

/** How an amount of a kind is said. */
function amountWords({ kind }: Field, say: Wording): (value: number) => string {
  switch (kind) {
    case 'mass':
      return say.mass;
    case 'force':
      return say.force;
    case 'count':
      return plain;
    case 'celsius':
      return celsiusText;
    default:
      return say.degrees;
  }
}

/** A value as it stands beside its label. */
export function fieldText(value: number, field: Field, say: Wording): string {
  if (field.kind === 'count') return `x ${plain(value)}`;
  if (field.kind !== 'length') return amountWords(field, say)(value);
  if (field.alwaysMm) return `${rounded(value, 2)} mm`;
  return field.inInches ? say.diagonal(value) : say.length(value);
}

function readLength(text: string, field: Field, unit: LengthUnit, say: Wording): Typed {
  const read = parseTape(text, {
    unit,
    negative: field.min < 0,
    atLeastMm: field.min,
    atMostMm: field.max,
  });
  if (read.ok) return { ok: true, value: read.mm };
  const example = unit === 'mm' ? '1483' : unit === 'cm' ? '148.3' : unit === 'ft' ? '4\' 10 3/8"' : '58 3/8';
  const reason = tapeFaultText(read.fault, say, example);
  const { fault } = read;
  const perhaps =
    fault.code === 'beyond' && fault.perhapsMm !== undefined && fault.perhapsUnit
      ? { value: fault.perhapsMm, unit: fault.perhapsUnit }
      : undefined;
  return { ok: false, reason, ...(perhaps ? { perhaps } : {}) };
}

/** A value as it would be typed, without its unit. */
export function asTyped(value: number, field: Field, unit: EntryUnit): string {
  if (unit === 'lb') return rounded(field.kind === 'force' ? value / N_PER_POUND : fromKg(value, 'lb'), 2);
  if (unit === 'kg' || unit === 'deg' || unit === 'x' || unit === 'N' || unit === 'C') return rounded(value, 3);
  if (unit === 'mm' || unit === 'cm' || unit === 'm') return rounded(fromMm(value, unit), unit === 'mm' ? 1 : 2);
  const tape: TapeStyle = { unit, divisionMm: 25.4 / 16 };
  const text = formatTape(value, tape);
  return unit === 'in' ? text.replace(/ in$/, '') : text;
}

/** One step of the nudge keys, in the unit of the file. */
export function stepOf(field: Field, unit: EntryUnit): { value: number; text: string } {
  if (unit === 'in' || unit === 'ft') return { value: 25.4 / 16, text: '1/16' };
  if (unit === 'mm' || unit === 'cm' || unit === 'm') return { value: 1, text: '1 mm' };
  if (field.kind === 'force') return { value: unit === 'lb' ? N_PER_POUND : 1, text: '1' };
  if (unit === 'lb') return { value: toKg(0.1, 'lb'), text: '0.1' };
  return { value: 0.1, text: '0.1' };
}
