import { z } from 'zod';
import { share } from './parts';
import { stepId, tickId, who } from './steps';
import { working } from './working';

/** The ends of a job: leads, hanging, the day and how sure all of it is. Lengths mm, times minutes. */

const num = z.number();

export const leadPlan = z.strictObject({
  id: z.string(),
  what: z.string(),
  route: z.enum(['behind', 'arm', 'trunking', 'rated-kit']),
  when: z.enum(['before', 'hooked', 'after']),
  later: z.boolean(),
  needed: num,
  length: num.optional(),
  /** Left of its length; below zero it is short. */
  slack: num.optional(),
  /** Trunking to cut, its caps taken off. */
  cut: num.optional(),
  /** Where it runs on the wall, seen from the front. */
  path: z.array(z.strictObject({ x: num, y: num })),
  workings: z.strictObject({ needed: working, slack: working.optional(), cut: working.optional() }),
});

export const hang = z.strictObject({
  /** To the right, mm. */
  slide: num.optional(),
  /** The mount's own slide gives that much. */
  fits: z.boolean().optional(),
  /** How far the set has to come over its rail. */
  rise: num,
  /** What stands above leaves so much; absent: nothing. */
  room: num.optional(),
  joint: z.enum(['rail', 'catch', 'slide-in', 'screws']),
  steps: z.array(z.strictObject({ id: stepId, done: z.boolean() })),
  workings: z.strictObject({ slide: working.optional() }),
});

export const dayStep = z.strictObject({
  id: stepId,
  who,
  tools: z.array(z.string()),
  minutes: num,
  /** What has to be done before it; each stands earlier in the list. */
  after: z.array(stepId),
  done: z.boolean(),
});

/** One thing to take along. */
export const packed = z.strictObject({
  id: tickId,
  what: z.enum([
    'fixing',
    'washer',
    'bit',
    'depth-flag',
    'probe-bit',
    'packing',
    'timber',
    'screw',
    'spacer',
    'lead',
    'trunking',
    'tool',
  ]),
  kind: z.string(),
  count: z.number().int(),
  spare: z.number().int(),
  diameter: num.optional(),
  length: num.optional(),
  /** Of packing and timber. */
  thickness: num.optional(),
  /** Of timber. */
  height: num.optional(),
  from: z.enum(['mount', 'kit', 'get']),
  done: z.boolean(),
});

export const day = z.strictObject({
  steps: z.array(dayStep),
  pack: z.array(packed),
  people: num,
  minutes: num,
  /** What stays open for another day, from ticks, leads and the record. */
  open: z.array(
    z.discriminatedUnion('what', [
      z.strictObject({ what: z.literal('step'), id: stepId, text: z.string() }),
      z.strictObject({ what: z.literal('lead'), id: z.string(), text: z.string() }),
      z.strictObject({ what: z.literal('note'), text: z.string() }),
    ]),
  ),
});

export const TOLERANCE_SOURCES = ['tape', 'reading', 'mark', 'drill', 'level', 'finder', 'print'] as const;
export const toleranceSource = z.enum(TOLERANCE_SOURCES);

export const tolerance = z.strictObject({
  draws: z.number().int(),
  seed: z.number().int(),
  /** Chance that every hole meets what it is meant for. */
  allLand: share,
  /** Chance that the set's ends differ by over 3 mm after the slots' play is used. */
  over3: share,
  /** Chance that the slots take the level up. */
  withinPlay: share,
  /** Standard deviations, mm; the level over the set's width before the slots. */
  height: num,
  centring: num,
  level: num,
  /** What remains with one source left out. */
  sources: z.array(z.strictObject({ id: toleranceSource, allLand: share, over3: share, height: num })),
  /** The stud whose edge is worth one more poke, and what that would make of it. */
  poke: z.strictObject({ stud: z.number().int(), x: num, allLand: share }).optional(),
});

/** The bar that comes later, centred under the set. */
export const soundbarPlace = z.strictObject({ left: num, right: num, bottom: num, top: num });

export type LeadPlan = z.infer<typeof leadPlan>;
export type HangPlan = z.infer<typeof hang>;
export type DayPlan = z.infer<typeof day>;
export type DayStep = z.infer<typeof dayStep>;
export type Packed = z.infer<typeof packed>;
export type TolerancePlan = z.infer<typeof tolerance>;
export type ToleranceSource = z.infer<typeof toleranceSource>;
