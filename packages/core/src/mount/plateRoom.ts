import type { Fit, Item, Mount, Plate } from '@steddo/contract';
import { freeNear, type FreeNear } from '../primitives/freeNear';
import { leastRelaxation, type Forbidden } from '../primitives/intervals';
import { armHoles } from '../placement/chain';
import { blockedPlate } from '../placement/blockedPlate';
import { SAME_MM } from '../primitives/epsilons';

/** What of the room decides whether a plate fits between the obstacles: worked out once, plain numbers, mm. */
export interface RoomForPlate {
  /** Where the set's centre may not be, whatever the mount. */
  forSet: Forbidden[];
  /** Things that a plate may not cover. */
  obstacles: Item[];
  wallHeight: number;
  setHeight: number;
  patternUp: number;
  /** The pattern's middle, sideways. */
  patternX: number;
  wanted: number;
  sag: number;
}

/**
 * Whether the plate finds a place between the obstacles with the set at any height, over every arm
 * hole and fold. Margin: how far the set may still move up and down there; negative where nothing
 * is free, by how much the room would have to give. Value: how far the plate moves the set from the
 * wanted height. A mount whose plate or hook has not been measured is not judged.
 */
export function plateRoomRule(mount: Mount, room: RoomForPlate): Fit[] {
  const { plate, hook } = mount;
  const holes = middleFirst(armHoles(mount));
  if (!plate || !hook || holes.length === 0) return [];
  const fold = mount.arm?.foldOffset;
  const shifts = holes.map((above) => above + hook.above - room.patternUp - room.sag);
  const best = bestPlace(plate, room, shifts, fold);
  const base = { rule: 'plate-room', limit: room.wallHeight, unit: 'mm' } as const;
  if (best) {
    const { off, free } = best;
    return [{ ...base, ok: true, level: 'info', value: off, margin: free.to - free.from }];
  }
  const short = Math.min(
    room.wallHeight,
    ...(fold ? [fold, -fold] : [0]).flatMap((o) => shifts.map((s) => shortBy(plate, room, s, o))),
  );
  return [{ ...base, ok: false, level: 'stop', value: 0, margin: -short }];
}

interface FreePlace {
  off: number;
  free: FreeNear;
}

/** Nearest to the wanted height over arm holes and folds; the first that does not move it ends the search. */
function bestPlace(
  plate: Plate,
  room: RoomForPlate,
  shifts: readonly number[],
  fold: number | undefined,
): FreePlace | undefined {
  let best: FreePlace | undefined;
  for (const offset of fold ? [fold, -fold] : [0])
    for (const shift of shifts) {
      const free = freeNear(blocksFor(plate, room, shift, offset), room.wanted);
      if (!free) continue;
      const off = Math.abs(free.at - room.wanted);
      if (!best || off < best.off - SAME_MM) best = { off, free };
      if (off <= SAME_MM) return best;
    }
  return best;
}

/** Among arm holes that serve equally the one nearest to the middle counts, as in the placement. */
function middleFirst(holes: readonly number[]): readonly number[] {
  if (holes.length === 1) return holes;
  const off = (i: number) => Math.abs(i - (holes.length - 1) / 2);
  const order = holes.map((above, i) => ({ above, off: off(i) }));
  return order.sort((a, b) => a.off - b.off).map((h) => h.above);
}

/**
 * Where the set's centre may not be, flat as lo, hi …; plate bottom = centre - shift, as
 * bottom to plate = half height + pattern up - pattern above hook - hook above plate (+ sag).
 */
function blocksFor(plate: Plate, room: RoomForPlate, shift: number, offset: number): number[] {
  const blocks = [-Infinity, shift, room.wallHeight - plate.height + shift, Infinity];
  for (const f of room.forSet) blocks.push(f.lo, f.hi);
  for (const item of room.obstacles)
    for (const [lo, hi] of blockedPlate(item, plate, room.patternX + offset)) blocks.push(lo + shift, hi + shift);
  return blocks;
}

/** How much the room would have to give for this plate, at this arm hole and fold. */
function shortBy(plate: Plate, room: RoomForPlate, shift: number, offset: number): number {
  const blocks = blocksFor(plate, room, shift, offset);
  const own: Forbidden[] = [];
  for (let i = 0; i < blocks.length; i += 2) {
    const [lo, hi] = [blocks[i]!, blocks[i + 1]!];
    const given = room.forSet[i / 2 - 2] ?? { by: `plate ${i}`, lo, hi };
    own.push(i < 4 ? { by: 'plate', lo, hi, yields: 0 } : given);
  }
  const relax = leastRelaxation(own)?.relax;
  return relax ? relax.reduce((sum, r) => sum + r.amount, 0) : Infinity;
}
