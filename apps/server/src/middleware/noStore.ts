import type { Middleware } from 'koa';

/** Asked for again each time, and sent only where it has changed: twenty thousand mounts, and nobody's. */
const ASKED_AGAIN = new Set(['/api/catalogue', '/api/catalogue/kit']);

/** What the API says of rooms and people is kept by no browser and nothing on the way; the app keeps what it needs itself. */
export const noStore: Middleware = (ctx, next) => {
  if (ctx.path.startsWith('/api/'))
    ctx.set('Cache-Control', ASKED_AGAIN.has(ctx.path) && ctx.method === 'GET' ? 'private, no-cache' : 'no-store');
  return next();
};
