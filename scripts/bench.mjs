import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { QUIET_ENV, ROOT, ensureChromium, ensureInstalled, ensureServer, ensureWebApp, run, say } from './lib.mjs';

/** npm run bench: ratios measured in one run; nothing here passes or fails. */
ensureInstalled();
ensureWebApp();
ensureServer();
const chromium = ensureChromium();

/** The same framework with one line of text on it, to measure the app against. */
const BARE = join(ROOT, '.cache/bare');
function exportBare() {
  say('exporting a bare page of the same framework');
  mkdirSync(BARE, { recursive: true });
  const files = {
    'package.json': '{ "name": "bare", "version": "1.0.0", "main": "index.js" }',
    'app.json':
      '{ "expo": { "name": "bare", "slug": "bare", "platforms": ["web"], "web": { "bundler": "metro", "output": "single" } } }',
    'index.js': `import { registerRootComponent } from 'expo';\nimport { createElement } from 'react';\nimport { Text } from 'react-native';\nregisterRootComponent(() => createElement(Text, { testID: 'primary-action' }, 'bare'));\n`,
  };
  for (const [name, text] of Object.entries(files)) writeFileSync(join(BARE, name), text);
  run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: BARE,
    env: QUIET_ENV,
  });
}

/** Scripts that a page asks for until its first input works, brotli, bytes; workers that work beside it left out. */
function firstLoad(dist, isNeeded = () => false) {
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const names = [...html.matchAll(/src="\/([^"]+\.js)"/g)].map((m) => m[1]);
  const folder = '_expo/static/js/web';
  const lazy = readdirSync(join(dist, folder))
    .filter((f) => f.endsWith('.js'))
    .map((f) => join(folder, f))
    .filter((f) => !names.includes(f) && isNeeded(f, () => readFileSync(join(dist, f), 'utf8')));
  return [...names, ...lazy].reduce((sum, f) => sum + brotliCompressSync(readFileSync(join(dist, f))).length, 0);
}
const PAGES = [
  [
    'the list of rooms (wanted 410 kB)',
    (f, text) => /_layout-/.test(f) || (/index-/.test(f) && text().includes('RoomsScreen')),
  ],
  ['a room (wanted 500 kB)', (f) => /(_layout|__rest|\[stage\])-/.test(f)],
];

exportBare();
const kb = (bytes) => `${Math.round(bytes / 1000)} kB`;
const bare = firstLoad(join(BARE, 'dist'));
for (const [page, isNeeded] of PAGES) {
  const size = firstLoad(join(ROOT, 'apps/web/dist'), isNeeded);
  console.log(`first load, brotli: ${page}: ${kb(size)}, bare page ${kb(bare)}, ratio ${(size / bare).toFixed(2)}`);
}
const env = { ...process.env, STEDDO_CHROMIUM: chromium, STEDDO_BARE: join(BARE, 'dist') };
for (const part of ['measure', 'measureKeeping', 'measureGrowth', 'measureDrag', 'measurePhoto', 'measureFiles']) {
  const options = { cwd: ROOT, stdio: 'inherit', env };
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', `scripts/${part}.ts`], options);
  if (status !== 0) process.exit(status ?? 1);
}
