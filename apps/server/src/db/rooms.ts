import { and, desc, eq } from 'drizzle-orm';
import { checkFile, job, type RoomSummary, type SaveRequest } from '@steddo/contract';
import type { Db } from './client';
import { refused, revisions, rooms } from './schema';

export type SaveResult = { kind: 'saved'; version: number; savedAt: string } | { kind: 'stale'; theirs: RoomSummary };

type Row = typeof rooms.$inferSelect;

/** A stored document that no longer validates is our mistake: say which, never hand it out broken. */
function summary(row: Row): RoomSummary {
  const checked = checkFile(job, JSON.parse(row.job));
  if (!checked.ok)
    throw new Error(`room ${row.id}, version ${row.version}: ${checked.faults[0]?.path} ${checked.faults[0]?.reason}`);
  return {
    id: row.id,
    version: row.version,
    title: row.title,
    savedAt: row.savedAt,
    job: checked.value,
  };
}

export async function listRooms(db: Db): Promise<RoomSummary[]> {
  return (await db.select().from(rooms).orderBy(desc(rooms.savedAt), rooms.id)).map(summary);
}

export async function findRoom(db: Db, id: string): Promise<RoomSummary | undefined> {
  const [row] = await db.select().from(rooms).where(eq(rooms.id, id));
  return row && summary(row);
}

export async function listRevisions(db: Db, roomId: string) {
  const rows = await db
    .select({
      version: revisions.version,
      savedAt: revisions.savedAt,
      editId: revisions.editId,
      touched: revisions.touched,
    })
    .from(revisions)
    .where(eq(revisions.roomId, roomId))
    .orderBy(desc(revisions.version));
  return rows.map((r) => ({ ...r, touched: JSON.parse(r.touched) as string[] }));
}

export async function findRevision(db: Db, roomId: string, version: number) {
  const [row] = await db
    .select()
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), eq(revisions.version, version)));
  return row && { version: row.version, savedAt: row.savedAt, job: JSON.parse(row.job) as unknown };
}

/**
 * Saves an edit made on `baseVersion`: a new revision, the earlier ones stay. The same edit sent
 * twice is saved once. A room that a device knows and the database does not (a new or an older
 * database) comes back from the device. From an older version it is refused, kept among the refused, and both
 * versions are given back. Runs inside the store's queue, so reading and writing are one step.
 */
export async function saveRoom(db: Db, id: string, save: SaveRequest, now: string): Promise<SaveResult> {
  const [again] = await db
    .select({ version: revisions.version, savedAt: revisions.savedAt })
    .from(revisions)
    .where(and(eq(revisions.roomId, id), eq(revisions.editId, save.editId)));
  if (again) return { kind: 'saved', ...again };
  const current = await findRoom(db, id);
  if (current && save.baseVersion !== current.version) {
    await db
      .insert(refused)
      .values({
        editId: save.editId,
        roomId: id,
        baseVersion: save.baseVersion,
        at: now,
        job: JSON.stringify(save.job),
      })
      .onConflictDoNothing();
    return { kind: 'stale', theirs: current };
  }
  const version = save.baseVersion + 1;
  const text = JSON.stringify(save.job);
  const row = { id, version, title: save.job.title, savedAt: now, job: text };
  await db.batch([
    db.insert(rooms).values(row).onConflictDoUpdate({ target: rooms.id, set: row }),
    db.insert(revisions).values({
      roomId: id,
      version,
      editId: save.editId,
      savedAt: now,
      touched: JSON.stringify(save.touched),
      job: text,
    }),
  ]);
  return { kind: 'saved', version, savedAt: now };
}
