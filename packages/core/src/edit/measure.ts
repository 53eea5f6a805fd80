import type { Job } from '@steddo/contract';
import type { Command } from './command';
import type { JobPath } from './jobPath';

/** Puts what somebody measured or chose, and takes the path off the list of guesses. */
export function measure(job: Job, path: JobPath, value: unknown): Command {
  return withoutGuesses(job, [path], [{ do: 'put', path, value }]);
}

/** A thing or a part of the wall put where a thumb or a key has moved it, mm: its place is a guess no more. */
export function moveBox(
  job: Job,
  path: JobPath,
  box: { left: number; right: number; bottom: number; top: number },
): Command {
  const sides = (['left', 'right', 'bottom', 'top'] as const).map((side) => ({
    path: `${path}.${side}` as JobPath,
    value: box[side],
  }));
  const puts = sides.map((s): Command => ({ do: 'put', ...s }));
  // a thumb is no tape: what a picture has measured stays doubted
  if (job.room.objects?.some((o) => path === `room.objects.${o.id}` && o.photo !== undefined))
    return { do: 'all', commands: puts };
  return withoutGuesses(
    job,
    sides.map((s) => s.path),
    puts,
  );
}

/**
 * A thing on the floor put where a thumb has moved it, seen from above: y is minus the distance from
 * the wall, which nothing goes through. `bottom` -2900 and `top` -2000 is near 2000, far 2900.
 */
export function moveFloor(
  job: Job,
  path: JobPath,
  box: { left: number; right: number; bottom: number; top: number },
): Command {
  const near = Math.max(0, -box.top);
  const far = near + box.top - box.bottom;
  const values = { left: box.left, right: box.right, near, far };
  const puts = Object.entries(values).map(([side, value]): Command => ({
    do: 'put',
    path: `${path}.${side}` as JobPath,
    value,
  }));
  return withoutGuesses(
    job,
    Object.keys(values).map((side) => `${path}.${side}` as JobPath),
    puts,
  );
}

/** Takes an entry of a list away, and what was guessed of it. */
export function removeEntry(job: Job, path: JobPath): Command {
  return withoutGuesses(job, [path], [{ do: 'drop', path }]);
}

/** The commands, and the paths with all below them off the list of guesses. */
function withoutGuesses(job: Job, paths: readonly JobPath[], commands: Command[]): Command {
  const guessed = [...(job.guessed ?? []), ...untaped(job, paths)];
  const kept = guessed.filter((g) => !paths.some((p) => g === p || g.startsWith(`${p}.`)));
  const [only] = commands;
  if (kept.length === guessed.length) return commands.length === 1 && only ? only : { do: 'all', commands };
  const settled = tapedNow(job, paths, kept).map((path): Command => ({ do: 'drop', path }));
  const guesses: Command =
    kept.length === 0 ? { do: 'drop', path: 'guessed' } : { do: 'put', path: 'guessed', value: kept };
  return { do: 'all', commands: [...commands, guesses, ...settled] };
}

/** A thing that a file brings from a photo is a guess at each of its edges, as one is that was traced here. */
function untaped({ room, guessed = [] }: Job, paths: readonly JobPath[]): JobPath[] {
  return (room.objects ?? []).flatMap((o): JobPath[] => {
    const path = `room.objects.${o.id}` as const;
    const meant = paths.some((p) => p.startsWith(`${path}.`));
    if (!meant || o.photo === undefined || guessed.some((g) => g.startsWith(`${path}.`))) return [];
    return [`${path}.left`, `${path}.right`, `${path}.bottom`, `${path}.top`];
  });
}

/** Of things that were measured by a picture what goes with the last of their edges that a tape has settled. */
function tapedNow({ room }: Job, paths: readonly JobPath[], kept: readonly string[]): JobPath[] {
  return (room.objects ?? []).flatMap((o): JobPath[] => {
    const path = `room.objects.${o.id}` as const;
    const meant = paths.some((p) => p.startsWith(`${path}.`));
    if (!meant || o.photo === undefined || kept.some((g) => g.startsWith(`${path}.`))) return [];
    return [`${path}.photo`, ...(o.doubt === undefined ? [] : [`${path}.doubt` as const])];
  });
}
