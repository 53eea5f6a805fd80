import Router from '@koa/router';
import type { Store } from '../db/client';
import { changesSince } from '../db/changes';

/** What has changed since a moment: asked often, cheap. */
export function changeRoutes(store: Store): Router {
  const router = new Router({ prefix: '/api' });
  router.get('/changes', async (ctx) => {
    const since = typeof ctx.query.since === 'string' ? ctx.query.since : '';
    ctx.body = await store.read((db) => changesSince(db, store.database, since));
  });
  return router;
}
