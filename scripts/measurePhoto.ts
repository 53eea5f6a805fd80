import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { flattenPicture, greyOf, madeUpPicture, nearestCorner, wallPlane } from '@steddo/core/photo';
import { guestRoom, photographed } from '@steddo/samples';
import { testServer } from '../e2e/server';

/**
 * A photograph flattened: twelve megapixels by themselves, and the app's own in a real browser with what its page is held
 * up by meanwhile. Part of npm run bench; nothing here passes or fails.
 */
const WANTED_MS = 1500;
const WANTED_TASK_MS = 50;
const RUNS = 5;

const median = (all: readonly number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)]!;
function timed(run: () => unknown): number {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return median(times);
}

const large = { width: 4000, height: 3000 };
const { camera } = photographed[0]!;
const wall = guestRoom.room.wall;
const { data } = await sharp('apps/server/pictures/guest-room.jpg')
  .resize(large.width, large.height)
  .ensureAlpha()
  .raw()
  .toBuffer({ resolveWithObject: true });
const picture = { ...large, data: new Uint8ClampedArray(data) };
const taps = photographed[0]!.photo.plane!.points.map((p) => ({
  x: p.x,
  y: p.y,
  u: p.u * large.width,
  v: p.v * large.height,
  sd: 2,
}));
const made = wallPlane({ picture: large, references: [], known: taps, bend: { k1: camera.k1, sd: 0.001 } });
if (!made.ok) throw new Error(made.why);
const ask = { left: 0, right: wall.width, bottom: 0, top: wall.height };
const copied = timed(() => new Uint8ClampedArray(picture.data));
const row = (name: string, ms: number, wanted = '') =>
  console.log(`${name}: ${ms.toFixed(0)} ms${wanted}, ${(ms / copied).toFixed(1)} x copying its pixels`);
row(
  '12 megapixels flattened at a millimetre a pixel',
  timed(() => flattenPicture(picture, made.plane, { ...ask, perMm: 1 })),
  ` (${WANTED_MS})`,
);
row(
  'the same at two millimetres a pixel',
  timed(() => flattenPicture(picture, made.plane, { ...ask, perMm: 0.5 })),
);
const grey = greyOf(picture.data, large.width, large.height);
row(
  'its brightness',
  timed(() => greyOf(picture.data, large.width, large.height)),
);
row(
  'a tap drawn to its corner',
  timed(() => nearestCorner(grey, { u: taps[0]!.u + 5, v: taps[0]!.v - 4 })),
);
row(
  'everything that was laid brought together',
  timed(() => wallPlane({ picture: large, references: [], known: taps })),
);
row(
  'a picture of 1600 made up',
  timed(() => madeUpPicture(guestRoom, { camera })),
);

/** As text: what compiles this file would put its own helpers into a function. */
const WATCH = `window.held = []; new PerformanceObserver((list) => list.getEntries().forEach((e) => held.push(e.duration))).observe({ type: 'longtask' })`;
const server = await testServer('demo');
const browser = await chromium.launch({ executablePath: process.env.STEDDO_CHROMIUM, args: ['--no-sandbox'] });
const page = await (
  await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })
).newPage();
await page.goto(`${server.url}/room/guest-room/height`);
await page.getByTestId('behind').waitFor();
await page.waitForTimeout(1500);
await page.evaluate(WATCH);
const start = performance.now();
await page.getByTestId('behind').click();
await page.getByTestId('flat-wall').waitFor();
const shown = performance.now() - start;
const held = await page.evaluate<number[]>('held');
console.log(
  `the wall flattened in the app, from the tap to its picture: ${shown.toFixed(0)} ms (${WANTED_MS}); the page held up at most ${Math.max(0, ...held).toFixed(0)} ms at once (${WANTED_TASK_MS})`,
);
await browser.close();
await server.kill();
