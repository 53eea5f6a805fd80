import { SAME_MM } from './epsilons';

export interface FreeNear {
  at: number;
  /** The free stretch that it lies in. */
  from: number;
  to: number;
}

/**
 * The free place nearest to the wanted one and the stretch around it, among few open blocks given
 * flat as lo, hi, lo, hi …; the lower one when two are equally near. The same answer as `feasible`
 * and `nearest`, without names and without memory: for judging thousands of mounts.
 * Blocks 0 to 10 and 8 to 20, wanted 9: 0, which is 9 off, where 20 is 11 off.
 */
export function freeNear(blocks: readonly number[], wanted: number): FreeNear | undefined {
  const below = walk(blocks, wanted, -1);
  const above = walk(blocks, wanted, 1);
  const best = wanted - below <= above - wanted ? below : above;
  if (!Number.isFinite(best)) return undefined;
  let [from, to] = [-Infinity, Infinity];
  for (let i = 0; i < blocks.length; i += 2) {
    if (blocks[i + 1]! - blocks[i]! <= SAME_MM) continue;
    if (blocks[i + 1]! <= best + SAME_MM) from = Math.max(from, blocks[i + 1]!);
    if (blocks[i]! >= best - SAME_MM) to = Math.min(to, blocks[i]!);
  }
  return { at: best, from, to };
}

/** Out of every block that holds the place, one way only. */
function walk(blocks: readonly number[], wanted: number, way: 1 | -1): number {
  let at = wanted;
  for (let moved = true; moved && Number.isFinite(at);) {
    moved = false;
    for (let i = 0; i < blocks.length; i += 2) {
      const [lo, hi] = [blocks[i]!, blocks[i + 1]!];
      if (at <= lo + SAME_MM || at >= hi - SAME_MM) continue;
      at = way > 0 ? hi : lo;
      moved = true;
    }
  }
  return at;
}
