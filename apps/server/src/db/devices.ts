import { and, desc, eq, gt, isNull, lt } from 'drizzle-orm';
import type { CrewDevice } from '@steddo/contract';
import { proofOf } from '../crew/proof';
import type { Db } from './client';
import { devices, pairings } from './schema';

export type Device = typeof devices.$inferSelect;

/** How long a pairing code is good for, ms. */
export const PAIRING_MS = 5 * 60_000;

export interface Entering {
  id: string;
  secret: string;
  person: string;
  name: string;
  pairedBy: string;
  now: string;
}

/** A device is in, with a secret of its own. */
export async function letIn(db: Db, { id, secret, person, name, pairedBy, now }: Entering): Promise<void> {
  const seenOn = now.slice(0, 10);
  await db.insert(devices).values({ id, proof: proofOf(secret), person, name, pairedAt: now, pairedBy, seenOn });
}

/** The device that a secret belongs to, in the crew or taken out of it. */
export async function deviceOf(db: Db, secret: string): Promise<Device | undefined> {
  return (
    await db
      .select()
      .from(devices)
      .where(eq(devices.proof, proofOf(secret)))
  )[0];
}

/** Every device that is in or was, the latest first. */
export async function listDevices(db: Db): Promise<CrewDevice[]> {
  const all = await db.select().from(devices).orderBy(desc(devices.pairedAt));
  const names = new Map(all.map((d) => [d.id, `${d.person}, ${d.name}`]));
  return all.map(({ id, person, name, pairedAt, pairedBy, seenOn, takenOutAt, takenOutBy }) => ({
    id,
    person,
    name,
    pairedAt,
    pairedBy: names.get(pairedBy) ?? '',
    seenOn,
    ...(takenOutAt === null ? {} : { takenOut: { at: takenOutAt, by: names.get(takenOutBy) ?? '' } }),
  }));
}

/** A lost phone: from now on it is a stranger. False where there is no such device in the crew. */
export async function takeOut(db: Db, id: string, by: string, now: string): Promise<boolean> {
  const [done] = await db.batch([
    db
      .update(devices)
      .set({ takenOutAt: now, takenOutBy: by })
      .where(and(eq(devices.id, id), isNull(devices.takenOutAt))),
    // what it has shown to let others in is good for nobody any more
    db.delete(pairings).where(eq(pairings.madeBy, id)),
  ]);
  return done.rowsAffected > 0;
}

export const renameDevice = (db: Db, id: string, person: string, name: string) =>
  db.update(devices).set({ person, name }).where(eq(devices.id, id));

/** Notes the day; asked for once a day and device. */
export const noteSeen = (db: Db, { id }: Device, day: string) =>
  db.update(devices).set({ seenOn: day }).where(eq(devices.id, id));

/** A code is shown by a device; an earlier one of the same device is good for nothing any more. */
export async function offerCode(db: Db, code: string, madeBy: string, now: Date): Promise<string> {
  const endsAt = new Date(now.getTime() + PAIRING_MS).toISOString();
  await db.batch([
    db.delete(pairings).where(eq(pairings.madeBy, madeBy)),
    db.delete(pairings).where(lt(pairings.endsAt, now.toISOString())),
    db.insert(pairings).values({ proof: proofOf(code), madeBy, endsAt }),
  ]);
  return endsAt;
}

/** The device that showed a code; the code is used up by asking. */
export async function spendCode(db: Db, code: string, now: string): Promise<string | undefined> {
  const [used] = await db
    .delete(pairings)
    .where(and(eq(pairings.proof, proofOf(code)), gt(pairings.endsAt, now)))
    .returning({ madeBy: pairings.madeBy });
  return used?.madeBy;
}
