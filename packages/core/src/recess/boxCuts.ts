import type { Hazards, Item } from '@steddo/contract';
import { overlaps, type WallBox } from '../wall/hazardZones';

/** The opening that is made first, for two gangs: a cover plate hides it again. Common practice. */
const FIRST_MM = { width: 95, height: 75 } as const;

/** Of a box that is hardly larger the first opening is this share. Ours. */
const FIRST_SHARE = 0.6;

/** It stays so far inside the later cut, mm. Ours. */
const INSIDE_MM = 10;

/** Places are tried this far apart, mm. Ours. */
const STEP_MM = 10;

/**
 * The smaller opening inside a cut: in its middle, or as near to that as nothing is expected or was seen in the wall.
 * Where that is nowhere, in the middle. A cut from 1000 to 1368 and 900 to 1345: 1136.5 to 1231.5 and 1085 to 1160.
 */
export function firstCut(cut: WallBox, { zones, seen }: Hazards): WallBox {
  const [width, height] = [cut.right - cut.left, cut.top - cut.bottom];
  const own = {
    width: Math.min(FIRST_MM.width, width * FIRST_SHARE),
    height: Math.min(FIRST_MM.height, height * FIRST_SHARE),
  };
  const about = (x: number, y: number): WallBox => ({
    left: x - own.width / 2,
    right: x + own.width / 2,
    bottom: y - own.height / 2,
    top: y + own.height / 2,
  });
  const middle = { x: (cut.left + cut.right) / 2, y: (cut.bottom + cut.top) / 2 };
  const free = (box: WallBox) => ![...zones, ...seen].some((z) => overlaps(z, box));
  const offX = steps((width - own.width) / 2);
  const offY = steps((height - own.height) / 2);
  const places = offX.flatMap((dx) => offY.map((dy) => ({ dx, dy })));
  const found = places
    .sort((a, b) => Math.hypot(a.dx, a.dy) - Math.hypot(b.dx, b.dy))
    .find(({ dx, dy }) => free(about(middle.x + dx, middle.y + dy)));
  return about(middle.x + (found?.dx ?? 0), middle.y + (found?.dy ?? 0));
}

/** To both sides of the middle, as far as the cut's edge allows. */
function steps(room: number): number[] {
  const most = Math.max(0, room - INSIDE_MM);
  const count = Math.floor(most / STEP_MM);
  return Array.from({ length: 2 * count + 1 }, (_, i) => (i - count) * STEP_MM);
}

/** A box that is still to be cut for. */
export type BoxToCut = Item & { cut: NonNullable<Item['cut']> };

/** Boxes on the main wall that are still to be cut for, by what they say. */
export const boxesToCut = (items: readonly Item[] | undefined): BoxToCut[] =>
  (items ?? []).flatMap((o) =>
    o.kind === 'box' && o.cut && (o.wall ?? 'main') === 'main' ? [{ ...o, cut: o.cut }] : [],
  );
