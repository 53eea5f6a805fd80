import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { guestRoom } from '@steddo/samples';
import { makeApp, type AppParts } from '../src/app';
import { openStore, type OpenParts, type Store } from '../src/db/client';

const now = () => new Date('2026-03-14T09:30:00Z');
let ids = 0;
export const newId = (): string => `mark-${++ids}`;
export const PARTS: OpenParts = { migrations: join(import.meta.dirname, '../drizzle'), newId, now };
export const aFile = (name = 'test.db'): string => join(mkdtempSync(join(tmpdir(), 'steddo-')), name);

const stores: Store[] = [];
export async function closeAll(): Promise<void> {
  for (const store of stores.splice(0)) await store.close();
}

/** The application over a database of its own, asked without a network. */
export async function openServer(path = aFile(), parts: Partial<OpenParts> = {}, app: Partial<AppParts> = {}) {
  const store = await openStore(path, { ...PARTS, ...parts });
  stores.push(store);
  const web = mkdtempSync(join(tmpdir(), 'steddo-web-'));
  mkdirSync(join(web, '_expo'));
  writeFileSync(join(web, 'index.html'), '<!doctype html><title>Steddo</title>');
  writeFileSync(join(web, '_expo/entry-0123456789abcdef.js'), 'plain');
  writeFileSync(join(web, '_expo/entry-0123456789abcdef.js.br'), 'packed');
  const koa = await makeApp({ store, log: pino({ level: 'silent' }), now, newId, web, ...app });
  return {
    store,
    path,
    app: koa,
    http: request(koa.callback()),
    forget: () => stores.splice(stores.indexOf(store), 1),
  };
}

/** An edit as it leaves a device. */
export const edit = (editId: string, baseVersion: number, title = guestRoom.title) => ({
  editId,
  baseVersion,
  touched: ['title'],
  job: { ...guestRoom, title },
});

export { now };
