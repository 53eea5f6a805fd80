import type { Control } from 'react-hook-form';
import { z } from 'zod';
import type { BuildKind, Mount, MountType, Units } from '@steddo/contract';
import { fromKg, parseAmount, parseTape, toKg, type LengthUnit } from '@steddo/core';
import { amountFaultText, rounded, wordingFor, tapeFaultText, type Wording } from '@steddo/text';
import { hasArm, toMount } from './formToMount';
import { WALL_FIXINGS, eachFixing, measuresOf, ratingsOf, type FixingField } from './wallFixings';

/** Everything of the form as it was typed. */
export interface MountTyped extends Record<FixingField, string> {
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
  armLinks: string;
  armHead: string;
  armRoot: string;
  foldOffset: string;
  bagScrews: string;
  bagSpacers: string;
  bagWashers: string;
  joint: NonNullable<Mount['joint']>;
  latch: NonNullable<Mount['latch']> | 'unknown';
  rise: string;
  hookSpacing: string;
  trimHeight: string;
  trimPitch: string;
  trimSpan: string;
  trimRoll: string;
  tools: string;
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
  armLinks: '',
  armHead: '',
  armRoot: '',
  foldOffset: '',
  bagScrews: '',
  bagSpacers: '',
  bagWashers: '',
  joint: 'rail',
  latch: 'unknown',
  rise: '',
  hookSpacing: '',
  trimHeight: '',
  trimPitch: '',
  trimSpan: '',
  trimRoll: '',
  tools: '',
  ...eachFixing(() => ''),
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
  const list = (negative = false) => inOrder(listText(mm(3000, negative)));
  const asTyped = () => listText(mm(3000));
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
      ...eachFixing((field) => {
        if (field.endsWith('Diameter')) return maybe(mm(20));
        if (field.endsWith('Length')) return maybe(mm(200));
        return maybe(field.endsWith('Count') ? number(1, 40, true) : number(1, 1_000_000));
      }),
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
      armLinks: maybe(asTyped()),
      armHead: maybe(mm(500)),
      armRoot: maybe(mm(1000, true)),
      foldOffset: maybe(mm(1000, true)),
      bagScrews: maybe(screwsText),
      bagSpacers: maybe(list()),
      bagWashers: maybe(list()),
      joint: z.custom<MountTyped['joint']>(),
      latch: z.custom<MountTyped['latch']>(),
      rise: maybe(mm(500)),
      hookSpacing: maybe(mm(1500)),
      trimHeight: maybe(mm(100)),
      trimPitch: maybe(mm(5)),
      trimSpan: maybe(mm(1500)),
      trimRoll: maybe(number(0, 45)),
      tools: maybe(toolsText),
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
      for (const fixing of WALL_FIXINGS) {
        const lacking = measuresOf(fixing).filter((f) => v[f] === undefined);
        const given = [...measuresOf(fixing), ...ratingsOf(fixing)].some((f) => v[f] !== undefined);
        if (given) for (const f of lacking) fault(f, `is needed with the other measures of ${fixing.name}`);
      }
      if (v.armLinks && v.armLinks.length > MOST_LINKS) fault('armLinks', `has at most ${MOST_LINKS} links`);
      if (v.armLinks?.some((l) => l === 0)) fault('armLinks', 'a link is longer than nothing');
      const arm = [v.armHead, v.armRoot, v.foldOffset].some((l) => l !== undefined);
      if (hasArm(v.type) && arm && !v.armLinks && before?.arm?.kind !== 'scissor')
        fault('armLinks', 'is needed with the other measures of the arm');
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

const MOST_LINKS = 4;

/** `M6 x 12; M8 x 25`: thread and length in mm. */
const screwsText = z.string().transform((text, ctx): { thread: string; length: number }[] => {
  const parts = text.split(';').map((p) => p.trim());
  const screws = parts.flatMap((part) => {
    const [, thread, long] = /^(M\d+(?:\.\d+)?)\s*[x×*]\s*(\d+(?:\.\d+)?)$/i.exec(part) ?? [];
    const length = Number(long);
    return thread && length > 0 && length <= 300 ? [{ thread: thread.toUpperCase(), length }] : [];
  });
  if (screws.length === parts.length) return screws;
  ctx.addIssue({ code: 'custom', message: 'takes thread x length in mm, with ; between: M6 x 12; M8 x 25' });
  return z.NEVER;
});

/** `socket 13; key 5`: what turns its screws. */
const toolsText = z.string().transform((text, ctx): string[] => {
  const tools = text.split(';').map((t) => t.trim());
  if (tools.every((t) => t.length > 0 && t.length <= 60) && tools.length <= 40) return tools;
  ctx.addIssue({ code: 'custom', message: 'takes names with ; between: socket 13; key 5' });
  return z.NEVER;
});

/** Several lengths with `;` between them. */
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
    return parts.map((p) => p.data ?? 0);
  });

/** Lowest first. */
const inOrder = (all: z.ZodType<number[], string>) => all.transform((lengths) => [...lengths].sort((a, b) => a - b));
