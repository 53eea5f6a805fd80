import { TOGGLE_ROOM_MM } from '../tolerances';
import { plyStarts } from '../wall/holeChance';
import type { WallBelief } from '../wall/wallBelief';

/**
 * Chance that an anchor's hole at `x` meets no timber: no ply of any stud within its radius and 10 mm more,
 * for a toggle to turn. Studs stand further apart than that, so that their chances add up.
 * A 13 mm hole in the middle of a bay between two known studs: 1.
 */
export function clearChance(belief: WallBelief, x: number, holeMm: number): number {
  const room = holeMm / 2 + TOGGLE_ROOM_MM;
  const sums = sumsOf(belief);
  let [met, at] = [0, 0];
  for (const { plyMm, types } of belief.layers)
    for (const { plies, offset } of types) {
      const starts = plyStarts(plies, offset, plyMm);
      const [from, to] = [Math.min(...starts), Math.max(...starts) + plyMm];
      const first = Math.max(0, Math.ceil(x - room - to - belief.grid.from));
      const last = Math.min(belief.grid.size - 1, Math.floor(x + room - from - belief.grid.from));
      const sum = sums[at++]!;
      if (last >= first) met += sum[last + 1]! - sum[first]!;
    }
  return Math.max(0, 1 - met);
}

/** Running sums of each type's chances along the wall, kept with it: a plate is tried at many places. */
const kept = new WeakMap<WallBelief, Float64Array[]>();

function sumsOf(belief: WallBelief): Float64Array[] {
  const known = kept.get(belief);
  if (known) return known;
  const sums = belief.layers.flatMap(({ types, chance }) =>
    types.map((_, k) => {
      const sum = new Float64Array(belief.grid.size + 1);
      for (let n = 0; n < belief.grid.size; n++) sum[n + 1] = sum[n]! + chance[k]![n]!;
      return sum;
    }),
  );
  kept.set(belief, sums);
  return sums;
}
