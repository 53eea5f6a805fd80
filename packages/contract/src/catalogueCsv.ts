import type { Fault } from './api';
import { MOST_FAULTS, shortened } from './bounds';
import { MOST_MOUNTS, mount, type Catalogue, type Mount } from './catalogue';
import { checkFile, type Checked } from './faults';
import { buildKind } from './parts';

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
  'brackets.0.slots': ['x', 'y', 'length', 'height'],
  'brackets.1.slots': ['x', 'y', 'length', 'height'],
  'arm.links': [],
  'arm.limits.shoulder': [],
  'arm.limits.elbow': [],
  'bag.spacers': [],
  'bag.washers': [],
  'bag.screws': ['thread', 'length'],
};
/** Lists of words, whatever letters are in them. */
const WORD_LISTS = ['tools'];
const TEXTS = ['id', 'name', 'type', 'massOf', 'joint', 'latch', 'arm.kind', 'thread'];
const FLAGS = ['serviceStand', 'archived', 'outside'];
/** Two that stand apart, each with columns of its own. */
const BRACKETS = ['brackets.0', 'brackets.1'].flatMap((b) => ['x', 'width', 'height', 'slots'].map((f) => `${b}.${f}`));
const FIXING = ['kind', 'diameter', 'length', 'threadLength', 'count', 'pilot', 'washer', 'head', 'tension', 'shear'];
const WALLS = buildKind.options.filter((k) => k !== 'unknown').map((k) => `walls.${k}`);

/** Columns without which no row can be a mount. */
const NEEDED = [
  'id',
  'name',
  'type',
  'maxMass',
  'screenSize.min',
  'screenSize.max',
  'pattern.min.width',
  'pattern.min.height',
  'pattern.max.width',
  'pattern.max.height',
  'depth.folded',
];

/** Every column in the order of an export. A wall alone (`walls.masonry`) takes `true`: no numbers for it. */
export const CATALOGUE_COLUMNS: readonly string[] = [
  ...NEEDED.slice(0, 4),
  'archived',
  'price',
  ...NEEDED.slice(4, 10),
  'pattern.only',
  'pattern.extendedAbove.width',
  'pattern.extendedAbove.height',
  'depth.folded',
  'depth.extended',
  'tilt.down',
  'tilt.up',
  'swivel.left',
  'swivel.right',
  'slide',
  'corner.span',
  'corner.link',
  'trim.height',
  'trim.roll',
  'trim.pitch',
  'trim.screwSpan',
  'mass',
  'movingMass',
  'massOf',
  'joint',
  'latch',
  'rise',
  'tools',
  'studs.count',
  'studs.minSpacing',
  'studs.maxSpacing',
  ...WALLS.flatMap((w) => [w, `${w}.maxBoard`, ...FIXING.map((f) => `${w}.fixing.${f}`)]),
  'plate.width',
  'plate.height',
  'plate.thickness',
  'plate.open',
  'plate.slots',
  ...BRACKETS,
  'opening.width',
  'opening.height',
  'opening.depth',
  'outside',
  'hook.above',
  'hook.spacing',
  'patternAboveHook',
  'arm.kind',
  'arm.links',
  'arm.head',
  'arm.rootX',
  'arm.limits.shoulder',
  'arm.limits.elbow',
  'arm.foldOffset',
  'arm.range.min',
  'arm.range.max',
  'bag.bracket',
  'bag.screws',
  'bag.spacers',
  'bag.washers',
  'serviceStand',
  'securityScrews.reach',
];

const SEPARATORS = [',', ';', '\t'] as const;

/**
 * What stands between the cells of a table, by its first line: the one by which most of the names there are columns
 * of ours. A list within a cell can have more of another: `id;name;type` is split by `;`.
 */
export function separatorOf(start: string): (typeof SEPARATORS)[number] {
  const [line = ''] = start.replace(/^\uFEFF/, '').split(/\r?\n|\r/, 1);
  const names = (by: string) => line.split(by).filter((cell) => COLUMNS.has(cell.replaceAll('"', '').trim())).length;
  return [...SEPARATORS].sort((a, b) => names(b) - names(a))[0]!;
}

type Cell = { ok: true; value: unknown } | { ok: false; reason: string };

/** How a column's cells are read and where they go. */
interface Column {
  name: string;
  path: readonly string[];
  /** A wall kind alone, without numbers of its own. */
  wall: boolean;
  read: (text: string) => Cell;
}
const COLUMNS = new Map(CATALOGUE_COLUMNS.map((name) => [name, columnOf(name)]));
const NEEDED_PATHS = NEEDED.map((n) => n.split('.'));

/** Takes a table row by row, so that a long one can be read as it comes. */
export interface CatalogueReader {
  add: (cells: readonly string[]) => void;
  /** Rows taken so far, without the names of the columns. */
  count: () => number;
  finish: () => Checked<Catalogue>;
}

/** Reads rows, the first of them the names of the columns. Every fault names row, column and reason. */
export function catalogueReader(): CatalogueReader {
  const faults: Fault[] = [];
  const mounts: Mount[] = [];
  const rowOfId = new Map<string, number>();
  let columns: string[] | undefined;
  let row = 0;
  const addMount = (cells: readonly string[], names: readonly string[]) => {
    if (cells.every((c) => c.trim() === '')) return;
    const read = readRow(names, cells, row);
    const checked = checkFile(mount, read.entry);
    faults.push(...read.faults);
    if (!checked.ok) {
      const said = new Set(read.faults.map((f) => f.path));
      const more = checked.faults.map((f) => ({ ...f, path: `row ${row}, ${f.path}` }));
      faults.push(...more.filter((f) => !said.has(f.path)));
      return;
    }
    if (read.faults.length > 0) return;
    const { id } = checked.value;
    const before = rowOfId.get(id);
    if (before !== undefined)
      faults.push({ path: `row ${row}, id`, reason: `"${id}" is already used in row ${before}` });
    rowOfId.set(id, row);
    mounts.push(checked.value);
  };
  return {
    add: (cells) => {
      row += 1;
      if (faults.length > MOST_FAULTS) return;
      if (columns) return addMount(cells, columns);
      columns = cells.map((c, i) => (i === 0 ? c.replace(/^\uFEFF/, '') : c).trim());
      faults.push(...headerFaults(columns));
    },
    count: () => Math.max(0, row - 1),
    finish: () => {
      if (!columns || columns.every((c) => c === ''))
        return { ok: false, faults: [{ path: 'row 1', reason: 'has no names of columns' }] };
      if (faults.length > 0)
        return { ok: false, faults: shortened(faults, faults.length > MOST_FAULTS ? Infinity : faults.length) };
      if (mounts.length === 0)
        return { ok: false, faults: [{ path: 'row 2', reason: 'is missing: there is no mount' }] };
      if (mounts.length > MOST_MOUNTS)
        return {
          ok: false,
          faults: [{ path: '(file)', reason: `has ${mounts.length} mounts; ${MOST_MOUNTS} are the most` }],
        };
      // every mount has been checked as it came, ids too
      return { ok: true, value: { format: 'steddo-catalogue', version: 1, mounts } };
    },
  };
}

/** A whole table at once; with one fault nothing is taken. */
export function catalogueFromRows(rows: readonly (readonly string[])[]): Checked<Catalogue> {
  const reader = catalogueReader();
  rows.forEach((cells) => reader.add(cells));
  return reader.finish();
}

function headerFaults(columns: readonly string[]): Fault[] {
  if (columns.every((c) => c === '')) return [];
  const at = (column: string) => `row 1, ${column}`;
  return [
    ...columns.flatMap((c, i) => {
      if (c === '') return [{ path: `row 1, column ${i + 1}`, reason: 'has no name' }];
      if (columns.indexOf(c) < i) return [{ path: at(c), reason: 'is there twice' }];
      return COLUMNS.has(c) ? [] : [{ path: at(c), reason: 'is not a column of this format' }];
    }),
    ...NEEDED.filter((n) => !columns.includes(n)).map((n) => ({
      path: at(n),
      reason: 'is missing: every mount needs it',
    })),
  ];
}

function readRow(columns: readonly string[], cells: readonly string[], row: number) {
  const entry: Record<string, unknown> = { walls: {} };
  // what is needed is missing by the name of its column, not by that of the group it is in
  for (const path of NEEDED_PATHS) put(entry, path, undefined);
  const faults: Fault[] = [];
  if (cells.length > columns.length)
    faults.push({
      path: `row ${row}`,
      reason: `has ${cells.length} cells for ${columns.length} columns`,
    });
  columns.forEach((name, i) => {
    const text = (cells[i] ?? '').trim();
    const column = COLUMNS.get(name);
    if (text === '' || !column) return;
    const cell = column.read(text);
    if (!cell.ok) faults.push({ path: `row ${row}, ${name}`, reason: cell.reason });
    else if (!column.wall) put(entry, column.path, cell.value);
    // a wall kind without numbers of its own is still a wall that the mount takes
    else if (cell.value === true) put(entry, column.path, {});
  });
  if (isGroup(entry.brackets)) entry.brackets = Object.values(entry.brackets);
  return { entry, faults };
}

function columnOf(name: string): Column {
  return { name, path: name.split('.'), wall: WALLS.includes(name), read: readerOf(name) };
}

function readerOf(name: string): (text: string) => Cell {
  if (WORD_LISTS.includes(name)) return (text) => ({ ok: true, value: text.split(';').map((word) => word.trim()) });
  const list = LISTS[name];
  // one hook height may stand alone, so a table gives back the mount as it was
  if (name === 'patternAboveHook') return (text) => (text.includes(';') ? readList(text, []) : readNumber(text));
  if (list) return (text) => readList(text, list);
  if (TEXTS.includes(name) || name.endsWith('.fixing.kind')) return readText;
  return FLAGS.includes(name) || WALLS.includes(name) ? readFlag : readNumber;
}

function readText(text: string): Cell {
  return { ok: true, value: text };
}

function readFlag(text: string): Cell {
  if (text === 'true' || text === 'false') return { ok: true, value: text === 'true' };
  return { ok: false, reason: `takes true or false, not "${text}"` };
}

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)$/;

function readNumber(text: string): Cell {
  if (NUMBER.test(text)) return { ok: true, value: Number(text) };
  const comma = NUMBER.test(text.replace(',', '.')) ? ' (write the decimal with a point)' : '';
  const unit = /^[+-]?[\d.,]+ *(mm|cm|kg|in|lb|")$/.test(text) ? ' (no unit: mm and kg)' : '';
  return { ok: false, reason: `takes a number, not "${text}"${comma}${unit}` };
}

function readList(text: string, names: readonly string[]): Cell {
  const values: unknown[] = [];
  for (const item of text.split(';')) {
    const parts = item.trim().split('x');
    const wanted = Math.max(1, names.length);
    if (parts.length !== wanted)
      return {
        ok: false,
        reason: `"${item}" has ${parts.length} ${parts.length === 1 ? 'part' : 'parts'} and needs ${wanted}`,
      };
    const cells = parts.map((part, i) => readPart(names[i] ?? '', part.trim()));
    const bad = cells.find((c) => !c.ok);
    if (bad) return bad;
    const read = cells.map((c) => (c.ok ? c.value : undefined));
    values.push(names.length === 0 ? read[0] : Object.fromEntries(names.map((n, i) => [n, read[i]])));
  }
  return { ok: true, value: values };
}

const readPart = (name: string, text: string): Cell => (TEXTS.includes(name) ? readText(text) : readNumber(text));

function put(entry: Record<string, unknown>, path: readonly string[], value: unknown): void {
  let at = entry;
  for (let i = 0; i < path.length - 1; i += 1) {
    const key = path[i]!;
    at = (at[key] ??= {}) as Record<string, unknown>;
  }
  const last = path.at(-1)!;
  // a group that is there already keeps what is in it
  at[last] = isGroup(value) && isGroup(at[last]) ? { ...value, ...at[last] } : value;
}

const isGroup = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The mounts as rows, the names of the used columns first: reading them gives the same mounts. */
export function catalogueRows(mounts: readonly Mount[]): string[][] {
  const cells = mounts.map((m) => new Map(CATALOGUE_COLUMNS.map((c) => [c, written(m, c)])));
  const used = CATALOGUE_COLUMNS.filter((c) => NEEDED.includes(c) || cells.some((row) => row.get(c) !== ''));
  return [[...used], ...cells.map((row) => used.map((c) => row.get(c) ?? ''))];
}

function written(mount: Mount, column: string): string {
  const value = column.split('.').reduce<unknown>(read, mount);
  if (value === undefined) return '';
  if (WALLS.includes(column)) return Object.keys(value as object).length === 0 ? 'true' : '';
  if (WORD_LISTS.includes(column)) return (value as string[]).join(';');
  const names = LISTS[column];
  if (!names) return String(value);
  const items = Array.isArray(value) ? (value as unknown[]) : [value];
  const text = (item: unknown) =>
    names.length === 0 ? String(item) : names.map((n) => String(read(item, n))).join('x');
  return items.map(text).join(';');
}

const read = (from: unknown, key: string): unknown =>
  typeof from === 'object' && from !== null ? (from as Record<string, unknown>)[key] : undefined;
