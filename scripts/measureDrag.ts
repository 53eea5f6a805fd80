import { chromium, type Page } from '@playwright/test';
import { testServer } from '../e2e/server';

/**
 * Frames while something is dragged in a real browser whose processor is slowed four times: a middling phone. Part of
 * npm run bench; nothing here passes or fails.
 */
const SLOWED = 4;
const STEPS = 90;
const WANTED_MS = 50;

const COUNT_FRAMES = `{
  let last = performance.now();
  window.frameTimes = [];
  const tick = (now) => {
    frameTimes.push(now - last);
    last = now;
    requestAnimationFrame(tick);
  };
  requestAnimationFrame(tick);
}`;

const server = await testServer('demo');
const browser = await chromium.launch({ executablePath: process.env.STEDDO_CHROMIUM, args: ['--no-sandbox'] });
const context = await browser.newContext({
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  serviceWorkers: 'block',
});

async function frames(page: Page, path: string, handle: string, by: { x: number; y: number }): Promise<number[]> {
  await page.goto(`${server.url}${path}`);
  const grip = page.getByTestId(handle).first();
  await grip.waitFor();
  await page.waitForTimeout(1500);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const box = (await grip.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  // as text: what compiles this file would put its own helpers into a function
  await page.evaluate(COUNT_FRAMES);
  for (let i = 1; i <= STEPS; i++) {
    const share = Math.sin((i / STEPS) * 2 * Math.PI);
    await page.mouse.move(x + by.x * share, y + by.y * share);
  }
  const times = await page.evaluate<number[]>('frameTimes.slice(2)');
  await page.mouse.up();
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await session.detach();
  return times.sort((a, b) => a - b);
}

const at = (sorted: readonly number[], share: number) => sorted[Math.floor(share * (sorted.length - 1))]!;
const page = await context.newPage();
console.log(`frames of a drag, processor slowed ${SLOWED} times, ms (wanted under ${WANTED_MS})`);
for (const [name, path, handle, by] of [
  ['the set on the wall of the guest room', '/room/guest-room/height', 'set-handle', { x: 0, y: 60 }],
  ['a thing on that wall', '/room/guest-room/room', 'item-o1', { x: 40, y: 0 }],
  ['the arm of the attic snug', '/room/attic-snug/reach', 'arm-handle', { x: 50, y: 20 }],
] as const) {
  try {
    const sorted = await frames(page, path, handle, by);
    const late = sorted.filter((t) => t > WANTED_MS).length;
    console.log(
      `${name.padEnd(40)} p50 ${at(sorted, 0.5).toFixed(1)}  p95 ${at(sorted, 0.95).toFixed(1)}  most ${at(sorted, 1).toFixed(1)}  over ${WANTED_MS}: ${late} of ${sorted.length}`,
    );
  } catch (error) {
    console.log(`${name.padEnd(40)} not measured: ${error instanceof Error ? error.message.split('\n')[0] : ''}`);
  }
}
await browser.close();
await server.kill();
