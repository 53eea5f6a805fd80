import { gt, lt, sql, type SQL } from 'drizzle-orm';
import type { ChangesReply } from '@steddo/contract';
import type { Db } from './client';
import { changes, rooms } from './schema';

/** Changes that are remembered; who asks about an earlier one is told to look at everything. */
const REMEMBERED = 10_000;
/** Told at once; after more than these it is quicker to look at everything. */
const MOST_TOLD = 1000;

/** Notes that a room has changed, in the batch that changes it; only where the room has come to be at `revision`. */
export const noteRoomAt = (db: Db, roomId: string, revision: string) =>
  db.run(sql`insert into changes (room_id, revision) select ${roomId}, ${revision} ${whereRoomIsAt(roomId, revision)}`);

/** Only where a room is at a revision: what follows its saving in one batch, and nothing where the saving came too late. */
export const whereRoomIsAt = (roomId: string, revision: string): SQL =>
  sql`where exists (select 1 from ${rooms} where ${rooms.id} = ${roomId} and ${rooms.revision} = ${revision})`;

export const noteRoom = (db: Db, roomId: string, revision: string) => db.insert(changes).values({ roomId, revision });
export const noteCatalogue = (db: Pick<Db, 'insert'>) => db.insert(changes).values({});

/** A moment in the course of changes, as devices are told it: of this database, after its n-th. */
const cursorOf = (database: string, n: number): string => `${database}.${n}`;

/** What has changed since a cursor; one of another database, or too old, is told that everything may have. */
export async function changesSince(db: Db, database: string, cursor: string): Promise<ChangesReply> {
  const [ends] = await db
    .select({ first: sql<number>`coalesce(min(${changes.n}), 0)`, last: sql<number>`coalesce(max(${changes.n}), 0)` })
    .from(changes);
  const { first, last } = ends ?? { first: 0, last: 0 };
  const since = numberOf(cursor, database);
  const known = since !== undefined && since <= last && (last === 0 || since >= first - 1);
  const all: ChangesReply = {
    database,
    cursor: cursorOf(database, last),
    rooms: [],
    catalogue: true,
    everything: true,
  };
  if (!known) return all;
  if (since === last) return { ...all, catalogue: false, everything: false };
  const later = await db
    .select()
    .from(changes)
    .where(gt(changes.n, since))
    .orderBy(changes.n)
    .limit(MOST_TOLD + 1);
  if (later.length > MOST_TOLD) return all;
  const latest = new Map(later.flatMap((c) => (c.roomId === '' ? [] : [[c.roomId, c.revision] as const])));
  return {
    database,
    cursor: cursorOf(database, later.at(-1)?.n ?? last),
    rooms: [...latest].map(([id, revision]) => ({ id, revision })),
    catalogue: later.some((c) => c.roomId === ''),
    everything: false,
  };
}

function numberOf(cursor: string, database: string): number | undefined {
  const dot = cursor.lastIndexOf('.');
  const n = Number(cursor.slice(dot + 1));
  return cursor.slice(0, dot) === database && /^\d+$/.test(cursor.slice(dot + 1)) && Number.isSafeInteger(n)
    ? n
    : undefined;
}

/** Drops what nobody is told any more. The last one stays, so that its number is known. */
export async function forgetChanges(db: Db): Promise<void> {
  const [row] = await db.select({ last: sql<number>`coalesce(max(${changes.n}), 0)` }).from(changes);
  await db.delete(changes).where(lt(changes.n, (row?.last ?? 0) - REMEMBERED));
}
