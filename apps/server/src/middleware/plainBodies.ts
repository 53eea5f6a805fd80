import type { Middleware } from 'koa';

/** Bodies come as they are: what is packed could be any size once it is unpacked. */
export const plainBodies: Middleware = (ctx, next) => {
  const packed = ctx.get('content-encoding');
  if (packed !== '' && packed !== 'identity')
    ctx.throw(415, `takes bodies as they are, not packed with "${packed.slice(0, 40)}"`);
  return next();
};
