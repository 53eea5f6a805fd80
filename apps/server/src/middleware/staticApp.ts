import { createHash } from 'node:crypto';
import { readFile, readdir } from 'node:fs/promises';
import { extname, join, relative } from 'node:path';
import type { Middleware } from 'koa';

interface Asset {
  body: Buffer;
  brotli?: Buffer;
  etag: string;
  type: string;
  immutable: boolean;
}

const TYPES: Record<string, string> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.json': 'application/json; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.webmanifest': 'application/manifest+json; charset=utf-8',
  '.png': 'image/png',
  '.ico': 'image/x-icon',
  '.woff2': 'font/woff2',
};

/** Names with a digest in them never change; everything else is asked for again. */
const HASHED = /[.-][0-9a-f]{16,}\./;

/**
 * Serves the exported web app from memory: precompressed, with ETags, hashed files for ever, and the
 * app itself for any address that is a page. An absent folder is a clear answer, not a crash.
 */
export async function staticApp(folder: string): Promise<Middleware> {
  const assets = await load(folder);
  return async (ctx, next) => {
    if (ctx.path.startsWith('/api/')) return next();
    if (ctx.method !== 'GET' && ctx.method !== 'HEAD') ctx.throw(405, 'pages are only read');
    const asset = assets.get(ctx.path) ?? (extname(ctx.path) === '' ? assets.get('/index.html') : undefined);
    if (!asset)
      return ctx.throw(404, assets.size === 0 ? 'the web app is not built: run npm run demo' : 'there is no such file');
    ctx.type = asset.type;
    ctx.etag = asset.etag;
    ctx.set('Cache-Control', asset.immutable ? 'public, max-age=31536000, immutable' : 'no-cache');
    ctx.vary('Accept-Encoding');
    ctx.status = 200;
    if (ctx.fresh) {
      ctx.status = 304;
      return;
    }
    const brotli = asset.brotli && ctx.acceptsEncodings('br', 'identity') === 'br';
    if (brotli) ctx.set('Content-Encoding', 'br');
    ctx.body = brotli ? asset.brotli : asset.body;
  };
}

async function load(folder: string): Promise<Map<string, Asset>> {
  const assets = new Map<string, Asset>();
  const entries = await readdir(folder, { recursive: true, withFileTypes: true }).catch(() => []);
  const files = entries.filter((e) => e.isFile()).map((e) => join(e.parentPath, e.name));
  for (const file of files.filter((f) => !f.endsWith('.br'))) {
    const body = await readFile(file);
    const name = `/${relative(folder, file)}`;
    assets.set(name, {
      body,
      ...(files.includes(`${file}.br`) ? { brotli: await readFile(`${file}.br`) } : {}),
      etag: createHash('sha256').update(body).digest('base64url').slice(0, 22),
      type: TYPES[extname(file)] ?? 'application/octet-stream',
      immutable: HASHED.test(name),
    });
  }
  return assets;
}
