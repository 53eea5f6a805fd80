import type { Finding, Job, Plan, Unit, Working } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { combine, leaves } from '../primitives/working';

/** How far off a guess may be, as a share of it and at least, by its unit. Ours. */
const DOUBT: Partial<Record<Unit, { share: number; least: number }>> = {
  mm: { share: 0.1, least: 2 },
  kg: { share: 0.2, least: 0.5 },
  deg: { share: 0, least: 5 },
};
const USUAL_DOUBT = { share: 0.1, least: 0 };

/** What nobody could mark or tell: the tape's division, a hundredth of a chance or of what may be held. Ours. */
const TELLS: Partial<Record<Unit, number>> = { mm: 1, deg: 1, ratio: 0.01 };

/** A number without its guesses: what it would be with one of them off. */
function evaluateOff(working: Working, path: string, by: number): number {
  if (working.op === undefined || working.terms === undefined)
    return working.path === path ? working.value + by : working.value;
  return combine(
    working.op,
    working.terms.map((t) => evaluateOff(t, path, by)),
  );
}

/** The guesses that a number rests on, by path, where being off by as much as one may be would show. */
function guessesIn(working: Working, guessed: readonly string[]): string[] {
  const used = leaves(working).filter((l) => l.path !== undefined && (l.guess || guessed.includes(l.path)));
  return used
    .filter((l) => {
      const { share, least } = DOUBT[l.unit] ?? USUAL_DOUBT;
      const by = Math.max(least, share * Math.abs(l.value));
      const moved = Math.abs(evaluateOff(working, l.path!, by) - working.value);
      return !(moved <= (TELLS[working.unit] ?? 0));
    })
    .map((l) => l.path!);
}

/**
 * Everything that the plan's numbers rest on and nobody has measured, by path: the job's own
 * guesses and the product's defaults. A guess is always visibly a guess; one that could not move any of them by what a
 * tape tells is not mentioned.
 */
export function guessFinding(job: Job, workings: readonly Working[]): Finding[] {
  const guessed = job.guessed ?? [];
  const paths = workings.flatMap((w) => guessesIn(w, guessed));
  const judged = ['screen.mass', 'screen.pattern', 'screen.diagonal', 'room.wall.build.kind', 'aim.height'];
  const all = [...new Set([...judged.filter((p) => guessed.includes(p)), ...paths])].sort();
  return all.length === 0 ? [] : [finding('still-guessed', 'todo', 'room', { paths: all })];
}

/** Whether a number rests on anything that nobody has measured, so that it shows. */
export const restsOnGuess = (working: Working, guessed: readonly string[]): boolean =>
  guessesIn(working, guessed).length > 0;

/** The workings of everything that a person acts on; of the heights only the school that is followed. */
export function planWorkings(plan: Plan, job: Job): Working[] {
  const followed = (plan.heights ?? []).filter((h) => h.school === job.aim.height);
  return [
    ...followed.flatMap((h) => [h.working, h.tiltWorking]),
    ...(plan.marks ?? []).flatMap((m) => Object.values(m.workings)),
    ...(plan.holes ?? []).flatMap((h) => Object.values(h.workings)),
    // what one fastener rests on all of them rest on
    ...(plan.loads?.fasteners ?? []).slice(0, 1).flatMap((f) => Object.values(f.workings)),
    ...(plan.holes ?? []).flatMap((h) => (h.stud === undefined ? [] : [plan.studs?.[h.stud]?.working])),
    ...(plan.level?.groups ?? []).flatMap((g) => [g.working, g.errorWorking]),
    ...(plan.level?.corrections ?? []).map((c) => c.working),
    ...Object.values(plan.screen.workings ?? {}),
  ].filter((w) => w !== undefined);
}
