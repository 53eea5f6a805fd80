import { z } from 'zod';
import {
  angle,
  buildKind,
  cover,
  partCoordinate,
  extent,
  force,
  id,
  partLength,
  mass,
  range,
  partSize,
  LONGEST_SCREEN_MM,
  screenSize as screenLength,
  thread,
  wholeNumber,
  words,
} from './parts';

/** The catalogue: mounts, anchors, lag screws, bits and screens, one file. */

export const anchorKind = z.enum([
  'plug',
  'winged-plug',
  'screw-in',
  'splitting-screw',
  'sleeve',
  'spring-toggle',
  'strap-toggle',
  'tap-in',
  'folding-wing',
  'masonry-sleeve',
  'masonry-screw',
  'self-tapping',
]);

export const anchor = z.strictObject({
  id,
  kind: anchorKind,
  name: words.optional(),
  board: partLength.optional(),
  tension: force.optional(),
  shear: force.optional(),
  hole: partSize.optional(),
  diameter: partSize.optional(),
  head: partSize.optional(),
  grip: range.optional(),
  /** A washer that goes under its head, so thick. */
  washer: partLength.optional(),
  /** Of its screw or bolt. */
  length: partSize.optional(),
  boltIncluded: z.boolean().optional(),
  reusable: z.boolean().optional(),
  walls: z.array(buildKind).optional(),
  /** The coverings that its rating is for; absent: any but plaster on laths. */
  covers: z.array(cover).optional(),
});

export const lag = z.strictObject({
  id,
  name: words.optional(),
  diameter: partSize,
  length: partSize,
  threadLength: partSize.optional(),
  washer: partLength.optional(),
  head: partSize.optional(),
});

export const bit = z.strictObject({
  id,
  diameter: partSize,
  kind: z.enum(['wood', 'masonry', 'metal']).optional(),
  length: partSize.optional(),
});

export const fixing = z.strictObject({
  kind: z.union([z.literal('lag'), anchorKind, z.literal('bolt')]),
  diameter: partSize,
  length: partSize,
  threadLength: partSize.optional(),
  count: z.number().int().positive().max(40),
  pilot: partSize.optional(),
  washer: partLength.optional(),
  head: partSize.optional(),
  tension: force.optional(),
  shear: force.optional(),
  /** Of the kit, where the label does not give its own: the entry that it is taken from. */
  id: id.optional(),
});

export const mountType = z.enum(['fixed', 'tilt', 'full-motion', 'corner', 'vehicle', 'monitor-arm', 'recess']);

const wallFixing = z.strictObject({ maxBoard: partLength.optional(), fixing: fixing.optional() });

const area = z
  .strictObject({ left: partCoordinate, right: partCoordinate, bottom: partCoordinate, top: partCoordinate })
  .refine((a) => a.left < a.right, { path: ['right'], message: 'must be right of left' })
  .refine((a) => a.bottom < a.top, { path: ['top'], message: 'must be above bottom' });

export const slot = z.strictObject({ x: partCoordinate, y: partCoordinate, length: partSize, height: partSize });

export const plate = z.strictObject({
  width: partSize,
  height: partSize,
  thickness: partSize.optional(),
  open: z.array(area).optional(),
  slots: z.array(slot).max(400).optional(),
});

const joint = z.tuple([angle, angle]).refine(([low, high]) => low <= high, 'takes its lower limit first');

export const arm = z.strictObject({
  kind: z.enum(['links', 'scissor']),
  links: z.array(partSize).max(4).optional(),
  head: partLength.optional(),
  rootX: partCoordinate.optional(),
  limits: z.strictObject({ shoulder: joint.optional(), elbow: joint.optional() }).optional(),
  foldOffset: partCoordinate.optional(),
  range: range.optional(),
});

export const mount = z.strictObject({
  id,
  name: words.min(1),
  type: mountType,
  maxMass: mass,
  screenSize: z
    .strictObject({ min: z.number().min(0).max(LONGEST_SCREEN_MM), max: screenLength })
    .refine((r) => r.min <= r.max, { path: ['max'], message: 'is less than min' }),
  pattern: z.strictObject({
    min: extent,
    max: extent,
    only: z.array(extent).optional(),
    extendedAbove: extent.optional(),
  }),
  walls: z.partialRecord(buildKind, wallFixing),
  studs: z
    .strictObject({
      count: z.number().int().positive().max(6),
      minSpacing: partLength.optional(),
      maxSpacing: partSize.optional(),
    })
    .optional(),
  plate: plate.optional(),
  /** Further plates of the same shape: wider ends screwed on; the search tries each. */
  plates: z.array(plate).max(8).optional(),
  hook: z.strictObject({ above: partCoordinate, spacing: partSize.optional() }).optional(),
  patternAboveHook: z.union([partCoordinate, z.array(partCoordinate).min(1).max(60)]).optional(),
  slide: partLength.optional(),
  /** A rack on two walls: between its pivots on the bracket, and each link from there to its foot; `plate` is one foot. */
  corner: z.strictObject({ span: partSize, link: partSize }).optional(),
  /** The box that it brings, to be let into the wall. */
  opening: z.strictObject({ width: partSize, height: partSize, depth: partSize }).optional(),
  /** Two brackets that stand apart instead of one plate: each by its middle, from the mount's, and its own slots. */
  brackets: z
    .array(z.strictObject({ x: partCoordinate, width: partSize, height: partSize, slots: z.array(slot).max(100) }))
    .length(2)
    .optional(),
  /** Of a vehicle's: it goes onto the outer skin. */
  outside: z.boolean().optional(),
  /** How the set comes onto it: hooks over a rail unless it says otherwise. */
  joint: z.enum(['rail', 'catch', 'slide-in', 'screws']).optional(),
  /** What has to be pulled or turned to let it go again. */
  latch: z.enum(['cord', 'strap', 'click', 'screw']).optional(),
  /** How far the set has to come over the rail. */
  rise: partLength.optional(),
  /** Sockets and keys by size: "socket 13", "key 5". */
  tools: z.array(z.string().trim().min(1).max(60)).max(40).optional(),
  trim: z
    .strictObject({
      height: partLength.optional(),
      roll: angle.optional(),
      pitch: partSize.optional(),
      /** Between the two levelling screws. */
      screwSpan: partSize.optional(),
    })
    .optional(),
  depth: z.strictObject({ folded: partLength, extended: partLength.optional() }),
  tilt: z.strictObject({ down: angle, up: angle.optional() }).optional(),
  swivel: z.strictObject({ left: angle, right: angle }).optional(),
  arm: arm.optional(),
  mass: mass.optional(),
  movingMass: mass.optional(),
  /** Whether maxMass counts the brackets hung with the set; it does unless the label says otherwise. */
  massOf: z.enum(['all', 'set']).optional(),
  bag: z
    .strictObject({
      bracket: partLength.optional(),
      screws: z.array(z.strictObject({ thread, length: partSize })).optional(),
      spacers: z.array(partSize).optional(),
      washers: z.array(partSize).optional(),
    })
    .optional(),
  serviceStand: z.boolean().optional(),
  securityScrews: z.strictObject({ reach: partLength }).optional(),
  price: z.number().min(0).optional(),
  archived: z.boolean().optional(),
});

/** What is known of a set, whether in somebody's room or in the catalogue. */
export const screenFields = {
  diagonal: screenLength,
  width: screenLength.optional(),
  height: screenLength.optional(),
  thickness: partSize.optional(),
  mass,
  pattern: extent,
  patternCentre: z.strictObject({ right: partCoordinate, up: partCoordinate }).optional(),
  insert: z
    .strictObject({
      thread: thread.optional(),
      depth: partLength.optional(),
      recess: partLength.optional(),
    })
    .optional(),
  back: z.enum(['flat', 'stepped', 'curved']).optional(),
  /** How much slimmer the back is than the front at either side: what counts in a corner. */
  slimmer: partLength.optional(),
  ports: z.enum(['side', 'back', 'down']).optional(),
  plugDepth: partLength.optional(),
  maxAmbient: z.number().min(-50).max(120).optional(),
};

export const catalogueScreen = z.strictObject({ id, name: words.min(1), ...screenFields });

/** More than any crew or shop has. */
export const MOST_MOUNTS = 50_000;

export const catalogue = z.strictObject({
  format: z.literal('steddo-catalogue'),
  version: z.literal(1),
  mounts: z.array(mount).max(MOST_MOUNTS),
  anchors: z.array(anchor).optional(),
  screens: z.array(catalogueScreen).optional(),
  lags: z.array(lag).optional(),
  bits: z.array(bit).optional(),
  revision: wholeNumber.optional(),
});

/** What the crew sets things with: all that a room needs of the catalogue to be worked out. */
export const crewKit = catalogue.pick({ anchors: true, lags: true, bits: true });

export type CrewKit = z.infer<typeof crewKit>;
export type Mount = z.infer<typeof mount>;
export type MountType = z.infer<typeof mountType>;
export type Slot = z.infer<typeof slot>;
export type Plate = z.infer<typeof plate>;
export type Fixing = z.infer<typeof fixing>;
export type Catalogue = z.infer<typeof catalogue>;
export type CatalogueScreen = z.infer<typeof catalogueScreen>;
export type Bit = z.infer<typeof bit>;
export type Anchor = z.infer<typeof anchor>;
export type Lag = z.infer<typeof lag>;
