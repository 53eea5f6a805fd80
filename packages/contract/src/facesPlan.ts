import { z } from 'zod';
import { share } from './parts';
import { holeHazard } from './wallPlan';
import { working } from './working';

/** Walls that are not one wall: what is packed under the plate, and a mantel over its fire. Lengths mm, forces N. */

const num = z.number();
const box = { left: num, right: num, bottom: num, top: num };
const verdict = z.enum(['go', 'caution', 'stop']);

/** One piece of packing under a part of the plate that stands back. */
export const packing = z.strictObject({ wall: z.enum(['main', 'left', 'right']), ...box, thickness: num });

/** One hole through a mantel's timber, in the order in which they are drilled: the middle first. */
export const mantelHole = z.strictObject({
  id: z.string(),
  x: num,
  y: num,
  /** That it is in a whole unit; and joints that nobody has marked. */
  probability: share,
  unmarked: z.array(z.enum(['bed', 'upright'])).optional(),
  done: z.boolean(),
  workings: z.strictObject({ x: working, y: working }),
});

/** A level timber across two studs, or noggings between them, that the plate is screwed to, with its own screws. */
export const timberPlan = z.strictObject({
  ...box,
  thickness: num,
  /** Pieces between the studs, each on upright cleats so wide; what of the board is cut out for them. */
  way: z.literal('noggings').optional(),
  pieces: z.array(z.strictObject({ left: num, right: num })).optional(),
  opening: z.strictObject(box).optional(),
  cleat: num.optional(),
  holes: z.array(
    z.strictObject({
      id: z.string(),
      x: num,
      y: num,
      probability: share,
      /** What is known of the wall behind it, as of a hole of the plate; not of noggings. */
      hazard: holeHazard.optional(),
      zones: z.array(z.string()).optional(),
      look: z.string().optional(),
      done: z.boolean(),
      workings: z.strictObject({ x: working, y: working }),
    }),
  ),
  /** Into the studs or cleats, with what bit and how deep behind the timber; absent where the kit has none long enough. */
  fixing: z
    .strictObject({ kind: z.string(), id: z.string().optional(), diameter: num, length: num, bit: num, depth: num })
    .optional(),
  load: z.strictObject({ utilisation: num, verdict }).optional(),
});

export const mantelPlan = z.strictObject({
  object: z.string(),
  /** What the shell goes over; absent where it is no hollow one. */
  timber: z.strictObject(box).optional(),
  holes: z.array(mantelHole).optional(),
  /** Where its bolts may be up and down in the timber, whatever the courses are. */
  boltLine: z.strictObject({ from: num, to: num }).optional(),
  /** What goes into the wall, with what bit and how deep from the wall's face. */
  fixing: z
    .strictObject({
      kind: z.string(),
      id: z.string().optional(),
      diameter: num,
      length: num.optional(),
      bit: num,
      depth: num,
    })
    .optional(),
  /** Through the timber. */
  clearanceBit: num.optional(),
  load: z.strictObject({ tension: num, shear: num, utilisation: num, verdict, working }).optional(),
  /** From the nearest edge of the opening or stove; how far it stands out, and how far it may. */
  clearance: z
    .strictObject({
      from: z.string(),
      distance: num,
      projection: num,
      /** Absent where it is free, or nobody has said. */
      allowed: num.optional(),
      /** Nothing that burns may be nearer. */
      least: num.optional(),
      verdict,
    })
    .optional(),
});

export type Packing = z.infer<typeof packing>;
export type TimberPlan = z.infer<typeof timberPlan>;
export type MantelHole = z.infer<typeof mantelHole>;
export type MantelPlan = z.infer<typeof mantelPlan>;
