import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { firstLoad } from './firstLoad.mjs';
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

const PAGES = [
  ['the list of rooms (wanted 410 kB)', 'list'],
  ['a room (wanted 500 kB)', 'room'],
];
const brotli = (dist, page) =>
  firstLoad(dist, page).reduce((sum, path) => sum + brotliCompressSync(readFileSync(join(dist, path))).length, 0);

exportBare();
const kb = (bytes) => `${Math.round(bytes / 1000)} kB`;
const bare = brotli(join(BARE, 'dist'), 'nothing');
for (const [name, page] of PAGES) {
  const size = brotli(join(ROOT, 'apps/web/dist'), page);
  console.log(`first load, brotli: ${name}: ${kb(size)}, bare page ${kb(bare)}, ratio ${(size / bare).toFixed(2)}`);
}
const env = { ...process.env, STEDDO_CHROMIUM: chromium, STEDDO_BARE: join(BARE, 'dist') };
for (const part of ['measure', 'measureKeeping', 'measureGrowth', 'measureDrag', 'measurePhoto', 'measureFiles']) {
  const options = { cwd: ROOT, stdio: 'inherit', env };
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', `scripts/${part}.ts`], options);
  if (status !== 0) process.exit(status ?? 1);
}
