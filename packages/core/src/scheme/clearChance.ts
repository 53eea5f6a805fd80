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
  let met = 0;
  for (const { plyMm, types, chance } of belief.layers)
    types.forEach(({ plies, offset }, k) => {
      const starts = plyStarts(plies, offset, plyMm);
      const [from, to] = [Math.min(...starts), Math.max(...starts) + plyMm];
      const first = Math.max(0, Math.ceil(x - room - to - belief.grid.from));
      const last = Math.min(belief.grid.size - 1, Math.floor(x + room - from - belief.grid.from));
      for (let n = first; n <= last; n++) met += chance[k]![n]!;
    });
  return Math.max(0, 1 - met);
}
