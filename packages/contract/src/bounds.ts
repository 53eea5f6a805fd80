import type { Fault } from './api';

/** What a file or a request may be at most, whatever it is about. */
export interface Bounds {
  /** Lists and objects inside each other. */
  depth: number;
  /** Entries of one list, or fields of one object. */
  entries: number;
}

export const JOB_BOUNDS: Bounds = { depth: 64, entries: 5000 };
export const CATALOGUE_BOUNDS: Bounds = { depth: 64, entries: 50_000 };

/** At most so many faults are told; the rest are counted. */
export const MOST_FAULTS = 500;

/** The first faults and how many more there are; or, where looking ended with the 500th, that there may be more. */
export function shortened(faults: readonly Fault[], all = faults.length): Fault[] {
  if (all <= MOST_FAULTS) return [...faults];
  const more = all - MOST_FAULTS;
  const reason = Number.isFinite(all)
    ? `and ${more} more fault${more === 1 ? '' : 's'} like these`
    : 'what follows these faults was not looked at';
  return [...faults.slice(0, MOST_FAULTS), { path: '(file)', reason }];
}

/**
 * Whether a value is small enough to be looked at: nothing that came from outside is checked field by field before.
 * A list of 6000 in a job is a fault at its path; what lies 65 deep is one at the path of the 64th.
 */
export function beyondBounds(value: unknown, bounds: Bounds = JOB_BOUNDS): Fault[] {
  const open: { value: object; path: PropertyKey[] }[] = [];
  const faults: Fault[] = [];
  const look = (inner: unknown, path: PropertyKey[]): void => {
    if (typeof inner !== 'object' || inner === null) return;
    const said = path.length > MOST_SAID ? [...path.slice(0, MOST_SAID), '…'] : path;
    if (path.length >= bounds.depth)
      faults.push({ path: pathText(said), reason: `is nested deeper than ${bounds.depth}` });
    else open.push({ value: inner, path });
  };
  look(value, []);
  for (let next = open.pop(); next && faults.length < MOST_FAULTS; next = open.pop()) {
    const entries = Array.isArray(next.value) ? next.value : Object.values(next.value);
    if (entries.length > bounds.entries) {
      const reason = `has ${entries.length} entries; ${bounds.entries} are the most`;
      faults.push({ path: pathText(next.path), reason });
      continue;
    }
    const keys = Array.isArray(next.value) ? undefined : Object.keys(next.value);
    for (let i = 0; i < entries.length && faults.length < MOST_FAULTS; i++)
      look(entries[i], [...next.path, keys ? keys[i]! : i]);
  }
  return faults;
}

/** Names on the way that a fault names. */
const MOST_SAID = 8;

export function pathText(path: readonly PropertyKey[]): string {
  return path.length === 0 ? '(file)' : path.map(String).join('.');
}
