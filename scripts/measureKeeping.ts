import { fork, spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { guestRoom } from '@steddo/samples';

/** The part of npm run bench that is about keeping: from a tap to the device's commit, the server under load, long lists. */
const RATE = 200;
const SECONDS = 10;
const ROOMS = 1000;

const at = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? 0;
const ms = (value: number): string => `${value.toFixed(1)} ms`;

/** Most memory that a process has had, MB. */
const memoryOf = (child: ChildProcess): number => {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
};

async function steddo(port: number, seed = 'demo') {
  const env = {
    ...process.env,
    STEDDO_PORT: String(port),
    STEDDO_DB: join(mkdtempSync(join(tmpdir(), 'steddo-bench-')), 'rooms.db'),
    STEDDO_SEED: seed,
    STEDDO_LOG: 'silent',
  };
  const child = spawn(process.execPath, ['apps/server/dist/main.mjs'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((resolve) => child.stdout.once('data', resolve));
  return { child, url: `http://localhost:${port}` };
}

/** The same framework answering with one word. */
async function bare(port: number) {
  const child = fork('scripts/bareServer.mjs', [String(port)], { stdio: 'inherit' });
  await new Promise((resolve) => child.once('message', resolve));
  return { child, url: `http://localhost:${port}` };
}

/** So many requests a second for some seconds, each sent at its time whether the earlier ones are back or not. */
async function under(url: (n: number) => [string, RequestInit?]): Promise<number[]> {
  const times: number[] = [];
  const asked: Promise<void>[] = [];
  const start = performance.now();
  for (let n = 0; n < RATE * SECONDS; n++) {
    const due = start + (n * 1000) / RATE;
    const wait = due - performance.now();
    if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
    const [path, init] = url(n);
    const sent = performance.now();
    asked.push(
      fetch(path, init)
        .then((r) => r.arrayBuffer())
        .then(() => void times.push(performance.now() - sent)),
    );
  }
  await Promise.all(asked);
  return times;
}

const put = (editId: string, baseVersion: number, title: string): RequestInit => ({
  method: 'PUT',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ editId, baseVersion, touched: ['title'], job: { ...guestRoom, title } }),
});

async function underLoad(): Promise<void> {
  const plain = await bare(4881);
  const none = await under(() => [plain.url]);
  const own = await steddo(4882);
  const read = await under(() => [`${own.url}/api/rooms/guest-room`]);
  const saved = await under((n) => [`${own.url}/api/rooms/load-${n}`, put(`e${n}`, 0, `room ${n}`)]);
  const row = (name: string, times: readonly number[]) =>
    console.log(
      `${RATE} requests a second, ${name}: p50 ${ms(at(times, 0.5))}, p99 ${ms(at(times, 0.99))}, beside a bare server p50 x ${(at(times, 0.5) / at(none, 0.5)).toFixed(1)}, p99 x ${(at(times, 0.99) / at(none, 0.99)).toFixed(1)}`,
    );
  row('a bare server', none);
  row('a room read', read);
  row('a room saved', saved);
  console.log(
    `memory at most: ${memoryOf(own.child).toFixed(0)} MB, bare server ${memoryOf(plain.child).toFixed(0)} MB, ratio ${(memoryOf(own.child) / memoryOf(plain.child)).toFixed(1)}`,
  );
  const list: number[] = [];
  for (let i = 0; i < 20; i++) {
    const start = performance.now();
    await (await fetch(`${own.url}/api/rooms`)).arrayBuffer();
    list.push(performance.now() - start);
  }
  console.log(`list with ${RATE * SECONDS} rooms, the server's part: p50 ${ms(at(list, 0.5))}`);
  for (const { child } of [plain, own]) child.kill();
}

async function inTheBrowser(): Promise<void> {
  const { child, url } = await steddo(4883);
  const browser = await chromium.launch({
    executablePath: process.env.STEDDO_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu'],
  });
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await page.goto(`${url}/room/guest-room/height`);
  await page.getByRole('button', { name: /, change its name$/ }).isEnabled();
  const taps: number[] = [];
  for (let i = 0; i < 40; i++) {
    await page.waitForTimeout(200);
    taps.push(
      await page.evaluate(async () => {
        const start = performance.now();
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'u' }));
        // written down at the tap, and gone from there when the store has committed it
        while (
          Object.keys(localStorage).some((key) => key.startsWith('steddo:edit:')) &&
          performance.now() - start < 5000
        )
          await new Promise((resolve) => setTimeout(resolve, 0));
        return performance.now() - start;
      }),
    );
  }
  console.log(`tap to device commit: p50 ${ms(at(taps, 0.5))}, p99 ${ms(at(taps, 0.99))}`);
  for (let n = 0; n < ROOMS; n++) await fetch(`${url}/api/rooms/many-${n}`, put(`e${n}`, 0, `room ${n}`));
  const start = performance.now();
  await page.goto(url);
  await page.getByTestId('more-rooms').waitFor();
  console.log(`list with ${ROOMS} rooms, from address to list: ${ms(performance.now() - start)}`);
  await browser.close();
  child.kill();
}

await underLoad();
await inTheBrowser();
