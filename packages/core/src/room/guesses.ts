import type { Finding, Job, Plan, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { leaves } from '../primitives/working';

/**
 * Everything that the plan's numbers rest on and nobody has measured, by path: the job's own
 * guesses and the product's defaults. A guess is always visibly a guess.
 */
export function guessFinding(job: Job, workings: readonly Working[]): Finding[] {
  const guessed = job.guessed ?? [];
  const used = workings.flatMap(leaves).filter((l) => l.path !== undefined);
  const paths = used.filter((l) => l.guess || guessed.includes(l.path ?? '')).map((l) => l.path ?? '');
  const judged = ['screen.mass', 'screen.pattern', 'screen.diagonal', 'room.wall.build.kind', 'aim.height'];
  const all = [...new Set([...judged.filter((p) => guessed.includes(p)), ...paths])].sort();
  return all.length === 0 ? [] : [finding('still-guessed', 'caution', 'room', { paths: all })];
}

/** Whether a number rests on anything that nobody has measured. */
export const restsOnGuess = (working: Working, guessed: readonly string[]): boolean =>
  leaves(working).some((l) => l.guess || guessed.some((g) => g === l.path));

/** The workings of everything that a person acts on; of the heights only the school that is followed. */
export function planWorkings(plan: Plan, job: Job): Working[] {
  const followed = (plan.heights ?? []).filter((h) => h.school === job.aim.height);
  return [
    ...followed.flatMap((h) => [h.working, h.tiltWorking]),
    ...(plan.marks ?? []).flatMap((m) => Object.values(m.workings)),
    ...(plan.holes ?? []).flatMap((h) => Object.values(h.workings)),
    // what one fastener rests on all of them rest on
    ...(plan.loads?.fasteners ?? []).slice(0, 1).flatMap((f) => Object.values(f.workings)),
    ...(plan.studs ?? []).map((s) => s.working),
    ...(plan.level?.groups ?? []).flatMap((g) => [g.working, g.errorWorking]),
    ...(plan.level?.corrections ?? []).map((c) => c.working),
    ...Object.values(plan.screen.workings ?? {}),
  ].filter((w) => w !== undefined);
}
