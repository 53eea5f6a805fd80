import { z } from 'zod';
import { share } from './parts';
import { boxStepId } from './steps';
import { working } from './working';

/** A box let into the wall: its bay, what is cut, and in which order. mm from the wall's left end and the floor. */

const num = z.number();
const box = { left: num, right: num, bottom: num, top: num };

/** What has to be known or done before a step of a box. */
export const boxNeed = z.enum([
  /** Where the wood is that the first cut could meet. */
  'studs',
  /** That no cable or pipe is where it is cut. */
  'hazard',
  'first-cut',
  'look',
  'power',
  /** Both faces, by tape through the opening, or known as well by other marks. */
  'faces',
  /** A place for it that keeps off wood. */
  'place',
  /** Nothing level across the bay. */
  'nogging',
  'depth',
  /** The distance to a flue or vent. */
  'flue',
  'saw',
  'wiring',
]);

export const recessPlan = z.strictObject({
  /** The thing of the room that it is about. */
  object: z.string(),
  /** Absent while a stud on one side is not known. */
  bay: z
    .strictObject({
      left: num,
      right: num,
      /** From the wall's face to what is behind the bay. */
      depth: num,
      /** That the box fits between the faces, wherever in between. */
      chance: share,
      sd: z.strictObject({ left: num, right: num }),
      margin: num,
    })
    .optional(),
  cut: z.strictObject({
    ...box,
    depth: num,
    /** That what is sawn there meets no wood. */
    chance: share,
    /** Left behind the box. */
    behind: num,
    done: z.boolean(),
  }),
  /** The smaller opening inside it, made first: a cover plate is the way back. */
  first: z.strictObject({ ...box, chance: share, done: z.boolean() }),
  steps: z.array(
    z.strictObject({
      id: boxStepId,
      /** What is still lacking before it; while there is anything it is not done. */
      needs: z.array(boxNeed),
      /** From here on nothing covers what went wrong. */
      noReturn: z.boolean(),
      done: z.boolean(),
    }),
  ),
  workings: z.strictObject({
    bayLeft: working.optional(),
    bayRight: working.optional(),
    margin: working.optional(),
    /** How many of its standard deviations the margin is. */
    spreads: working.optional(),
    behind: working,
    left: working,
    right: working,
    bottom: working,
    top: working,
    /** Of the first cut, from the wall's left end and the floor. */
    firstLeft: working,
    firstBottom: working,
  }),
});

export type RecessPlan = z.infer<typeof recessPlan>;
export type BoxNeed = z.infer<typeof boxNeed>;
