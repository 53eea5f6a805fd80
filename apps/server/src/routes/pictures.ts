import Router from '@koa/router';
import createError from 'http-errors';
import type { Context } from 'koa';
import getRawBody from 'raw-body';
import { PICTURE, api, checkFile } from '@steddo/contract';
import type { Store } from '../db/client';
import { findPicture, listPictures, takePiece } from '../db/pictures';
import { findRoom } from '../db/rooms';
import { roomId } from './roomId';

/** Pictures of rooms, in pieces on the way in. They stand before the body parser, which would refuse what is no JSON. */
export function pictureRoutes(store: Store, now: () => Date): Router {
  const router = new Router({ prefix: '/api/rooms' });
  router.put('/:id/pictures/:picture', async (ctx) => {
    const id = roomId(ctx.params.id);
    const { from, size, sha256 } = ctx.query;
    const asked = { picture: ctx.params.picture, from: numberOf(from), size: numberOf(size), sha256 };
    const checked = checkFile(api.pieceRequest, asked);
    if (!checked.ok) throw createError(422, 'nothing was saved: no such piece', { faults: checked.faults });
    if (!ctx.is('application/octet-stream')) throw createError(415, 'takes application/octet-stream');
    const bytes = await bodyOf(ctx);
    const result = await store.run(async (db) =>
      (await findRoom(db, id)) ? takePiece(db, id, { ...checked.value, bytes, now: now().toISOString() }) : undefined,
    );
    if (!result) throw createError(404, 'there is no such room');
    if (result.kind === 'refused')
      throw createError(422, 'this picture is not taken; nothing was saved', { faults: [result.fault] });
    const { received, whole } = result;
    ctx.status = result.kind === 'gap' ? 409 : 200;
    ctx.body =
      result.kind === 'gap'
        ? { error: 'gap', message: `goes on at ${received}`, received, whole }
        : { received, whole };
  });
  router.get('/:id/pictures', async (ctx) => {
    ctx.body = { whole: await store.read((db) => listPictures(db, roomId(ctx.params.id))) };
  });
  router.get('/:id/pictures/:picture', async (ctx) => {
    const bytes = await store.read((db) => findPicture(db, roomId(ctx.params.id), ctx.params.picture ?? ''));
    if (!bytes) throw createError(404, 'there is no such picture');
    ctx.type = 'image/jpeg';
    ctx.body = bytes;
  });
  return router;
}

/** One piece; a longer one is refused before it is read. */
async function bodyOf(ctx: Context): Promise<Buffer> {
  try {
    return await getRawBody(ctx.req, { limit: PICTURE.pieceBytes, length: ctx.get('content-length') || null });
  } catch (error) {
    const { status } = error as { status?: number };
    throw status === 413 ? createError(413, 'a piece of a picture is 256 kB at most') : error;
  }
}

/** What a query says as a number; left as it is where it says none, for the fault to name. */
const numberOf = (value: string | string[] | undefined): unknown =>
  typeof value === 'string' && /^\d{1,9}$/.test(value) ? Number(value) : value;
