import type { Job } from '@steddo/contract';
import { LISTS, PARTS, applyChanges, entryKey, isRecord, sameValue, type Change, type FieldPath } from './jobTree';

/** Lists whose entries are one statement each: somebody changes all of it or nothing. */
const STATEMENTS: ReadonlySet<string> = new Set([
  'evidence',
  'scans',
  'looks',
  'photos',
  'measured',
  'levelReadings',
  'floorHeights',
]);

/** Values that only mean something whole. */
const WHOLE: ReadonlySet<string> = new Set([
  'aim.centre',
  'screen.pattern',
  'screen.patternCentre',
  'screen.insert',
  'room.heat',
  'mount.arm',
  'mount.plate',
]);

/**
 * What was changed from one document to another, field by field; list entries by their ids, other lists whole.
 * Doing these changes to `before` gives `after`. A mass of 12 that became 9: one change at `screen.mass`.
 */
export function changesBetween(before: Job | undefined, after: Job): Change[] {
  return before === undefined ? [{ path: [], after }] : between(before, after, []);
}

function between(before: unknown, after: unknown, path: FieldPath): Change[] {
  if (before === after) return [];
  const where = path.join('.');
  if (LISTS.has(where)) return inList(asList(before), asList(after), path, before, after);
  if (PARTS.has(where)) return inFields(before ?? {}, after ?? {}, path);
  if (isRecord(before) && isRecord(after) && !isWhole(path, before, after)) {
    return inFields(before, after, path);
  }
  return sameValue(before, after) ? [] : [{ path, before, after }];
}

function inFields(before: object, after: object, path: FieldPath): Change[] {
  const [old, now] = [before, after] as [Record<string, unknown>, Record<string, unknown>];
  const keys = [...new Set([...Object.keys(old), ...Object.keys(now)])];
  return keys.flatMap((key) => between(old[key], now[key], [...path, key]));
}

function isWhole(path: FieldPath, before: Record<string, unknown>, after: Record<string, unknown>): boolean {
  const where = path.join('.');
  return (
    WHOLE.has(where) || STATEMENTS.has(path.slice(0, -1).join('.')) || (where === 'mount' && before.id !== after.id)
  );
}

const asList = (value: unknown): unknown[] | undefined =>
  value === undefined ? [] : Array.isArray(value) ? value : undefined;

function inList(
  old: unknown[] | undefined,
  now: unknown[] | undefined,
  path: FieldPath,
  before: unknown,
  after: unknown,
): Change[] {
  const whole = sameValue(before, after) ? [] : [{ path, before, after }];
  if (!old || !now) return whole;
  const [oldKeys, nowKeys] = [old.map(entryKey), now.map(entryKey)];
  if (new Set(oldKeys).size !== old.length || new Set(nowKeys).size !== now.length) return whole;
  const oldAt = new Map(oldKeys.map((key, i) => [key, i]));
  const nowAt = new Map(nowKeys.map((key, i) => [key, i]));
  // the last first, so that taking it back puts the first back first
  const gone = oldKeys
    .flatMap((key, i): Change[] => (nowAt.has(key) ? [] : [{ path: [...path, key], before: old[i], at: i }]))
    .reverse();
  const lastOld = now.findLastIndex((_, i) => oldAt.has(nowKeys[i]!));
  const found = nowKeys.flatMap((key, i): Change[] => {
    const was = oldAt.get(key);
    if (was !== undefined) return between(old[was], now[i], [...path, key]);
    return [{ path: [...path, key], after: now[i], ...(i < lastOld ? { at: i } : {}) }];
  });
  const changes = [...gone, ...found];
  const rebuilt = applyChanges(asTree(path, old), changes);
  return sameValue(rebuilt, asTree(path, now)) ? changes : whole;
}

/** A document that has nothing but this list. */
const asTree = (path: FieldPath, list: unknown): unknown => {
  if (Array.isArray(list) && list.length === 0) list = undefined;
  return path.reduceRight<unknown>((inner, name) => (inner === undefined ? {} : { [name]: inner }), list) ?? {};
};
