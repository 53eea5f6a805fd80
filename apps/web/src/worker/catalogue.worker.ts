import * as Comlink from 'comlink';
import { CATALOGUE_BOUNDS, catalogue as catalogueFormat, type Catalogue, type Job, type Mount } from '@steddo/contract';
import { bringCatalogue, keptCatalogue } from '../data/catalogueFile';
import { openLocalStore } from '../data/localStore';
import { valid } from '../data/request';
import {
  MountRanking,
  matches,
  withOwn,
  type MountQuery,
  type Progress,
  type RankedMount,
  type RankedPage,
  type ReadResult,
} from './catalogueJob';
import { CATALOGUE_FORMATS, type CatalogueFormat } from './catalogueFormats';
import { readCatalogueFile } from './readFile';

/** The catalogue lives here, off the page: reading, filtering and ranking never hold up a thumb. */
let catalogue: Catalogue = { format: 'steddo-catalogue', version: 1, mounts: [] };
let own: Mount[] = [];
let mounts: Mount[] = [];
let loaded = false;
let loading = 0;
let turn = 0;
let reading = 0;
const ranking = new MountRanking();
const store = openLocalStore();

export interface Loaded {
  /** Counts the loadings, so that another one is seen as news. */
  loading: number;
  known: boolean;
  noServer: boolean;
}

function take(file: string): void {
  catalogue = valid(catalogueFormat, JSON.parse(file), CATALOGUE_BOUNDS);
  loaded = true;
  combine();
}

/** What was kept here; nothing where it cannot be read any more. */
async function takeKept(): Promise<void> {
  try {
    const kept = await keptCatalogue(store);
    if (kept !== undefined) take(kept);
  } catch {
    loaded = false;
  }
}

function combine(): void {
  mounts = withOwn(catalogue, own);
  ranking.forget();
}

const api = {
  /** From the server; where it cannot be reached the last one that was seen. */
  async load(): Promise<Loaded> {
    loading += 1;
    try {
      take(await bringCatalogue(store));
      return { known: true, noServer: false, loading };
    } catch {
      if (!loaded) await takeKept();
      return { known: loaded, noServer: true, loading };
    }
  },
  setOwn(value: Mount[]): void {
    own = value;
    combine();
  },
  /** A page of the ranked list; undefined when a later call took its place. */
  async rank(job: Job, query: MountQuery, progress: Progress): Promise<RankedPage | undefined> {
    turn += 1;
    const mine = turn;
    return ranking.page(mounts, job, query, () => mine === turn, progress);
  },
  /** Some of the list that was last asked for. */
  some: (ids: readonly string[]): RankedMount[] => ranking.some(ids),
  find: (id: string): Mount | undefined => mounts.find((m) => m.id === id),
  /** Names for the catalogue's own list, archived ones on request. */
  list({ text, types, from, count, archived }: MountQuery) {
    const all = mounts
      .filter((m) => Boolean(m.archived) === Boolean(archived))
      .filter((m) => types.length === 0 || types.includes(m.type))
      .filter((m) => matches(m, text))
      .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
    return { mounts: all.slice(from, from + count), total: all.length };
  },
  /** Reads and checks a file without taking it. */
  async read(file: Blob, csv: boolean, progress: Progress): Promise<ReadResult | undefined> {
    reading += 1;
    const mine = reading;
    const checked = await readCatalogueFile(file, csv, () => mine === reading, progress);
    if (!checked) return undefined;
    return checked.ok ? { ok: true, mounts: checked.value.mounts.length } : checked;
  },
  cancelReading(): void {
    reading += 1;
  },
  cancelRanking(): void {
    turn += 1;
  },
  write: (format: CatalogueFormat): string => CATALOGUE_FORMATS[format].write({ ...catalogue, mounts }),
};

export type CatalogueApi = typeof api;
Comlink.expose(api);
