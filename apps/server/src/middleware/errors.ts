import type { Middleware } from 'koa';
import type { Logger } from 'pino';

/** The one error boundary: a message reaches the client only when the fault is the client's. */
export function errorBoundary(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body === undefined && ctx.path.startsWith('/api/'))
        ctx.throw(404, 'there is nothing at this address');
    } catch (error) {
      const e = error as { status?: number; message?: string; faults?: unknown };
      const status = e.status ?? 500;
      ctx.status = status;
      ctx.body = {
        error: status === 500 ? 'internal' : status === 413 ? 'too-large' : 'refused',
        message: status < 500 ? messageOf(status, e.message ?? '') : 'something went wrong here; nothing was saved',
        ...(e.faults ? { faults: e.faults } : {}),
      };
      if (status >= 500) log.error({ err: error, path: ctx.path }, 'request failed');
    }
  };
}

function messageOf(status: number, message: string): string {
  if (status === 413) return 'this is larger than a room may be (2 MB)';
  if (status === 400 && /JSON|token|position/i.test(message)) return `the body is not JSON: ${message}`;
  return message;
}
