import { z } from 'zod';
import { working } from './working';

/** A thin wall with a backing in it and a skin behind it. mm. */

const num = z.number();

/** What is seen to before it is driven. */
export const travelCheck = z.enum(['fold', 'lock', 'tilt', 'leads', 'loose', 'retighten']);

export const vehiclePlan = z.strictObject({
  /** What all holes have to be inside of, by so much as its edges may be off; absent while nobody has said where it is. */
  backing: z.strictObject({ left: num, right: num, bottom: num, top: num, doubt: num }).optional(),
  /** Left between the screw's point and the outer skin, of the screw that comes nearest; below zero it comes through. */
  tip: num.optional(),
  /** The drill's depth stop, from the wall's face: as deep as the screw goes, and short of the skin. */
  flag: num.optional(),
  travel: z.array(travelCheck),
  workings: z.strictObject({ tip: working.optional(), flag: working.optional() }),
});

export type VehiclePlan = z.infer<typeof vehiclePlan>;
export type TravelCheck = z.infer<typeof travelCheck>;
