import type { Stud } from '@steddo/contract';
import { landing, plyStarts, EDGE_DIAMETERS } from '../wall/holeChance';
import type { StudType } from '../wall/studWeights';
import type { WallBelief } from '../wall/wallBelief';
import { PITCH_RANGE_MM } from '../wall/pitchPrior';

/** One way in which a stud may be there: its type, its layout ply's left face, and the chance of it. */
export interface Possible {
  type: StudType;
  plyMm: number;
  n: number;
  p: number;
}

/** Less likely ways than this change nothing that anybody reads. */
const LEAST = 1e-7;

/** Every way in which the stud here may stand, within half the least pitch of its middle. */
export function possibleStuds({ grid, layers }: WallBelief, stud: Stud): Possible[] {
  const near = PITCH_RANGE_MM.from / 2;
  return layers.flatMap(({ plyMm, types, chance }) =>
    types.flatMap((type, k) => {
      const shift = type.width / 2 - type.offset + grid.from;
      const ways: Possible[] = [];
      for (let n = Math.ceil(stud.centre - near - shift); n <= stud.centre + near - shift; n++) {
        const p = chance[k]![n] ?? 0;
        if (p > LEAST) ways.push({ type, plyMm, n: n + grid.from, p });
      }
      return ways;
    }),
  );
}

/** Middle of each ply of a possible stud. */
export const plyMiddles = ({ type, plyMm, n }: Possible): number[] =>
  plyStarts(type.plies, type.offset, plyMm).map((s) => n + s + plyMm / 2);

/** Chance that as many holes as `rows`, all marked at x, land in one ply each time. */
export function columnChance(ways: readonly Possible[], x: number, diameter: number, rows: number): number {
  let sum = 0;
  for (const way of ways) {
    const half = way.plyMm / 2 - EDGE_DIAMETERS * diameter;
    if (half <= 0) continue;
    for (const middle of plyMiddles(way)) {
      const off = middle - x;
      if (Math.abs(off) < half + 9) sum += way.p * landing(half, off) ** rows;
    }
  }
  return Math.min(1, sum);
}

/** Where to drill: the mean of the single plies, or the place asked for where that is better. */
export function bestAim(
  ways: readonly Possible[],
  at: number,
  diameter: number,
  rows: number,
): { x: number; chance: number } {
  let [p, sum] = [0, 0];
  for (const way of ways)
    if (way.type.plies === 1) {
      p += way.p;
      sum += way.p * (way.n + way.plyMm / 2);
    }
  const options = p > 0 ? [at, sum / p] : [at];
  return options
    .map((x) => ({ x, chance: columnChance(ways, x, diameter, rows) }))
    .reduce((a, b) => (b.chance > a.chance ? b : a));
}
