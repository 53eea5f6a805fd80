import { and, eq, isNull, sql } from 'drizzle-orm';
import createError from 'http-errors';
import type { RevisionHead, RoomSummary, SaveRequest } from '@steddo/contract';
import { noteRoomAt, whereRoomIsAt } from './changes';
import type { Db } from './client';
import { knowsRevision, revisionsSince, rowOf, summary, type Row } from './rooms';
import { refused, revisions, rooms } from './schema';

export type SaveResult =
  | { kind: 'saved'; version: number; revision: string; savedAt: string }
  | { kind: 'stale'; theirs: RoomSummary; known: boolean; since: RevisionHead[] }
  /** The server does not have the room that the save was made on: another database, or an emptied one. */
  | { kind: 'unknown' }
  | { kind: 'deleted'; deletedAt: string }
  /** An edit that was saved under this id said something else. */
  | { kind: 'reused' };

export interface Saving {
  now: string;
  revision: string;
  /** Who it is and on what; the server's own knowledge, or what the device says of itself. */
  person: string;
  device: string;
}

/** Saves of one room that meet each other in one moment; far more than there are people in a crew. */
const TRIES = 20;

/**
 * Saves an edit made on `baseVersion` and `baseRevision`: a new revision, the earlier ones stay. The same edit
 * sent twice is saved once. Made on anything but the latest it is refused, kept among the refused, and the latest
 * is given back with what was saved since. A room whose record cannot be read is not written over. Whether it was
 * the latest is judged by the database in the writing itself, so that several processes may save at once.
 */
export async function saveRoom(db: Db, id: string, save: SaveRequest, saving: Saving): Promise<SaveResult> {
  for (let tries = 0; tries < TRIES; tries++) {
    const result = await trySave(db, id, save, saving);
    if (result) return result;
  }
  throw createError(503, 'this room is being saved by too many at once; nothing was saved');
}

/** Undefined where somebody else came in between: what is there has to be read again. */
async function trySave(db: Db, id: string, save: SaveRequest, saving: Saving): Promise<SaveResult | undefined> {
  const { now, revision, person, device } = saving;
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
  if (row && !isOnTop(row, save)) return refuse(db, row, save, saving, text);
  const version = save.baseVersion + 1;
  const { title } = save.job;
  const by = { person, device };
  const next = {
    id,
    version,
    revision,
    ...by,
    title,
    savedAt: now,
    job: text,
    deletedAt: null,
    words: wordsOf(save.job),
  };
  const own = { editId: save.editId, touched: JSON.stringify(save.touched) };
  const [written] = await db.batch([
    row
      ? db
          .update(rooms)
          .set(next)
          .where(
            and(
              eq(rooms.id, id),
              eq(rooms.revision, row.revision),
              eq(rooms.version, row.version),
              isNull(rooms.deletedAt),
            ),
          )
      : db.insert(rooms).values(next).onConflictDoNothing(),
    db.run(sql`insert into ${revisions}
      (room_id, version, revision, person, device, edit_id, saved_at, touched, job)
      select ${id}, ${version}, ${revision}, ${person}, ${device}, ${own.editId}, ${now}, ${own.touched}, ${text}
      ${whereRoomIsAt(id, revision)}`),
    noteRoomAt(db, id, revision),
  ]);
  return written.rowsAffected > 0 ? { kind: 'saved', version, revision, savedAt: now } : undefined;
}

/** What a room is looked for by. */
const wordsOf = ({ title, screen, mount }: SaveRequest['job']): string =>
  [title, screen.name ?? '', mount?.name ?? ''].join(' ').trim().toLowerCase();

const isOnTop = (row: Row, save: SaveRequest): boolean =>
  save.baseVersion === row.version && (save.baseRevision === undefined || save.baseRevision === row.revision);

async function refuse(
  db: Db,
  row: Row,
  save: SaveRequest,
  { now, person, device }: Saving,
  text: string,
): Promise<SaveResult> {
  const { editId, baseVersion, baseRevision } = save;
  await db
    .insert(refused)
    .values({ editId, roomId: row.id, baseVersion, at: now, job: text, person, device })
    .onConflictDoNothing();
  const theirs = summary(row);
  const known = baseRevision === undefined || (await knowsRevision(db, row.id, baseRevision));
  return { kind: 'stale', theirs, known, since: await revisionsSince(db, row.id, known ? baseVersion : 0) };
}
