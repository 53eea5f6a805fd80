import type { Middleware } from 'koa';

const LOCAL = ['localhost', '127.0.0.1', '[::1]'];

/** Answers only to a local name, so that no page elsewhere can reach the rooms through a name of its own. */
export const localOnly: Middleware = (ctx, next) => {
  if (!LOCAL.includes(ctx.hostname) && ctx.hostname !== '::1')
    ctx.throw(421, 'this server answers on this machine only');
  return next();
};
