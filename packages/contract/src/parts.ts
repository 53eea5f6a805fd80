import { z } from 'zod';

/** Building blocks that the formats share. Lengths mm, masses kg, angles degrees, times ISO 8601. */

/** No wall, set or arm of a home is larger than this; a value beyond it is a slip of the unit. */
const LONGEST_MM = 100_000;

export const length = z.number().min(0).max(LONGEST_MM);
export const size = z.number().positive().max(LONGEST_MM);
/** Of a mount, a set or a fastening: none is larger, and a longer arm would take minutes to plan. */
const LONGEST_PART_MM = 3000;
export const partLength = z.number().min(0).max(LONGEST_PART_MM);
export const partSize = z.number().positive().max(LONGEST_PART_MM);
export const partCoordinate = z.number().min(-LONGEST_PART_MM).max(LONGEST_PART_MM);
/** Of a set, corner to corner or along an edge. */
export const LONGEST_SCREEN_MM = 6000;
export const screenSize = z.number().positive().max(LONGEST_SCREEN_MM);
export const coordinate = z.number().min(-LONGEST_MM).max(LONGEST_MM);
export const angle = z.number().min(-360).max(360);
export const mass = z.number().positive().max(1000);
export const share = z.number().min(0).max(1);
export const force = z.number().min(0).max(1_000_000);
export const wholeNumber = z.number().int().min(0);

/** A short string, unique in its file. */
export const id = z.string().min(1).max(80);
export const words = z.string().max(4000);
export const at = z.union([z.iso.datetime({ offset: true, local: true }), z.iso.date()], {
  error: 'takes a time as ISO 8601, such as 2026-03-14T09:30:00Z',
});

export const range = z.strictObject({ min: partLength, max: partSize });
export const extent = z.strictObject({ width: partSize, height: partSize });
export const side = z.enum(['left', 'right']);
/** Which wall an item is on; absent: main. */
export const onWall = z.enum(['main', 'left', 'right']);

export const units = z.enum(['imperial', 'metric']);
export const buildKind = z.enum(['timber-stud', 'metal-stud', 'masonry', 'timber-backing', 'metal-backing', 'unknown']);
/** What covers the wall. */
export const cover = z.enum(['gypsum', 'lath', 'panel', 'tile', 'none']);
export const school = z.enum([
  'eyes',
  'bottom-band',
  'above',
  'line-up',
  'fit-between',
  'vote',
  'standing',
  'top-at-eyes',
]);
export const thread = z.string().regex(/^M\d+(\.\d+)?$/, 'takes a metric thread such as M6');

export type Units = z.infer<typeof units>;
export type BuildKind = z.infer<typeof buildKind>;
export type HeightRule = z.infer<typeof school>;
export type Side = z.infer<typeof side>;
export type Extent = z.infer<typeof extent>;
