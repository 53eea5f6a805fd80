import { entryKey, isRecord, type Change } from './jobTree';

/** Ids that are to become others. */
export type Renaming = ReadonlyMap<string, string>;

/** What people write, and never an id. */
const FREE_TEXT: ReadonlySet<string> = new Set(['name', 'text', 'title', 'what', 'source']);

/** Changes with ids exchanged, in their paths and wherever their values name one. */
export function renamed(changes: readonly Change[], renaming: Renaming): Change[] {
  if (renaming.size === 0) return [...changes];
  return changes.map(({ path, before, after, at }) => {
    const value = { before: inValue(before, renaming), after: inValue(after, renaming) };
    const last = path.at(-1);
    // an entry without an id is known by what it says
    const known = last !== undefined && [before, after].some((v) => isRecord(v) && entryKey(v) === last);
    const segments = path.map((segment) => inPath(segment, renaming));
    const renewed = known ? [...segments.slice(0, -1), entryKey(value.after ?? value.before)] : segments;
    return { path: renewed, ...value, ...(at === undefined ? {} : { at }) };
  });
}

/** A segment is a name, an id, or a path in its own right as on the list of guesses. */
const inPath = (segment: string, renaming: Renaming): string =>
  segment
    .split('.')
    .map((part) => renaming.get(part) ?? part)
    .join('.');

function inValue(value: unknown, renaming: Renaming): unknown {
  if (typeof value === 'string') return inPath(value, renaming);
  if (Array.isArray(value)) return value.map((v) => inValue(v, renaming));
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, v]) => [key, FREE_TEXT.has(key) ? v : inValue(v, renaming)]),
  );
}
