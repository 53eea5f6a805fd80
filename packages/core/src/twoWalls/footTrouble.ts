import { HOLE_CAUTION } from '../wall/holeVerdict';
import type { FootMade } from './footWall';

/** How badly a foot is held: what stops it, a hole that may miss, what it has to hold. */
export type Trouble = readonly [stops: number, doubt: number, use: number];

export function footTrouble({ findings, section, holes }: FootMade): Trouble {
  const stops = findings.filter((f) => f.level === 'stop').length + Number(holes.length === 0);
  const doubt = section && section.worstProbability < HOLE_CAUTION ? 1 - section.worstProbability : 0;
  return [stops, doubt, section?.worstUtilisation ?? 1];
}

/** Less trouble first; what differs by rounding only is alike. */
export function byTrouble(a: Trouble, b: Trouble): number {
  const first = a.findIndex((n, i) => Math.abs(n - b[i]!) > ALIKE);
  return first < 0 ? 0 : a[first]! - b[first]!;
}
const ALIKE = 1e-6;

/** Of several feet the one that is held worst decides. */
export const worstTrouble = (feet: readonly FootMade[]): Trouble =>
  feet.map(footTrouble).reduce((a, b) => (byTrouble(a, b) >= 0 ? a : b));
