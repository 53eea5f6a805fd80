import { z } from 'zod';

/** What the plan says about the inside of the wall. Lengths mm, probabilities 0 to 1. */

const num = z.number();
const box = { left: num, right: num, bottom: num, top: num };

/** A level timber between two studs. */
export const nogging = z.strictObject({
  y: num,
  left: num,
  right: num,
  evidence: z.array(z.string()),
});

/** What is known of a panel of backing: each edge where it was marked. */
export const backing = z.strictObject({
  left: num.optional(),
  right: num.optional(),
  bottom: num.optional(),
  top: num.optional(),
  evidence: z.array(z.string()),
});

/** A course of masonry, counted up from the floor, and the middles of its upright joints. */
export const course = z.strictObject({
  number: z.number().int(),
  bottom: num,
  top: num,
  /** Where it is not as wide as the wall: a part of it in masonry. */
  left: num.optional(),
  right: num.optional(),
  joints: z.array(num),
});

/** Nobody looked; one bay beside it was; both were and are clear; something was seen there. */
export const holeHazard = z.enum(['nobody-looked', 'one-side', 'clear', 'seen']);

export const served = z.enum(['cable', 'pipe', 'duct', 'gas']);

/** Where something has to be expected, from what is on the wall; and where something was seen. */
export const hazards = z.strictObject({
  zones: z.array(
    z.strictObject({
      id: z.string(),
      what: served,
      way: z.enum(['up', 'down', 'left', 'right', 'at', 'behind']),
      /** The thing that it comes from; absent for a room behind the wall. */
      object: z.string().optional(),
      ...box,
    }),
  ),
  seen: z.array(
    z.strictObject({
      id: z.string(),
      what: z.enum(['cable', 'pipe', 'duct', 'gas', 'unsure', 'live']),
      ...box,
    }),
  ),
});

/** Where to look next for the holes, with what, and how much surer they are afterwards on average. */
export const nextLook = z.strictObject({
  kind: z.enum(['edge', 'centre', 'probe']),
  x: num,
  y: num,
  gain: num,
  reason: z.enum(['find-first', 'is-it-there', 'sharpen', 'tell-edge', 'settle']),
  /** For a scan: from where to where. */
  from: num.optional(),
  to: num.optional(),
  /** Whether the plate hides the small hole. */
  hidden: z.boolean().optional(),
});

export const looking = z.strictObject({
  now: num,
  enough: z.enum(['sure', 'little-gain', 'no-place']).optional(),
});

export type Nogging = z.infer<typeof nogging>;
export type Backing = z.infer<typeof backing>;
export type Course = z.infer<typeof course>;
export type Hazards = z.infer<typeof hazards>;
export type HazardZone = Hazards['zones'][number];
export type HazardSeen = Hazards['seen'][number];
export type HoleHazard = z.infer<typeof holeHazard>;
export type NextLook = z.infer<typeof nextLook>;
export type Looking = z.infer<typeof looking>;
