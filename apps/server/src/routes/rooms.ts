import Router from '@koa/router';
import createError from 'http-errors';
import { api, checkFile, type RoomHeads, type RoomList } from '@steddo/contract';
import type { Store } from '../db/client';
import { DAYS_TO_TAKE_BACK } from '../db/forgetting';
import {
  deleteRoom,
  deletedAtOf,
  findRefused,
  findRevision,
  findRoom,
  knowsRevision,
  headsOf,
  listDeleted,
  listRevisions,
  listRooms,
  rawRoom,
  takeBack,
  type Listing,
} from '../db/rooms';
import { saveRoom, type SaveResult } from '../db/saving';
import { deviceIn } from '../middleware/callers';
import { roomId } from './roomId';

export interface RoomsParts {
  store: Store;
  now: () => Date;
  newId: () => string;
  /** Records that could not be read when the server started. */
  aside: () => RoomList['aside'];
}

/** Rooms as whole documents, their revisions, and what was refused. */
export function roomRoutes({ store, now, newId, aside }: RoomsParts): Router {
  const router = new Router({ prefix: '/api/rooms' });
  const { database } = store;
  router.get('/', async (ctx) => {
    const listing = listingOf(ctx.query);
    const page = await store.read((db) => listRooms(db, listing));
    // what was taken away or set aside is told once, with the top of the list
    const top = listing.after === undefined && listing.words === undefined;
    const deleted = top ? await store.read(listDeleted) : [];
    const body: RoomList = { database, ...page, deleted, aside: top ? aside() : [] };
    ctx.body = body;
  });
  router.get('/heads', async (ctx) => {
    const ids = idsOf(ctx.query.ids);
    const body: RoomHeads = { database, rooms: await store.read((db) => headsOf(db, ids)) };
    ctx.body = body;
  });
  router.get('/:id', async (ctx) => {
    const id = roomId(ctx.params.id);
    const room = await store.read((db) => findRoom(db, id));
    if (!room) return await gone(id, ctx);
    const base = typeof ctx.query.base === 'string' ? ctx.query.base : '';
    const known = base === '' || (await store.read((db) => knowsRevision(db, id, base)));
    ctx.body = { ...room, database, known };
  });
  /** The record as it lies there, for one that cannot be read. */
  router.get('/:id/record', async (ctx) => {
    const text = await store.read((db) => rawRoom(db, roomId(ctx.params.id)));
    if (text === undefined) throw createError(404, 'there is no such room');
    ctx.attachment(`${ctx.params.id}.json`);
    ctx.type = 'application/octet-stream';
    ctx.body = text;
  });
  router.get('/:id/revisions', async (ctx) => {
    ctx.body = await store.read((db) => listRevisions(db, roomId(ctx.params.id)));
  });
  router.get('/:id/revisions/:version', async (ctx) => {
    const version = Number(ctx.params.version);
    const found = Number.isSafeInteger(version)
      ? await store.read((db) => findRevision(db, roomId(ctx.params.id), version))
      : undefined;
    if (!found) throw createError(404, 'there is no such revision');
    ctx.body = found;
  });
  router.get('/:id/refused/:edit', async (ctx) => {
    const found = await store.read((db) => findRefused(db, roomId(ctx.params.id), ctx.params.edit ?? ''));
    if (!found) throw createError(404, 'there is no such save');
    ctx.body = found;
  });
  router.put('/:id', async (ctx) => {
    const id = roomId(ctx.params.id);
    const checked = checkFile(api.saveRequest, ctx.request.body ?? {});
    if (!checked.ok)
      throw createError(422, 'this room is not valid; nothing was saved', {
        faults: checked.faults,
      });
    const own = deviceIn(ctx);
    const by = own ? { person: own.person, device: own.name } : { person: '', device: checked.value.device ?? '' };
    const saving = { now: now().toISOString(), revision: newId(), ...by };
    const result = await store.run((db) => saveRoom(db, id, checked.value, saving));
    answer(ctx, id, result);
  });
  router.delete('/:id', async (ctx) => {
    const id = roomId(ctx.params.id);
    const done = await store.run((db) => deleteRoom(db, id, now().toISOString()));
    if (!done) throw createError(404, 'there is no such room');
    ctx.body = { id, days: DAYS_TO_TAKE_BACK };
  });
  router.post('/:id/take-back', async (ctx) => {
    const id = roomId(ctx.params.id);
    const done = await store.run((db) => takeBack(db, id));
    if (!done) throw createError(404, 'there is no such room among those that were taken away');
    ctx.body = { id };
  });
  return router;

  async function gone(id: string, ctx: Answering): Promise<void> {
    absent(ctx, 'there is no such room', await store.read((db) => deletedAtOf(db, id)));
  }

  /** A room that this server does not have: never had, or taken away at some moment. */
  function absent(ctx: Answering, unknown: string, deletedAt: string | undefined): void {
    ctx.status = deletedAt === undefined ? 404 : 410;
    ctx.body =
      deletedAt === undefined
        ? { error: 'unknown', message: unknown, database }
        : { error: 'deleted', message: `this room was taken away on ${deletedAt}`, deletedAt, database };
  }

  function answer(ctx: Answering, id: string, result: SaveResult): void {
    switch (result.kind) {
      case 'saved': {
        const { version, revision, savedAt } = result;
        ctx.body = { id, version, revision, savedAt, database };
        return;
      }
      case 'stale':
        ctx.status = 409;
        ctx.body = {
          error: 'stale',
          message: 'somebody saved this room in the meantime',
          database,
          theirs: result.theirs,
          known: result.known,
          since: result.since.slice(0, MOST_SINCE),
        };
        return;
      case 'unknown':
        return absent(ctx, 'this server has never had the version that this edit is about', undefined);
      case 'deleted':
        return absent(ctx, '', result.deletedAt);
      case 'reused':
        throw createError(422, 'an edit of this id was saved before and said something else; nothing was saved');
    }
  }
}

/** What of a request is needed to answer it. */
type Answering = { status: number; body?: unknown };

/** Revisions that a refusal tells; the whole list has its own address. */
const MOST_SINCE = 50;

/** Which part of the list an address asks for. */
function listingOf({ after, words }: Record<string, string | string[] | undefined>): Listing {
  const [, savedAt, id] = (typeof after === 'string' && /^([^ ]{1,40}) ([a-z0-9-]{1,40})$/.exec(after)) || [];
  if (after !== undefined && (savedAt === undefined || id === undefined))
    throw createError(400, 'after: takes the moment and the id of a room of the list, with a space between them');
  if (words !== undefined && (typeof words !== 'string' || words.trim() === '' || words.length > MOST_WORDS))
    throw createError(400, `words: takes up to ${MOST_WORDS} letters to look for`);
  return {
    ...(savedAt !== undefined && id !== undefined ? { after: { savedAt, id } } : {}),
    ...(typeof words === 'string' ? { words: words.trim() } : {}),
  };
}

function idsOf(ids: string | string[] | undefined): string[] {
  const all = typeof ids === 'string' && ids !== '' ? ids.split(',') : [];
  if (all.length === 0 || all.length > api.MOST_ASKED)
    throw createError(400, `ids: takes 1 to ${api.MOST_ASKED} ids of rooms, with commas between them`);
  return all.map(roomId);
}

const MOST_WORDS = 80;
