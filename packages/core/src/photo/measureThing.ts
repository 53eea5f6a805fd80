import type { ItemKind } from '@steddo/contract';
import { ROOM_THINGS } from '../room/roomThings';
import { measureBox, type MeasuredBox, type SeenWall } from './measureBox';
import type { Tap } from './pictures';

export interface MeasuredThing {
  box: MeasuredBox;
  /** Taken for flat it may be off by so much, mm, and its doubt has that in it: it stands out, and nobody said how far. */
  flatOff?: number;
}

/** What stands out no further than a plate is measured as the wall is, mm. */
const FLAT_MM = 20;
const SIDES = ['left', 'right', 'bottom', 'top'] as const;

/**
 * A thing of the room by two opposite corners of its front. Where it is of a kind that stands out and nobody has said how
 * far, it is taken for flat, and what its usual depth would make of that goes into its doubt.
 */
export function measureThing(
  seen: SeenWall,
  taps: readonly [Tap, Tap],
  kind: ItemKind,
  out: number | undefined,
): MeasuredThing | undefined {
  const box = measureBox(seen, taps, out ?? 0);
  const usual = ROOM_THINGS[kind].outMm;
  if (!box) return undefined;
  const standing = out === undefined && usual > FLAT_MM ? measureBox(seen, taps, usual) : undefined;
  if (!standing) return { box };
  const flatOff = Math.max(...SIDES.map((side) => Math.abs(box[side] - standing[side])));
  const wide = (mm: number) => Math.hypot(mm, flatOff);
  const { left, right, bottom, top, width, height } = box.doubt;
  const doubt = {
    left: wide(left),
    right: wide(right),
    bottom: wide(bottom),
    top: wide(top),
    width: wide(width),
    height: wide(height),
  };
  return { box: { ...box, doubt }, flatOff };
}
