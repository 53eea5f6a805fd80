import { Transform, type Readable } from 'node:stream';
import Router from '@koa/router';
import { parse } from 'csv-parse';
import createError from 'http-errors';
import {
  catalogue as format,
  catalogueReader,
  checkFile,
  type Catalogue,
  type Checked,
  type Fault,
} from '@steddo/contract';
import { saveMounts } from '../db/catalogue';
import type { Store } from '../db/client';

/** Larger than any catalogue of twenty thousand mounts. */
const MOST_BYTES = 80 * 1024 * 1024;
/** More faults than this are counted, not listed. */
const MOST_FAULTS = 500;

/**
 * Takes a whole catalogue, CSV as it streams in or JSON; all of it or nothing. It stands before the
 * body parser, which would refuse files of this size.
 */
export function importRoutes(store: Store, now: () => Date): Router {
  const router = new Router({ prefix: '/api/catalogue' });
  router.post('/import', async (ctx) => {
    const editId = ctx.get('x-edit-id') || `import-${now().toISOString()}`;
    if (!ctx.is('text/csv', 'application/json')) throw createError(415, 'takes text/csv or application/json');
    const body = ctx.req.pipe(limited());
    const checked = ctx.is('text/csv') ? await readCsv(body) : await readJson(body);
    if (!checked.ok)
      throw createError(422, `nothing was taken: ${count(checked.faults.length)}`, {
        faults: shortened(checked.faults),
      });
    const { mounts } = checked.value;
    await store.run((db) => saveMounts(db, mounts, editId, now().toISOString()));
    ctx.body = { mounts: mounts.length };
  });
  return router;
}

const count = (faults: number): string => (faults === 1 ? 'one fault' : `${faults} faults`);

function shortened(faults: readonly Fault[]): Fault[] {
  const more = faults.length - MOST_FAULTS;
  if (more <= 0) return [...faults];
  return [...faults.slice(0, MOST_FAULTS), { path: '(file)', reason: `and ${more} more faults like these` }];
}

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

async function readCsv(body: Readable): Promise<Checked<Catalogue>> {
  const reader = catalogueReader();
  const rows = body.pipe(parse({ relaxColumnCount: true, bom: true, skipEmptyLines: false }));
  body.on('error', (error) => rows.destroy(error));
  try {
    for await (const cells of rows) reader.add(cells as string[]);
  } catch (error) {
    if (createError.isHttpError(error)) throw error;
    const reason = error instanceof Error ? error.message : String(error);
    return { ok: false, faults: [{ path: `row ${reader.count() + 2}`, reason }] };
  }
  return reader.finish();
}

async function readJson(body: Readable): Promise<Checked<Catalogue>> {
  const chunks: Buffer[] = [];
  for await (const chunk of body) chunks.push(chunk as Buffer);
  let value: unknown;
  try {
    value = JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch (error) {
    const reason = `is not JSON: ${error instanceof Error ? error.message : ''}`;
    return { ok: false, faults: [{ path: '(file)', reason }] };
  }
  return checkFile(format, value);
}
