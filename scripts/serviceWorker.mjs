import { join } from 'node:path';
import { generateSW } from 'workbox-build';
import { ROOT, say } from './lib.mjs';

/**
 * The service worker of the exported app: all of it is kept at the first visit, so that home and every stage open
 * without a server. A new version waits until somebody takes it, on the list of rooms.
 */
const out = join(ROOT, 'apps/web/dist');
const { count, size, warnings } = await generateSW({
  globDirectory: out,
  globPatterns: ['index.html', 'app.css', 'icon*', 'manifest.webmanifest', 'fonts/*', '_expo/**/*.js'],
  globIgnores: ['**/*.br'],
  swDest: join(out, 'sw.js'),
  cacheId: 'steddo',
  // the names of Metro's files carry their digest
  dontCacheBustURLsMatching: /-[0-9a-f]{32}\./,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  clientsClaim: true,
  skipWaiting: false,
  cleanupOutdatedCaches: true,
  inlineWorkboxRuntime: true,
  sourcemap: false,
  mode: 'production',
  babelPresetEnvTargets: ['chrome >= 110', 'safari >= 16', 'firefox >= 110'],
});
for (const warning of warnings) say(`service worker: ${warning}`);
say(`the app works without a server after one visit: ${count} files, ${Math.round(size / 1024)} kB`);
