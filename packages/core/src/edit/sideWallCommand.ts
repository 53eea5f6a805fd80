import type { Job, Side } from '@steddo/contract';
import { applyCommand, type Command } from './command';
import type { JobPath } from './jobPath';

/** Lists whose entries are each on one wall, and how many parts of a path name one of them. */
const ON_WALL = [
  { list: 'evidence', parts: 2 },
  { list: 'scans', parts: 2 },
  { list: 'looks', parts: 2 },
  { list: 'drilled', parts: 2 },
  { list: 'room.objects', parts: 3 },
  { list: 'room.wall.zones', parts: 4 },
] as const;

/** What is the wall's own stands apart for a corner's other wall. */
const OWN = ['room.wall.build', 'room.wall.width', 'room.wall.behind'] as const;

/**
 * An edit of a job as it is seen from a corner's other wall, as the edit of the whole job that it is: what is added there
 * is on that wall, its build is that wall's, and what has no name but its number is counted among all.
 */
export function sideWallCommand(job: Job, side: Side, command: Command): Command {
  if (command.do === 'all') {
    const commands: Command[] = [];
    let now = job;
    for (const one of command.commands) {
      const there = sideWallCommand(now, side, one);
      now = applyCommand(now, there).job;
      commands.push(there);
    }
    return { do: 'all', commands };
  }
  const path = pathThere(job, side, command.path);
  if (command.do === 'drop') return { do: 'drop', path };
  const whole = ON_WALL.find(({ list, parts }) => path.startsWith(`${list}.`) && path.split('.').length === parts);
  if (!whole) return { ...command, path };
  const value = { ...(command.value as { id?: string }), wall: side };
  const taken = value.id !== undefined && isElsewhere(job, side, value.id);
  if (!taken) return { ...command, path, value };
  const id = freeName(job, value.id!);
  return { ...command, path: `${whole.list}.${id}` as JobPath, value: { ...value, id } };
}

function pathThere(job: Job, side: Side, path: JobPath): JobPath {
  const own = OWN.find((p) => path === p || path.startsWith(`${p}.`));
  if (own) return path.replace(/^room\.wall/, `room.sideWalls.${side}`) as JobPath;
  const drilled = /^drilled\.(\d+)(.*)$/.exec(path);
  if (!drilled) return path;
  const all = job.drilled ?? [];
  const here = all.flatMap((d, i) => (d.wall === side ? [i] : []));
  return `drilled.${here[Number(drilled[1])] ?? all.length}${drilled[2]}` as JobPath;
}

const named = ({ evidence = [], scans = [], looks = [], room }: Job) => [
  ...[...evidence, ...scans, ...looks],
  ...(room.objects ?? []),
  ...(room.wall.zones ?? []),
];

const isElsewhere = (job: Job, side: Side, id: string): boolean =>
  named(job).some((e) => e.id === id && e.wall !== side);

/** The same letter with the next free number: `e7` after `e6`. */
function freeName(job: Job, id: string): string {
  const letter = id.replace(/\d+$/, '');
  const ids = new Set(named(job).map((e) => e.id));
  let n = 1;
  while (ids.has(`${letter}${n}`)) n += 1;
  return `${letter}${n}`;
}
