import { z } from 'zod';
import { onWall, share, side } from './parts';
import { holeHazard } from './wallPlan';
import { working } from './working';

/** Where the holes go, what goes into them and what each has to hold. Lengths mm, forces N, probabilities 0 to 1. */

const num = z.number();

export const holeInto = z.enum(['stud', 'board', 'masonry', 'metal-stud', 'backing']);

/** What is done at one hole, in order. */
export const drillStep = z.enum([
  // before the first: how the marks come onto the wall
  'hold-up',
  'template-up',
  'mark-all',
  // where faces differ: cut, levelled and held until the lags go through it
  'fit-packing',
  // the mark itself
  'thin-bit',
  'tape-tile',
  'tile-bit',
  'plaster-bit',
  'test-hole',
  'mark-through',
  'plate-aside',
  // the hole
  'pilot',
  'drill-board',
  'drill-masonry',
  'clear-dust',
  'drill-metal',
  // the fixing
  'set-sleeve',
  'draw-sleeve',
  'insert-plug',
  'insert-toggle',
  'snap-strap',
  'spring-on-bolt',
  'fold-wing',
  'turn-in',
  'tap-in',
  'plate-on',
  'washer',
  'lag',
  'cut-thread',
  'drive-screw',
  'bolt',
  'bolt-pulled',
  'finger-tight',
  // a skin that has to stay tight
  'seal',
  // the plate
  'hang-plate',
  'level',
  'snug',
]);

export const hole = z.strictObject({
  id: z.string(),
  /** Of a corner job: which wall it is in; on the other one x counts from the corner. */
  wall: onWall.optional(),
  order: z.number().int(),
  x: num,
  y: num,
  into: holeInto,
  fixing: z.strictObject({
    kind: z.string(),
    diameter: num,
    length: num.optional(),
    /** Of the kit; absent for what comes with the mount. */
    id: z.string().optional(),
  }),
  bit: num,
  depth: num,
  /** That it meets what it is meant for: wood all round the screw, a hollow, a whole unit. */
  probability: share,
  /** Joints that nobody has marked: the probability is the wall's share, and says nothing of this hole. */
  unmarked: z.array(z.enum(['bed', 'upright'])).optional(),
  hazard: holeHazard,
  /** The zones of cables and pipes that it is in, and the look that shows what is behind it. */
  zones: z.array(z.string()).optional(),
  look: z.string().optional(),
  done: z.boolean(),
  /** What the drill met there against all that was marked. */
  met: z.string().optional(),
  row: z.enum(['top', 'middle', 'bottom']),
  /** Of the plan's studs; only for a hole into one. */
  stud: z.number().int().optional(),
  slot: z.number().int(),
  /** How far the screw goes into the stud or the backing, tip included. */
  penetration: num.optional(),
  /** What is left beside the screw to the ply's edge, beyond the 1.5 diameters that it needs. */
  edgeMargin: num.optional(),
  /** Packing between the plate and the wall's face there, mm; 0: none. */
  packing: num,
  /** The brick or block that it goes into, as far as its joints were marked. */
  unit: z
    .strictObject({ course: z.number().int(), bottom: num, top: num, left: num.optional(), right: num.optional() })
    .optional(),
  /** A washer goes under this head, so thick. */
  washer: num.optional(),
  steps: z.array(drillStep),
  working,
  workings: z.strictObject({
    x: working,
    bit: working,
    depth: working,
    probability: working.optional(),
    penetration: working.optional(),
    edgeMargin: working.optional(),
    /** Below the level line through the first hole, and right of that hole. */
    belowLine: working.optional(),
    fromFirst: working.optional(),
  }),
});

/** One thing to take along, how many are needed and how many to spare. */
export const part = z.strictObject({
  what: z.enum(['fixing', 'washer', 'bit', 'depth-flag', 'probe-bit', 'packing', 'timber']),
  /** The kind of fixing, or of bit: wood, masonry, metal. */
  kind: z.string(),
  count: z.number().int(),
  spare: z.number().int(),
  diameter: num.optional(),
  length: num.optional(),
  /** Of packing and timber. */
  thickness: num.optional(),
  /** Of timber. */
  height: num.optional(),
  /** Entry of the kit; absent where it comes with the mount or has to be got. */
  id: z.string().optional(),
  from: z.enum(['mount', 'kit', 'get']),
});

export const schemeKind = z.enum([
  'lags-in-studs',
  'screws-in-studs',
  'lags-and-anchors',
  'anchors',
  'masonry',
  'backing',
  /** Each hole in what is behind it: lags in one part of the wall, masonry fixings in another. */
  'mixed',
  /** Nothing can be drilled; what would have to change stands beside it. */
  'none',
]);

export const scheme = z.strictObject({
  key: z.string(),
  kind: schemeKind,
  shift: num,
  worstProbability: share,
  /** Absent where nothing can be said about what it holds. */
  worstUtilisation: num.optional(),
  /** Why it may not be used, the first reason; absent where nothing stops it. */
  stoppedBy: z.string().optional(),
  plateX: num,
  armHole: z.number().int().optional(),
  fold: side.optional(),
  holes: z.array(z.strictObject({ x: num, y: num, into: holeInto })),
  bits: z.array(num),
  parts: z.array(part),
  /** Which of the mount's further plates, from 1; absent: its own. */
  plate: z.number().int().optional(),
});

/** One way out of a stop, with what it comes to: by how much, or which one. */
export const remedy = z.strictObject({
  kind: z.enum([
    'limit-swing',
    'more-rows',
    'longer-lag',
    'two-studs',
    'timber',
    /** Noggings so high put in between the studs. */
    'noggings',
    'other-mount',
    'poke-edge',
    'other-stud',
    'shift-set',
    'anchors',
    /** What was chosen by hand, let go again. */
    'let-go',
    /** Packing so thick under the part that stands back. */
    'pack',
    /** In a corner: so much kept between the set and the walls. */
    'corner-gap',
    /** A field to be entered: its `path`. */
    'enter',
    /** Something to be marked, probed or scanned: `what`, and where. */
    'evidence',
    /** The set so much higher, or below 0 lower. */
    'shift-height',
    /** Another fastener of the kit, by its id. */
    'other-fastener',
    /** Not in this place; whose trade it is. */
    'not-here',
    /** Read and said so. */
    'acknowledge',
  ]),
  /** The finding that it takes away. */
  code: z.string().optional(),
  by: z.union([num, z.string()]).optional(),
  path: z.string().optional(),
  what: z.enum(['scan-edges', 'probe', 'probe-edge', 'mark-joint', 'trace-sheet', 'look', 'measure']).optional(),
  x: num.optional(),
  y: num.optional(),
  /** Where there is more than one place: each stud. */
  xs: z.array(num).optional(),
  wall: onWall.optional(),
  /** Of a corner: turned so many degrees to the right. */
  turn: num.optional(),
  trade: z.enum(['electrician', 'plumber', 'gas', 'builder', 'installer']).optional(),
  result: z.strictObject({ utilisation: num.optional(), verdict: z.enum(['go', 'caution', 'stop']) }),
});

const fastenerLoad = z.strictObject({
  hole: z.string(),
  tension: num,
  shear: num,
  allowableTension: num,
  allowableShear: num,
  utilisation: num,
  governs: z.string(),
  workings: z.strictObject({
    tension: working,
    shear: working,
    allowableTension: working,
    allowableShear: working,
    utilisation: working,
  }),
});

const line = z.enum(['row', 'plate-edge', 'outermost']);

/** One case that was reckoned: where the set is and who leans on it, and what each fastener has to hold, N. */
const loadCase = z.strictObject({
  /** `folded`, `seat`, `passing`, `travel`, or with a hand: `down`, `left`, `right`. */
  id: z.string(),
  pose: z.strictObject({ extension: num, yaw: num, x: num, e: num, frontX: num, frontE: num }),
  handling: z.enum(['none', 'down', 'left', 'right']),
  duration: num,
  /** On the road: so many times its weight. */
  times: num.optional(),
  /** pullY: by what pulls the top off, pullX: by what pulls a side off; shearX to the right, shearY up. */
  fasteners: z.array(z.strictObject({ hole: z.string(), pullX: num, pullY: num, shearX: num, shearY: num })),
});

export const loads = z.strictObject({
  /** What the plate turns about where its top is pulled off, and where a side is: mm on the wall. */
  about: z.strictObject({
    line,
    y: num.optional(),
    left: z.strictObject({ line, x: num }).optional(),
    right: z.strictObject({ line, x: num }).optional(),
  }),
  cases: z.array(loadCase),
  /** The pose in which the worst fastener has most to hold; a hand leans on it in `handling`. */
  pose: z.strictObject({ extension: num, yaw: num, x: num, e: num }),
  handling: z.enum(['none', 'down', 'left', 'right']),
  /** The duration factor of that case; the allowables of lags include it. */
  duration: num,
  /** Of a vehicle: what its weights ask on the road, folded, where they count so many times. */
  travel: z.strictObject({ times: num, utilisation: num }).optional(),
  fasteners: z.array(fastenerLoad),
  worst: num,
  /** The most that what hangs there asks by itself, and with a hand on it (absent: it has no arm). */
  standing: num,
  leaned: num.optional(),
  /** How far the set's middle may go to either side of the fasteners' middle: inside the tables, inside the label's cover. */
  maxAside: z.strictObject({ go: num.optional(), label: num.optional() }).optional(),
  /** For pack ratings: what the weakest bears, against four times the load. */
  fourfold: num.optional(),
  curve: z.array(z.strictObject({ extension: num, utilisation: num })).optional(),
  /** Against how far aside the set's middle is. */
  swing: z.array(z.strictObject({ aside: num, utilisation: num })).optional(),
  /** Set and mount, N; and all of it about the line that the plate turns about, N mm. */
  weight: working,
  moment: working,
});

/** Something light on the same wall: what holds it there. */
export const light = z.strictObject({
  object: z.string(),
  mass: num,
  count: z.number().int(),
  /** What fits best, best first; empty where nothing is rated for it. */
  choices: z.array(
    z.strictObject({
      into: holeInto,
      kind: z.string(),
      id: z.string().optional(),
      bit: num.optional(),
      steps: z.array(drillStep),
      utilisation: num,
      working,
    }),
  ),
  /** Where its fixings go, and how sure that is. */
  at: z.array(z.strictObject({ x: num, y: num, wood: share, hollow: share })),
  verdict: z.enum(['go', 'caution', 'stop']),
  tension: working.optional(),
  shear: working.optional(),
});

export type Hole = z.infer<typeof hole>;
export type HoleInto = z.infer<typeof holeInto>;
export type DrillStep = z.infer<typeof drillStep>;
export type SchemePlan = z.infer<typeof scheme>;
export type SchemeKind = z.infer<typeof schemeKind>;
export type Remedy = z.infer<typeof remedy>;
export type Loads = z.infer<typeof loads>;
export type LoadCasePlan = Loads['cases'][number];
export type FastenerLoad = Loads['fasteners'][number];
export type Part = z.infer<typeof part>;
export type Light = z.infer<typeof light>;
