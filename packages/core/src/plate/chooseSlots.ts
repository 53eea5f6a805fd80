import type { HoleInto, Mount, SchemeKind, Working } from '@steddo/contract';
import type { Fastener } from '../fixing/kit';
import type { Screw } from '../fixing/screw';
import { mayDrill, type DoneHole, type DrilledHoles } from '../wall/drilledHoles';
import { HOLE_GO } from '../wall/holeVerdict';
import { PILOT_CHANCE } from '../wall/pilotMet';
import type { UsableSlot } from './usableSlots';
import { SAME_MM, SLOT_END_MM } from '../primitives/epsilons';

/** One way of holding a plate: what goes into the timber or the solid wall, and what into the hollow. */
export interface FixingWay {
  kind: SchemeKind;
  into: HoleInto;
  /** Into studs, masonry or backing; absent where only the board holds. */
  main?: Fastener;
  board?: Fastener;
  count: number;
  /** Of a plate over walls of several builds: what goes into each, the stiffest first. */
  parts?: readonly WayPart[];
}

export interface WayPart {
  into: HoleInto;
  fastener: Fastener;
  count: number;
}

/** What a way puts into a hole of a kind; undefined where it makes none. */
export const fastenerFor = ({ into, main, board, parts }: FixingWay, hole: HoleInto): Fastener | undefined =>
  parts?.find((p) => p.into === hole)?.fastener ?? (hole === 'board' ? board : hole === into ? main : undefined);

/** The part of a way that goes into studs. */
export const studPart = ({ into, main, count, parts }: FixingWay): WayPart | undefined =>
  [...(parts ?? []), ...(main ? [{ into, fastener: main, count }] : [])].find(
    (p) => p.into === 'stud' || p.into === 'metal-stud',
  );

/** Where a stud would be drilled, and the chance that the hole is all in one ply. */
export interface Aim {
  x: Working;
  chance: number;
}

/** What slots are chosen by. */
export interface SlotSetting {
  mount: Mount;
  /** One for each stud, for a screw of a diameter. */
  aims: (diameter: number) => readonly Aim[];
  /** The slots that a screw of a diameter goes through. */
  slots: (diameter: number) => readonly UsableSlot[];
  /** The same, one list for each column of slots. */
  columns: (diameter: number) => readonly (readonly UsableSlot[])[];
  drilled: DrilledHoles;
  /** That the wall is there what a fixing is made for: a zone may be another kind. */
  isWallFor: (into: HoleInto, fastener: Fastener, x: number, y: number) => boolean;
  /** That a hole for the fastener meets there what it is meant for. */
  chanceFor: (into: HoleInto, fastener: Fastener, x: number, y: number) => number;
  /** That a screw of a diameter at x is all in one ply. */
  chanceOf: (x: number, diameter: number) => number;
  /** That a pilot has met wood at a hole's own place, whatever the marks say of it. */
  pilotAt: (x: number, y: number) => boolean;
}

/** One hole of a candidate: where, through which slot, into what, with what. mm on the wall. */
export interface HolePlace extends Screw {
  /** The line up the wall that it belongs to: its stud's. */
  line?: number;
  /** It is there already. */
  done?: DoneHole;
}

/** A plate at one place, to be given its holes. */
export interface PlateHere {
  setting: SlotSetting;
  way: FixingWay;
  x: number;
  bottom: number;
  studs: readonly number[];
}

interface Held {
  done: DoneHole;
  at: UsableSlot;
}

interface Chosen {
  places: HolePlace[];
  unused: DoneHole[];
  lift: number;
}

/**
 * The holes of a plate at one place: for every stud as many rows as it needs, the outermost first; in board,
 * masonry and backing the outermost columns of slots. Holes that are there keep their slots, and the plate
 * moves up or down to them. Undefined where some stud or column finds too few slots.
 */
export function chooseSlots(here: PlateHere): Chosen | undefined {
  const done = holdDone(here);
  const places = placesOf(here, done);
  if (!places) return undefined;
  const used = new Set(places.flatMap((p) => p.done?.id ?? []));
  return { places, lift: done.lift, unused: here.setting.drilled.done.filter((d) => !used.has(d.id)) };
}

function placesOf(here: PlateHere, done: DoneHeld): HolePlace[] | undefined {
  const { way, studs } = here;
  if (way.parts) return inParts(here, done, way.parts);
  const solid = studs.length === 0;
  if (solid) return inColumns(here, done, { fastener: way.main ?? way.board!, into: way.into, count: way.count });
  const perStud = way.kind === 'lags-and-anchors' ? Math.ceil(way.count / 2) : Math.ceil(way.count / studs.length);
  const inWood: HolePlace[] = [];
  for (const stud of studs) {
    const column = overStud(here, done, { into: way.into, fastener: way.main! }, stud, perStud);
    if (!column) return undefined;
    inWood.push(...column);
  }
  if (way.kind !== 'lags-and-anchors') return inWood;
  const rest = { fastener: way.board!, into: 'board', count: way.count - perStud, woodX: inWood[0]!.x } as const;
  const beside = inColumns(here, done, rest);
  return beside && [...inWood, ...beside];
}

/** The holes of each part, in the slots that come before it; undefined where one of them finds too few. */
function inParts(here: PlateHere, done: DoneHeld, parts: readonly WayPart[]): HolePlace[] | undefined {
  const { studs } = here;
  const places: HolePlace[] = [];
  // studs first: they are few, and most plates have none before their slots
  const isStuds = ({ into }: WayPart) => into === 'stud' || into === 'metal-stud';
  for (const part of [...parts].sort((a, b) => Number(isStuds(b)) - Number(isStuds(a)))) {
    const own = isStuds(part)
      ? studs.map((stud) => overStud(here, done, part, stud, Math.ceil(part.count / studs.length)))
      : [inColumns(here, done, { ...part, evenly: true })];
    for (const found of own) {
      if (!found) return undefined;
      places.push(...found);
    }
  }
  return places;
}

/** Slots over the holes that are there, and how far the plate goes up for them, mm. */
interface DoneHeld {
  held: readonly Held[];
  lift: number;
}

/** Slots over the holes that are there, in the order in which they were drilled, as far as one height serves them. */
function holdDone(here: PlateHere): DoneHeld {
  const { setting, way, x, bottom } = here;
  const held: Held[] = [];
  let [lo, hi] = [-Infinity, Infinity];
  for (const done of setting.drilled.done) {
    const fastener = fastenerFor(way, done.into);
    if (!fastener) continue;
    const slots = slotsFor(here, fastener).filter((s) => !held.some((h) => h.at.index === s.index));
    const over = slots.filter((s) => Math.abs(done.x - x - s.slot.x) <= s.travel + SLOT_END_MM);
    const at = nearest(over, (s) => Math.abs(done.y - bottom - s.slot.y));
    if (!at) continue;
    const play = (at.slot.height - fastener.diameter) / 2;
    const needs = done.y - bottom - at.slot.y;
    const [from, to] = [Math.max(lo, needs - play), Math.min(hi, needs + play)];
    if (from > to + SAME_MM) continue;
    [lo, hi] = [from, to];
    held.push({ done, at });
  }
  // the play of the slots first; what goes beyond it takes the plate along, its bolts in the middle again
  const lift = held.length === 0 || (lo <= 0 && hi >= 0) ? 0 : (lo + hi) / 2;
  return { held, lift };
}

const slotsFor = ({ setting }: PlateHere, fastener: Fastener): readonly UsableSlot[] =>
  setting.slots(fastener.diameter);

function nearest<T>(list: readonly T[], off: (t: T) => number): T | undefined {
  return list.reduce<T | undefined>((best, t) => (best === undefined || off(t) < off(best) ? t : best), undefined);
}

/** A hole that is there belongs to the stud that it is in: no further from its middle than a ply is wide, mm. */
const SAME_STUD_MM = 30;

function overStud(
  here: PlateHere,
  { held, lift }: DoneHeld,
  { into, fastener }: Pick<WayPart, 'into' | 'fastener'>,
  stud: number,
  wanted: number,
): HolePlace[] | undefined {
  const { setting, x, bottom } = here;
  const aim = setting.aims(fastener.diameter)[stud]!;
  const own = held.filter((h) => h.done.into === into && Math.abs(h.done.x - aim.x.value) <= SAME_STUD_MM);
  const rows = new Map<number, HolePlace>();
  for (const s of slotsFor(here, fastener)) {
    const off = Math.abs(aim.x.value - x - s.slot.x);
    if (off > s.travel + SLOT_END_MM) continue;
    const y = bottom + lift + s.slot.y;
    if (!mayDrill(setting.drilled, into, { x: aim.x.value, y }, fastener.diameter)) continue;
    if (!setting.isWallFor(into, fastener, aim.x.value, y)) continue;
    const other = rows.get(s.slot.y);
    if (other && Math.abs(aim.x.value - x - slotX(setting, other.slot)) <= off) continue;
    const met = into === 'stud' && aim.chance < HOLE_GO && setting.pilotAt(aim.x.value, y);
    rows.set(s.slot.y, {
      x: aim.x.value,
      y,
      slot: s.index,
      into,
      fastener,
      chance: met ? PILOT_CHANCE : aim.chance,
      line: aim.x.value,
      stud,
      ...(met ? { edgeOpen: true } : {}),
    });
  }
  for (const { done, at } of own) {
    const chance = setting.chanceOf(done.x, fastener.diameter);
    rows.set(at.slot.y, {
      x: done.x,
      y: done.y,
      slot: at.index,
      into,
      fastener,
      chance,
      stud,
      line: aim.x.value,
      done,
    });
  }
  const list = [...rows.entries()].sort((a, b) => b[0] - a[0]).map(([, place]) => place);
  return list.length < wanted ? undefined : pickRows(list, wanted);
}

const slotX = ({ mount }: SlotSetting, index: number): number => mount.plate!.slots![index]!.x;

/** Holes that are there, then the outermost rows: of rows 9, 5, 1 two are 9 and 1. */
function pickRows(rows: readonly HolePlace[], wanted: number): HolePlace[] {
  const done = rows.filter((p) => p.done);
  if (done.length === 0) return spread(rows, wanted);
  const open = rows.filter((p) => !p.done);
  const chosen = [...done];
  while (chosen.length < wanted && open.length > 0) {
    // furthest from what is there already
    const gap = (p: HolePlace) => Math.min(...chosen.map((c) => Math.abs(c.y - p.y)));
    const next = open.reduce((best, p) => (gap(p) > gap(best) ? p : best));
    open.splice(open.indexOf(next), 1);
    chosen.push(next);
  }
  return chosen.sort((a, b) => b.y - a.y);
}

/** The outermost first: `spread([9, 5, 1], 2)` is [9, 1]. */
export function spread<T>(rows: readonly T[], wanted: number): T[] {
  if (wanted <= 0) return [];
  if (wanted === 1) return rows.slice(0, 1);
  return Array.from({ length: wanted }, (_, i) => rows[Math.round((i * (rows.length - 1)) / (wanted - 1))]!);
}

interface InColumns {
  fastener: Fastener;
  into: HoleInto;
  count: number;
  /** Where the wood is that they stand beside. */
  woodX?: number;
  /** As many on both sides. */
  evenly?: boolean;
}

/** Holes through the plate's own columns of slots: the outermost first, or the furthest from what is in wood. */
function inColumns(here: PlateHere, done: DoneHeld, wanted: InColumns): HolePlace[] | undefined {
  const { fastener, count, woodX, evenly } = wanted;
  if (count <= 0) return [];
  const columns = here.setting.columns(fastener.diameter).map((slots) => columnAt(here, done, wanted, slots));
  const away = (c: HolePlace[]) => (woodX === undefined ? Math.abs(c[0]!.x - here.x) : Math.abs(c[0]!.x - woodX));
  const usable = columns.filter((c) => c.length > 0 && (woodX === undefined || away(c) >= LEAST_STANCE_MM));
  const perColumn =
    usable.length === 1 || woodX !== undefined ? count : Math.min(2, evenly ? Math.ceil(count / 2) : count);
  const order = [...usable].sort((a, b) => Number(hasDone(b)) - Number(hasDone(a)) || away(b) - away(a));
  const sides = woodX === undefined ? bothSides(order, here.x) : order;
  const places: HolePlace[] = [];
  for (const column of sides) {
    const left = count - places.length;
    if (left <= 0) break;
    places.push(...pickRows(column, Math.min(perColumn, left, column.length)));
  }
  return places.length < count ? undefined : places;
}

/** Anchors beside a stud stand at least so far from it, mm. Ours. */
const LEAST_STANCE_MM = 80;

const hasDone = (column: readonly HolePlace[]): boolean => column.some((p) => p.done);

/** Outermost left and right in turn, so that the plate stands on both sides. */
function bothSides(order: readonly HolePlace[][], x: number): HolePlace[][] {
  const left = order.filter((c) => c[0]!.x < x);
  const right = order.filter((c) => c[0]!.x >= x);
  const first = hasDone(right[0] ?? []) && !hasDone(left[0] ?? []) ? [right, left] : [left, right];
  return Array.from({ length: Math.max(left.length, right.length) }, (_, i) =>
    first.flatMap((side) => (side[i] ? [side[i]] : [])),
  ).flat();
}

function columnAt(
  here: PlateHere,
  { held, lift }: DoneHeld,
  { fastener, into }: InColumns,
  slots: readonly UsableSlot[],
): HolePlace[] {
  const { setting, x, bottom } = here;
  const holeMm = fastener.hole ?? fastener.diameter;
  const rows: HolePlace[] = [];
  // a plate of boards is tried at very many places: nothing is made here that is not kept
  for (const s of slots) {
    const there = held.find((h) => h.at.index === s.index && h.done.into === into)?.done;
    if (there) {
      rows.push({ x: there.x, y: there.y, slot: s.index, into, fastener, chance: 1, done: there });
      continue;
    }
    const y = bottom + lift + s.slot.y;
    let best: { at: number; chance: number } | undefined;
    for (const by of [0, -s.travel, s.travel]) {
      const at = x + s.slot.x + by;
      if (!mayDrill(setting.drilled, into, { x: at, y }, holeMm) || !setting.isWallFor(into, fastener, at, y)) continue;
      const chance = setting.chanceFor(into, fastener, at, y);
      if (!best || chance > best.chance + SAME_CHANCE) best = { at, chance };
    }
    if (best) rows.push({ x: best.at, y, slot: s.index, into, fastener, chance: best.chance });
  }
  return rows.sort((a, b) => b.y - a.y);
}

/** A hole leaves the middle of its slot only for a chance that is better by so much. Ours. */
const SAME_CHANCE = 0.02;
