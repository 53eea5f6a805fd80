import type { Mount } from '@steddo/contract';
import type { Command } from '@steddo/core';

/** Another mount: what was chosen for the last one's plate, arm and bag no longer counts. */
export function chooseMount(mount: Mount): Command {
  const drops = (['plateX', 'fold', 'armHole', 'stack'] as const).map((field): Command => ({
    do: 'drop',
    path: `choices.${field}`,
  }));
  return { do: 'all', commands: [{ do: 'put', path: 'mount', value: mount }, ...drops] };
}
