import { bodyParser } from '@koa/bodyparser';
import createError from 'http-errors';
import type { Middleware } from 'koa';
import { JsonBrackets } from '../jsonBrackets';

/** Ten times as many as a room with every list full has. */
const MOST_PARTS = 200_000;
const TYPE = 'application/json';

const readText = bodyParser({ enableTypes: ['text'], extendTypes: { text: [TYPE] }, textLimit: '2mb' });

/** Bodies of JSON, read only where reading them holds nobody up. */
export const jsonBodies: Middleware = (ctx, next) =>
  readText(ctx, () => {
    const { body } = ctx.request as { body?: unknown };
    if (typeof body === 'string') ctx.request.body = parsed(body);
    return next();
  });

function parsed(text: string): unknown {
  if (text === '') return {};
  const brackets = new JsonBrackets();
  brackets.add(Buffer.from(text));
  if (brackets.count > MOST_PARTS) {
    const reason = `has ${brackets.count} lists and objects; ${MOST_PARTS} are the most`;
    throw createError(422, 'nothing was saved: one fault', { faults: [{ path: '(file)', reason }] });
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    throw createError(400, `the body is not JSON: ${error instanceof Error ? error.message : ''}`);
  }
}
