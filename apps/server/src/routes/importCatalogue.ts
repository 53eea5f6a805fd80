import { Readable, Transform } from 'node:stream';
import Router from '@koa/router';
import { parse } from 'csv-parse';
import createError from 'http-errors';
import {
  catalogueFromJson,
  catalogueReader,
  MOST_FAULTS,
  separatorOf,
  type Catalogue,
  type Checked,
} from '@steddo/contract';
import { saveMounts } from '../db/catalogue';
import type { Store } from '../db/client';
import { JsonBrackets } from '../jsonBrackets';
import { REUSED } from './catalogue';

/** Rows that are checked between two breaths. */
const ROWS_AT_ONCE = 100;
/** Lists and objects of fifty thousand mounts, forty each. */
const MOST_PARTS = 2_000_000;
/** Larger than any catalogue of twenty thousand mounts. */
const MOST_BYTES = 80 * 1024 * 1024;

export interface ImportParts {
  store: Store;
  now: () => Date;
  newId: () => string;
}

/**
 * Takes a whole catalogue, CSV as it streams in or JSON; all of it or nothing. It stands before the
 * body parser, which would refuse files of this size.
 */
export function importRoutes({ store, now, newId }: ImportParts): Router {
  const router = new Router({ prefix: '/api/catalogue' });
  router.post('/import', async (ctx) => {
    const editId = ctx.get('x-edit-id').slice(0, 80) || `import-${newId()}`;
    if (!ctx.is('text/csv', 'application/json')) throw createError(415, 'takes text/csv or application/json');
    const body = ctx.req.pipe(limited());
    const checked = ctx.is('text/csv') ? await readCsv(body) : await readJson(body);
    if (!checked.ok)
      throw createError(422, `nothing was taken: ${count(checked.faults)}`, {
        faults: checked.faults,
      });
    const { mounts } = checked.value;
    const saved = await store.run((db) => saveMounts(db, mounts, editId, now().toISOString()));
    if (saved === 'reused') throw createError(422, REUSED);
    ctx.body = { mounts: mounts.length };
  });
  return router;
}

/** Others get their turn while a large file is checked. */
const breathe = (): Promise<boolean> => new Promise((resolve) => setImmediate(() => resolve(true)));

const count = ({ length }: readonly unknown[]): string =>
  length > MOST_FAULTS ? `more than ${MOST_FAULTS} faults` : length === 1 ? 'one fault' : `${length} faults`;

function limited(): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) done(createError(413, 'the file is larger than 80 MB'));
      else done(null, chunk);
    },
  });
}

/** More than the names of all columns. */
const HEAD_BYTES = 16 * 1024;

/** The beginning of a stream, its first line at least, and all of it again. */
async function peeked(body: Readable): Promise<{ start: string; whole: Readable }> {
  const chunks = body[Symbol.asyncIterator]() as AsyncIterableIterator<Buffer>;
  let start = Buffer.alloc(0);
  while (start.length < HEAD_BYTES && !start.includes('\n')) {
    const next = await chunks.next();
    if (next.done) break;
    start = Buffer.concat([start, next.value]);
  }
  async function* again() {
    yield start;
    yield* chunks;
  }
  return { start: start.toString('utf8'), whole: Readable.from(again(), { objectMode: false }) };
}

async function readCsv(body: Readable): Promise<Checked<Catalogue>> {
  const reader = catalogueReader();
  const { start, whole } = await peeked(body);
  const delimiter = separatorOf(start);
  const rows = whole.pipe(parse({ delimiter, relaxColumnCount: true, bom: true, skipEmptyLines: false }));
  whole.on('error', (error) => rows.destroy(error));
  try {
    for await (const cells of rows) {
      reader.add(cells as string[]);
      if (reader.count() % ROWS_AT_ONCE === 0) await breathe();
    }
  } catch (error) {
    if (createError.isHttpError(error)) throw error;
    const reason = error instanceof Error ? error.message : String(error);
    return { ok: false, faults: [{ path: `row ${reader.count() + 2}`, reason }] };
  }
  return reader.finish();
}

async function readJson(body: Readable): Promise<Checked<Catalogue>> {
  const chunks: Buffer[] = [];
  const brackets = new JsonBrackets();
  for await (const chunk of body) {
    chunks.push(chunk as Buffer);
    brackets.add(chunk as Buffer);
  }
  if (brackets.count > MOST_PARTS) {
    const reason = `has ${brackets.count} lists and objects; ${MOST_PARTS} are the most`;
    return { ok: false, faults: [{ path: '(file)', reason }] };
  }
  let value: unknown;
  try {
    value = JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch (error) {
    const reason = `is not JSON: ${error instanceof Error ? error.message : ''}`;
    return { ok: false, faults: [{ path: '(file)', reason }] };
  }
  const checked = await catalogueFromJson(value, breathe);
  return checked ?? { ok: false, faults: [] };
}
