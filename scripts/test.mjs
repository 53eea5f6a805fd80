import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureChromium, ensureInstalled, ensureServer, ensureWebApp, say } from './lib.mjs';

/** npm test: everything needed, then lint, types, unit and browser tests, and one closing line. */
const RESULTS = join(ROOT, 'test-results');

function step(name, command, args, env = {}) {
  say(name);
  const start = Date.now();
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  say(`${name}: ${status === 0 ? 'passed' : 'failed'} in ${seconds(Date.now() - start)} s`);
  return status === 0;
}

/** What has not ended by then never does: a test that waits for what does not come. */
const LONGEST_MS = 15 * 60_000;

/** A step that runs beside another; it ends with all that it has started. */
function beside(name, command, args) {
  say(name);
  const start = Date.now();
  const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], detached: true });
  const end = () => process.kill(-child.pid, 'SIGKILL');
  const limit = setTimeout(() => {
    say(`${name}: not at its end after ${LONGEST_MS / 60_000} minutes`);
    end();
  }, LONGEST_MS);
  process.once('exit', end);
  return new Promise((resolve) =>
    child.once('exit', (code) => {
      clearTimeout(limit);
      process.off('exit', end);
      say(`${name}: ${code === 0 ? 'passed' : 'failed'} in ${seconds(Date.now() - start)} s`);
      resolve(code === 0);
    }),
  );
}

for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(1));

/** Tests that failed once and then passed: each is a race of the test's or of the app's, and to be looked into. */
function onlyThen({ suites }) {
  const titles = (suite) => [
    ...(suite.suites ?? []).flatMap(titles),
    ...(suite.specs ?? [])
      .filter((spec) => spec.tests.some((t) => t.status === 'flaky'))
      .map((spec) => `${spec.file} ${spec.title}`),
  ];
  return suites.flatMap(titles);
}

const asOne = (ok) => (ok ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });

/** Counts from a runner's report; a runner that left none counts as one failure. */
function counts(file, ok, read) {
  const path = join(RESULTS, file);
  if (!existsSync(path)) return { passed: 0, failed: 1 };
  const found = read(JSON.parse(readFileSync(path, 'utf8')));
  return ok || found.failed > 0 ? found : { ...found, failed: found.failed + 1 };
}

const START = Date.now();
let installing = 0;
/** What is there on a machine that has run it before. */
function installed(ensure) {
  const start = Date.now();
  const found = ensure();
  installing += Date.now() - start;
  return found;
}
const seconds = (ms) => Math.round(ms / 1000);

installed(ensureInstalled);
rmSync(RESULTS, { recursive: true, force: true });
mkdirSync(RESULTS, { recursive: true });

// two cores, and the build has use for one: what needs no browser is gone through beside it
const built = beside('web app and server', process.execPath, [join(ROOT, 'scripts/build.mjs'), '--uncompressed']);
const lint = await beside('lint', 'npm', ['run', '--silent', 'lint']);
const types = await beside('types', 'npm', ['run', '--silent', 'types']);
const unit = await beside('unit tests', 'npx', ['jest', '--json', `--outputFile=${join(RESULTS, 'unit.json')}`]);
await built;

ensureWebApp({ compressed: false });
ensureServer();
const chromium = installed(ensureChromium);
// the browser's reporter empties its folder, so the unit results are read first
const unitCounts = counts('unit.json', unit, (r) => ({
  passed: r.numPassedTests,
  failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
}));
const browser = step('browser tests', 'npx', ['playwright', 'test'], { STEDDO_CHROMIUM: chromium });
const browserCounts = counts('browser.json', browser, (r) => {
  for (const name of onlyThen(r)) say(`passed only the second time: ${name}`);
  return { passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected };
});

const all = [asOne(lint), asOne(types), unitCounts, browserCounts];
const sum = (key) => all.reduce((total, c) => total + c[key], 0);
const [passed, failed] = [sum('passed'), sum('failed')];
say(`all of it in ${seconds(Date.now() - START)} s, ${seconds(installing)} s of them for installing`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
