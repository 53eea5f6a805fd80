import { z } from 'zod';
import { working } from './working';

/** A monitor over a bench: what its head leaves free all round, and where it is to its worker's eyes. mm and degrees. */

const num = z.number();

const clearance = z.strictObject({
  side: z.enum(['above', 'below', 'left', 'right']),
  /** What is there: `object:…`, `floor:…`, `wall:left`, `wall:right`. */
  by: z.string(),
  /** From the head to it. */
  free: num,
  /** What the set takes up from its head that way: as it hangs; at any tilt, or sideways at any swing; turned on its end and back; both at once. */
  rest: num,
  moved: num,
  turned: num,
  most: num,
  /** How far the head tilts or swings that way, and how far it can before something is met; absent: all the way. */
  limit: num,
  until: num.optional(),
  workings: z.strictObject({ free: working, rest: working, moved: working, turned: working, most: working }),
});

const eyes = z.strictObject({
  viewer: z.string(),
  /** Its upper edge above the eyes; minus: below them. */
  top: num,
  /** From the eyes to its face, pulled out as far as it comes and pushed back. */
  near: num.optional(),
  far: num.optional(),
  workings: z.strictObject({ top: working, near: working.optional(), far: working.optional() }),
});

export const benchPlan = z.strictObject({
  portrait: z.boolean(),
  /** The head's middle, where the set hangs. */
  head: z.strictObject({ x: num, y: num }),
  clearances: z.array(clearance),
  eyes: z.array(eyes),
});

export type BenchPlan = z.infer<typeof benchPlan>;
export type BenchClearance = z.infer<typeof clearance>;
