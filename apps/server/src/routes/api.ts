import Router from '@koa/router';
import createError from 'http-errors';
import { api, checkFile } from '@steddo/contract';
import type { Store } from '../db/client';
import { findRevision, findRoom, listRevisions, listRooms, saveRoom } from '../db/rooms';

/** The API: rooms as whole documents, and their revisions. */
export function apiRoutes(store: Store, now: () => Date): Router {
  const router = new Router({ prefix: '/api' });
  router.get('/health', async (ctx) => {
    await store.run((db) => db.run('select 1'));
    ctx.body = { ok: true };
  });
  router.get('/rooms', async (ctx) => {
    ctx.body = { rooms: await store.run(listRooms) };
  });
  router.get('/rooms/:id', async (ctx) => {
    const room = await store.run((db) => findRoom(db, roomId(ctx.params.id)));
    if (!room) throw createError(404, 'there is no such room');
    ctx.body = room;
  });
  router.get('/rooms/:id/revisions', async (ctx) => {
    ctx.body = { revisions: await store.run((db) => listRevisions(db, roomId(ctx.params.id))) };
  });
  router.get('/rooms/:id/revisions/:version', async (ctx) => {
    const version = Number(ctx.params.version);
    const found = Number.isInteger(version)
      ? await store.run((db) => findRevision(db, roomId(ctx.params.id), version))
      : undefined;
    if (!found) throw createError(404, 'there is no such revision');
    ctx.body = found;
  });
  router.put('/rooms/:id', async (ctx) => {
    const id = roomId(ctx.params.id);
    const checked = checkFile(api.saveRequest, ctx.request.body ?? {});
    if (!checked.ok)
      throw createError(422, 'this room is not valid; nothing was saved', {
        faults: checked.faults,
      });
    const result = await store.run((db) => saveRoom(db, id, checked.value, now().toISOString()));
    if (result.kind === 'stale') {
      ctx.status = 409;
      ctx.body = {
        error: 'stale',
        message: 'somebody saved this room in the meantime; both versions are here',
        mine: checked.value,
        theirs: result.theirs,
      };
      return;
    }
    ctx.body = { id, version: result.version, savedAt: result.savedAt };
  });
  return router;
}

function roomId(value: string | undefined): string {
  const checked = checkFile(api.roomIdParam, value);
  if (!checked.ok) throw createError(400, `the room's id ${checked.faults[0]?.reason ?? 'is not valid'}`);
  return checked.value;
}
