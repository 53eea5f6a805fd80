import createError from 'http-errors';
import type { Middleware } from 'koa';
import { callerIn } from './callers';

const READING = ['GET', 'HEAD', 'OPTIONS'];

/**
 * Takes writes from pages of its own only. A browser says where a page stands, in every write and not to be changed
 * by the page; a program that says nothing of it is taken at its word as long as no cookie speaks for it.
 */
export const ownPages: Middleware = (ctx, next) => {
  if (READING.includes(ctx.method)) return next();
  const origin = ctx.get('origin');
  const site = ctx.get('sec-fetch-site');
  const from = origin !== '' && origin !== callerIn(ctx).origin;
  const elsewhere = site !== '' && site !== 'same-origin';
  const unsaid = origin === '' && site === '' && ctx.get('cookie') !== '';
  if (from || elsewhere || unsaid)
    throw createError(403, 'takes this from its own pages only; nothing was saved', { code: 'cross-origin' });
  return next();
};
