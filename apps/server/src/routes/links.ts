import Router from '@koa/router';
import createError from 'http-errors';
import { newSecret } from '../crew/proof';
import type { Store } from '../db/client';
import { listLinks, makeLink, withdrawLink } from '../db/links';
import { findRoom } from '../db/rooms';
import { deviceIn } from '../middleware/callers';
import { isBeyond, type Reach } from '../reach';
import { roomId } from './roomId';

export interface LinkParts {
  store: Store;
  now: () => Date;
  newId: () => string;
  reach: Reach;
}

/** Links by which a customer sees a room: made, told of, withdrawn. */
export function linkRoutes({ store, now, newId, reach }: LinkParts): Router {
  const router = new Router({ prefix: '/api/rooms' });
  router.get('/:id/links', async (ctx) => {
    ctx.body = { links: await store.read((db) => listLinks(db, roomId(ctx.params.id))) };
  });
  router.post('/:id/links', async (ctx) => {
    const id = roomId(ctx.params.id);
    if (!isBeyond(reach))
      throw createError(409, 'a customer cannot reach this server: it answers on this machine only');
    if (!(await store.read((db) => findRoom(db, id)))) throw createError(404, 'there is no such room');
    const made = { id: newId(), secret: newSecret() };
    const { person = '' } = deviceIn(ctx) ?? {};
    await store.run((db) => makeLink(db, { ...made, roomId: id, madeBy: person, now: now().toISOString() }));
    ctx.body = made;
  });
  router.delete('/:id/links/:link', async (ctx) => {
    const id = roomId(ctx.params.id);
    const link = ctx.params.link ?? '';
    const done = await store.run((db) => withdrawLink(db, id, link, now().toISOString()));
    if (!done) throw createError(404, 'there is no such link, or it was withdrawn before');
    ctx.body = { id: link };
  });
  return router;
}
