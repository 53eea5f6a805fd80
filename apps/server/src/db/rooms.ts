import { and, count, desc, eq, gt, inArray, isNotNull, isNull, lt, or, sql, type SQL } from 'drizzle-orm';
import {
  checkFile,
  job as jobFormat,
  type Checked,
  type Job,
  type RevisionHead,
  type RoomHead,
  type RoomSummary,
} from '@steddo/contract';
import { noteRoom } from './changes';
import type { Db } from './client';
import { unmark } from './forgetting';
import { refused, revisions, rooms } from './schema';

/** A record that cannot be read: named and kept, never handed out and never in the way of others. */
export class Unreadable extends Error {
  constructor(
    readonly id: string,
    readonly reason: string,
  ) {
    super(`the record of room ${id} cannot be read (${reason}); it is kept as it is`);
  }
}

export type Row = typeof rooms.$inferSelect;

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

const headOf = ({
  id,
  version,
  revision,
  title,
  savedAt,
  person,
  device,
}: Omit<Row, 'job' | 'deletedAt'>): RoomHead => ({
  id,
  version,
  revision,
  title,
  savedAt,
  person,
  device,
});

export function summary(row: Row): RoomSummary {
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
  person: rooms.person,
  device: rooms.device,
};

/** Rooms that a list tells at once. */
export const PAGE = 200;

/** Which part of the list is asked for. */
export interface Listing {
  /** The place of the last room that was told; from the beginning without. */
  after?: { savedAt: string; id: string };
  /** Words that a room is looked for by. */
  words?: string;
}

/** Rooms without their documents, the latest first, a page of them; and whether there are more. */
export async function listRooms(db: Db, { after, words }: Listing = {}): Promise<{ rooms: RoomHead[]; more: boolean }> {
  const later =
    after && or(lt(rooms.savedAt, after.savedAt), and(eq(rooms.savedAt, after.savedAt), gt(rooms.id, after.id)));
  const found = await db
    .select(HEAD)
    .from(rooms)
    .where(and(isNull(rooms.deletedAt), later, words ? like(rooms.words, words) : undefined))
    .orderBy(desc(rooms.savedAt), rooms.id)
    .limit(PAGE + 1);
  return { rooms: found.slice(0, PAGE), more: found.length > PAGE };
}

const like = (column: typeof rooms.words, words: string): SQL => sql`instr(${column}, ${words.toLowerCase()}) > 0`;

export async function countRooms(db: Db): Promise<number> {
  const [row] = await db.select({ n: count() }).from(rooms).where(isNull(rooms.deletedAt));
  return row?.n ?? 0;
}

/** Rooms that were taken away and can still be taken back, the latest first. */
export async function listDeleted(db: Db) {
  const gone = await db
    .select({ ...HEAD, deletedAt: rooms.deletedAt })
    .from(rooms)
    .where(isNotNull(rooms.deletedAt))
    .orderBy(desc(rooms.deletedAt))
    .limit(PAGE);
  return gone.map((r) => ({ ...r, deletedAt: r.deletedAt ?? '' }));
}

/** How these rooms stand here; those that are not here, or taken away, are not among them. */
export async function headsOf(db: Db, ids: readonly string[]): Promise<RoomHead[]> {
  return db
    .select(HEAD)
    .from(rooms)
    .where(and(isNull(rooms.deletedAt), inArray(rooms.id, [...ids])));
}

/** Documents that are read at once while all of them are looked through. */
const READ_AT_ONCE = 50;

/** Rooms whose record cannot be read, each with the reason. Reads every document, letting others have their turn. */
export async function unreadableRooms(db: Db): Promise<{ id: string; reason: string }[]> {
  const found: { id: string; reason: string }[] = [];
  for (let last = ''; ;) {
    const some = await db
      .select({ id: rooms.id, job: rooms.job })
      .from(rooms)
      .where(gt(rooms.id, last))
      .orderBy(rooms.id)
      .limit(READ_AT_ONCE);
    for (const { id, job } of some) {
      const checked = readJob(job);
      if (!checked.ok) found.push({ id, reason: `${checked.faults[0]!.path} ${checked.faults[0]!.reason}` });
      await new Promise((resolve) => setImmediate(resolve));
    }
    if (some.length < READ_AT_ONCE) return found;
    last = some.at(-1)!.id;
  }
}

export const rowOf = async (db: Db, id: string): Promise<Row | undefined> =>
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
  person: revisions.person,
  device: revisions.device,
  editId: revisions.editId,
  touched: revisions.touched,
};

export async function revisionsSince(db: Db, roomId: string, version: number): Promise<RevisionHead[]> {
  const rows = await db
    .select(REVISION_HEAD)
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), gt(revisions.version, version)))
    .orderBy(desc(revisions.version));
  return rows.map((r) => ({ ...r, touched: JSON.parse(r.touched) as string[] }));
}

export async function listRevisions(db: Db, roomId: string) {
  const late = await db
    .select({
      editId: refused.editId,
      baseVersion: refused.baseVersion,
      savedAt: refused.at,
      person: refused.person,
      device: refused.device,
    })
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
  return row && recorded(roomId, row.savedAt, row);
}

export async function findRefused(db: Db, roomId: string, editId: string) {
  const [row] = await db
    .select()
    .from(refused)
    .where(and(eq(refused.roomId, roomId), eq(refused.editId, editId)));
  return row && recorded(roomId, row.at, row);
}

function recorded(roomId: string, savedAt: string, { person, device, job }: Pick<Row, 'person' | 'device' | 'job'>) {
  const checked = readJob(job);
  if (!checked.ok) throw new Unreadable(roomId, `${checked.faults[0]!.path} ${checked.faults[0]!.reason}`);
  return { savedAt, person, device, job: checked.value };
}

/** Whether a mark is one of the room's revisions; with none given its latest version number is judged. */
export async function knowsRevision(db: Db, roomId: string, mark: string): Promise<boolean> {
  const [row] = await db
    .select({ version: revisions.version })
    .from(revisions)
    .where(and(eq(revisions.roomId, roomId), eq(revisions.revision, mark)));
  return row !== undefined;
}

/** Takes a room away; it can be taken back for thirty days. False where there is none. */
export async function deleteRoom(db: Db, id: string, now: string): Promise<boolean> {
  const [away] = await db.batch([
    db
      .update(rooms)
      .set({ deletedAt: now })
      .where(and(eq(rooms.id, id), isNull(rooms.deletedAt))),
    noteRoom(db, id, 'deleted'),
  ]);
  return away.rowsAffected > 0;
}

/** Takes a room back that was taken away. False where there is none. */
export async function takeBack(db: Db, id: string): Promise<boolean> {
  const [back] = await db.batch([
    db
      .update(rooms)
      .set({ deletedAt: null })
      .where(and(eq(rooms.id, id), isNotNull(rooms.deletedAt))),
    unmark(db, id),
    noteRoom(db, id, 'back'),
  ]);
  return back.rowsAffected > 0;
}
