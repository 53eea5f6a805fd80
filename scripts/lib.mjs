import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

/** Shared by the scripts; bare Node, nothing installed yet. Everything it says goes to standard error. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
export const say = (text) => process.stderr.write(`steddo: ${text}\n`);
const CACHE = join(ROOT, '.cache');

export const QUIET_ENV = {
  ...process.env,
  EXPO_OFFLINE: '1',
  EXPO_NO_TELEMETRY: '1',
  EXPO_NO_UPDATE_CHECK: '1',
  CI: '1',
};

/** Runs a command with its talk on standard error; stops everything when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2], ...options });
  if (result.status === 0) return;
  say(`"${command} ${args.join(' ')}" failed${result.error ? `: ${result.error.message}` : ''}`);
  process.exit(result.status || 1);
}

/** A digest of files and folders, to tell whether something has to be made again. */
export function digest(paths) {
  const hash = createHash('sha256');
  const walk = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (!['node_modules', 'dist', '.expo', 'fonts'].includes(name)) walk(join(path, name));
    } else hash.update(path.slice(ROOT.length)).update(readFileSync(path));
  };
  for (const path of paths) walk(join(ROOT, path));
  return hash.digest('hex');
}

const stampFile = (name) => join(CACHE, `${name}.stamp`);
export const isFresh = (name, stamp) => existsSync(stampFile(name)) && readFileSync(stampFile(name), 'utf8') === stamp;
export function remember(name, stamp) {
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(stampFile(name), stamp);
}

/** Installs the locked packages when they are not there or the lock has changed. */
export function ensureInstalled() {
  const stamp = digest(['package-lock.json']);
  const marker = join(ROOT, 'node_modules', '.steddo-installed');
  if (existsSync(marker) && readFileSync(marker, 'utf8') === stamp) return;
  say('installing packages (about three minutes the first time)');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(marker, stamp);
}

/** The web app as static files, built again only when something that it is made of has changed. */
export function ensureWebApp({ compressed = true } = {}) {
  const stamp = digest([
    'apps/web',
    'packages',
    'package-lock.json',
    'scripts/assets.mjs',
    'scripts/serviceWorker.mjs',
    'scripts/splitCommon.mjs',
  ]);
  const out = join(ROOT, 'apps/web/dist');
  if (!existsSync(join(out, 'index.html')) || !isFresh('web', stamp)) exportWebApp(stamp);
  // a browser on the same machine has no use for it
  if (!compressed || isFresh('web-compressed', stamp)) return;
  say('compressing it');
  run('node', ['scripts/compress.mjs']);
  remember('web-compressed', stamp);
}

function exportWebApp(stamp) {
  remember('web-compressed', '');
  say('building the web app (two to three minutes the first time)');
  run('node', ['scripts/assets.mjs']);
  run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: join(ROOT, 'apps/web'),
    env: QUIET_ENV,
  });
  run('node', ['scripts/splitCommon.mjs']);
  run('node', ['scripts/serviceWorker.mjs']);
  remember('web', stamp);
}

/** Where a program is, or nothing. */
const whereIs = (program) => spawnSync('sh', ['-c', `command -v ${program}`], { encoding: 'utf8' }).stdout.trim();

/** Debian's Chromium, installed when it is missing: the shell without windows, which opens pages in two thirds of the time. */
export function ensureChromium() {
  const shell = 'chromium-headless-shell';
  if (!whereIs(shell)) {
    say('installing Chromium from the Debian packages (about a minute)');
    const options = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
    const install = (name) => spawnSync('apt-get', ['install', '-y', '-qq', name], { stdio: 'inherit', ...options });
    run('apt-get', ['update', '-qq'], options);
    // an older Debian has no such package; the whole browser does as well, only slower
    if (install(shell).status !== 0 && !whereIs('chromium'))
      run('apt-get', ['install', '-y', '-qq', 'chromium'], options);
  }
  return whereIs(shell) || whereIs('chromium');
}

/** The server as one file, for a quick start. */
export function ensureServer() {
  const stamp = digest(['apps/server', 'packages', 'package-lock.json']);
  const out = join(ROOT, 'apps/server/dist/main.mjs');
  if (existsSync(out) && isFresh('server', stamp)) return out;
  say('building the server');
  run('npx', [
    'esbuild',
    'apps/server/src/main.ts',
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--outfile=apps/server/dist/main.mjs',
    '--external:@libsql/*',
    '--external:libsql',
    '--external:@node-rs/*',
    '--external:pino',
    '--log-level=warning',
    REQUIRE,
  ]);
  remember('server', stamp);
  return out;
}

/** Packages of the older kind ask for others in their own way, also in one file. */
const REQUIRE = `--banner:js=import{createRequire as from}from'node:module';const require=from(import.meta.url);`;

/**
 * A command-line program of `scripts`, run as one file where the user stands: put together once, and again only when
 * something that it is made of has changed.
 */
export async function runProgram(name) {
  process.env.STEDDO_FROM = process.env.INIT_CWD ?? process.cwd();
  process.chdir(ROOT);
  ensureInstalled();
  await import(pathToFileURL(ensureProgram(name)).href);
}

function ensureProgram(name) {
  const stamp = digest(['packages', 'scripts', 'package-lock.json']);
  const out = join(CACHE, `${name}.mjs`);
  if (existsSync(out) && isFresh(name, stamp)) return out;
  // put in its place whole: another call may be reading it
  const made = join(CACHE, `${name}-${process.pid}.mjs`);
  run('npx', [
    'esbuild',
    `scripts/${name}.ts`,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    `--outfile=${made}`,
    '--log-level=warning',
    REQUIRE,
  ]);
  renameSync(made, out);
  remember(name, stamp);
  return out;
}

/** Runs a long-lived process in the foreground, passing signals on; exits as it does. */
export function hold(command, args, env) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}
