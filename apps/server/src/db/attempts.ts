import { createHash } from 'node:crypto';
import { eq, inArray, lt, lte, sql } from 'drizzle-orm';
import type { Db } from './client';
import { attempts } from './schema';

/** Wrong ones that are free; each later one locks for twice as long as the one before. */
export const FREE_TRIES = 10;
const FIRST_LOCK_S = 60;
const LONGEST_LOCK_S = 86_400;
/** All sources together: whoever guesses from everywhere is slowed too, and the crew never for longer than an hour. */
const EVERYBODY = 'everybody';
const FREE_OF_ALL = 100;
const LONGEST_OF_ALL_S = 3600;
/** After a day without a wrong one it is forgotten. */
const FORGOTTEN_MS = 86_400_000;

/** An address as it is counted: of the wide ones the part that a house or a firm has, and never as it is. */
export const sourceOf = (address: string, database: string): string => {
  const counted = address.includes(':') ? address.split(':').slice(0, 4).join(':') : address;
  return createHash('sha256').update(`${database} ${counted}`).digest('base64url').slice(0, 22);
};

/** Until when nobody from there is listened to; undefined where they are. */
export async function lockedUntil(db: Db, source: string, now: Date): Promise<string | undefined> {
  const rows = await db
    .select()
    .from(attempts)
    .where(inArray(attempts.source, [source, EVERYBODY]));
  const ends = rows.map((r) => r.lockedUntil).filter((until) => until > now.toISOString());
  return ends.sort().at(-1);
}

/**
 * Counts a try before it is judged, and locks with the one that is too many: false where it is locked already. Both in
 * one statement, so that many at once, on whatever process, get in no more tries than one after the other.
 */
export async function countTry(db: Db, source: string, now: Date): Promise<boolean> {
  await db.delete(attempts).where(lt(attempts.at, new Date(now.getTime() - FORGOTTEN_MS).toISOString()));
  const own = { source, free: FREE_TRIES, every: 1, longestS: LONGEST_LOCK_S };
  const ofAll = { source: EVERYBODY, free: FREE_OF_ALL, every: 10, longestS: LONGEST_OF_ALL_S };
  return (await count(db, own, now)) && (await count(db, ofAll, now));
}

interface Counting {
  source: string;
  /** Wrong ones before the first lock, those between two lengths of it, and the longest. */
  free: number;
  every: number;
  longestS: number;
}

/** Powers of two beyond this one are longer than any lock. */
const MOST_DOUBLED = 20;

async function count(db: Db, { source, free, every, longestS }: Counting, now: Date): Promise<boolean> {
  const at = now.toISOString();
  const wrong = sql`${attempts.wrong} + 1`;
  const seconds = sql`min(${longestS}, ${FIRST_LOCK_S} * (1 << min(${MOST_DOUBLED}, (${wrong} - ${free}) / ${every})))`;
  const until = sql`strftime('%Y-%m-%dT%H:%M:%fZ', ${at}, '+' || ${seconds} || ' seconds')`;
  const counted = await db
    .insert(attempts)
    .values({ source, wrong: 1, at })
    .onConflictDoUpdate({
      target: attempts.source,
      set: { wrong, at, lockedUntil: sql`case when ${wrong} >= ${free} then ${until} else '' end` },
      setWhere: lte(attempts.lockedUntil, at),
    })
    .returning({ wrong: attempts.wrong });
  return counted.length > 0;
}

/** It was right: who came from there is no stranger. The count of all goes back by the one. */
export async function forgetTries(db: Db, source: string): Promise<void> {
  await db.batch([
    db.delete(attempts).where(eq(attempts.source, source)),
    db
      .update(attempts)
      .set({ wrong: sql`max(0, ${attempts.wrong} - 1)` })
      .where(eq(attempts.source, EVERYBODY)),
  ]);
}
