import type { Fault } from './api';
import { CATALOGUE_BOUNDS, MOST_FAULTS, shortened } from './bounds';
import type { z } from 'zod';
import { anchor, bit, catalogue, catalogueScreen, lag, mount, type Catalogue } from './catalogue';
import { checkFile, type Checked } from './faults';

/** Entries that are checked between two breaths. */
const AT_ONCE = 100;

/** The lists of a catalogue and the format of their entries. */
const LISTS = { mounts: mount, anchors: anchor, screens: catalogueScreen, lags: lag, bits: bit } as const;
type ListName = keyof typeof LISTS;
const NAMES = Object.keys(LISTS) as ListName[];

/**
 * Checks a catalogue read from JSON, entry by entry, so that whoever does it can breathe between them and call it
 * off (`breathe` gives false, and the answer is undefined). After 500 faults the rest is not looked at.
 */
export async function catalogueFromJson(
  value: unknown,
  breathe: (done: number, of: number) => Promise<boolean>,
): Promise<Checked<Catalogue> | undefined> {
  const lists = listsOf(value);
  const bare = { ...(value as object), ...Object.fromEntries(Object.keys(lists).map((name) => [name, []])) };
  const rest = checkFile(catalogue, Object.keys(lists).length > 0 ? bare : value, CATALOGUE_BOUNDS);
  if (!rest.ok) return rest;
  const of = Object.values(lists).reduce((sum, list) => sum + list.length, 0);
  const faults: Fault[] = [];
  const taken: Record<string, unknown[]> = {};
  let done = 0;
  for (const [name, list] of Object.entries(lists)) {
    const reader = new EntryReader(name, LISTS[name as ListName]);
    taken[name] = reader.taken;
    for (const [i, entry] of list.entries()) {
      faults.push(...reader.read(entry, i));
      done += 1;
      if (faults.length > MOST_FAULTS) return { ok: false, faults: shortened(faults, Infinity) };
      if (done % AT_ONCE === 0 && !(await breathe(done, of))) return undefined;
    }
  }
  return faults.length > 0
    ? { ok: false, faults: shortened(faults) }
    : { ok: true, value: { ...rest.value, ...taken } };
}

/** Those of the catalogue's lists that are lists, and not longer than any may be. */
function listsOf(value: unknown): Partial<Record<ListName, readonly unknown[]>> {
  if (typeof value !== 'object' || value === null) return {};
  const given = value as Partial<Record<ListName, unknown>>;
  const short = (list: unknown): list is unknown[] => Array.isArray(list) && list.length <= CATALOGUE_BOUNDS.entries;
  return Object.fromEntries(NAMES.flatMap((name) => (short(given[name]) ? [[name, given[name]]] : [])));
}

/** Reads a list's entries one by one; mounts are known by their id, which only one may have. */
class EntryReader {
  readonly taken: unknown[] = [];
  private readonly ids = new Map<string, number>();

  constructor(
    private readonly name: string,
    private readonly schema: z.ZodType<{ id?: string }>,
  ) {}

  read(entry: unknown, i: number): Fault[] {
    const { name } = this;
    const checked = checkFile(this.schema, entry);
    if (!checked.ok) return checked.faults.map((f) => ({ ...f, path: below(`${name}.${i}`, f.path) }));
    const { id } = checked.value;
    const first = name === 'mounts' && id !== undefined ? this.ids.get(id) : undefined;
    if (first === undefined && id !== undefined) this.ids.set(id, i);
    this.taken.push(checked.value);
    return first === undefined
      ? []
      : [{ path: `${name}.${i}.id`, reason: `"${id}" is already used at ${name}.${first}` }];
  }
}

const below = (where: string, path: string): string => (path === '(file)' ? where : `${where}.${path}`);
