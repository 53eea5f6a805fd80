import type { Job } from '@steddo/contract';

/**
 * Edits of the job document: small, pure, with the path they touch. A path names fields by dots and
 * list entries by their id (`room.viewers.v1.eye`) or, where entries have none, by index.
 */
export type Command =
  | { do: 'put'; path: string; value: unknown; at?: number }
  | { do: 'drop'; path: string }
  | { do: 'all'; commands: Command[] };

export interface Applied {
  job: Job;
  /** Brings the document back; undo is this, applied as a new edit. */
  inverse: Command;
  touched: string[];
}

/** Lists of the job that are made when their first entry is put. */
const LISTS = new Set([
  'room.viewers',
  'room.objects',
  'room.floor',
  'room.wall.zones',
  'evidence',
  'scans',
  'looks',
  'measured',
  'levelReadings',
  'drilled',
  'floorHeights',
  'anchors',
  'lags',
  'bits',
  'leads',
]);

/**
 * Applies a command to a copy of the job. `put` on a list entry that is not there appends it (or
 * inserts it `at` an index); `drop` of something absent changes nothing, and a list's last entry takes
 * the list with it. Throws for a path that
 * leads through a plain value: a programmer's mistake. The result is not validated here.
 */
export function applyCommand(job: Job, command: Command): Applied {
  if (command.do === 'all') return applyAll(job, command.commands);
  const copy = structuredClone(job);
  const segments = command.path.split('.');
  const inverse =
    command.do === 'put'
      ? put(copy as unknown as Branch, segments, structuredClone(command.value), command)
      : drop(copy as unknown as Branch, segments, command.path);
  return { job: copy, inverse, touched: [command.path] };
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

type Branch = Record<string, unknown> | unknown[];

function isBranch(value: unknown): value is Branch {
  return typeof value === 'object' && value !== null;
}

function keyIn(branch: Branch, segment: string): string | number | undefined {
  if (!Array.isArray(branch)) return segment;
  const byId = branch.findIndex((e) => isBranch(e) && !Array.isArray(e) && e.id === segment);
  if (byId >= 0) return byId;
  return /^\d+$/.test(segment) ? Number(segment) : undefined;
}

const read = (branch: Branch, key: string | number): unknown => (branch as Record<string | number, unknown>)[key];

/** Walks to the parent of the last segment, making what is missing on the way when `make`. */
function parentOf(root: Branch, segments: readonly string[], make: boolean): Branch | undefined {
  let branch = root;
  for (let i = 0; i < segments.length - 1; i++) {
    const segment = segments[i]!;
    const key = keyIn(branch, segment);
    if (key === undefined) return undefined;
    let next = read(branch, key);
    if (next === undefined && make) {
      next = LISTS.has(segments.slice(0, i + 1).join('.')) ? [] : {};
      (branch as Record<string | number, unknown>)[key] = next;
    }
    if (next === undefined) return undefined;
    if (!isBranch(next)) throw new TypeError(`${segments.join('.')} leads through a plain value`);
    branch = next;
  }
  return branch;
}

function put(root: Branch, segments: string[], value: unknown, command: { path: string; at?: number }): Command {
  const parent = parentOf(root, segments, true);
  if (!parent) throw new TypeError(`${command.path} leads to no entry`);
  const key = keyIn(parent, segments.at(-1)!);
  const inverseDrop: Command = { do: 'drop', path: command.path };
  if (Array.isArray(parent)) {
    const last = segments.at(-1);
    if (isBranch(value) && !Array.isArray(value) && value.id !== undefined && value.id !== last)
      throw new TypeError(`${command.path} is put an entry with another id`);
    if (key === undefined || Number(key) >= parent.length || command.at !== undefined) {
      parent.splice(command.at ?? parent.length, 0, value);
      return inverseDrop;
    }
  }
  const before = read(parent, key!);
  (parent as Record<string | number, unknown>)[key!] = value;
  return before === undefined ? inverseDrop : { do: 'put', path: command.path, value: before };
}

function drop(root: Branch, segments: string[], path: string): Command {
  const nothing: Command = { do: 'all', commands: [] };
  const parent = parentOf(root, segments, false);
  const key = parent && keyIn(parent, segments.at(-1)!);
  if (!parent || key === undefined) return nothing;
  const before = read(parent, key);
  if (before === undefined) return nothing;
  if (Array.isArray(parent)) {
    parent.splice(Number(key), 1);
    if (parent.length === 0) dropEmptyList(root, segments.slice(0, -1));
    return { do: 'put', path, value: before, at: Number(key) };
  }
  delete parent[key as string];
  return { do: 'put', path, value: before };
}

/** A list that has lost its last entry goes too, so that undoing its first one leaves the job as it was. */
function dropEmptyList(root: Branch, list: readonly string[]): void {
  const holder = parentOf(root, list, false);
  if (!LISTS.has(list.join('.')) || !holder || Array.isArray(holder)) return;
  delete holder[list.at(-1)!];
}
