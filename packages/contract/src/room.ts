import { z } from 'zod';
import { angle, buildKind, coordinate, cover, id, length, mass, onWall, partSize, size, words } from './parts';

/** What the room holds: the wall's build, zones that differ, things on the wall, people. */

/** No brick is smaller; of dust a wall has more joints than anybody could draw, mm. */
const unitSize = z.number().min(20).max(5000);

export const build = z.strictObject({
  kind: buildKind,
  board: length.optional(),
  cover: cover.optional(),
  /** Hollow between what covers the wall and what carries it: battens behind panelling, dabs behind board. */
  gap: length.optional(),
  state: z.enum(['sound', 'patched', 'wet']).optional(),
  /** Closer than any studs stand a slip of the unit, and a wall that nobody could weigh. */
  spacing: z.number().min(100).max(3000).optional(),
  studWidth: size.optional(),
  studDepth: size.optional(),
  timber: z.enum(['spruce-pine-fir', 'hem-fir', 'douglas-fir', 'southern-pine']).optional(),
  masonry: z.enum(['brick', 'block', 'concrete', 'stone']).optional(),
  unit: z
    .strictObject({
      width: unitSize,
      height: unitSize,
      joint: length.optional(),
      /** Half over half (usual), or joint above joint. */
      bond: z.enum(['stretcher', 'stack']).optional(),
    })
    .optional(),
  /** From the finished face to the outer skin or the far side. */
  depth: length.optional(),
  thickness: size.optional(),
});

const rectangle = { left: coordinate, right: coordinate, bottom: coordinate, top: coordinate };
const leftToRight = { path: ['right'], message: 'must be right of left' };
const bottomToTop = { path: ['top'], message: 'must be above bottom' };

export const zone = z
  .strictObject({
    id,
    wall: onWall.optional(),
    ...rectangle,
    build: build.partial().optional(),
    face: coordinate.optional(),
    /** How far off its edges may be, mm (95 %). */
    doubt: length.optional(),
  })
  .refine((r) => r.left < r.right, leftToRight)
  .refine((r) => r.bottom < r.top, bottomToTop);

/** What kind of job a room is: what belongs to another kind is neither asked nor ranked. */
export const roomKind = z.enum(['wall', 'corner', 'recess', 'vehicle', 'bench']);

export const itemKind = z.enum([
  'outlet',
  'switch',
  'data',
  'furniture',
  'cabinet',
  'shelf',
  'mantel',
  'opening',
  'chimney',
  'stove',
  'window',
  'curtain',
  'door',
  'vent',
  'pipe',
  'gas',
  'soundbar',
  'box',
  'set',
  'device',
  /** Inside the wall, with a distance of its own. */
  'flue',
  'other',
]);

export const item = z
  .strictObject({
    id,
    kind: itemKind,
    name: words.optional(),
    wall: onWall.optional(),
    ...rectangle,
    out: length.optional(),
    /** Of a box behind the set: how far it stands out. */
    depth: length.optional(),
    setMayCover: z.boolean().optional(),
    plateMayCover: z.boolean().optional(),
    /** Of an outlet: it sits behind the wall's surface, so that a plate may lie over it. */
    recessed: z.boolean().optional(),
    topThickness: length.optional(),
    /** Of a mantel: a shell that goes over a timber on the wall, and that timber; `diameter` of the holes through it. */
    hollow: z.boolean().optional(),
    ledger: z.strictObject({ length: size, height: partSize, thickness: partSize, diameter: partSize }).optional(),
    /** Of a mantel or shelf: whether it can burn; taken to unless said otherwise. */
    combustible: z.boolean().optional(),
    /** Of a box that is let into the wall: it is still to be cut for, and goes so deep. */
    cut: z
      .strictObject({
        depth: partSize,
        /** The first opening as it was made. */
        first: z
          .strictObject(rectangle)
          .refine((r) => r.left < r.right, leftToRight)
          .refine((r) => r.bottom < r.top, bottomToTop)
          .optional(),
      })
      .optional(),
    hinge: z.enum(['left', 'right']).optional(),
    /** What hangs on the wall by itself, kg: a picture, a shelf with what stands on it, a soundbar. */
    mass: mass.optional(),
    /** By how many fixings it hangs. */
    fixings: z.number().int().positive().max(12).optional(),
    /** How far off its edges may be, mm (95 %), where it was measured by a picture: that picture's id. */
    doubt: length.optional(),
    photo: id.optional(),
  })
  .refine((r) => r.left < r.right, leftToRight)
  .refine((r) => r.bottom < r.top, bottomToTop);

/** A local figure or a maker's, with where it stands: clearances in mm, ambient in degrees C. */
export const rule = z.strictObject({
  what: z.enum(['mantel-clearance', 'flue-clearance', 'ambient']),
  value: z.number().min(0).max(10_000),
  source: words.optional(),
});

export const viewer = z.strictObject({
  id,
  name: words.optional(),
  eye: size.optional(),
  distance: size.optional(),
  x: coordinate.optional(),
  recline: angle.optional(),
  weight: z.number().positive().max(1000).optional(),
  posture: z.enum(['seated', 'reclined', 'lying', 'standing']).optional(),
  /** Where this viewer's gaze met the wall, eyes opened after settling; one mark for each try. */
  settled: z.array(size).max(40).optional(),
});

export type Build = z.infer<typeof build>;
export type Item = z.infer<typeof item>;
export type ItemKind = z.infer<typeof itemKind>;
export const floorThing = z
  .strictObject({
    id,
    kind: z.string().min(1).max(60),
    name: words.optional(),
    left: coordinate,
    right: coordinate,
    near: length,
    far: length,
    height: length.optional(),
  })
  .refine((f) => f.left < f.right, leftToRight)
  .refine((f) => f.near < f.far, { path: ['far'], message: 'must be further than near' });

export type Zone = z.infer<typeof zone>;
export type FloorThing = z.infer<typeof floorThing>;
export type Rule = z.infer<typeof rule>;
export type RoomKind = z.infer<typeof roomKind>;
export type Viewer = z.infer<typeof viewer>;
