import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureChromium, ensureInstalled, ensureServer, ensureWebApp, say } from './lib.mjs';
import { MUTATIONS } from './mutations/list.mjs';

/** npm run verify: makes each listed mistake and sees whether a test notices it; then the calibration, the proof of random plans and the long runs of keeping. */
ensureInstalled();
const [only] = process.argv.slice(2);
const wanted = MUTATIONS.filter((m) => only === undefined || m.part === only);
const AT_ONCE = 2;

const sourceOf = ({ home, file }) => readFileSync(join(ROOT, 'packages', home, 'src', file), 'utf8');
for (const m of wanted) {
  const found = sourceOf(m).split(m.from).length - 1;
  if (found === 1) continue;
  say(`"${m.from}" is ${found} times in ${m.file}: the list of mutations is out of date`);
  process.exit(1);
}

function jest(paths, mutation) {
  const files = paths.split(' ');
  const args = ['jest', '--config', 'scripts/mutations/jest.config.mjs', '--bail', '--silent', '--runInBand', ...files];
  const env = {
    ...process.env,
    ...(mutation ? { STEDDO_MUTATION: JSON.stringify(mutation) } : {}),
  };
  return new Promise((resolve) =>
    spawn('npx', args, { cwd: ROOT, env, stdio: 'ignore' }).once('exit', (code) => resolve(code === 0)),
  );
}

const pathsOf = ({ home, tests }) => tests.map((t) => `packages/${home}/test/${t}.test.ts`).join(' ');
const sets = [...new Set(wanted.map(pathsOf))];
say(`the tests as they are, ${sets.length} sets`);
for (const set of sets)
  if (!(await jest(set))) {
    say(`${set}: fail without any mutation`);
    process.exit(1);
  }

const missed = [];
const queue = [...wanted];
say(`${wanted.length} mutations`);
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    for (let m = queue.shift(); m; m = queue.shift()) {
      const survived = await jest(pathsOf(m), m);
      if (survived) missed.push(m);
      say(`${survived ? 'MISSED ' : 'noticed'} ${m.part}: ${m.file}: ${m.to.split('\n')[0]}`);
    }
  }),
);
for (const name of [...new Set(wanted.map((m) => m.part))]) {
  const of = wanted.filter((m) => m.part === name);
  const noticed = of.filter((m) => !missed.includes(m)).length;
  console.log(`${name.padEnd(8)} ${noticed} of ${of.length} noticed`);
}
let calibrated = true;
if (only === undefined || only === 'calibration') {
  say('calibration: ten thousand walls, several minutes');
  calibrated = spawnSync('npx', ['tsx', 'scripts/calibration.ts'], { cwd: ROOT, stdio: 'inherit' }).status === 0;
}
let proved = true;
if (only === undefined || only === 'proof') {
  say('proof: 20,000 random jobs, half of them never seen before, about two hours');
  const prove = (from) =>
    spawnSync('npx', ['tsx', 'scripts/provePlans.ts', '--from', String(from), '--count', '10000'], {
      ...{ cwd: ROOT, stdio: 'inherit' },
    }).status === 0;
  proved = [prove(1), prove(100_000 + Math.floor(Math.random() * 1e9))].every(Boolean);
}
let kept = true;
if (only === undefined || only === 'keeping') {
  say('keeping: 200 tabs ended, 20 browsers and 1,000 servers killed, 20,000 mounts taken in, about forty minutes');
  ensureWebApp();
  ensureServer();
  const env = {
    ...process.env,
    STEDDO_CHROMIUM: ensureChromium(),
    STEDDO_CLOSES: '200',
    STEDDO_KILLS: '20',
    STEDDO_SERVER_KILLS: '1000',
    STEDDO_MOUNTS: '20000',
  };
  const tests = ['e2e/closing.spec.ts', 'e2e/serverKills.spec.ts', 'e2e/files.spec.ts', '--project=phone'];
  kept = spawnSync('npx', ['playwright', 'test', ...tests], { cwd: ROOT, stdio: 'inherit', env }).status === 0;
}
process.exit(missed.length === 0 && calibrated && proved && kept ? 0 : 1);
