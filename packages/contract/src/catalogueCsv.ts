import type { Fault } from './api';
import { catalogue, mount, type Catalogue, type Mount } from './catalogue';
import { checkFile, type Checked } from './faults';

/**
 * Mounts as a table: a column for each field, with dots (`depth.folded`); lists have `;` between
 * items and `x` between the numbers of an item (`plate.slots`: `-200x40x40x8;200x40x40x8`).
 */

/** What the numbers of a list's item are, in order; a single name is a plain list. */
const LISTS: Record<string, readonly string[]> = {
  patternAboveHook: [],
  'pattern.only': ['width', 'height'],
  'plate.slots': ['x', 'y', 'length', 'height'],
  'plate.open': ['left', 'right', 'bottom', 'top'],
  'arm.links': [],
  'arm.limits.shoulder': [],
  'arm.limits.elbow': [],
  'bag.spacers': [],
  'bag.washers': [],
  'bag.screws': ['thread', 'length'],
};
const TEXTS = ['id', 'name', 'type', 'arm.kind', 'thread'];
const FLAGS = ['serviceStand', 'archived'];
const isText = (column: string): boolean =>
  TEXTS.includes(column) || /\.fixing\.kind$/.test(column);

type Cell = { ok: true; value: unknown } | { ok: false; reason: string };

/**
 * Reads a table, its first row the names of the columns, into a catalogue. Every fault names row,
 * column and reason; with one fault nothing is taken.
 */
export function catalogueFromRows(rows: readonly (readonly string[])[]): Checked<Catalogue> {
  const [header = [], ...body] = rows;
  const columns = header.map((c) => c.trim());
  const faults: Fault[] = [];
  if (columns.length === 0 || columns[0] === '')
    return { ok: false, faults: [{ path: 'row 1', reason: 'has no names of columns' }] };
  const mounts: Mount[] = [];
  const rowOfId = new Map<string, number>();
  body.forEach((cells, index) => {
    const row = index + 2;
    if (cells.every((c) => c.trim() === '')) return;
    const read = readRow(columns, cells, row);
    const checked =
      read.faults.length === 0 ? checkFile(mount, read.entry) : { ok: false as const, faults: [] };
    faults.push(...read.faults);
    if (!checked.ok) {
      faults.push(
        ...checked.faults.map((f) => ({ path: `row ${row}, ${f.path}`, reason: f.reason })),
      );
      return;
    }
    const { id } = checked.value;
    const before = rowOfId.get(id);
    if (before !== undefined)
      faults.push({ path: `row ${row}, id`, reason: `"${id}" is already used in row ${before}` });
    rowOfId.set(id, row);
    mounts.push(checked.value);
  });
  if (faults.length > 0) return { ok: false, faults };
  return checkFile(catalogue, { format: 'steddo-catalogue', version: 1, mounts });
}

function readRow(columns: readonly string[], cells: readonly string[], row: number) {
  const entry: Record<string, unknown> = {};
  const faults: Fault[] = [];
  if (cells.length > columns.length)
    faults.push({
      path: `row ${row}`,
      reason: `has ${cells.length} cells for ${columns.length} columns`,
    });
  columns.forEach((column, i) => {
    const text = (cells[i] ?? '').trim();
    if (text === '') return;
    const cell = readCell(column, text);
    if (cell.ok) put(entry, column.split('.'), cell.value);
    else faults.push({ path: `row ${row}, ${column}`, reason: cell.reason });
  });
  // a wall kind without numbers of its own is still a wall that the mount takes
  return { entry: { walls: {}, ...entry }, faults };
}

function readCell(column: string, text: string): Cell {
  const names = LISTS[column];
  if (names) return readList(text, names);
  if (isText(column)) return { ok: true, value: text };
  if (!FLAGS.includes(column)) return readNumber(text);
  if (text === 'true' || text === 'false') return { ok: true, value: text === 'true' };
  return { ok: false, reason: `takes true or false, not "${text}"` };
}

function readNumber(text: string): Cell {
  const value = Number(text);
  return Number.isFinite(value)
    ? { ok: true, value }
    : { ok: false, reason: `takes a number, not "${text}"` };
}

function readList(text: string, names: readonly string[]): Cell {
  const values: unknown[] = [];
  for (const item of text.split(';')) {
    const parts = item.trim().split('x');
    const wanted = Math.max(1, names.length);
    if (parts.length !== wanted)
      return { ok: false, reason: `"${item}" has ${parts.length} parts and needs ${wanted}` };
    const cells = parts.map((part, i) => readPart(names[i] ?? '', part.trim()));
    const bad = cells.find((c) => !c.ok);
    if (bad) return bad;
    const read = cells.map((c) => (c.ok ? c.value : undefined));
    values.push(
      names.length === 0 ? read[0] : Object.fromEntries(names.map((n, i) => [n, read[i]])),
    );
  }
  return { ok: true, value: values };
}

const readPart = (name: string, text: string): Cell =>
  isText(name) ? { ok: true, value: text } : readNumber(text);

function put(entry: Record<string, unknown>, path: readonly string[], value: unknown): void {
  const [key = '', ...rest] = path;
  if (rest.length === 0) {
    entry[key] = value;
    return;
  }
  const inner = (entry[key] ?? {}) as Record<string, unknown>;
  entry[key] = inner;
  put(inner, rest, value);
}
