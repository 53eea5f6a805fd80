import type { Fixing, Mount, Side, Working } from '@steddo/contract';
import { leaf, minus, sum } from '../primitives/working';
import { holeVerdict } from '../wall/holeVerdict';
import { chooseSlots, type Aim, type SlotSetting, type FixingWay } from './chooseSlots';
import { columnsOf, usableSlots, type UsableSlot } from './usableSlots';
import { SAME_MM } from '../primitives/epsilons';
import { slotAt } from '../room/bracketPlate';
import { asideOf } from '../arm/arm';

/** Where the plate may sit for each fold: nominal centre and the slide of the set on it. */
export interface PlateSpot {
  fold?: Side;
  nominal: Working;
}

/** Where plates are looked for: every plate centre that is worth trying comes from here. */
export interface PlateSetting {
  mount: Mount;
  /** One for each stud, left to right. */
  aims: readonly Aim[];
  /** The slots that the screw passes through. */
  slots: readonly UsableSlot[];
  spots: readonly PlateSpot[];
  /** Installer's own plate centre; then only this is tried. */
  fixedX?: Working | undefined;
  /** How far the set may slide on its plate, mm; the mount's own unless it is asked what lies beyond. */
  slide: number;
}

export const studsNeeded = (mount: Mount): number => mount.studs?.count ?? 2;

/** Neighbouring or further studs within the plate's reach, left to right, so many at once. */
export function studSets({ aims, slots, fixedX, slide }: PlateSetting, spot: PlateSpot, wanted: number): number[][] {
  const middle = fixedX?.value ?? spot.nominal.value;
  const half = Math.max(0, ...slots.map(({ slot }) => Math.abs(slot.x) + slot.length / 2));
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

/**
 * Plate centres to try, the nominal one first. Those that put some slot over a place (a stud's middle, a hole that
 * is there) are a union of closed intervals whose ends are place - slot +- half its travel, so that trying the
 * nominal centre and every end within the slide is exact; `more` where there is no such place to go by.
 */
export function plateCentres(
  { mount, slots, fixedX, slide }: PlateSetting,
  spot: PlateSpot,
  over: readonly Working[],
  more: readonly Working[] = [],
): Working[] {
  if (fixedX) return [fixedX];
  const columns = firstOfColumn(slots);
  const ends = over.flatMap((at) => columns.flatMap((s) => slotEnds(mount, at, s)));
  const near = (x: Working) => Math.abs(x.value - spot.nominal.value) <= slide + SAME_MM;
  const seen = new Set<number>();
  return [spot.nominal, ...[...ends, ...more].filter(near)].filter((x) => {
    const place = Math.round(x.value * 1e3);
    return !seen.has(place) && seen.add(place);
  });
}

/** Slots one above the other have the same ends. */
const firstOfColumn = (slots: readonly UsableSlot[]): UsableSlot[] =>
  slots.filter((s, i) => slots.findIndex((o) => o.slot.x === s.slot.x && o.travel === s.travel) === i);

/** Plate centres at which a place is at either end of the slot's travel. */
function slotEnds(mount: Mount, at: Working, { travel, index }: UsableSlot): Working[] {
  const { x, path } = slotAt(mount, index);
  const centred = minus('plate-from-stud', at, x);
  const play = leaf('slot-travel', travel, 'mm', { path: `${path}.length` });
  return [minus('plate-x', centred, play), sum('plate-x', centred, play)];
}

/** A plate whose slots come over studs, whatever its height. */
export interface PlateOnStuds {
  fold?: Side | undefined;
  x: Working;
  shift: number;
  /** Its studs, left to right, by their index. */
  studs: number[];
}

export interface LagSetting extends PlateSetting {
  fixing: Pick<Fixing, 'diameter' | 'count'>;
}

/** The setting of lags into studs, by the mount's own fixing. */
export const lagSetting = (
  mount: Mount,
  fixing: LagSetting['fixing'],
  where: Pick<PlateSetting, 'aims' | 'spots' | 'fixedX'>,
): LagSetting => ({ mount, fixing, ...where, slots: usableSlots({ mount, fixing }), slide: asideOf(mount) });

/** Every plate centre worth trying at which each stud finds its rows of slots. */
export function plateOptions(setting: LagSetting): PlateOnStuds[] {
  const wanted = studsNeeded(setting.mount);
  const anywhere = slotsAnywhere(setting);
  const way: FixingWay = { kind: 'lags-in-studs', into: 'stud', main: lagOf(setting), count: setting.fixing.count };
  return setting.spots.flatMap((spot) =>
    studSets(setting, spot, wanted).flatMap((studs) =>
      plateCentres(
        setting,
        spot,
        studs.map((i) => setting.aims[i]!.x),
      ).flatMap((x) =>
        chooseSlots({ setting: anywhere, way, x: x.value, bottom: 0, studs })
          ? [{ fold: spot.fold, x, shift: x.value - spot.nominal.value, studs }]
          : [],
      ),
    ),
  );
}

const lagOf = ({ fixing }: LagSetting) => ({ kind: 'lag' as const, diameter: fixing.diameter, path: '' });

/** The wall as it is before a height is known: wood wherever a stud is, nothing drilled. */
const slotsAnywhere = ({ mount, aims, slots }: LagSetting): SlotSetting => ({
  mount,
  aims: () => aims,
  slots: () => slots,
  columns: () => columnsOf(slots),
  drilled: { done: [], spoiled: [], wood: [], hollow: [], round: 0 },
  isWallFor: () => true,
  chanceFor: () => 1,
  chanceOf: () => 1,
  pilotAt: () => false,
});

const DOUBT = { go: 0, caution: 1, stop: 2 } as const;

/** Sure studs before doubtful ones, then the least shift, then the widest stance. */
function compare(a: PlateOnStuds, b: PlateOnStuds, aims: readonly Aim[]): number {
  const doubt = (o: PlateOnStuds) => Math.max(...o.studs.map((i) => DOUBT[holeVerdict(aims[i]!.chance)]));
  const stance = (o: PlateOnStuds) => aims[o.studs.at(-1)!]!.x.value - aims[o.studs[0]!]!.x.value;
  const shift = Math.abs(a.shift) - Math.abs(b.shift);
  return doubt(a) - doubt(b) || (Math.abs(shift) > SAME_MM ? shift : stance(b) - stance(a));
}

/** The plate over the studs with the least shift, or by how much it lies beyond the slide (absent: nowhere). */
export function placePlate(setting: LagSetting): {
  found?: PlateOnStuds;
  /** Signed: positive where the set would have to go to the right. */
  byMm?: number;
} {
  const best = (s: LagSetting) => plateOptions(s).sort((a, b) => compare(a, b, s.aims))[0];
  const found = best(setting);
  if (found) return { found };
  const anywhere = setting.fixedX ? undefined : best({ ...setting, slide: Infinity });
  return anywhere ? { byMm: Math.sign(anywhere.shift) * (Math.abs(anywhere.shift) - setting.slide) } : {};
}
