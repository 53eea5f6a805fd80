/**
 * The job document as a tree of fields, and the changes that edits make in it. A path names fields by name and
 * list entries by their id; entries that have none by what they are.
 */

export type FieldPath = readonly string[];

/** One field that an edit changed: what was there and what is there now; absent: nothing. */
export interface Change {
  path: FieldPath;
  before?: unknown;
  after?: unknown;
  /** Where a list entry stands that did not come last. */
  at?: number;
}

/** Lists of the job that are there only while they have an entry. */
export const LISTS: ReadonlySet<string> = new Set([
  'guessed',
  'room.viewers',
  'room.objects',
  'room.floor',
  'room.wall.zones',
  'room.rules',
  'evidence',
  'scans',
  'looks',
  'photos',
  'measured',
  'levelReadings',
  'drilled',
  'floorHeights',
  'fixing.acknowledged',
  'anchors',
  'lags',
  'bits',
  'leads',
  'ticks',
  'record.built',
  'record.notes',
  'record.open',
  'record.spares',
]);

/** Parts of the job that are there only while something in them is; each of their fields is a statement of its own. */
export const PARTS: ReadonlySet<string> = new Set([
  'choices',
  'fixing',
  'aim.schools',
  'room.sideWalls',
  'room.wall.returns',
  'record',
  'hang',
  'hang.gaps',
  'hang.lift',
]);

export type Branch = Record<string, unknown> | unknown[];

export const isBranch = (value: unknown): value is Branch => typeof value === 'object' && value !== null;
export const isRecord = (value: unknown): value is Record<string, unknown> => isBranch(value) && !Array.isArray(value);

/** Whether two values say the same, whatever the order of their fields. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((v, i) => sameValue(v, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const named = (v: Record<string, unknown>) => Object.keys(v).filter((k) => v[k] !== undefined);
  const keys = named(a);
  return keys.length === named(b).length && keys.every((k) => sameValue(a[k], b[k]));
}

/** What a list entry is known by: its id, else itself. */
export function entryKey(entry: unknown): string {
  if (typeof entry === 'string') return entry;
  if (isRecord(entry) && typeof entry.id === 'string') return entry.id;
  return JSON.stringify(entry, (_, value: unknown) => (isRecord(value) ? sorted(value) : value));
}

const sorted = (value: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));

/** Where a segment of a path leads in a list, or -1. */
const placeIn = (list: readonly unknown[], segment: string): number => list.findIndex((e) => entryKey(e) === segment);

/** The value at a path; undefined where it leads nowhere. `valueAt(job, ['screen', 'mass'])` is 12. */
export function valueAt(root: unknown, path: FieldPath): unknown {
  let value = root;
  for (const segment of path) {
    if (Array.isArray(value)) value = value[placeIn(value, segment)];
    else if (isRecord(value)) value = value[segment];
    else return undefined;
  }
  return value;
}

/**
 * The document with changes done, in their order; what they leave alone is shared with the old one. A change
 * below something that is no longer there is left out.
 */
export function applyChanges<T>(root: T, changes: readonly Change[]): T {
  return changes.reduce<unknown>((value, change) => put(value, change, 0), root) as T;
}

/** The changes that take changes back, to be done in their order. */
export const inverted = (changes: readonly Change[]): Change[] =>
  changes
    .map(({ path, before, after, at }) => ({ path, before: after, after: before, ...(at === undefined ? {} : { at }) }))
    .reverse();

function put(value: unknown, change: Change, depth: number): unknown {
  const { path, after } = change;
  const segment = path[depth];
  if (segment === undefined) return after;
  if (Array.isArray(value)) return putInList(value, segment, change, depth);
  if (!isRecord(value)) return value;
  const last = depth === path.length - 1;
  const here = value[segment] ?? (last || after === undefined ? undefined : emptyAt(path.slice(0, depth + 1)));
  if (!last && here === undefined) return value;
  const next = last ? after : put(here, change, depth + 1);
  if (next === value[segment]) return value;
  if (next === undefined || emptied(next, path.slice(0, depth + 1))) {
    const { [segment]: _, ...rest } = value;
    return rest;
  }
  return { ...value, [segment]: next };
}

const emptyAt = (path: FieldPath): Branch => (LISTS.has(path.join('.')) ? [] : {});
const emptied = (value: unknown, path: FieldPath): boolean => {
  const where = path.join('.');
  if (Array.isArray(value)) return value.length === 0 && LISTS.has(where);
  return PARTS.has(where) && isRecord(value) && Object.keys(value).length === 0;
};

function putInList(list: unknown[], segment: string, change: Change, depth: number): unknown[] {
  const { path, after, at } = change;
  const place = placeIn(list, segment);
  if (depth < path.length - 1) return place < 0 ? list : list.with(place, put(list[place], change, depth + 1));
  if (after === undefined) return place < 0 ? list : list.toSpliced(place, 1);
  return place < 0 ? list.toSpliced(at ?? list.length, 0, after) : list.with(place, after);
}

/** The later value with every part that says the same taken from the earlier one, so that what was worked out from it is still known. */
export function shared<T>(earlier: T, later: T): T {
  if (earlier === later) return later;
  if (Array.isArray(earlier) && Array.isArray(later)) {
    const byKey = new Map(earlier.map((e) => [entryKey(e), e as unknown]));
    const next = later.map((e) => shared(byKey.get(entryKey(e)), e as unknown));
    return next.length === earlier.length && next.every((e, i) => e === earlier[i]) ? earlier : (next as T);
  }
  if (!isRecord(earlier) || !isRecord(later)) return later;
  const next = Object.fromEntries(Object.entries(later).map(([key, v]) => [key, shared(earlier[key], v)]));
  const keys = Object.keys(next);
  const same = keys.length === Object.keys(earlier).length && keys.every((key) => next[key] === earlier[key]);
  return same ? earlier : (next as T);
}
