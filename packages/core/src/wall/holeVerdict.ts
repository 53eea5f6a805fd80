import type { Verdict } from '@steddo/contract';
import { HOLE_CAUTION, HOLE_GO } from '../tolerances';

/** What a chance of wood means for a hole: 0.98 and more go, from 0.90 caution, below stop. */
export function holeVerdict(probability: number): Verdict {
  if (probability >= HOLE_GO) return 'go';
  return probability >= HOLE_CAUTION ? 'caution' : 'stop';
}
