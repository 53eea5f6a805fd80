import type { Control } from 'react-hook-form';
import { z } from 'zod';
import type { BuildKind, Extent, Mount, MountType, Slot, Units } from '@steddo/contract';
import {
  armHoles,
  formatTape,
  fromKg,
  parseAmount,
  parseTape,
  tapeOf,
  toKg,
  type LengthUnit,
} from '@steddo/core';
import { amountFaultText, rounded, sayFor, tapeFaultText, type Say } from '@steddo/text';

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
  name: '', type: 'fixed', maxMass: '', sizeMin: '', sizeMax: '', patternMin: '', patternMax: '', walls: ['timber-stud'],
  folded: '', extended: '', tiltDown: '', tiltUp: '', swivel: '', slide: '', studs: '', price: '', lagDiameter: '',
  lagLength: '', lagCount: '', plateWidth: '', plateHeight: '', plateThickness: '', rows: '', columns: '', slotLength: '',
  slotHeight: '', hook: '', armHoles: '', bracket: '',
}; // prettier-ignore

const UNITS = { imperial: 'in', metric: 'mm' } as const;

/**
 * Reads the form into a mount, or says at each field what it takes. Lengths are tape numbers in the
 * unit of the form unless they name their own; patterns and slots are always mm, as labels have them.
 */
export function mountSchema(units: Units, id: string, before: Mount | undefined) {
  const say = sayFor({
    units,
    room: { wall: { width: 1, height: 1, build: { kind: 'unknown' } } },
  });
  const unit: LengthUnit = UNITS[units];
  const tape = (most: number, as: LengthUnit = unit, negative = false) =>
    lengthText(say, as, most, negative);
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
    .transform((v): Mount => toMount(v, id, before)); // prettier-ignore
}

const DIGITS = /^\d+(\.\d+)?\s*[x×*]\s*\d+(\.\d+)?$/i;

/** `400 x 400`, in mm. */
const patternText = z.string().transform((text, ctx) => {
  const typed = text.trim().replace(/\s*mm$/i, '');
  const [width = 0, height = 0] = typed.split(/[x×*]/i).map(Number);
  if (DIGITS.test(typed) && width > 0 && height > 0 && width <= 2000 && height <= 2000)
    return { width, height };
  ctx.addIssue({ code: 'custom', message: 'takes width x height in mm, such as 400 x 400' });
  return z.NEVER;
});

const lengthText = (say: Say, unit: LengthUnit, most: number, negative: boolean) =>
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
    const read = parseAmount(text, ['lb', 'kg'], 0.1, 500, (v, u) =>
      toKg(v, (u ?? own) === 'lb' ? 'lb' : 'kg'),
    );
    if (read.ok) return read.value;
    const words = (kg: number) =>
      own === 'lb' ? `${rounded(fromKg(kg, 'lb'), 1)} lb` : `${kg} kg`;
    ctx.addIssue({ code: 'custom', message: amountFaultText(read.fault, words) });
    return z.NEVER;
  });

const amountText = (least: number, most: number, whole: boolean) =>
  z.string().transform((text, ctx): number => {
    const read = parseAmount(text, ['°'], least, most, (v) => v);
    if (!read.ok)
      ctx.addIssue({ code: 'custom', message: amountFaultText(read.fault, (v) => rounded(v, 2)) });
    else if (whole && !Number.isInteger(read.value))
      ctx.addIssue({ code: 'custom', message: 'takes a whole number' });
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

/** The form as it was read: mm, kg, degrees; what was left empty is absent. */
interface Read {
  name: string;
  type: MountType;
  walls: BuildKind[];
  maxMass: number;
  sizeMin: number;
  sizeMax: number;
  patternMin: Extent;
  patternMax: Extent;
  folded: number;
  extended?: number | undefined;
  tiltDown?: number | undefined;
  tiltUp?: number | undefined;
  swivel?: number | undefined;
  slide?: number | undefined;
  studs?: number | undefined;
  price?: number | undefined;
  lagDiameter?: number | undefined;
  lagLength?: number | undefined;
  lagCount?: number | undefined;
  plateWidth?: number | undefined;
  plateHeight?: number | undefined;
  plateThickness?: number | undefined;
  rows?: number[] | undefined;
  columns?: number[] | undefined;
  slotLength?: number | undefined;
  slotHeight?: number | undefined;
  hook?: number | undefined;
  armHoles?: number[] | undefined;
  bracket?: number | undefined;
}

function toMount(v: Read, id: string, before: Mount | undefined): Mount {
  const { plate, slots } = plateOf(v, before);
  const base: Mount = {
    ...(before ?? {}),
    id,
    name: v.name,
    type: v.type,
    maxMass: v.maxMass,
    screenSize: { min: v.sizeMin, max: v.sizeMax },
    pattern: { ...before?.pattern, min: v.patternMin, max: v.patternMax },
    walls: wallsOf(v, before),
    depth: { folded: v.folded, ...(v.extended === undefined ? {} : { extended: v.extended }) },
  };
  const set = <K extends keyof Mount>(key: K, value: Mount[K] | undefined) => {
    if (value === undefined) delete base[key];
    else base[key] = value;
  };
  set('tilt', v.tiltDown === undefined ? undefined : { down: v.tiltDown, ...(v.tiltUp === undefined ? {} : { up: v.tiltUp }) });
  set('swivel', v.swivel === undefined ? undefined : { left: v.swivel, right: v.swivel });
  set('slide', v.slide);
  set('studs', v.studs === undefined ? undefined : { ...before?.studs, count: v.studs });
  set('price', v.price);
  set('plate', plate && { ...plate, ...(slots ? { slots } : {}) });
  set('hook', v.hook === undefined ? undefined : { ...before?.hook, above: v.hook });
  set('patternAboveHook', v.armHoles);
  set('bag', v.bracket === undefined ? before?.bag : { ...before?.bag, bracket: v.bracket });
  return base;
} // prettier-ignore

function wallsOf(v: Read, before: Mount | undefined): Mount['walls'] {
  const { lagDiameter, lagLength, lagCount } = v;
  const lag =
    lagDiameter !== undefined && lagLength !== undefined && lagCount !== undefined
      ? { kind: 'lag' as const, diameter: lagDiameter, length: lagLength, count: lagCount }
      : undefined;
  return Object.fromEntries(
    v.walls.map((kind) => {
      const known = before?.walls[kind] ?? {};
      return [kind, kind === 'timber-stud' && lag ? { ...known, fixing: { ...known.fixing, ...lag } } : known];
    }),
  ); // prettier-ignore
}

/** Rows and columns of like slots, hole to hole, are all that a label-only plate needs for its slots. */
function plateOf(v: Read, before: Mount | undefined): { plate: Mount['plate']; slots: Slot[] | undefined } {
  const { plateWidth: width, plateHeight: height, plateThickness, rows, columns, slotLength, slotHeight } = v;
  if (width === undefined || height === undefined) return { plate: undefined, slots: undefined };
  const plate = { ...before?.plate, width, height, ...(plateThickness === undefined ? {} : { thickness: plateThickness }) };
  if (!rows || !columns || slotLength === undefined || slotHeight === undefined) return { plate, slots: undefined };
  return { plate, slots: rows.flatMap((y) => columns.map((x) => ({ x, y, length: slotLength, height: slotHeight }))) };
} // prettier-ignore

/** A mount as it would be typed. */
export function typedOf(mount: Mount, units: Units): MountTyped {
  const tape = tapeOf(units);
  const long = (mm: number | undefined) => (mm === undefined ? '' : formatTape(mm, tape).replace(/ (in|mm)$/, ''));
  const plain = (value: number | undefined) => (value === undefined ? '' : rounded(value, 3));
  const list = (all: readonly number[] | undefined) => (all ? all.map((n) => rounded(n, 2)).join('; ') : '');
  const pattern = (p: { width: number; height: number }) => `${rounded(p.width, 1)} x ${rounded(p.height, 1)}`;
  const slots = mount.plate?.slots ?? [];
  const lag = mount.walls['timber-stud']?.fixing;
  const unique = (all: number[]) => [...new Set(all)].sort((a, b) => a - b);
  const kg = mount.maxMass;
  return {
    ...EMPTY,
    name: mount.name,
    type: mount.type,
    maxMass: units === 'imperial' ? rounded(fromKg(kg, 'lb'), 2) : rounded(kg, 2),
    sizeMin: long(mount.screenSize.min),
    sizeMax: long(mount.screenSize.max),
    patternMin: pattern(mount.pattern.min),
    patternMax: pattern(mount.pattern.max),
    walls: Object.keys(mount.walls) as BuildKind[],
    folded: long(mount.depth.folded),
    extended: long(mount.depth.extended),
    tiltDown: plain(mount.tilt?.down),
    tiltUp: plain(mount.tilt?.up),
    swivel: plain(mount.swivel && Math.min(mount.swivel.left, mount.swivel.right)),
    slide: long(mount.slide),
    studs: plain(mount.studs?.count),
    price: plain(mount.price),
    lagDiameter: lag?.kind === 'lag' ? plain(lag.diameter) : '',
    lagLength: lag?.kind === 'lag' ? plain(lag.length) : '',
    lagCount: lag?.kind === 'lag' ? plain(lag.count) : '',
    plateWidth: long(mount.plate?.width),
    plateHeight: long(mount.plate?.height),
    plateThickness: plain(mount.plate?.thickness),
    rows: list(slots.length > 0 ? unique(slots.map((s) => s.y)) : undefined),
    columns: list(slots.length > 0 ? unique(slots.map((s) => s.x)) : undefined),
    slotLength: plain(slots[0]?.length),
    slotHeight: plain(slots[0]?.height),
    hook: long(mount.hook?.above),
    armHoles: list(armHoles(mount).length > 0 ? armHoles(mount) : undefined),
    bracket: plain(mount.bag?.bracket),
  };
} // prettier-ignore

/** A short id from the name that no other mount has: `Own arm 2` gives `own-arm-2`. */
export function idFor(name: string, taken: (id: string) => boolean): string {
  const base = name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'mount'; // prettier-ignore
  if (!taken(base)) return base;
  for (let n = 2; ; n++) if (!taken(`${base}-${n}`)) return `${base}-${n}`;
}

/** Which of the form's fields make up which part of a mount. */
const PARTS: readonly [fields: MountField[], path: string][] = [
  [['maxMass'], 'maxMass'],
  [['sizeMin', 'sizeMax'], 'screenSize'],
  [['folded', 'extended'], 'depth'],
  [['tiltDown', 'tiltUp'], 'tilt'],
  [['swivel'], 'swivel'],
  [['slide'], 'slide'],
  [['walls', 'lagDiameter', 'lagLength', 'lagCount'], 'walls'],
  [['plateWidth', 'plateHeight', 'plateThickness', 'rows', 'columns', 'slotLength', 'slotHeight'], 'plate'],
  [['rows', 'columns', 'slotLength', 'slotHeight'], 'plate.slots'],
  [['hook'], 'hook'],
  [['armHoles'], 'patternAboveHook'],
  [['bracket'], 'bag'],
]; // prettier-ignore

/**
 * Keeps what nobody touched as it was: the form shows tape numbers, and a plate whose slots are no
 * plain grid must not become one because its price was changed.
 */
export function keepUntouched(edited: Mount, before: Mount, touched: (field: MountField) => boolean): Mount {
  const kept = structuredClone(edited) as Record<string, unknown>;
  for (const [fields, path] of PARTS) {
    if (fields.some(touched)) continue;
    const [first = '', second] = path.split('.');
    const from = (before as Record<string, unknown>)[first];
    if (second === undefined) {
      if (from === undefined) delete kept[first];
      else kept[first] = from;
    } else if (isRecord(from) && isRecord(kept[first]) && from[second] !== undefined)
      kept[first] = { ...kept[first], [second]: from[second] };
  }
  return kept as Mount;
} // prettier-ignore

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;
