import { middleOf } from './fastenerGroup';
import { atAside, type LoadPose } from './loadPoses';
import { worstLoad, type LoadCase, type PoseShares, type WorstLoad } from './worstLoad';

/** How far the set's middle may swing to either side of the fasteners' middle, mm; absent where it may go anywhere. */
export interface SwingLimit {
  /** Inside the tables for timber, or the pack's rating. */
  go?: number;
  /** Inside what the maker's label may cover. */
  label?: number;
}

/** Found to this, mm: no tape stop is set finer. */
const FINE_MM = 0.5;

/**
 * The furthest that the set's middle may go aside with no fastener beyond the tables, and none beyond what a label
 * may cover, by bisection: a pose further aside is held there as far out as it was. Where even the middle is
 * too much the limit is 0.
 */
export function swingLimit(load: LoadCase, poses: readonly LoadPose[], worst: WorstLoad): SwingLimit {
  const go = furthest(load, poses, worst.each.use, (s) => s.use);
  const label = furthest(load, poses, worst.each.beyond, (s) => s.beyond);
  return { ...(go === undefined ? {} : { go }), ...(label === undefined ? {} : { label }) };
}

function furthest(
  load: LoadCase,
  poses: readonly LoadPose[],
  shares: readonly number[],
  of: (each: PoseShares) => readonly number[],
): number | undefined {
  const { x } = middleOf(load.group.points);
  const aside = (p: LoadPose) => Math.abs(p.x - x);
  let over = poses.filter((_, i) => shares[i]! > 1);
  if (over.length === 0) return undefined;
  let [low, high] = [0, Math.min(...over.map(aside))];
  // those further out than the nearest that is too much may still be too much nearer in
  const overAt = (at: number): LoadPose[] => {
    const held = over.map((p) => atAside(p, x, Math.sign(p.x - x) * Math.min(aside(p), at)));
    const each = worstLoad(load, held)?.each;
    return each ? over.filter((_, i) => of(each)[i]! > 1) : over;
  };
  if (overAt(0).length > 0) return 0;
  while (high - low > FINE_MM) {
    const middle = (low + high) / 2;
    const still = overAt(middle);
    if (still.length === 0) low = middle;
    else [high, over] = [middle, still];
  }
  return low;
}
