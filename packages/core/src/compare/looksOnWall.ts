import type { Job, Plan, Side } from '@steddo/contract';
import { nextLooks, type NextLooks } from '../looks/nextLook';
import { footSeen, wallSeen } from '../twoWalls/wallSeen';

/** Where to look next on one wall of a job: of a corner either, of any other room the one that it has. */
export function looksOnWall(
  job: Job,
  plan: Plan,
  wall: 'main' | Side,
  skip: readonly string[] = [],
): NextLooks | undefined {
  const seen = footSeen(wallSeen(job, plan, wall));
  return nextLooks(seen.job, seen.plan, skip);
}
