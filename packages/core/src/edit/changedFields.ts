/**
 * The paths at which two documents differ, lists taken whole: what was changed between two versions.
 * `{ a: 1, b: { c: 2 } }` and `{ a: 1, b: { c: 3 } }` differ at `b.c`.
 */
export function changedFields(before: unknown, after: unknown, path = ''): string[] {
  if (!isRecord(before) || !isRecord(after)) return JSON.stringify(before) === JSON.stringify(after) ? [] : [path];
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return keys.flatMap((key) => changedFields(before[key], after[key], path === '' ? key : `${path}.${key}`));
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
