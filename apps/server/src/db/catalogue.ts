import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Catalogue, CrewKit, Mount } from '@steddo/contract';
import { noteCatalogue } from './changes';
import type { Db } from './client';
import { catalogueEntries, catalogueHistory } from './schema';

const KIT = ['anchors', 'lags', 'bits'] as const;
const KINDS = ['mounts', 'anchors', 'screens', 'lags', 'bits'] as const;

export interface CatalogueFile {
  /** Changes with every change of the catalogue. */
  etag: string;
  text: string;
}

/**
 * The whole catalogue as the text of its file. Entries were checked when they came in; putting their
 * text together as it lies there is what makes twenty thousand of them quick.
 */
export async function readCatalogue(db: Db): Promise<CatalogueFile> {
  const rows = await db.select().from(catalogueEntries).orderBy(asc(catalogueEntries.position));
  const of = (kind: string) => rows.filter((r) => r.kind === kind).map((r) => r.entry);
  const lists = KINDS.map((kind) => `"${kind}":[${of(kind).join(',')}]`);
  return {
    etag: etagOf(rows),
    text: `{"format":"steddo-catalogue","version":1,${lists.join(',')}}`,
  };
}

const etagOf = (rows: readonly { version: number }[]): string =>
  `"${rows.length}-${rows.reduce((sum, r) => sum + r.version, 0)}"`;

/** What the crew sets things with, and a tag that changes with it. */
export async function readKit(db: Db): Promise<{ etag: string; kit: CrewKit }> {
  const rows = await db
    .select()
    .from(catalogueEntries)
    .where(inArray(catalogueEntries.kind, [...KIT]))
    .orderBy(asc(catalogueEntries.position));
  const of = (kind: string) => rows.filter((r) => r.kind === kind).map((r) => JSON.parse(r.entry) as never);
  return { etag: etagOf(rows), kit: { anchors: of('anchors'), lags: of('lags'), bits: of('bits') } };
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

/** Rows of one statement; between two of them others get their turn. */
const ROWS_AT_ONCE = 250;
const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

export type MountsSaved = 'saved' | 'again' | 'reused';

/**
 * Puts mounts into the catalogue in one transaction: a new version of each, the earlier ones kept; all or none.
 * The same edit sent twice changes nothing; one that says something else under an id that was used is not taken.
 */
export async function saveMounts(db: Db, mounts: readonly Mount[], editId: string, now: string): Promise<MountsSaved> {
  const before = await db
    .select({ id: catalogueHistory.id, entry: catalogueHistory.entry })
    .from(catalogueHistory)
    .where(eq(catalogueHistory.editId, editId));
  if (before.length > 0) return isSame(before, mounts) ? 'again' : 'reused';
  await db.transaction(async (tx) => {
    await remember(tx);
    for (let from = 0; from < mounts.length; from += ROWS_AT_ONCE) {
      const rows = mounts.slice(from, from + ROWS_AT_ONCE).map((m, i) => ({
        kind: 'mounts' as const,
        id: m.id,
        position: NEW_BEFORE + from + i,
        savedAt: now,
        editId,
        entry: JSON.stringify(m),
      }));
      await tx
        .insert(catalogueEntries)
        .values(rows)
        .onConflictDoUpdate({
          target: [catalogueEntries.kind, catalogueEntries.id],
          set: { version: sql`${catalogueEntries.version} + 1`, savedAt: now, editId, entry: sql`excluded.entry` },
        });
      await breathe();
    }
    await remember(tx);
    await noteCatalogue(tx);
  });
  return 'saved';
}

function isSame(before: readonly { id: string; entry: string }[], mounts: readonly Mount[]): boolean {
  const entries = new Map(before.map((r) => [r.id, r.entry]));
  return entries.size === mounts.length && mounts.every((m) => entries.get(m.id) === JSON.stringify(m));
}

/** Imported and own mounts come before the seeded ones of equal standing; the ranking decides. */
const NEW_BEFORE = -1_000_000;

/** Copies every version that the history does not have yet. */
const remember = (db: Pick<Db, 'run'>) =>
  db.run(sql`insert or ignore into catalogue_history (kind, id, version, saved_at, edit_id, entry)
    select kind, id, version, saved_at, edit_id, entry from catalogue_entries`);

/** Every version of one mount, the latest first; empty when there is no such mount. */
export async function mountVersions(db: Db, id: string) {
  const own = and(eq(catalogueHistory.kind, 'mounts'), eq(catalogueHistory.id, id));
  const rows = await db.select().from(catalogueHistory).where(own).orderBy(desc(catalogueHistory.version));
  const current = await db
    .select()
    .from(catalogueEntries)
    .where(and(eq(catalogueEntries.kind, 'mounts'), eq(catalogueEntries.id, id)));
  const all = rows.length > 0 ? rows : current;
  return all.map(({ version, savedAt, entry }) => ({
    version,
    savedAt,
    mount: JSON.parse(entry) as unknown,
  }));
}
