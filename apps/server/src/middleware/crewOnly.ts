import createError from 'http-errors';
import type { Context, Middleware } from 'koa';
import { passcodeHash } from '../crew/passcode';
import type { Store } from '../db/client';
import { deviceOf, noteSeen } from '../db/devices';
import { isBeyond, type Reach } from '../reach';
import { callerIn, setDevice } from './callers';

/** Sent to this very name only, over encrypted ways, read by no script and with no request from elsewhere. */
const COOKIE = '__Host-steddo';
const KEPT_S = 400 * 86_400;

const attributes = 'Path=/; HttpOnly; Secure; SameSite=Strict';
export const giveCookie = (ctx: Context, secret: string): void =>
  ctx.set('Set-Cookie', `${COOKIE}=${secret}; Max-Age=${KEPT_S}; ${attributes}`);
export const takeCookie = (ctx: Context): void => ctx.set('Set-Cookie', `${COOKIE}=; Max-Age=0; ${attributes}`);
export const secretIn = (ctx: Context): string | undefined => ctx.cookies.get(COOKIE);

/** What a stranger may ask: whether there is a crew, to be let in, and what a customer's link shows. */
const OPEN = [/^\/api\/crew$/, /^\/api\/crew\/enter$/, /^\/api\/shown(\/|$)/];

export interface CrewParts {
  store: Store;
  now: () => Date;
  reach: Reach;
}

/** Lets the crew's devices pass, and everybody where this machine alone is asked and there is no crew. */
export function crewOnly({ store, now, reach }: CrewParts): Middleware {
  return async (ctx, next) => {
    if (!ctx.path.startsWith('/api/')) return next();
    if (!callerIn(ctx).secure)
      throw createError(403, 'takes nothing over a way that others can read along: use https', { code: 'insecure' });
    const secret = secretIn(ctx);
    const device = secret === undefined ? undefined : await store.read((db) => deviceOf(db, secret));
    if (device && device.takenOutAt === null) {
      setDevice(ctx, device);
      const today = now().toISOString().slice(0, 10);
      if (device.seenOn !== today) await store.run((db) => noteSeen(db, device, today));
      return next();
    }
    if (OPEN.some((path) => path.test(ctx.path))) return next();
    if (!isBeyond(reach) && (await store.read(passcodeHash)) === undefined) return next();
    if (device?.takenOutAt)
      throw createError(401, `this device was taken out of the crew on ${device.takenOutAt}`, { code: 'taken-out' });
    throw createError(401, 'this server asks who you are', { code: 'stranger' });
  };
}
