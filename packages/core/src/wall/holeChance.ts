import type { Working } from '@steddo/contract';
import { cumulative } from '../primitives/normal';
import { leaf, node } from '../primitives/working';
import type { WallBelief } from './wallBelief';

/** Where the drill lands against the wish, mm (one standard deviation): 1.5 from its mark, and the mark 0.7 off. Ours. */
export const DRILL_SD_MM = Math.hypot(1.5, 0.7);

/** Clearance of the shank's centre from the ply's edge, in diameters (NDS 12.5.1, from memory). */
export const EDGE_DIAMETERS = 1.5;

/**
 * Chance that a lag at `x` has wood of one ply for 1.5 diameters on both sides of its centre (NDS 12.5.1,
 * from memory), over every place that the readings leave possible for a ply, with the drill landing
 * 1.655 mm (sd) from where it was wanted.
 * A 7.94 mm lag on the middle of a 38 mm stud known to sd 2.83: half = 19 - 11.9 = 7.1 mm, 0.973.
 */
export function holeChance(chances: WallChances, x: number, diameter: number): Working {
  const { beside, lands } = chances.at(x, diameter);
  const near = Math.min(1, beside);
  return node('hole-chance', '*', 'ratio', [
    leaf('stud-chance', near, 'ratio'),
    leaf('lands-in-stud', near > 0 ? Math.min(1, lands / near) : 0, 'ratio'),
  ]);
}

/** Where the plies of each stud type begin, right of its layout ply's left face. */
export const plyStarts = (plies: 1 | 2, offset: number, plyMm: number): number[] =>
  plies === 1 ? [0] : [-offset, plyMm - offset];

export interface Chance {
  /** P(a ply with its middle within a ply's width of x). */
  beside: number;
  /** P(the hole at x is all in one ply). */
  lands: number;
}

/** What a wall's belief says of holes: asked at many places for one plate, and kept with the belief. */
export interface WallChances {
  at: (x: number, diameter: number) => Chance;
  /**
   * Chance that an anchor's hole at `x` meets no timber: no ply of any stud within its radius and 10 mm more,
   * for a toggle to turn. A 13 mm hole in the middle of a bay between two known studs: 1.
   */
  clear: (x: number, holeMm: number) => number;
}

/** The chances of a lag of a diameter at x, over every place that the readings leave possible for a ply. */
export function chanceAt(belief: WallBelief, x: number, diameter: number): Chance {
  let [beside, lands] = [0, 0];
  for (const { plyMm, types, chance } of belief.layers) {
    const half = plyMm / 2 - EDGE_DIAMETERS * diameter;
    types.forEach(({ plies, offset }, k) => {
      for (const start of plyStarts(plies, offset, plyMm)) {
        const shift = belief.grid.from + start + plyMm / 2;
        const first = Math.max(0, Math.ceil(x - plyMm - shift));
        const last = Math.min(belief.grid.size - 1, Math.floor(x + plyMm - shift));
        for (let n = first; n <= last; n++) {
          const p = chance[k]![n]!;
          beside += p;
          if (half > 0 && p > 1e-12) lands += p * landing(half, n + shift - x);
        }
      }
    });
  }
  return { beside, lands };
}

/** Chance that the drill lands within `half` of a ply's middle that is `off` from the mark. */
export function landing(half: number, off: number): number {
  return cumulative((half - off) / DRILL_SD_MM) - cumulative((-half - off) / DRILL_SD_MM);
}
