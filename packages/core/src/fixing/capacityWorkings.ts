import type { Working } from '@steddo/contract';
import { WORKINGS } from '../primitives/arithmetic';
import { leaf, node } from '../primitives/working';
import { type Capacity, RATING_FACTOR } from './fastenerCapacity';
import { bearingMpa, hingeOf, leastYield, sideMpa, yieldLoad } from './lagYield';
import { pullCapacity } from './lagWithdrawal';
import type { Term } from '../primitives/terms';

/** What a fastener may hold, as trees of arithmetic: the same formulas as in the search, with their names. */

/** Straight out: a lag's withdrawal times the duration factor, or a quarter of its pack's rating. */
export const pullWorking = (capacity: Capacity, path: string, duration: number): Working =>
  capacity.by === 'rating'
    ? lessOf('pull-held', ratingWorking('pull-held', capacity.ultimate.tension, `${path}.tension`), capacity.less?.pull)
    : node('pull-held', '*', 'N', [
        pullCapacity(WORKINGS, capacity.size, capacity.gravity, capacity.hold.thread),
        leaf('duration', duration, 'ratio'),
        ...sheetShare(capacity.sheet),
      ]);

/** In the wall's plane: the governing mode's yield load over its reduction, times the duration factor. */
export function shearWorking(capacity: Capacity, path: string, angleDeg: number, duration: number, edge = 1): Working {
  if (capacity.by === 'rating')
    return lessOf(
      'shear-held',
      ratingWorking('shear-held', capacity.ultimate.shear, `${path}.shear`),
      edge * (capacity.less?.shear ?? 1),
    );
  const input = { ...capacity.input, angleDeg };
  const least = leastYield(input);
  const bearing = leaf('bearing', bearingMpa(input), 'ratio');
  const side = sideMpa(input);
  const timber = side === undefined ? undefined : leaf('bearing', side, 'ratio');
  const load = yieldLoad(WORKINGS, input, bearing, least.mode, hingeOf(input, least.mode), timber);
  return node('shear-held', '*', 'N', [
    node('yield-reduced', '/', 'N', [load, leaf('yield-reduction', least.reduction, 'ratio')]),
    leaf('duration', duration, 'ratio'),
    ...(capacity.rows < 1 ? [leaf('row-spacing', capacity.rows, 'ratio')] : []),
    ...sheetShare(capacity.sheet),
  ]);
}

/** With what free edges or thin steel leave of it. */
const lessOf = (label: Term, held: Working, share = 1): Working =>
  share === 1 ? held : node(label, '*', 'N', [held, leaf('rating-left', share, 'ratio')]);

const sheetShare = (share: number): Working[] => (share < 1 ? [leaf('sheet-share', share, 'ratio')] : []);

/** A pack's ultimate rating, as it may be used. */
export const ratingWorking = (label: Term, ultimate: number, path: string): Working =>
  node(label, '/', 'N', [leaf('pack-rating', ultimate, 'N', { path }), leaf('rating-factor', RATING_FACTOR, 'count')]);
