import type { Job } from '@steddo/contract';
import type { Command } from './command';

/** The command that turns one document into another, field by field, so that it can be undone. */
export function replaceJob(from: Job, to: Job): Command {
  const before = from as unknown as Record<string, unknown>;
  const after = to as unknown as Record<string, unknown>;
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])] as Extract<keyof Job, string>[];
  const changed = keys.filter((k) => JSON.stringify(before[k]) !== JSON.stringify(after[k]));
  const commands = changed.map((path): Command =>
    after[path] === undefined ? { do: 'drop', path } : { do: 'put', path, value: after[path] },
  );
  return { do: 'all', commands };
}
