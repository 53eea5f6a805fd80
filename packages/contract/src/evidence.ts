import { z } from 'zod';
import { at, coordinate, id, length, onWall, side } from './parts';

/** Readings taken at the wall, where somebody scanned, and what a look has shown. */

const place = { id, x: coordinate, y: coordinate, wall: onWall.optional(), at: at.optional() };

const KINDS =
  'takes edge-left, edge-right, centre, fastener, probe, outlet-side, nogging, joint, backing-edge, face, somewhere, old-hole or live';

export const evidence = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('edge-left'), ...place }),
    z.strictObject({ kind: z.literal('edge-right'), ...place }),
    z.strictObject({ kind: z.literal('centre'), ...place }),
    z.strictObject({ kind: z.literal('fastener'), ...place }),
    z.strictObject({
      kind: z.literal('probe'),
      ...place,
      found: z.enum(['wood', 'hollow', 'metal', 'masonry', 'backing']),
    }),
    z.strictObject({ kind: z.literal('outlet-side'), ...place, side }),
    z.strictObject({ kind: z.literal('nogging'), ...place }),
    z.strictObject({
      kind: z.literal('joint'),
      ...place,
      /** A level bed or an upright joint alone; absent: where both meet. */
      runs: z.enum(['horizontal', 'vertical']).optional(),
    }),
    /** A stud's face taped through an opening; the side of the face that the wood is on. */
    z.strictObject({ kind: z.literal('face'), ...place, side }),
    /** A finder that gives no edge: a stud somewhere here. */
    z.strictObject({ kind: z.literal('somewhere'), ...place }),
    /** A hole of an earlier plate, and what it goes into. */
    z.strictObject({ kind: z.literal('old-hole'), ...place, found: z.enum(['wood', 'hollow']) }),
    z.strictObject({
      kind: z.literal('backing-edge'),
      ...place,
      y: coordinate.optional(),
      side: z.enum(['left', 'right', 'top', 'bottom']),
    }),
    z.strictObject({ kind: z.literal('live'), ...place }),
  ],
  KINDS,
);

export const scan = z
  .strictObject({
    id,
    instrument: z.enum(['edge', 'centre', 'magnet', 'live']),
    from: coordinate,
    to: coordinate,
    y: coordinate,
    wall: onWall.optional(),
    at: at.optional(),
  })
  .refine((s) => s.from < s.to, { path: ['to'], message: 'must be right of from' });

export const look = z.strictObject({
  id,
  x: coordinate,
  y: coordinate,
  wall: onWall.optional(),
  reach: length.optional(),
  bay: z.enum(['left', 'right', 'both']).optional(),
  found: z.enum(['clear', 'cable', 'pipe', 'duct', 'gas', 'unsure']),
  runs: z.enum(['vertical', 'horizontal']).optional(),
  at: at.optional(),
});

export type Evidence = z.infer<typeof evidence>;
export type Scan = z.infer<typeof scan>;
export type Look = z.infer<typeof look>;
