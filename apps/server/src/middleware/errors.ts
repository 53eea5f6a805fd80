import type { Middleware } from 'koa';
import type { Logger } from 'pino';
import { troubleOf, type Trouble } from '../db/databaseErrors';
import { Unreadable } from '../db/rooms';
import { loggedError } from './loggedError';
import { requestIdIn } from './requestLog';

interface Answer {
  status: number;
  error: string;
  message: string;
}

/** Something that whoever runs the server can put right; nothing was saved, and the device keeps it. */
const TROUBLES: Record<Trouble, Answer> = {
  full: { status: 507, error: 'disk-full', message: "the server's disk is full; nothing was saved" },
  'read-only': {
    status: 507,
    error: 'read-only',
    message: "the server's database cannot be written; nothing was saved",
  },
  locked: { status: 503, error: 'locked', message: "another program holds the server's database; nothing was saved" },
  gone: { status: 503, error: 'unreachable', message: "the server's database cannot be reached; nothing was saved" },
};

/** The one error boundary: a message reaches the client only when the fault is the client's. */
export function errorBoundary(log: Logger): Middleware {
  return async (ctx, next) => {
    try {
      await next();
      if (ctx.status === 404 && ctx.body === undefined && ctx.path.startsWith('/api/'))
        ctx.throw(404, 'there is nothing at this address');
    } catch (error) {
      const { faults } = error as { faults?: unknown };
      const { status, ...said } = answerTo(error);
      ctx.status = status;
      ctx.body = { ...said, ...(faults ? { faults } : {}) };
      if (status === 503) ctx.set('Retry-After', '2');
      const { retryAfter } = error as { retryAfter?: unknown };
      if (typeof retryAfter === 'number') ctx.set('Retry-After', String(retryAfter));
      if (status >= 500) log.error({ error: loggedError(error), request: requestIdIn(ctx) }, 'request failed');
    }
  };
}

function answerTo(error: unknown): Answer {
  const { status = 500, message = '', code } = error as { status?: number; message?: string; code?: unknown };
  if (error instanceof Unreadable) return { status: 500, error: 'unreadable', message: error.message };
  if (status < 500) return { status, error: nameOf(status, code), message: messageOf(status, message) };
  if (status === 503) return { status, error: 'busy', message };
  const trouble = troubleOf(error);
  if (trouble) return TROUBLES[trouble];
  return { status: 500, error: 'internal', message: 'something went wrong here; nothing was saved' };
}

/** What a refusal is called, for programs: its own name where whoever refused gave it one. */
function nameOf(status: number, code: unknown): string {
  if (typeof code === 'string') return code;
  return status === 413 ? 'too-large' : 'refused';
}

function messageOf(status: number, message: string): string {
  // in the body parser's words; what has a limit of its own says it itself
  return status === 413 && message === 'request entity too large'
    ? 'this is larger than a room may be (2 MB)'
    : message;
}
