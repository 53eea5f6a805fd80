import { and, eq, isNotNull, lt } from 'drizzle-orm';
import type { Db } from './client';
import { meta, picturePieces, pictures, refused, revisions, rooms } from './schema';

/** Days for which a room that was taken away can be taken back. */
export const DAYS_TO_TAKE_BACK = 30;
/** Different days on which the server has to have seen it taken away: a clock that jumps a year is one of them. */
const DAYS_SEEN = 7;

const nameOf = (id: string): string => `days-away:${id}`;

/** Forgets on which days a room was seen taken away. */
export const unmark = (db: Db, id: string) => db.delete(meta).where(eq(meta.name, nameOf(id)));

/** Rooms whose thirty days are over go for good, with all their revisions and pictures. Called at least once a day. */
export async function forgetDeleted(db: Db, now: Date): Promise<void> {
  const limit = new Date(now.getTime() - DAYS_TO_TAKE_BACK * 86_400_000).toISOString();
  const away = await db.select({ id: rooms.id }).from(rooms).where(isNotNull(rooms.deletedAt));
  for (const { id } of away) {
    const days = await markDay(db, id, now.toISOString().slice(0, 10));
    const over = and(eq(rooms.id, id), lt(rooms.deletedAt, limit));
    if (days < DAYS_SEEN || (await db.select({ id: rooms.id }).from(rooms).where(over)).length === 0) continue;
    await db.batch([
      db.delete(picturePieces).where(eq(picturePieces.roomId, id)),
      db.delete(pictures).where(eq(pictures.roomId, id)),
      db.delete(refused).where(eq(refused.roomId, id)),
      db.delete(revisions).where(eq(revisions.roomId, id)),
      db.delete(rooms).where(eq(rooms.id, id)),
      unmark(db, id),
    ]);
  }
}

/** Notes that a room is away on this day; the number of different days on which it was. */
async function markDay(db: Db, id: string, day: string): Promise<number> {
  const name = nameOf(id);
  const [row] = await db.select().from(meta).where(eq(meta.name, name));
  const days = new Set(row?.value.split(' ')).add(day);
  const value = [...days].join(' ');
  if (value !== row?.value)
    await db.insert(meta).values({ name, value }).onConflictDoUpdate({ target: meta.name, set: { value } });
  return days.size;
}
