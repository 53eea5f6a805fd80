import type { Job } from '@steddo/contract';
import type { Command } from './command';

/** Puts what somebody measured or chose, and takes the path off the list of guesses. */
export function measure(job: Job, path: string, value: unknown): Command {
  const puts: Command = { do: 'put', path, value };
  const guessed = job.guessed ?? [];
  const kept = guessed.filter((g) => g !== path && !g.startsWith(`${path}.`));
  if (kept.length === guessed.length) return puts;
  const guesses: Command =
    kept.length === 0
      ? { do: 'drop', path: 'guessed' }
      : { do: 'put', path: 'guessed', value: kept };
  return { do: 'all', commands: [puts, guesses] };
}
