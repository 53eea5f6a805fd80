import type { Job } from '@steddo/contract';
import type { JobPath } from './jobPath';
import { LISTS, isBranch, type Branch } from './jobTree';

/**
 * Edits of the job document: small, pure, with the path they touch. A path names fields by dots and
 * list entries by their id (`room.viewers.v1.eye`) or, where entries have none, by index.
 */
export type Command =
  | { do: 'put'; path: JobPath; value: unknown; at?: number }
  | { do: 'drop'; path: JobPath }
  | { do: 'all'; commands: Command[] };

export interface Applied {
  job: Job;
  /** Brings the document back; undo is this, applied as a new edit. */
  inverse: Command;
  touched: string[];
}

/**
 * Applies a command: the job that comes of it shares with the old one everything off the path, so that what was
 * worked out from that is still known by its identity. `put` on a list entry that is not there appends it (or
 * inserts it `at` an index); `drop` of something absent changes nothing, and a list's last entry takes
 * the list with it. Throws for a path that leads through a plain value: a programmer's mistake. The result is
 * not validated here.
 */
export function applyCommand(job: Job, command: Command): Applied {
  if (command.do === 'all') return applyAll(job, command.commands);
  const segments = command.path.split('.');
  const { after, inverse } = command.do === 'put' ? put(job, segments, command) : drop(job, segments, command.path);
  return { job: after as unknown as Job, inverse, touched: [command.path] };
}

function applyAll(job: Job, commands: readonly Command[]): Applied {
  const inverses: Command[] = [];
  const touched: string[] = [];
  let current = job;
  for (const command of commands) {
    const applied = applyCommand(current, command);
    current = applied.job;
    inverses.unshift(applied.inverse);
    touched.push(...applied.touched);
  }
  return { job: current, inverse: { do: 'all', commands: inverses }, touched };
}

function keyIn(branch: Branch, segment: string): string | number | undefined {
  if (!Array.isArray(branch)) return segment;
  const byId = branch.findIndex((e) => isBranch(e) && !Array.isArray(e) && e.id === segment);
  if (byId >= 0) return byId;
  return /^\d+$/.test(segment) ? Number(segment) : undefined;
}

const read = (branch: Branch, key: string | number): unknown => (branch as Record<string | number, unknown>)[key];

/** The same branch with another value under a key; undefined takes the key away. */
function withKey(branch: Branch, key: string | number, value: unknown): Branch {
  if (Array.isArray(branch)) return branch.map((v, i) => (i === Number(key) ? value : v));
  if (value !== undefined) return { ...branch, [key]: value };
  const { [key]: _, ...rest } = branch;
  return rest;
}

interface Changed {
  after: Branch;
  inverse: Command;
}

/** What becomes of the branch that holds the last segment. */
type Change = (parent: Branch, last: string) => Changed | undefined;

/**
 * Copies the branches on the way to the last segment, making what is missing there when `make`; an emptied list
 * of the job goes. Undefined where the path leads nowhere or nothing changes.
 */
function along(
  branch: Branch,
  segments: readonly string[],
  at: number,
  make: boolean,
  change: Change,
): Changed | undefined {
  const segment = segments[at]!;
  if (at === segments.length - 1) return change(branch, segment);
  const key = keyIn(branch, segment);
  if (key === undefined) return undefined;
  const isList = LISTS.has(segments.slice(0, at + 1).join('.'));
  const next = read(branch, key) ?? (make ? (isList ? [] : {}) : undefined);
  if (next === undefined) return undefined;
  if (!isBranch(next)) throw new TypeError(`${segments.join('.')} leads through a plain value`);
  const inner = along(next, segments, at + 1, make, change);
  if (!inner) return undefined;
  const emptied = isList && Array.isArray(inner.after) && inner.after.length === 0 && !make;
  return { ...inner, after: withKey(branch, key, emptied ? undefined : inner.after) };
}

function put(job: Job, segments: readonly string[], { path, value, at }: Extract<Command, { do: 'put' }>): Changed {
  const inverseDrop: Command = { do: 'drop', path };
  const changed = along(job as unknown as Branch, segments, 0, true, (parent, last) => {
    const key = keyIn(parent, last);
    if (Array.isArray(parent)) {
      if (isBranch(value) && !Array.isArray(value) && value.id !== undefined && value.id !== last)
        throw new TypeError(`${path} is put an entry with another id`);
      if (key === undefined || Number(key) >= parent.length || at !== undefined)
        return { after: parent.toSpliced(at ?? parent.length, 0, value), inverse: inverseDrop };
    }
    const before = read(parent, key!);
    const inverse: Command = before === undefined ? inverseDrop : { do: 'put', path, value: before };
    return { after: withKey(parent, key!, value), inverse };
  });
  if (!changed) throw new TypeError(`${path} leads to no entry`);
  return changed;
}

function drop(job: Job, segments: readonly string[], path: JobPath): Changed {
  const root = job as unknown as Branch;
  const changed = along(root, segments, 0, false, (parent, last) => {
    const key = keyIn(parent, last);
    const before = key === undefined ? undefined : read(parent, key);
    if (key === undefined || before === undefined) return undefined;
    const at = Array.isArray(parent) ? { at: Number(key) } : {};
    const after = Array.isArray(parent) ? parent.toSpliced(Number(key), 1) : withKey(parent, key, undefined);
    return { after, inverse: { do: 'put', path, value: before, ...at } };
  });
  return changed ?? { after: root, inverse: { do: 'all', commands: [] } };
}
