import { createHash, timingSafeEqual } from 'node:crypto';
import { statfs } from 'node:fs/promises';
import { dirname } from 'node:path';
import Router from '@koa/router';
import { sql } from 'drizzle-orm';
import createError from 'http-errors';
import type { Context } from 'koa';
import { version } from '../../package.json';
import type { Store } from '../db/client';
import { troubleOf, type Trouble } from '../db/databaseErrors';
import { meta } from '../db/schema';
import { callerIn } from '../middleware/callers';
import type { Reach } from '../reach';
import type { Watch } from '../watch';

/** A write that is tried at most so often, ms. */
const LOOK_AGAIN_MS = 2000;

export interface WatchParts {
  store: Store;
  now: () => Date;
  reach: Reach;
  watch: Watch;
}

/** How the server does: in a word for everybody, in numbers for who watches over it. */
export function watchRoutes({ store, now, reach, watch }: WatchParts): Router {
  const router = new Router();
  let trouble: Trouble | undefined;
  let looked = 0;
  const look = async (): Promise<void> => {
    try {
      await store.read((db) => db.run(sql`select 1`));
      if (Math.abs(now().getTime() - looked) < LOOK_AGAIN_MS) return;
      looked = now().getTime();
      const row = { name: 'looked', value: now().toISOString() };
      await store.run((db) => db.insert(meta).values(row).onConflictDoUpdate({ target: meta.name, set: row }));
      trouble = undefined;
    } catch (error) {
      trouble = troubleOf(error) ?? 'gone';
    }
    watch.database(trouble === undefined);
  };
  router.get('/health', async (ctx) => {
    await look();
    ctx.status = trouble ? 503 : 200;
    const said = trouble ? { ok: false, trouble } : { ok: true };
    ctx.body = mayWatch(ctx) ? { ...said, version, up: Math.round(process.uptime()), ...(await space()) } : said;
  });
  router.get('/metrics', async (ctx) => {
    if (!mayWatch(ctx)) throw createError(404, 'there is nothing at this address');
    await look();
    ctx.type = watch.type;
    ctx.body = await watch.text();
  });
  return router;

  /** Whoever has the watcher's token; without one, this machine itself as long as no proxy could stand for others. */
  function mayWatch(ctx: Context): boolean {
    const { watchToken } = reach;
    if (watchToken !== undefined) return isSame(ctx.get('authorization'), `Bearer ${watchToken}`);
    return callerIn(ctx).here && reach.proxies.length === 0;
  }

  async function space(): Promise<{ database: string; freeBytes?: number }> {
    if (store.place.kind === 'server') return { database: 'server' };
    const { bavail, bsize } = await statfs(dirname(store.place.path));
    return { database: 'file', freeBytes: bavail * bsize };
  }
}

/** Compared in one time whatever is in it. */
function isSame(a: string, b: string): boolean {
  const digest = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(a), digest(b));
}
