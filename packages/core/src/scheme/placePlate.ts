import type { Fixing, Mount, Side, Slot, Working } from '@steddo/contract';
import { SAME_MM } from '../tolerances';
import { holeVerdict } from '../wall/holeVerdict';
import { leaf, minus, sum } from '../working';

/** Where the plate may sit for each fold: nominal centre and the slide of the set on it. */
export interface PlateSpot {
  fold?: Side;
  nominal: Working;
}

/** The slots of one stud's line, by their index in the plate, top row first. */
export interface Column {
  stud: number;
  slots: number[];
}

export interface PlateOnStuds {
  fold?: Side;
  x: Working;
  shift: number;
  columns: Column[];
}

export type PlateSearch =
  | { ok: true; found: PlateOnStuds }
  /** Further than the slide allows by so much; undefined when no shift would do. */
  | { ok: false; shortMm?: number };

/** Where a stud would be drilled, and the chance that the hole is all in one ply. */
export interface Aim {
  x: Working;
  chance: number;
}

export interface SearchInput {
  mount: Mount;
  fixing: Fixing;
  /** One for each stud, left to right. */
  aims: readonly Aim[];
  spots: readonly PlateSpot[];
  /** Installer's own plate centre; then only this is tried. */
  fixedX?: Working;
}

/**
 * Finds the plate centre that puts the slots over the studs with the least shift.
 * The feasible centres are a union of closed intervals whose ends are
 * stud - slot +- half its travel, so trying the nominal centre and every end is exact.
 */
export function placePlate(input: SearchInput): PlateSearch {
  const slide = input.mount.slide ?? 0;
  const best = search(input, slide);
  if (best) return { ok: true, found: best };
  const anywhere = input.fixedX ? undefined : search(input, Infinity);
  return { ok: false, ...(anywhere ? { shortMm: Math.abs(anywhere.shift) - slide } : {}) };
}

export const studsNeeded = (mount: Mount): number => mount.studs?.count ?? 2;

function search(input: SearchInput, slide: number): PlateOnStuds | undefined {
  return plateOptions(input, slide).sort((a, b) => compare(a, b, input.aims))[0];
}

/** Every plate centre worth trying, with the studs that its slots come over. */
export function plateOptions(input: SearchInput, slide = input.mount.slide ?? 0): PlateOnStuds[] {
  return input.spots.flatMap((spot) =>
    studSets(input, spot, slide).flatMap((set) =>
      candidates(input, spot, set, slide).flatMap((x) => {
        const columns = columnsAt(input, set, x.value);
        const shift = x.value - spot.nominal.value;
        return columns ? [{ fold: spot.fold, x, shift, columns }] : [];
      }),
    ),
  );
}

const DOUBT = { go: 0, caution: 1, stop: 2 } as const;

/** Sure studs before doubtful ones, then the least shift, then the widest stance. */
function compare(a: PlateOnStuds, b: PlateOnStuds, aims: readonly Aim[]): number {
  const doubt = (o: PlateOnStuds) => Math.max(...o.columns.map((c) => DOUBT[holeVerdict(aims[c.stud]!.chance)]));
  const stance = (o: PlateOnStuds) => aims[o.columns.at(-1)!.stud]!.x.value - aims[o.columns[0]!.stud]!.x.value;
  const shift = Math.abs(a.shift) - Math.abs(b.shift);
  return doubt(a) - doubt(b) || (Math.abs(shift) > SAME_MM ? shift : stance(b) - stance(a));
}

/** Neighbouring or further studs within the plate's reach, left to right, as many as the mount needs. */
export function studSets(
  { mount, aims, fixedX }: Pick<SearchInput, 'mount' | 'aims' | 'fixedX'>,
  spot: PlateSpot,
  slide: number,
  wanted = studsNeeded(mount),
): number[][] {
  const middle = fixedX?.value ?? spot.nominal.value;
  const slots = mount.plate?.slots ?? [];
  const half = Math.max(0, ...slots.map((s) => Math.abs(s.x) + s.length / 2));
  const reach = half + (fixedX ? 0 : slide) + SAME_MM;
  const near = aims.flatMap((a, i) => (Math.abs(a.x.value - middle) <= reach ? [i] : []));
  const choose = (from: number, left: number): number[][] => {
    if (left === 0) return [[]];
    const sets: number[][] = [];
    for (let i = from; i <= near.length - left; i++)
      for (const rest of choose(i + 1, left - 1)) sets.push([near[i]!, ...rest]);
    return sets;
  };
  return choose(0, wanted);
}

function candidates(input: SearchInput, spot: PlateSpot, set: readonly number[], slide: number): Working[] {
  if (input.fixedX) return [input.fixedX];
  const ends = set.flatMap((i) =>
    usableSlots(input).flatMap(({ slot, travel, index }) => slotEnds(input.aims[i]!.x, slot, travel, index)),
  );
  const reach = (x: Working) => Math.abs(x.value - spot.nominal.value) <= slide + SAME_MM;
  return [spot.nominal, ...ends.filter(reach)];
}

/** Plate centres at which a stud's middle, or a hole that is there, is at either end of the slot's travel. */
export function slotEnds(at: Working, slot: Slot, travel: number, index: number): Working[] {
  const path = `mount.plate.slots.${index}`;
  const centred = minus('plate-from-stud', at, leaf('slot-x', slot.x, 'mm', { path: `${path}.x` }));
  const play = leaf('slot-travel', travel, 'mm', { path: `${path}.length` });
  return [minus('plate-x', centred, play), sum('plate-x', centred, play)];
}

/** A slot that the screw passes through, and its travel each way, mm. */
export interface UsableSlot {
  slot: Slot;
  index: number;
  travel: number;
}

/** Slots that the lag passes through, with its travel each way. */
export function usableSlots({ mount, fixing }: { mount: Mount; fixing: Pick<Fixing, 'diameter'> }): UsableSlot[] {
  return (mount.plate?.slots ?? [])
    .map((slot, index) => ({ slot, index, travel: (slot.length - fixing.diameter) / 2 }))
    .filter(({ slot }) => slot.length >= fixing.diameter && slot.height >= fixing.diameter);
}

function columnsAt(input: SearchInput, set: readonly number[], x: number): Column[] | undefined {
  const perStud = Math.ceil(input.fixing.count / set.length);
  const columns = set.map((stud) => {
    const rows = rowsUnder(input, input.aims[stud]!.x.value - x);
    return rows.length < perStud ? undefined : { stud, slots: spread(rows, perStud) };
  });
  return columns.every((c) => c !== undefined) ? columns : undefined;
}

/** One slot per row that has the offset within its travel, top row first. */
function rowsUnder(input: SearchInput, offset: number): number[] {
  const rows = new Map<number, UsableSlot>();
  const off = (s: UsableSlot) => Math.abs(offset - s.slot.x);
  for (const s of usableSlots(input)) {
    if (off(s) > s.travel + SAME_MM) continue;
    const other = rows.get(s.slot.y);
    if (!other || off(s) < off(other)) rows.set(s.slot.y, s);
  }
  return [...rows.values()].sort((a, b) => b.slot.y - a.slot.y).map((s) => s.index);
}

/** The outermost rows first: `spread([9, 5, 1], 2)` is [9, 1]. */
function spread(rows: readonly number[], wanted: number): number[] {
  if (wanted === 1) return rows.slice(0, 1);
  return Array.from({ length: wanted }, (_, i) => rows[Math.round((i * (rows.length - 1)) / (wanted - 1))]!);
}
