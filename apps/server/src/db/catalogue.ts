import { asc } from 'drizzle-orm';
import { catalogue as format, checkFile, type Catalogue } from '@steddo/contract';
import type { Db } from './client';
import { catalogueEntries } from './schema';

const KINDS = ['mounts', 'anchors', 'screens', 'lags'] as const;

export async function readCatalogue(db: Db): Promise<Catalogue> {
  const rows = await db.select().from(catalogueEntries).orderBy(asc(catalogueEntries.position));
  const of = (kind: string) =>
    rows.filter((r) => r.kind === kind).map((r) => JSON.parse(r.entry) as unknown);
  const file = {
    format: 'steddo-catalogue',
    version: 1,
    ...Object.fromEntries(KINDS.map((k) => [k, of(k)])),
  };
  const checked = checkFile(format, file);
  if (!checked.ok)
    throw new Error(`catalogue: ${checked.faults[0]?.path} ${checked.faults[0]?.reason}`);
  return checked.value;
}

/** Adds what is not there yet; an entry that somebody has changed stays as it is. */
export async function seedCatalogue(db: Db, catalogue: Catalogue): Promise<void> {
  const rows = KINDS.flatMap((kind) =>
    (catalogue[kind] ?? []).map((entry, position) => ({
      kind,
      id: entry.id,
      position,
      entry: JSON.stringify(entry),
    })),
  );
  if (rows.length > 0) await db.insert(catalogueEntries).values(rows).onConflictDoNothing();
}
