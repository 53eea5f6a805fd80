import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { CustomerLink } from '@steddo/contract';
import { proofOf } from '../crew/proof';
import type { Db } from './client';
import { links } from './schema';

export interface NewLink {
  id: string;
  roomId: string;
  secret: string;
  madeBy: string;
  now: string;
}

/** A link by which a customer sees one room. */
export async function makeLink(db: Db, { id, roomId, secret, madeBy, now }: NewLink): Promise<void> {
  await db.insert(links).values({ id, roomId, proof: proofOf(secret), madeBy, madeAt: now });
}

export async function listLinks(db: Db, roomId: string): Promise<CustomerLink[]> {
  const rows = await db.select().from(links).where(eq(links.roomId, roomId)).orderBy(desc(links.madeAt));
  return rows.map(({ id, madeAt, madeBy, opened, openedAt, withdrawnAt }) => ({
    id,
    madeAt,
    madeBy,
    opened,
    openedAt,
    ...(withdrawnAt === null ? {} : { withdrawnAt }),
  }));
}

/** From now on it shows nothing. False where there is no such link that shows anything. */
export async function withdrawLink(db: Db, roomId: string, id: string, now: string): Promise<boolean> {
  const done = await db
    .update(links)
    .set({ withdrawnAt: now })
    .where(and(eq(links.roomId, roomId), eq(links.id, id), isNull(links.withdrawnAt)));
  return done.rowsAffected > 0;
}

/** The room that a link shows; undefined where it shows none. */
export async function roomOfLink(db: Db, secret: string): Promise<{ id: string; roomId: string } | undefined> {
  const own = and(eq(links.proof, proofOf(secret)), isNull(links.withdrawnAt));
  return (await db.select({ id: links.id, roomId: links.roomId }).from(links).where(own))[0];
}

export const noteOpened = (db: Db, id: string, now: string) =>
  db
    .update(links)
    .set({ opened: sql`${links.opened} + 1`, openedAt: now })
    .where(eq(links.id, id));
