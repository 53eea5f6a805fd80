import type { Middleware } from 'koa';
import type { Logger } from 'pino';

/** One structured line for each request to the API, but for what every page asks every few seconds. */
export function requestLog(log: Logger, now: () => Date): Middleware {
  return async (ctx, next) => {
    const start = now().getTime();
    await next();
    if (!ctx.path.startsWith('/api/') || ctx.path === '/api/changes') return;
    log.info({ method: ctx.method, path: ctx.path, status: ctx.status, ms: now().getTime() - start }, 'request');
  };
}
