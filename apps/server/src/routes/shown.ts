import Router from '@koa/router';
import createError from 'http-errors';
import type { Context } from 'koa';
import type { ShownRoom } from '@steddo/contract';
import { readKit } from '../db/catalogue';
import type { Store } from '../db/client';
import { noteOpened, roomOfLink } from '../db/links';
import { findPicture } from '../db/pictures';
import { findRoom } from '../db/rooms';

/** What a customer's link shows: its one room, and nothing else of this server. Only reading. */
export function shownRoutes(store: Store, now: () => Date): Router {
  const router = new Router({ prefix: '/api/shown' });
  router.get('/', async (ctx) => {
    const link = await linkOf(ctx);
    const room = await store.read((db) => findRoom(db, link.roomId));
    if (!room) throw nothing();
    await store.run((db) => noteOpened(db, link.id, now().toISOString()));
    const { kit } = await store.read(readKit);
    const body: ShownRoom = { job: room.job, savedAt: room.savedAt, kit };
    ctx.body = body;
  });
  router.get('/pictures/:picture', async (ctx) => {
    const { roomId } = await linkOf(ctx);
    const picture = ctx.params.picture ?? '';
    const room = await store.read((db) => findRoom(db, roomId));
    // what the room does not name any more is not shown either
    const named = room?.job.photos?.some((p) => p.id === picture) ?? false;
    const bytes = named ? await store.read((db) => findPicture(db, roomId, picture)) : undefined;
    if (!bytes) throw createError(404, 'there is no such picture');
    ctx.type = 'image/jpeg';
    ctx.body = bytes;
  });
  return router;

  async function linkOf(ctx: Context) {
    const [, secret] = /^Bearer ([\w-]{43})$/.exec(ctx.get('authorization')) ?? [];
    const link = secret === undefined ? undefined : await store.read((db) => roomOfLink(db, secret));
    if (!link) throw nothing();
    return link;
  }
}

const nothing = () => createError(404, 'this link shows nothing: it was withdrawn, or the room is gone');
