import { spawnSync } from 'node:child_process';
import { ROOT, ensureChromium, ensureInstalled, ensureServer, ensureWebApp } from './lib.mjs';

/** npm run screenshots: the pictures in docs/screenshots, made anew from the demo rooms. */
ensureInstalled();
ensureWebApp();
ensureServer();
const env = { ...process.env, STEDDO_CHROMIUM: ensureChromium() };
const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/takePictures.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
  env,
});
process.exit(status ?? 1);
