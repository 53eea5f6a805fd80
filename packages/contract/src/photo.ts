import { z } from 'zod';
import { at, coordinate, id } from './parts';

/** A picture that is kept beside the job: of a hole, a look or the room; and the wall's plane in it, where that was marked. */

const point = z.strictObject({ u: z.number(), v: z.number(), x: coordinate, y: coordinate });

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
  /** Places in the picture (0 to 1 each way) and where they are on the wall; and how the lens bends. */
  plane: z.strictObject({ points: z.array(point).max(100), k1: z.number().min(-1).max(1).optional() }).optional(),
});

/** A picture as it is kept and sent: a JPEG that says nothing beside the picture, of this many bytes and pixels at most. */
export const PICTURE = { mostBytes: 4 * 1024 * 1024, longestEdge: 2600, pieceBytes: 256 * 1024 } as const;

export type Photo = z.infer<typeof photo>;
