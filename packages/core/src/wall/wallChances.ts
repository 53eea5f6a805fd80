import { chanceAt, plyStarts, type Chance, type WallChances } from './holeChance';
import type { WallBelief } from './wallBelief';
import { TOGGLE_ROOM_MM } from './drilledHoles';

/**
 * The chances of one belief, each worked out when it is first asked for. What may be a sheet behind the board is
 * as much less a stud for a lag, and as much less a hollow for an anchor.
 */
export function wallChances(belief: WallBelief, sheet = 0): WallChances {
  let sums: Float64Array[] | undefined;
  return {
    at: byPlace((x, diameter) => lessSheet(chanceAt(belief, x, diameter), sheet)),
    clear: byPlace((x, holeMm) => (1 - sheet) * clearAt(belief, (sums ??= sumsOf(belief)), x, holeMm)),
  };
}

/** Kept by size and place: a plate is tried at the same places again at every height. */
function byPlace<T>(work: (x: number, sizeMm: number) => T): (x: number, sizeMm: number) => T {
  const kept = new Map<number, Map<number, T>>();
  return (x, sizeMm) => {
    let own = kept.get(sizeMm);
    if (!own) kept.set(sizeMm, (own = new Map<number, T>()));
    const known = own.get(x);
    if (known !== undefined) return known;
    const answer = work(x, sizeMm);
    own.set(x, answer);
    return answer;
  };
}

const lessSheet = ({ beside, lands }: Chance, sheet: number): Chance => ({ beside, lands: lands * (1 - sheet) });

/** Studs stand further apart than a toggle is wide, so that their chances add up. */
function clearAt(belief: WallBelief, sums: readonly Float64Array[], x: number, holeMm: number): number {
  const room = holeMm / 2 + TOGGLE_ROOM_MM;
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

/** Running sums of each type's chances along the wall: a plate is tried at many places. */
const sumsOf = (belief: WallBelief): Float64Array[] =>
  belief.layers.flatMap(({ types, chance }) =>
    types.map((_, k) => {
      const sum = new Float64Array(belief.grid.size + 1);
      for (let n = 0; n < belief.grid.size; n++) sum[n + 1] = sum[n]! + chance[k]![n]!;
      return sum;
    }),
  );
