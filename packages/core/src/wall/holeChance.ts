import type { Stud, Working } from '@steddo/contract';
import { chanceWithin } from '../geometry/normal';
import { DRILL_SD_MM, EDGE_DIAMETERS } from '../tolerances';
import { leaf, node } from '../working';

/**
 * Chance that a lag at `x` has wood for 1.5 diameters on both sides of its centre (NDS 12.5.1,
 * from memory), with the doubt about the stud and the drill's landing together.
 * A 7.94 mm lag on the middle of a 38 mm stud known to sd 2.83: half = 19 - 11.9 = 7.1 mm,
 * sd 3.2: 0.973 times the chance that there is a stud at all.
 */
export function holeChance(stud: Stud, x: number, diameter: number): Working {
  const half = stud.width / 2 - EDGE_DIAMETERS * diameter;
  const sd = Math.hypot(stud.sd, DRILL_SD_MM);
  return node('hole-chance', '*', 'ratio', [
    leaf('stud-chance', stud.probability, 'ratio'),
    leaf('lands-in-stud', chanceWithin(half, x - stud.centre, sd), 'ratio'),
  ]);
}
