import { z } from 'zod';
import { share } from './parts';
import { working } from './working';

const num = z.number();

/** A stud that the readings show: mm along its wall, how far off (one standard deviation), how sure. */
export const stud = z.strictObject({
  centre: num,
  width: num,
  sd: num,
  probability: share,
  evidence: z.array(z.string()),
  /** Two for a doubled stud; then the hole goes into one of them and not into the seam. */
  plies: z.number().int().optional(),
  drillAt: working.optional(),
  working: working.optional(),
});
