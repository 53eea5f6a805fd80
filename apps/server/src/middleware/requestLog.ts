import { randomUUID } from 'node:crypto';
import type { Context, Middleware } from 'koa';
import type { Logger } from 'pino';

const HEADER = 'X-Request-Id';

/** What a request is known by in the log, and to who asks what became of it. */
export const requestIdIn = (ctx: Pick<Context, 'response'>): string => String(ctx.response.get(HEADER));

/** The address as its route writes it: no room, picture or link can be told from it. */
export const routeOf = (ctx: Context): string => (ctx as { _matchedRoute?: string })._matchedRoute ?? '(none)';

/** How long each request took, for the log and for the numbers. */
export type Timed = (asked: { method: string; route: string; status: number; ms: number }) => void;

/** One structured line for each request to the API, but for what every page asks every few seconds; nobody's name or address. */
export function requestLog(log: Logger, now: () => Date, timed: Timed): Middleware {
  return async (ctx, next) => {
    const start = now().getTime();
    ctx.set(HEADER, randomUUID());
    await next();
    const asked = { method: ctx.method, route: routeOf(ctx), status: ctx.status, ms: now().getTime() - start };
    timed(asked);
    if (!ctx.path.startsWith('/api/') || ctx.path === '/api/changes') return;
    log.info({ ...asked, request: requestIdIn(ctx) }, 'request');
  };
}
