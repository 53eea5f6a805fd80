import { z } from 'zod';
import {
  angle,
  buildKind,
  coordinate,
  extent,
  force,
  id,
  length,
  mass,
  range,
  size,
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
  board: length.optional(),
  tension: force.optional(),
  shear: force.optional(),
  hole: size.optional(),
  diameter: size.optional(),
  head: size.optional(),
  grip: range.optional(),
  /** A washer that goes under its head, so thick. */
  washer: length.optional(),
  /** Of its screw or bolt. */
  length: size.optional(),
  boltIncluded: z.boolean().optional(),
  reusable: z.boolean().optional(),
  walls: z.array(buildKind).optional(),
});

export const lag = z.strictObject({
  id,
  name: words.optional(),
  diameter: size,
  length: size,
  threadLength: size.optional(),
  washer: length.optional(),
  head: size.optional(),
});

export const bit = z.strictObject({
  id,
  diameter: size,
  kind: z.enum(['wood', 'masonry', 'metal']).optional(),
  length: size.optional(),
});

export const fixing = z.strictObject({
  kind: z.union([z.literal('lag'), anchorKind, z.literal('bolt')]),
  diameter: size,
  length: size,
  threadLength: size.optional(),
  count: z.number().int().positive().max(40),
  pilot: size.optional(),
  washer: length.optional(),
  head: size.optional(),
  tension: force.optional(),
  shear: force.optional(),
});

export const mountType = z.enum(['fixed', 'tilt', 'full-motion', 'corner', 'vehicle', 'monitor-arm', 'recess']);

const wallFixing = z.strictObject({ maxBoard: length.optional(), fixing: fixing.optional() });

const area = z
  .strictObject({ left: coordinate, right: coordinate, bottom: coordinate, top: coordinate })
  .refine((a) => a.left < a.right, { path: ['right'], message: 'must be right of left' })
  .refine((a) => a.bottom < a.top, { path: ['top'], message: 'must be above bottom' });

export const slot = z.strictObject({ x: coordinate, y: coordinate, length: size, height: size });

export const plate = z.strictObject({
  width: size,
  height: size,
  thickness: size.optional(),
  open: z.array(area).optional(),
  slots: z.array(slot).max(400).optional(),
});

const joint = z.tuple([angle, angle]).refine(([low, high]) => low <= high, 'takes its lower limit first');

export const arm = z.strictObject({
  kind: z.enum(['links', 'scissor']),
  links: z.array(size).max(4).optional(),
  head: length.optional(),
  rootX: coordinate.optional(),
  limits: z.strictObject({ shoulder: joint.optional(), elbow: joint.optional() }).optional(),
  foldOffset: coordinate.optional(),
  range: range.optional(),
});

export const mount = z.strictObject({
  id,
  name: words.min(1),
  type: mountType,
  maxMass: mass,
  screenSize: range.refine((r) => r.min <= r.max, { path: ['max'], message: 'is less than min' }),
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
      minSpacing: length.optional(),
      maxSpacing: size.optional(),
    })
    .optional(),
  plate: plate.optional(),
  hook: z.strictObject({ above: coordinate, spacing: size.optional() }).optional(),
  patternAboveHook: z.union([coordinate, z.array(coordinate).min(1).max(60)]).optional(),
  slide: length.optional(),
  trim: z.strictObject({ height: length.optional(), roll: angle.optional(), pitch: size.optional() }).optional(),
  depth: z.strictObject({ folded: length, extended: length.optional() }),
  tilt: z.strictObject({ down: angle, up: angle.optional() }).optional(),
  swivel: z.strictObject({ left: angle, right: angle }).optional(),
  arm: arm.optional(),
  mass: mass.optional(),
  movingMass: mass.optional(),
  /** Whether maxMass counts the brackets hung with the set; it does unless the label says otherwise. */
  massOf: z.enum(['all', 'set']).optional(),
  bag: z
    .strictObject({
      bracket: length.optional(),
      screws: z.array(z.strictObject({ thread, length: size })).optional(),
      spacers: z.array(size).optional(),
      washers: z.array(size).optional(),
    })
    .optional(),
  serviceStand: z.boolean().optional(),
  securityScrews: z.strictObject({ reach: length }).optional(),
  price: z.number().min(0).optional(),
  archived: z.boolean().optional(),
});

/** What is known of a set, whether in somebody's room or in the catalogue. */
export const screenFields = {
  diagonal: size,
  width: size.optional(),
  height: size.optional(),
  thickness: size.optional(),
  mass,
  pattern: extent,
  patternCentre: z.strictObject({ right: coordinate, up: coordinate }).optional(),
  insert: z
    .strictObject({
      thread: thread.optional(),
      depth: length.optional(),
      recess: length.optional(),
    })
    .optional(),
  back: z.enum(['flat', 'stepped', 'curved']).optional(),
  ports: z.enum(['side', 'back', 'down']).optional(),
  plugDepth: length.optional(),
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
