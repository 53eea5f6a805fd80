import Router from '@koa/router';
import createError from 'http-errors';
import type { Context } from 'koa';
import { checkFile, crew, type CrewReply, type EnterRequest } from '@steddo/contract';
import { PasscodeTries, passcodeHash } from '../crew/passcode';
import { newCode, newSecret } from '../crew/proof';
import { countTry, forgetTries, lockedUntil, sourceOf } from '../db/attempts';
import type { Store } from '../db/client';
import { deviceOf, letIn, listDevices, offerCode, renameDevice, spendCode, takeOut, type Device } from '../db/devices';
import { callerIn, deviceIn } from '../middleware/callers';
import { giveCookie, secretIn, takeCookie } from '../middleware/crewOnly';
import { isBeyond, type Reach } from '../reach';

export interface CrewRouteParts {
  store: Store;
  now: () => Date;
  newId: () => string;
  reach: Reach;
  /** Somebody was not let in. */
  refused: (why: 'wrong' | 'locked') => void;
}

const meOf = ({ id, person, name }: Device) => ({ id, person, name });

/** Who is in the crew and on what: let in, shown, renamed, taken out. */
export function crewRoutes({ store, now, newId, reach, refused }: CrewRouteParts): Router {
  const router = new Router({ prefix: '/api/crew' });
  const tries = new PasscodeTries();

  router.get('/', async (ctx) => {
    const secret = secretIn(ctx);
    const known = secret === undefined ? undefined : await store.read((db) => deviceOf(db, secret));
    const body: CrewReply = {
      crew: isBeyond(reach) || (await store.read(passcodeHash)) !== undefined,
      ...(known && known.takenOutAt === null ? { me: meOf(known) } : {}),
      ...(known?.takenOutAt ? { takenOut: { at: known.takenOutAt } } : {}),
    };
    ctx.body = body;
  });

  router.post('/enter', async (ctx) => {
    const asked = checked(crew.enterRequest, ctx);
    const hash = await store.read(passcodeHash);
    if (hash === undefined) throw createError(404, 'this server has no crew: everybody on this machine is let in');
    const source = sourceOf(callerIn(ctx).address, store.database);
    if (!(await store.run((db) => countTry(db, source, now())))) {
      refused('locked');
      throw locked(await store.read((db) => lockedUntil(db, source, now())), now());
    }
    const by = await whoLetsIn(asked, hash);
    if (by === undefined) {
      refused('wrong');
      throw createError(401, WRONG[kindOf(asked)], { code: 'wrong' });
    }
    await store.run((db) => forgetTries(db, source));
    const secret = newSecret();
    const device = { id: newId(), person: asked.person, name: asked.device };
    const moment = now().toISOString();
    await store.run((db) => letIn(db, { ...device, secret, pairedBy: by, now: moment }));
    // a device that comes in again is not two
    const before = deviceIn(ctx);
    if (before) await store.run((db) => takeOut(db, before.id, device.id, moment));
    giveCookie(ctx, secret);
    const body: CrewReply = { crew: true, me: device };
    ctx.body = body;
  });

  router.get('/devices', async (ctx) => {
    inCrew(ctx);
    ctx.body = { devices: await store.read(listDevices) };
  });

  router.put('/me', async (ctx) => {
    const me = inCrew(ctx);
    const { person, device } = checked(crew.renameRequest, ctx);
    await store.run((db) => renameDevice(db, me.id, person, device));
    const body: CrewReply = { crew: true, me: { id: me.id, person, name: device } };
    ctx.body = body;
  });

  router.post('/pairings', async (ctx) => {
    const me = inCrew(ctx);
    const code = newCode();
    const endsAt = await store.run((db) => offerCode(db, code, me.id, now()));
    ctx.body = { code, endsAt };
  });

  router.delete('/devices/:id', async (ctx) => {
    const me = inCrew(ctx);
    const id = ctx.params.id ?? '';
    const done = await store.run((db) => takeOut(db, id, me.id, now().toISOString()));
    if (!done) throw createError(404, 'there is no such device in the crew');
    if (id === me.id) takeCookie(ctx);
    ctx.body = { id };
  });

  return router;

  /** The device that lets another one in: '' where the passcode does, undefined where nobody does. */
  async function whoLetsIn(asked: EnterRequest, hash: string): Promise<string | undefined> {
    if ('passcode' in asked) return (await tries.isRight(hash, asked.passcode)) ? '' : undefined;
    return store.run((db) => spendCode(db, asked.code, now().toISOString()));
  }
}

const kindOf = (asked: EnterRequest): keyof typeof WRONG => ('passcode' in asked ? 'passcode' : 'code');

const WRONG = {
  passcode: 'this is not the crew’s passcode',
  code: 'no device shows this code now; they are good for five minutes and for one device',
};

function locked(until: string | undefined, now: Date) {
  const left = until === undefined ? 0 : Date.parse(until) - now.getTime();
  const retryAfter = Math.max(1, Math.ceil(left / 1000));
  const wait = retryAfter < 120 ? `${retryAfter} seconds` : `${Math.ceil(retryAfter / 60)} minutes`;
  return createError(429, `too many wrong ones: nobody from here is let in for another ${wait}`, {
    code: 'locked',
    retryAfter,
  });
}

function inCrew(ctx: Context): Device {
  const device = deviceIn(ctx);
  if (!device) throw createError(404, 'this server has no crew');
  return device;
}

function checked<T>(schema: Parameters<typeof checkFile<T>>[0], ctx: Context): T {
  const result = checkFile(schema, (ctx.request as { body?: unknown }).body ?? {});
  if (!result.ok) throw createError(422, 'this cannot be taken; nothing was changed', { faults: result.faults });
  return result.value;
}
