import createError from 'http-errors';
import type { Context, Middleware } from 'koa';
import rateLimit from 'koa-ratelimit';
import { isBeyond, type Reach } from '../reach';
import { callerIn, deviceIn } from './callers';

const MINUTE_MS = 60_000;
/** Ten a second: a phone that sends a day's pictures stays below it. */
const OF_A_DEVICE = 600;
/** A stranger asks whether there is a crew, gives a code, or looks at one room with its pictures. */
const OF_A_STRANGER = 120;

/** Sources that are counted at once; whoever comes from so many addresses is not held back by counting them. */
const MOST_COUNTED = 10_000;

/** How much one device, or one address that is no device, may ask in a minute. Counted by each process for itself. */
export function requestLimits(reach: Reach): Middleware {
  if (!isBeyond(reach)) return (_ctx, next) => next();
  const counted = new Map<string, unknown>();
  const limit = (max: number) => {
    // its types do not know of `onLimited`
    const options = {
      driver: 'memory' as const,
      db: counted,
      duration: MINUTE_MS,
      max,
      id: (ctx: Context) => deviceIn(ctx)?.id ?? callerIn(ctx).address,
      disableHeader: true,
      onLimited: () => {
        throw createError(429, 'too many requests: try again in a minute', { code: 'too-many', retryAfter: 60 });
      },
    };
    return rateLimit(options);
  };
  const ofDevice = limit(OF_A_DEVICE);
  const ofStranger = limit(OF_A_STRANGER);
  return (ctx, next) => {
    if (!ctx.path.startsWith('/api/')) return next();
    if (counted.size > MOST_COUNTED) counted.clear();
    return (deviceIn(ctx) ? ofDevice : ofStranger)(ctx, next);
  };
}
