import Router from '@koa/router';
import createError from 'http-errors';
import { api, checkFile } from '@steddo/contract';
import { mountVersions, readCatalogue, readKit, saveMounts } from '../db/catalogue';
import type { Store } from '../db/client';

export const REUSED = 'an edit of this id was saved before and said something else; nothing was saved';

/** The catalogue: read whole, changed mount by mount, every version kept. */
export function catalogueRoutes(store: Store, now: () => Date): Router {
  const router = new Router({ prefix: '/api/catalogue' });
  router.get('/', async (ctx) => {
    const { etag, text } = await store.read(readCatalogue);
    ctx.etag = etag;
    ctx.type = 'application/json';
    ctx.status = 200;
    if (ctx.fresh) ctx.status = 304;
    else ctx.body = text;
  });
  router.get('/kit', async (ctx) => {
    const { etag, kit } = await store.read(readKit);
    ctx.etag = etag;
    ctx.status = 200;
    if (ctx.fresh) ctx.status = 304;
    else ctx.body = kit;
  });
  router.put('/mounts/:id', async (ctx) => {
    const checked = checkFile(api.saveMount, ctx.request.body ?? {});
    if (!checked.ok)
      throw createError(422, 'this mount is not valid; nothing was saved', {
        faults: checked.faults,
      });
    const { mount, editId } = checked.value;
    if (mount.id !== ctx.params.id)
      throw createError(422, 'the address and the mount have different ids; nothing was saved');
    const saved = await store.run((db) => saveMounts(db, [mount], editId, now().toISOString()));
    if (saved === 'reused') throw createError(422, REUSED);
    const [latest] = await store.read((db) => mountVersions(db, mount.id));
    ctx.body = { id: mount.id, version: latest?.version ?? 1 };
  });
  router.get('/mounts/:id/history', async (ctx) => {
    const versions = await store.read((db) => mountVersions(db, ctx.params.id ?? ''));
    if (versions.length === 0) throw createError(404, 'there is no such mount');
    ctx.body = { versions };
  });
  return router;
}
