import type { Job } from '@steddo/contract';

/** Sheets of paper that lie about on site, upright, mm: ISO 216 and ANSI/ASME Y14.1, from memory. */
export const SHEETS = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
} as const;

/** Something whose corners are known: the wall's own ends, a thing of the room, a sheet taped up. */
export type ReferenceKind =
  | { kind: 'wall' }
  | { kind: 'thing'; id: string }
  | { kind: 'sheet'; sheet: keyof typeof SHEETS; left: number; bottom: number };

/** Where its corners are on the wall, mm, from the upper left round to the right. */
export type PhotoReference = readonly [Corner, Corner, Corner, Corner];
interface Corner {
  x: number;
  y: number;
}

/**
 * The corners of a reference on the wall; undefined where the room has no such thing.
 * A wall of 3000 by 2400: (0, 2400), (3000, 2400), (3000, 0), (0, 0).
 */
export function photoReference({ room }: Job, reference: ReferenceKind): PhotoReference | undefined {
  switch (reference.kind) {
    case 'wall':
      return cornersOf(0, room.wall.width, 0, room.wall.height);
    case 'thing': {
      const thing = room.objects?.find((o) => o.id === reference.id && o.wall === undefined);
      return thing && cornersOf(thing.left, thing.right, thing.bottom, thing.top);
    }
    case 'sheet': {
      const { width, height } = SHEETS[reference.sheet];
      const { left, bottom } = reference;
      return cornersOf(left, left + width, bottom, bottom + height);
    }
  }
}

const cornersOf = (left: number, right: number, bottom: number, top: number): PhotoReference => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
];
