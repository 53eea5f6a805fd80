import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import { ROOT } from './lib.mjs';

/** A .br beside every text file of the exported app. */
const out = join(ROOT, 'apps/web/dist');
for (const entry of readdirSync(out, { recursive: true, withFileTypes: true })) {
  if (!entry.isFile() || !/\.(js|css|html|json|svg)$/.test(entry.name)) continue;
  const file = join(entry.parentPath, entry.name);
  const body = readFileSync(file);
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: 11,
    [constants.BROTLI_PARAM_SIZE_HINT]: body.length,
  };
  writeFileSync(`${file}.br`, brotliCompressSync(body, { params }));
}
