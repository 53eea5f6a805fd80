import { z } from 'zod';
import { at, coordinate, id, length, size } from './parts';

/** A picture that is kept beside the job: of a hole, a look or the room; and the wall's plane in it, where that was marked. */

const point = z.strictObject({ u: z.number(), v: z.number(), x: coordinate, y: coordinate });

/** A place that was tapped (0 to 1 each way), and whether it was drawn to a corner that the picture has there. */
const tap = z.strictObject({ u: z.number(), v: z.number(), sharp: z.boolean().optional() });

/** Something with four corners of known measures, as it was laid: what it is, where the tape says it is, and its corners. */
export const photoReference = z.strictObject({
  what: z.enum(['wall', 'thing', 'a4', 'letter', 'taped']),
  /** Of a thing of the room: its id. */
  thing: id.optional(),
  /** Of four marks that were taped out. */
  width: size.optional(),
  height: size.optional(),
  /** From the wall's left end and from the floor. */
  left: coordinate.optional(),
  bottom: coordinate.optional(),
  /** From the upper left round to the right; null where it was not laid yet. */
  taps: z.array(tap.nullable()).length(4),
});

/** Everything that was laid onto a picture, and what was taped between. */
const plane = z.strictObject({
  /** Places in the picture (0 to 1 each way) and where they are on the wall: what came of all that was laid. */
  points: z.array(point).max(100),
  /** How the lens bends: out by this share at the picture's corner. */
  k1: z.number().min(-1).max(1).optional(),
  references: z.array(photoReference).max(2).optional(),
  /** Between the two: across, edge to edge; and by how much the second one's lower edge is higher. */
  apart: length.optional(),
  level: coordinate.optional(),
  floor: tap.optional(),
  end: tap.extend({ side: z.enum(['left', 'right']) }).optional(),
  /** Places along straight edges. */
  edges: z.array(z.array(tap).min(2).max(40)).max(4).optional(),
});

export const photo = z.strictObject({
  id,
  /** The id of a hole or a look, or "room". */
  of: z.string().min(1).max(80),
  at: at.optional(),
  /** Bytes. */
  size: z.number().int().positive().max(100_000_000).optional(),
  type: z
    .string()
    .regex(/^image\/[a-z0-9.+-]+$/, 'takes a type such as image/jpeg')
    .optional(),
  /** No camera took it: a screenshot, or a drawing. Nothing is measured by it. */
  drawn: z.boolean().optional(),
  /** The picture of which this is a copy, the set drawn onto it. */
  drawnOn: id.optional(),
  plane: plane.optional(),
});

/** A picture as it is kept and sent: a JPEG that says nothing beside the picture, of this many bytes and pixels at most. */
export const PICTURE = { mostBytes: 4 * 1024 * 1024, longestEdge: 2600, pieceBytes: 256 * 1024 } as const;

export type Photo = z.infer<typeof photo>;
export type PhotoPlane = z.infer<typeof plane>;
export type PhotoReference = z.infer<typeof photoReference>;
export type PhotoTap = z.infer<typeof tap>;
