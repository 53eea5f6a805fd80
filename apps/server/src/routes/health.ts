import Router from '@koa/router';
import { sql } from 'drizzle-orm';
import type { ChangesReply } from '@steddo/contract';
import type { Changes } from '../changes';
import type { Store } from '../db/client';
import { troubleOf, type Trouble } from '../db/databaseErrors';
import { listRooms } from '../db/rooms';
import { meta } from '../db/schema';

/** Whether the database can be read and written, and what has changed: both asked often, both cheap. */
export function healthRoutes(store: Store, changes: Changes, now: () => Date): Router {
  const router = new Router({ prefix: '/api' });
  let trouble: Trouble | undefined;
  let looked = 0;
  router.get('/health', async (ctx) => {
    await store.read((db) => db.run(sql`select 1`));
    if (Math.abs(now().getTime() - looked) >= LOOK_AGAIN_MS) {
      looked = now().getTime();
      trouble = await writable(store, now().toISOString());
    }
    ctx.body = trouble ? { ok: false, trouble } : { ok: true };
  });
  router.get('/changes', async (ctx) => {
    const { cursor, database } = { cursor: changes.cursor, database: store.database };
    const asked = typeof ctx.query.since === 'string' ? changes.since(ctx.query.since) : undefined;
    const found = asked ?? { rooms: await allRooms(store), catalogue: true };
    const body: ChangesReply = { database, cursor, ...found };
    ctx.body = body;
  });
  return router;
}

/** A write that is tried at most so often, ms. */
const LOOK_AGAIN_MS = 2000;

/** Writes a moment into the database; what stood in the way of it, where somebody can put it right. */
async function writable(store: Store, moment: string): Promise<Trouble | undefined> {
  try {
    const row = { name: 'looked', value: moment };
    await store.run((db) => db.insert(meta).values(row).onConflictDoUpdate({ target: meta.name, set: row }));
    return undefined;
  } catch (error) {
    return troubleOf(error) ?? 'gone';
  }
}

const allRooms = async (store: Store): Promise<ChangesReply['rooms']> => {
  const { rooms } = await store.read(listRooms);
  return rooms.map(({ id, revision }) => ({ id, revision }));
};
