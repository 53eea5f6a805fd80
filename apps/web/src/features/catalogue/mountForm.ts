import type { Control } from 'react-hook-form';
import { z } from 'zod';
import type { BuildKind, Mount, MountType, Units } from '@steddo/contract';
import { fromKg, parseAmount, parseTape, toKg, type LengthUnit } from '@steddo/core';
import { amountFaultText, rounded, wordingFor, tapeFaultText, type Wording } from '@steddo/text';
import { toMount } from './formToMount';

/** Everything of the form as it was typed. */
export interface MountTyped {
  name: string;
  type: MountType;
  maxMass: string;
  sizeMin: string;
  sizeMax: string;
  patternMin: string;
  patternMax: string;
  walls: BuildKind[];
  folded: string;
  extended: string;
  tiltDown: string;
  tiltUp: string;
  swivel: string;
  slide: string;
  studs: string;
  price: string;
  lagDiameter: string;
  lagLength: string;
  lagCount: string;
  plateWidth: string;
  plateHeight: string;
  plateThickness: string;
  rows: string;
  columns: string;
  slotLength: string;
  slotHeight: string;
  hook: string;
  armHoles: string;
  bracket: string;
}
export type MountField = keyof MountTyped;
export type MountControl = Control<MountTyped, unknown, Mount>;

export const EMPTY: MountTyped = {
  name: '',
  type: 'fixed',
  maxMass: '',
  sizeMin: '',
  sizeMax: '',
  patternMin: '',
  patternMax: '',
  walls: ['timber-stud'],
  folded: '',
  extended: '',
  tiltDown: '',
  tiltUp: '',
  swivel: '',
  slide: '',
  studs: '',
  price: '',
  lagDiameter: '',
  lagLength: '',
  lagCount: '',
  plateWidth: '',
  plateHeight: '',
  plateThickness: '',
  rows: '',
  columns: '',
  slotLength: '',
  slotHeight: '',
  hook: '',
  armHoles: '',
  bracket: '',
};

const UNITS = { imperial: 'in', metric: 'mm' } as const;

/**
 * Reads the form into a mount, or says at each field what it takes. Lengths are tape numbers in the
 * unit of the form unless they name their own; patterns and slots are always mm, as labels have them.
 */
export function mountSchema(units: Units, id: string, before: Mount | undefined) {
  const say = wordingFor({
    units,
    room: { wall: { width: 1, height: 1, build: { kind: 'unknown' } } },
  });
  const unit: LengthUnit = UNITS[units];
  const tape = (most: number, as: LengthUnit = unit, negative = false) => lengthText(say, as, most, negative);
  const mm = (most: number, negative = false) => tape(most, 'mm', negative);
  const maybe = <T>(schema: z.ZodType<T, string>) =>
    z.string().transform((text, ctx): T | undefined => {
      if (text.trim() === '') return undefined;
      const read = schema.safeParse(text);
      if (read.success) return read.data;
      read.error.issues.forEach((i) => ctx.addIssue({ code: 'custom', message: i.message }));
      return z.NEVER;
    });
  const number = (least: number, most: number, whole = false) => amountText(least, most, whole);
  const list = (negative = false) => listText(mm(3000, negative));
  return z
    .object({
      name: z.string().trim().min(1, 'needs the name that is on its label').max(80),
      type: z.custom<MountType>(),
      walls: z.array(z.custom<BuildKind>()).min(1, 'say which walls it is made for'),
      maxMass: massText(units),
      sizeMin: tape(4000),
      sizeMax: tape(4000),
      patternMin: patternText,
      patternMax: patternText,
      folded: tape(1500),
      extended: maybe(tape(2000)),
      tiltDown: maybe(number(0, 90)),
      tiltUp: maybe(number(0, 90)),
      swivel: maybe(number(0, 180)),
      slide: maybe(tape(500)),
      studs: maybe(number(1, 6, true)),
      price: maybe(number(0, 100_000)),
      lagDiameter: maybe(mm(20)),
      lagLength: maybe(mm(200)),
      lagCount: maybe(number(1, 40, true)),
      plateWidth: maybe(tape(2000)),
      plateHeight: maybe(tape(1500)),
      plateThickness: maybe(mm(40)),
      rows: maybe(list()),
      columns: maybe(list(true)),
      slotLength: maybe(mm(500)),
      slotHeight: maybe(mm(100)),
      hook: maybe(tape(1500)),
      armHoles: maybe(list(true)),
      bracket: maybe(mm(30)),
    })
    .superRefine((v, ctx) => {
      const fault = (path: MountField, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
      if (v.sizeMax < v.sizeMin) fault('sizeMax', 'is smaller than the smallest');
      if (v.patternMax.width < v.patternMin.width || v.patternMax.height < v.patternMin.height)
        fault('patternMax', 'is smaller than the smallest');
      if (v.extended !== undefined && v.extended < v.folded) fault('extended', 'is less than folded');
      if ((v.plateWidth === undefined) !== (v.plateHeight === undefined))
        fault(v.plateWidth === undefined ? 'plateWidth' : 'plateHeight', 'is needed with the other side');
      const slots: MountField[] = ['rows', 'columns', 'slotLength', 'slotHeight'];
      const given = slots.filter((s) => v[s as 'rows'] !== undefined);
      if (given.length > 0 && given.length < slots.length)
        for (const s of slots.filter((o) => !given.includes(o))) fault(s, 'is needed with the other slot measures');
      if (given.length > 0 && v.plateWidth === undefined) fault('plateWidth', 'is needed before its slots');
      const lag: MountField[] = ['lagDiameter', 'lagLength', 'lagCount'];
      const lags = lag.filter((s) => v[s as 'lagCount'] !== undefined);
      if (lags.length > 0 && lags.length < lag.length)
        for (const s of lag.filter((o) => !lags.includes(o))) fault(s, 'is needed with the other lag measures');
    })
    .transform((v): Mount => toMount(v, id, before));
}

const DIGITS = /^\d+(\.\d+)?\s*[x×*]\s*\d+(\.\d+)?$/i;

/** `400 x 400`, in mm. */
const patternText = z.string().transform((text, ctx) => {
  const typed = text.trim().replace(/\s*mm$/i, '');
  const [width = 0, height = 0] = typed.split(/[x×*]/i).map(Number);
  if (DIGITS.test(typed) && width > 0 && height > 0 && width <= 2000 && height <= 2000) return { width, height };
  ctx.addIssue({ code: 'custom', message: 'takes width x height in mm, such as 400 x 400' });
  return z.NEVER;
});

const lengthText = (say: Wording, unit: LengthUnit, most: number, negative: boolean) =>
  z.string().transform((text, ctx): number => {
    const read = parseTape(text, {
      unit,
      negative,
      atLeastMm: negative ? -most : 0,
      atMostMm: most,
    });
    if (read.ok) return read.mm;
    const example = unit === 'in' ? '21 3/4' : '552';
    ctx.addIssue({ code: 'custom', message: tapeFaultText(read.fault, say, example) });
    return z.NEVER;
  });

const massText = (units: Units) =>
  z.string().transform((text, ctx): number => {
    const own = units === 'imperial' ? 'lb' : 'kg';
    const read = parseAmount(text, ['lb', 'kg'], 0.1, 500, (v, u) => toKg(v, (u ?? own) === 'lb' ? 'lb' : 'kg'));
    if (read.ok) return read.value;
    const words = (kg: number) => (own === 'lb' ? `${rounded(fromKg(kg, 'lb'), 1)} lb` : `${kg} kg`);
    ctx.addIssue({ code: 'custom', message: amountFaultText(read.fault, words) });
    return z.NEVER;
  });

const amountText = (least: number, most: number, whole: boolean) =>
  z.string().transform((text, ctx): number => {
    const read = parseAmount(text, ['°'], least, most, (v) => v);
    if (!read.ok) ctx.addIssue({ code: 'custom', message: amountFaultText(read.fault, (v) => rounded(v, 2)) });
    else if (whole && !Number.isInteger(read.value)) ctx.addIssue({ code: 'custom', message: 'takes a whole number' });
    else return read.value;
    return z.NEVER;
  });

/** Several lengths with `;` between them, lowest first. */
const listText = (one: z.ZodType<number, string>) =>
  z.string().transform((text, ctx): number[] => {
    const parts = text.split(';').map((p) => one.safeParse(p.trim()));
    const bad = parts.findIndex((p) => !p.success);
    if (bad >= 0) {
      const shown = text.split(';')[bad]?.trim() ?? '';
      ctx.addIssue({
        code: 'custom',
        message: `"${shown}" is no length in mm; put ; between them`,
      });
      return z.NEVER;
    }
    return parts.map((p) => p.data ?? 0).sort((a, b) => a - b);
  });
