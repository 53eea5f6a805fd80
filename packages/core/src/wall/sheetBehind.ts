import type { Job } from '@steddo/contract';
import { PROBE_WRONG } from '../primitives/wallFacts';
import type { WallBelief } from './wallBelief';

/** How often there is a sheet of wood behind a wall's board. Ours. */
const SHEET_PRIOR = 0.005;

/** Pokes that met wood at fewer places say nothing about a sheet. */
const LEAST_POKES = 3;

/** How much likelier a poke finds wood where there is wood than where there is none. */
const POKE = Math.log((1 - PROBE_WRONG) / PROBE_WRONG);

/**
 * The chance that the wood which pokes have met is a sheet behind the board rather than studs: as many times likelier
 * as the pokes fit wood everywhere better than any layout of studs does. Wood at 42, 48, 60 and 64 in stands closer than
 * studs are set: over 0.9. Pokes beside one stud, hollow beyond it: 0.
 */
export function sheetChance({ says, logZ }: WallBelief): number {
  let [wood, hollow] = [0, 0];
  for (const { says: s } of says) {
    if (s.kind !== 'probe') continue;
    if (s.log > 0) wood += 1;
    else hollow += 1;
  }
  if (wood < LEAST_POKES) return 0;
  const odds = Math.exp((wood - hollow) * POKE - logZ) * (SHEET_PRIOR / (1 - SHEET_PRIOR));
  return odds === Infinity ? 1 : odds / (1 + odds);
}

/** From this chance on a sheet is proposed, and no anchor is led by the belief that there are only studs. Ours. */
export const SHEET_LIKELY = 0.9;

/** Backing was marked or met on a wall that was said to have studs. */
export const backingMet = ({ evidence = [] }: Pick<Job, 'evidence'>): boolean =>
  evidence.some(
    (e) =>
      (e.wall ?? 'main') === 'main' && (e.kind === 'backing-edge' || (e.kind === 'probe' && e.found === 'backing')),
  );
