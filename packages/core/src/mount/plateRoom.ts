import type { Fit, Item, Mount, Plate } from '@steddo/contract';
import {
  feasible,
  leastRelaxation,
  nearest,
  type Forbidden,
  type Interval,
} from '../geometry/intervals';
import { SAME_MM } from '../tolerances';
import { armHoles } from '../placement/chain';
import { blockedPlate } from '../placement/blockedPlate';

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
  const offsets = mount.arm?.foldOffset ? [mount.arm.foldOffset, -mount.arm.foldOffset] : [0];
  let best: { off: number; free: Interval } | undefined;
  let short = Infinity;
  for (const offset of offsets)
    for (const above of holes) {
      const toPlate = room.setHeight / 2 + room.patternUp - above - hook.above + room.sag;
      const limits = [...room.forSet, ...forPlate(plate, room, toPlate, offset)];
      const free = feasible(limits);
      const found = nearest(free, room.wanted);
      if (!found) {
        const relax = leastRelaxation(limits)?.relax ?? [];
        if (relax.length > 0)
          short = Math.min(
            short,
            relax.reduce((sum, r) => sum + r.amount, 0),
          );
        continue;
      }
      const off = Math.abs(found.at - room.wanted);
      if (best && off >= best.off - SAME_MM) continue;
      const inside = (i: Interval) =>
        i.from.at <= found.at + SAME_MM && i.to.at >= found.at - SAME_MM;
      best = { off, free: free.find(inside)! };
    }
  const value = best?.off ?? 0;
  const margin = best ? best.free.to.at - best.free.from.at : -Math.min(short, room.wallHeight);
  const judged = best
    ? ({ ok: true, level: 'info' } as const)
    : ({ ok: false, level: 'stop' } as const);
  return [{ rule: 'plate-room', ...judged, value, limit: room.wallHeight, margin, unit: 'mm' }];
}

/** Among arm holes that serve equally the one nearest to the middle counts, as in the placement. */
function middleFirst(holes: readonly number[]): number[] {
  const off = (i: number) => Math.abs(i - (holes.length - 1) / 2);
  return holes
    .map((above, i) => ({ above, i }))
    .sort((a, b) => off(a.i) - off(b.i))
    .map((h) => h.above);
}

/** Forbidden centres of the set on account of its plate: plate bottom = centre - half height + toPlate. */
function forPlate(plate: Plate, room: RoomForPlate, toPlate: number, offset: number): Forbidden[] {
  const shift = room.setHeight / 2 - toPlate;
  const x = room.patternX + offset;
  const blocked = room.obstacles.flatMap((item) =>
    blockedPlate(item, plate, x).map(([lo, hi]) => ({
      by: item.id,
      lo: lo + shift,
      hi: hi + shift,
    })),
  );
  return [
    { by: 'plate:floor', lo: -Infinity, hi: shift },
    { by: 'plate:ceiling', lo: room.wallHeight - plate.height + shift, hi: Infinity },
    ...blocked,
  ];
}
