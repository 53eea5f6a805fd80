import { and, desc, eq, gt, isNotNull, isNull } from 'drizzle-orm';
import {
  checkFile,
  job as jobFormat,
  type Checked,
  type Job,
  type RevisionHead,
  type RoomHead,
  type RoomSummary,
  type SaveRequest,
} from '@steddo/contract';
import type { Db } from './client';
import { unmark } from './forgetting';
import { refused, revisions, rooms } from './schema';

export type SaveResult =
  | { kind: 'saved'; version: number; revision: string; savedAt: string }
  | { kind: 'stale'; theirs: RoomSummary; known: boolean; since: RevisionHead[] }
  /** The server does not have the room that the save was made on: another database, or an emptied one. */
  | { kind: 'unknown' }
  | { kind: 'deleted'; deletedAt: string }
  /** An edit that was saved under this id said something else. */
  | { kind: 'reused' };

/** A record that cannot be read: named and kept, never handed out and never in the way of others. */
export class Unreadable extends Error {
  constructor(
    readonly id: string,
    readonly reason: string,
  ) {
    super(`the record of room ${id} cannot be read (${reason}); it is kept as it is`);
  }
}

type Row = typeof rooms.$inferSelect;

/** The document of a record, or what is wrong with it. */
function readJob(text: string): Checked<Job> {
  try {
    return checkFile(jobFormat, JSON.parse(text));
  } catch (error) {
    return {
      ok: false,
      faults: [{ path: '(record)', reason: error instanceof Error ? error.message : String(error) }],
    };
  }
}

const headOf = ({ id, version, revision, title, savedAt, device }: Omit<Row, 'job' | 'deletedAt'>): RoomHead => ({
  id,
  version,
  revision,
  title,
  savedAt,
  device,
});

function summary(row: Row): RoomSummary {
  const checked = readJob(row.job);
  if (!checked.ok) throw new Unreadable(row.id, `${checked.faults[0]!.path} ${checked.faults[0]!.reason}`);
  return { ...headOf(row), job: checked.value };
}

const HEAD = {
  id: rooms.id,
  version: rooms.version,
  revision: rooms.revision,
  title: rooms.title,
  savedAt: rooms.savedAt,
  device: rooms.device,
};

/** Every room without its document, the latest first; and those that can still be taken back. */
export async function listRooms(db: Db) {
  const there = await db.select(HEAD).from(rooms).where(isNull(rooms.deletedAt)).orderBy(desc(rooms.savedAt), rooms.id);
  const gone = await db
    .select({ ...HEAD, deletedAt: rooms.deletedAt })
    .from(rooms)
    .where(isNotNull(rooms.deletedAt))
    .orderBy(desc(rooms.deletedAt));
  return { rooms: there, deleted: gone.map((r) => ({ ...r, deletedAt: r.deletedAt ?? '' })) };
}

/** Rooms whose record cannot be read, each with the reason. Reads every document: for the start, not for requests. */
export async function unreadableRooms(db: Db): Promise<{ id: string; reason: string }[]> {
  const ids = await db.select({ id: rooms.id }).from(rooms);
  const found: { id: string; reason: string }[] = [];
  for (const { id } of ids) {
    const [row] = await db.select().from(rooms).where(eq(rooms.id, id));
    const checked = row && readJob(row.job);
    if (checked && !checked.ok) found.push({ id, reason: `${checked.faults[0]!.path} ${checked.faults[0]!.reason}` });
  }
  return found;
}

const rowOf = async (db: Db, id: string): Promise<Row | undefined> =>
  (await db.select().from(rooms).where(eq(rooms.id, id)))[0];

/** The room, unless it was taken away. */
export async function findRoom(db: Db, id: string): Promise<RoomSummary | undefined> {
  const row = await rowOf(db, id);
  return row && row.deletedAt === null ? summary(row) : undefined;
}

/** The record as it lies there, readable or not. */
export const rawRoom = async (db: Db, id: string): Promise<string | undefined> => (await rowOf(db, id))?.job;

export async function deletedAtOf(db: Db, id: string): Promise<string | undefined> {
  return (await rowOf(db, id))?.deletedAt ?? undefined;
}

const REVISION_HEAD = {
  version: revisions.version,
  revision: revisions.revision,
  savedAt: revisions.savedAt,
  device: revisions.device,
  editId: revisions.editId,
  touched: revisions.touched,
};

async function revisionsSince(db: Db, roomId: string, version: number): Promise<RevisionHead[]> {
  const rows = await db
    .select(REVISION_HEAD)
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), gt(revisions.version, version)))
    .orderBy(desc(revisions.version));
  return rows.map((r) => ({ ...r, touched: JSON.parse(r.touched) as string[] }));
}

export async function listRevisions(db: Db, roomId: string) {
  const late = await db
    .select({ editId: refused.editId, baseVersion: refused.baseVersion, savedAt: refused.at, device: refused.device })
    .from(refused)
    .where(eq(refused.roomId, roomId))
    .orderBy(desc(refused.at));
  return { revisions: await revisionsSince(db, roomId, 0), refused: late };
}

export async function findRevision(db: Db, roomId: string, version: number) {
  const [row] = await db
    .select()
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), eq(revisions.version, version)));
  return row && recorded(roomId, row.savedAt, row.device, row.job);
}

export async function findRefused(db: Db, roomId: string, editId: string) {
  const [row] = await db
    .select()
    .from(refused)
    .where(and(eq(refused.roomId, roomId), eq(refused.editId, editId)));
  return row && recorded(roomId, row.at, row.device, row.job);
}

function recorded(roomId: string, savedAt: string, device: string, text: string) {
  const checked = readJob(text);
  if (!checked.ok) throw new Unreadable(roomId, `${checked.faults[0]!.path} ${checked.faults[0]!.reason}`);
  return { savedAt, device, job: checked.value };
}

/** Whether a mark is one of the room's revisions; with none given its latest version number is judged. */
export async function knowsRevision(db: Db, roomId: string, mark: string): Promise<boolean> {
  const [row] = await db
    .select({ version: revisions.version })
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), eq(revisions.revision, mark)));
  return row !== undefined;
}

export interface Saving {
  now: string;
  revision: string;
}

/**
 * Saves an edit made on `baseVersion` and `baseRevision`: a new revision, the earlier ones stay. The same edit
 * sent twice is saved once. Made on anything but the latest it is refused, kept among the refused, and the latest
 * is given back with what was saved since. A room whose record cannot be read is not written over. Runs inside the
 * store's queue, so reading and writing are one step.
 */
export async function saveRoom(db: Db, id: string, save: SaveRequest, { now, revision }: Saving): Promise<SaveResult> {
  const text = JSON.stringify(save.job);
  const [again] = await db
    .select()
    .from(revisions)
    .where(and(eq(revisions.roomId, id), eq(revisions.editId, save.editId)));
  if (again)
    return again.job === text
      ? { kind: 'saved', version: again.version, revision: again.revision, savedAt: again.savedAt }
      : { kind: 'reused' };
  const row = await rowOf(db, id);
  if (row && row.deletedAt !== null) return { kind: 'deleted', deletedAt: row.deletedAt };
  if (!row && save.baseRevision !== undefined) return { kind: 'unknown' };
  if (row && !isOnTop(row, save)) return refuse(db, row, save, text, now);
  const version = save.baseVersion + 1;
  const device = save.device ?? '';
  const next = { id, version, revision, device, title: save.job.title, savedAt: now, job: text, deletedAt: null };
  await db.batch([
    db.insert(rooms).values(next).onConflictDoUpdate({ target: rooms.id, set: next }),
    db.insert(revisions).values({
      roomId: id,
      version,
      revision,
      device,
      editId: save.editId,
      savedAt: now,
      touched: JSON.stringify(save.touched),
      job: text,
    }),
  ]);
  return { kind: 'saved', version, revision, savedAt: now };
}

const isOnTop = (row: Row, save: SaveRequest): boolean =>
  save.baseVersion === row.version && (save.baseRevision === undefined || save.baseRevision === row.revision);

async function refuse(db: Db, row: Row, save: SaveRequest, text: string, now: string): Promise<SaveResult> {
  const { editId, baseVersion, baseRevision, device = '' } = save;
  await db
    .insert(refused)
    .values({ editId, roomId: row.id, baseVersion, at: now, job: text, device })
    .onConflictDoNothing();
  const theirs = summary(row);
  const known = baseRevision === undefined || (await knowsRevision(db, row.id, baseRevision));
  return { kind: 'stale', theirs, known, since: await revisionsSince(db, row.id, known ? baseVersion : 0) };
}

/** Takes a room away; it can be taken back for thirty days. False where there is none. */
export async function deleteRoom(db: Db, id: string, now: string): Promise<boolean> {
  const row = await rowOf(db, id);
  if (!row || row.deletedAt !== null) return false;
  await db.update(rooms).set({ deletedAt: now }).where(eq(rooms.id, id));
  return true;
}

/** Takes a room back that was taken away. False where there is none. */
export async function takeBack(db: Db, id: string): Promise<boolean> {
  const row = await rowOf(db, id);
  if (!row || row.deletedAt === null) return false;
  await db.batch([db.update(rooms).set({ deletedAt: null }).where(eq(rooms.id, id)), unmark(db, id)]);
  return true;
}
