import { z } from 'zod';
import { working } from './working';

/** What follows for the screws of a set: which serve, why others do not, what to buy. Lengths mm. */

const num = z.number();

export const stack = z.strictObject({
  id: z.string(),
  thread: z.string(),
  length: num,
  washers: z.array(num),
  spacer: num,
  /** Thread inside the insert, mm. */
  engagement: num,
  /** Left between the screw's end and the insert's bottom, mm. */
  clearance: num,
  /** Turns of thread engaged. */
  turns: num.optional(),
  workings: z.strictObject({ stack: working, engagement: working, clearance: working }).optional(),
});

/** Why a screw of the bag does not serve, with its best washers and spacer. */
export const misfit = z.strictObject({
  thread: z.string(),
  length: num,
  why: z.enum(['thread', 'short', 'long']),
  by: num.optional(),
  turns: num.optional(),
  washers: z.array(num),
  spacer: num,
});

export const screwCheck = z.strictObject({
  /** Thread and depth of the set's insert that the screws were held against. */
  insert: z.strictObject({ thread: z.string(), depth: num, recess: num, pitch: num }),
  bracket: num,
  /** Least spacer, and what asks for it. */
  spacer: z
    .strictObject({
      least: num,
      why: z.enum(['back', 'plugs', 'behind']),
      working: working.optional(),
    })
    .optional(),
  misfits: z.array(misfit),
  /** What to buy when nothing in the bag serves. */
  buy: z
    .strictObject({
      thread: z.string(),
      from: num,
      to: num,
      length: num.optional(),
      spacer: num.optional(),
    })
    .optional(),
  chosen: z.string().optional(),
});

export type Stack = z.infer<typeof stack>;
export type Misfit = z.infer<typeof misfit>;
export type ScrewCheck = z.infer<typeof screwCheck>;
