import type { Job, Obligation, Plan } from '@steddo/contract';
import { holdChecks } from './holdChecks';
import { loadChecks } from './loadChecks';
import { guessChecks, numberChecks } from './numberChecks';
import { flag } from './obligations';
import { placeChecks } from './placeChecks';
import { plateChecks } from './plateChecks';
import { setChecks } from './setChecks';
import { wallOf, type Read } from './wallRead';

/**
 * Reads a finished plan and its job, and says of every obligation of proof.md whether it holds (a certifying algorithm,
 * McConnell, Mehlhorn, Näher, Schweitzer 2011, from memory). It knows nothing of how the plan was made.
 * @param job as the contract has validated it, lengths in mm
 * @returns one entry for each obligation and what it is about; without a mount only that there are no holes
 * @example four lags in two studs that were marked and looked at: every entry holds
 */
export function checkPlan(job: Job, plan: Plan): Obligation[] {
  const { mount } = job;
  if (!mount) return [flag('holes-there', 'plate', false), ...numberChecks({ plan })];
  const walls = { main: wallOf(job), left: wallOf(job, 'left'), right: wallOf(job, 'right') };
  const corner = plan.corner?.side;
  const returns = corner ? { ...walls.main.returns, [corner]: true } : walls.main.returns;
  const read: Read = {
    job,
    plan,
    mount,
    holes: plan.holes ?? [],
    walls: { ...walls, main: { ...walls.main, returns } },
  };
  return [placeChecks, plateChecks, loadChecks, holdChecks, setChecks, guessChecks, numberChecks].flatMap((check) =>
    check(read),
  );
}
