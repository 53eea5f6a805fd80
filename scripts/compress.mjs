import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import { ROOT } from './lib.mjs';

const out = join(ROOT, 'apps/web/dist');

/** A .br beside every text file of the exported app, all cores at it. */
const compressed = promisify(brotliCompress);
const files = readdirSync(out, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && /\.(js|css|html|json|svg)$/.test(entry.name))
  .map((entry) => join(entry.parentPath, entry.name));
await Promise.all(
  files.map(async (file) => {
    const body = readFileSync(file);
    const params = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: body.length };
    writeFileSync(`${file}.br`, await compressed(body, { params }));
  }),
);
