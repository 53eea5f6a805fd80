import { z } from 'zod';
import { unit } from './working';

/** What proves a plan: the obligations that the independent checker reads, and the guesses that it rests on. */

const num = z.number();

export const obligationId = z.enum([
  'holes-there',
  'count',
  'on-wall',
  'free-edge',
  'clear-of-things',
  'clear-of-hazards',
  'in-slot',
  'sum',
  'meets',
  'looked',
  'balance',
  'allowables',
  'carries',
  'bites',
  'mount',
  'screw',
  'lift-on',
  'guesses',
  'numbers',
]);

/** One thing that has to hold of a hole, a plate or a field before anybody is told to go. */
export const obligation = z.strictObject({
  id: obligationId,
  holds: z.boolean(),
  /** A hole, `plate`, `set`, a load case, or a field by its path. */
  of: z.string(),
  needed: num,
  found: num,
  unit,
});

/** A number that nobody has measured: between which values it may be, and by how much each number would move. */
export const guess = z.strictObject({
  path: z.string(),
  unit,
  value: num,
  from: num,
  to: num,
  moves: z.array(z.strictObject({ what: z.string(), by: num, unit })),
});

export type Obligation = z.infer<typeof obligation>;
export type ObligationId = Obligation['id'];
export type Guess = z.infer<typeof guess>;
