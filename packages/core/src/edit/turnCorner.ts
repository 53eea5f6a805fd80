import type { Job, Side } from '@steddo/contract';
import type { Command } from './command';
import type { JobPath } from './jobPath';

/**
 * The corner at the other end: its side wall with all that was entered for it goes there, for that is measured from the
 * corner, wherever it is. What is on the main wall stays.
 */
export function turnCorner(job: Job, from: Side, to: Side): Command {
  const put = (path: string, value: unknown): Command => ({ do: 'put', path: path as JobPath, value }) as Command;
  if (from === to) return put('room.corner', to);
  const { room, guessed } = job;
  const entries = (path: string, list: readonly { id?: string | undefined; wall?: string | undefined }[] = []) =>
    list.flatMap(({ id, wall }, i) => (wall === from ? [put(`${path}.${id ?? i}.wall`, to)] : []));
  const own = room.sideWalls?.[from];
  const renamed = guessed?.map((g) => g.replace(`room.sideWalls.${from}.`, `room.sideWalls.${to}.`));
  return {
    do: 'all',
    commands: [
      put('room.corner', to),
      ...(own ? [put(`room.sideWalls.${to}`, own), { do: 'drop', path: `room.sideWalls.${from}` } as const] : []),
      ...(renamed ? [put('guessed', renamed)] : []),
      ...entries('room.objects', room.objects),
      ...entries('room.wall.zones', room.wall.zones),
      ...entries('evidence', job.evidence),
      ...entries('scans', job.scans),
      ...entries('looks', job.looks),
      ...entries('drilled', job.drilled),
    ],
  };
}
