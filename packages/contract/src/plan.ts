import { z } from 'zod';
import { mountType } from './catalogue';
import { day, hang, leadPlan, soundbarPlace, tolerance } from './dayPlan';
import { reach } from './reachPlan';
import { buildKind, onWall, school, side } from './parts';
import { roomKind } from './room';
import { screwCheck, stack } from './screwPlan';
import { hole, light, loads, remedy, scheme, schemeKind } from './schemePlan';
import { guess, obligation } from './checkedPlan';
import { mantelPlan, packing, timberPlan } from './facesPlan';
import { benchPlan } from './benchPlan';
import { cornerPlan, sideWallPlan } from './cornerPlan';
import { recessPlan } from './recessPlan';
import { vehiclePlan } from './vehiclePlan';
import { stud } from './studPlan';
import { backing, course, hazards, looking, nextLook, nogging } from './wallPlan';
import { type unit, working } from './working';

/** What follows from a job: the plan file. Lengths mm, forces N, probabilities 0 to 1, angles degrees. */

const num = z.number();
/** `todo`: nobody has measured, marked or looked at it yet; alone it makes the verdict `caution`. */
const level = z.enum(['info', 'todo', 'caution', 'stop']);
const fitLevel = z.enum(['info', 'caution', 'stop']);
const verdict = z.enum(['go', 'caution', 'stop']);

export const stage = z.enum(['set', 'room', 'mount', 'fit', 'height', 'reach', 'wall', 'holes', 'level', 'hang']);

const findingValue = z.union([z.string(), num, z.boolean(), z.array(z.string()), z.array(num)]);

export const finding = z.strictObject({
  code: z.string(),
  level,
  stage,
  values: z.record(z.string(), findingValue),
  message: z.string().optional(),
  source: z.string().optional(),
  acknowledgeable: z.boolean(),
  acknowledged: z.boolean(),
});

const judgedBy = { ok: z.boolean(), level: fitLevel, margin: num, message: z.string().optional() };
/** A rule about one number against its limit. */
const measuredFit = <R extends string, U extends z.infer<typeof unit>>(rule: R, of: U) =>
  z.strictObject({ rule: z.literal(rule), ...judgedBy, value: num, limit: num, unit: z.literal(of) });

/** One rule of whether a mount fits, with its margin; `axis` says which side of it was tightest. */
export const fit = z.discriminatedUnion('rule', [
  measuredFit('mass', 'kg'),
  measuredFit('pattern', 'mm').extend({ axis: z.enum(['width', 'height']) }),
  measuredFit('screen-size', 'mm').extend({ axis: z.enum(['largest', 'smallest']) }),
  z.strictObject({ rule: z.literal('wall-kind'), ...judgedBy, value: buildKind, limit: z.string() }),
  measuredFit('covering', 'mm'),
  measuredFit('stud-spacing', 'mm'),
  measuredFit('plate-room', 'mm'),
  measuredFit('tilt', 'deg').extend({ axis: z.enum(['down', 'up']) }),
  /** Of its worst seat, by the viewer's id. */
  measuredFit('reach', 'deg').extend({ axis: z.string() }),
  /** Set and brackets over what so many people may lift there; 'none' where nobody reaches. */
  z.strictObject({
    rule: z.literal('people'),
    ...judgedBy,
    value: z.union([num, z.literal('none')]),
    limit: num,
    unit: z.literal('ratio'),
    people: num,
  }),
  /** What its fixings hold, in closed form, wherever they may go. */
  measuredFit('holds', 'ratio'),
  /** Whether this kind of job is what the mount is made for. */
  z.strictObject({ rule: z.literal('room-kind'), ...judgedBy, value: mountType, limit: roomKind }),
  /** In a corner: how far its links have to reach from wall to pivot. */
  measuredFit('corner-reach', 'mm'),
  /** What they hold where they find wood: the whole search, for the first of the list. */
  z.strictObject({
    rule: z.literal('scheme'),
    ...judgedBy,
    value: z.union([num, z.literal('none')]),
    limit: num,
    unit: z.literal('ratio').optional(),
    axis: schemeKind.optional(),
  }),
]);

const ranked = z.strictObject({
  id: z.string(),
  name: z.string(),
  type: mountType,
  verdict,
  reasons: z.array(fit),
  nearest: fit.optional(),
  /** What the label does not tell and has to be measured before holes can be given. */
  toMeasure: z.array(z.string()),
});

const viewerAngles = z.strictObject({
  viewer: z.string(),
  centre: num,
  top: num,
  bottom: num,
  fromRest: num,
  workings: z.strictObject({ centre: working, fromRest: working }).optional(),
});

const intervals = z.array(z.tuple([num, num]));
const conflict = z.strictObject({
  /** A smallest set of constraints that cannot all hold. */
  constraints: z.array(z.string()),
  /** The least that would have to give way, by how much, and the height that this would free. */
  relax: z.array(z.strictObject({ by: z.string(), amount: num })).optional(),
  at: num.optional(),
  /** The nearest centre line at which a height would be free. */
  sideways: num.optional(),
});

/** What the seats ask of a mount: the widest seat, the tilt, and the plainest type that serves them. */
const advice = z.strictObject({
  type: z.enum(['fixed', 'tilt', 'full-motion']),
  /** Degrees off straight ahead of the seat furthest across; positive to the right. */
  across: num.optional(),
  viewer: z.string().optional(),
  tiltNeeded: num.optional(),
  /** How far out the set's back has to come to turn to that seat past its wall; only where it has to turn. */
  reachNeeded: num.optional(),
  workings: z.strictObject({ across: working.optional(), tilt: working.optional() }).optional(),
});

/** How near and how far each picture standard would have its viewers, from the set's face. */
const distances = z.strictObject({
  bounds: z.array(
    z.strictObject({
      rule: z.enum(['across-40', 'across-30', 'lines-2160', 'lines-1080']),
      distance: num,
      working,
    }),
  ),
  viewers: z.array(
    z.strictObject({
      viewer: z.string(),
      distance: num,
      /** Degrees that the picture fills. */
      fills: num,
      verdict: z.enum(['near', 'within', 'far']),
      working: working.optional(),
    }),
  ),
});

const height = z.strictObject({
  school,
  /** Absent where nothing is feasible. */
  centre: num.optional(),
  bottom: num.optional(),
  top: num.optional(),
  wanted: num,
  binding: z.array(z.string()),
  angles: z.array(viewerAngles),
  tiltNeeded: num.optional(),
  working: working.optional(),
  tiltWorking: working.optional(),
});

const box = { left: num, right: num, bottom: num, top: num };

const placement = z.strictObject({
  centre: z.strictObject({ x: num, y: num }),
  ...box,
  plate: z.strictObject({ ...box, x: num }).optional(),
  /** How far the plate's back is in front of the wall's own face; absent where it lies on that. */
  plane: num.optional(),
  armHole: z.number().int().optional(),
  fold: side.optional(),
  feasible: intervals,
  feasibleX: intervals,
  binding: z.array(z.string()),
  conflict: conflict.optional(),
  /** What the viewers see at this height, and the tilt that would face them. */
  angles: z.array(viewerAngles).optional(),
  tiltNeeded: num.optional(),
  tiltWorking: working.optional(),
});

const mark = z.strictObject({
  id: z.string(),
  /** Of a corner job; on its other wall `fromLeft` counts from the corner. */
  wall: onWall.optional(),
  fromFloor: num,
  fromCentre: num,
  fromLeft: num,
  belowTop: num,
  /** Of fromFloor; of fromLeft for the marks left and right. */
  working,
  workings: z.strictObject({
    fromFloor: working,
    fromCentre: working,
    fromLeft: working,
    belowTop: working,
  }),
});

const correction = z.strictObject({
  /** In the order in which they are tried: with the plate's slots or a new hole; screws, an arm, the head, sheets between hook and rail. */
  kind: z.enum(['slots', 'hole', 'screw', 'drop', 'roll', 'shim']),
  /** The end that is worked on: it is raised, by `drop` lowered. */
  where: side,
  by: num,
  unit: z.enum(['mm', 'turn', 'deg']),
  /** So many sheets of 0.1 mm. */
  sheets: z.number().int().optional(),
  /** What this way of correcting can take up at most, in the same unit. */
  limit: num.optional(),
  /** What is left over the set's width afterwards, mm. */
  left: num,
  fits: z.boolean(),
  working: working.optional(),
});

const levelGroup = z.strictObject({
  on: z.enum(['plate', 'set']),
  when: z.string(),
  slope: num,
  instrumentError: num.optional(),
  high: z.union([side, z.literal('neither')]),
  span: num.optional(),
  rise: num.optional(),
  working: working.optional(),
  errorWorking: working.optional(),
});

export const plan = z.strictObject({
  format: z.literal('steddo-plan'),
  version: z.literal(1),
  title: z.string().optional(),
  verdict,
  /** How many findings are still to do; absent: none. */
  todo: z.number().int().positive().optional(),
  findings: z.array(finding),
  /** What the independent checker read, each with what it needed and what it found. */
  checked: z.array(obligation).optional(),
  /** What nobody has measured, how far off it may be, and what of the plan that moves. */
  guesses: z.array(guess).optional(),
  screen: z.strictObject({
    patternClass: z.string(),
    outline: z.strictObject({ width: num, height: num, guessed: z.boolean() }),
    workings: z.strictObject({ width: working, height: working }).optional(),
    screws: z.array(stack).optional(),
    screwCheck: screwCheck.optional(),
  }),
  advice: advice.optional(),
  distances: distances.optional(),
  fit: z.array(fit).optional(),
  ranking: z.array(ranked).optional(),
  heights: z.array(height).optional(),
  placement: placement.optional(),
  marks: z.array(mark).optional(),
  studs: z.array(stud).optional(),
  wood: z.strictObject({ step: num, p: z.array(num) }).optional(),
  odd: z.array(z.string()).optional(),
  noggings: z.array(nogging).optional(),
  backing: backing.optional(),
  courses: z.array(course).optional(),
  hazards: hazards.optional(),
  nextLook: nextLook.optional(),
  /** How sure all the holes are as it is, and why no look is worth it any more. */
  looking: looking.optional(),
  scheme: scheme
    .extend({
      alternatives: z.array(scheme).optional(),
    })
    .optional(),
  holes: z.array(hole).optional(),
  /** What brings the parts of the wall that stand back under the plate to its plane. */
  packing: z.array(packing).optional(),
  mantel: mantelPlan.optional(),
  /** Of a corner job: where the set stands in it, and the other wall. */
  corner: cornerPlan.optional(),
  bench: benchPlan.optional(),
  /** Of a box that is to be let into the wall, whatever hangs over it. */
  recess: recessPlan.optional(),
  vehicle: vehiclePlan.optional(),
  sideWall: sideWallPlan.optional(),
  timber: timberPlan.optional(),
  loads: loads.optional(),
  /** Ways out of a stop at the holes, in the order in which they are offered. */
  remedies: z.array(remedy).optional(),
  /** Light things on the same wall, and what holds each. */
  light: z.array(light).optional(),
  reach: reach.optional(),
  level: z
    .strictObject({
      slope: num,
      instrumentError: num.optional(),
      corrections: z.array(correction),
      groups: z.array(levelGroup),
    })
    .optional(),
  /** kg; `limit` is one person's. */
  lift: z
    .strictObject({
      limit: num,
      mass: num,
      index: num.optional(),
      people: num,
      /** How high the hands are above the floor where it is taken up and where it hangs, mm. */
      hands: z.strictObject({ from: num, to: num }),
      workings: z.strictObject({ limit: working, mass: working, index: working.optional() }),
    })
    .optional(),
  leads: z.array(leadPlan).optional(),
  hang: hang.optional(),
  day: day.optional(),
  /** Only when it is asked for: some thousand draws. */
  tolerance: tolerance.optional(),
  /** How the floor falls along the wall: over the set's width, and which end stands high. */
  floor: z.strictObject({ slope: num, rise: num, high: z.union([side, z.literal('neither')]), working }).optional(),
  soundbar: soundbarPlace.optional(),
});

export type Plan = z.infer<typeof plan>;
export type Finding = z.infer<typeof finding>;
export type Level = z.infer<typeof level>;
export type FitLevel = z.infer<typeof fitLevel>;
export type Verdict = z.infer<typeof verdict>;
export type Stage = z.infer<typeof stage>;
export type Fit = z.infer<typeof fit>;
export type FitRule = Fit['rule'];
/** The fit of one rule. */
export type FitOf<R extends FitRule> = Extract<Fit, { rule: R }>;
export type Ranked = z.infer<typeof ranked>;
export type Height = z.infer<typeof height>;
export type ViewerAngles = z.infer<typeof viewerAngles>;
export type Placement = z.infer<typeof placement>;
export type Mark = z.infer<typeof mark>;
export type Stud = z.infer<typeof stud>;
export type Correction = z.infer<typeof correction>;
export type Advice = z.infer<typeof advice>;
export type Distances = z.infer<typeof distances>;
export type Conflict = z.infer<typeof conflict>;
export type LevelGroup = z.infer<typeof levelGroup>;
export type LevelResult = NonNullable<Plan['level']>;
