import { placesOf, weightOf, type Says } from './studWeights';
import type { WallBelief } from './wallBelief';

/** A stud less likely than this is not shown, and a reading less likely its stud's is odd. Ours. */
const READING_ODD = 0.5;

/**
 * The readings that go against all the others: an edge, centre, screw or outlet that most likely belongs
 * to no stud, and a probe that found wood in a bay or none in a stud. Ids, in the order of the evidence.
 *
 *   P(reading is a stud's) = sum over studs of P(stud) c phi / (1 + c phi)
 */
export function oddReadings(belief: WallBelief): string[] {
  return belief.says.flatMap(({ e, says }) => (chanceOf(belief, says) < READING_ODD ? [e.id] : []));
}

/** The chance that a reading says what is there. */
export function chanceOf(belief: WallBelief, says: Says): number {
  let real = 0;
  for (const { types, chance } of belief.layers)
    types.forEach((t, k) => {
      const { from, to } = placesOf(says, t);
      for (let n = from; n <= to; n++) {
        const i = n - belief.grid.from;
        const share = 1 - Math.exp(-Math.abs(weightOf(says, t, n, belief.spacingMm)));
        real += (chance[k]![i] ?? 0) * (says.kind === 'probe' ? 1 : share);
      }
    });
  return says.kind === 'probe' && says.log < 0 ? 1 - real : real;
}
