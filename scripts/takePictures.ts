import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';

/** One picture of each main view, from the demo rooms. */
interface Shot {
  name: string;
  path: string;
  wide?: boolean;
  dark?: boolean;
  first?: (page: Page) => Promise<void>;
}

const tap =
  (...ids: string[]) =>
  async (page: Page) => {
    for (const id of ids) await page.getByTestId(id).click();
  };

const PRACTICE = '/practice?seed=3&room=guest-room&errors=5';
const started = async (page: Page) => {
  await tap('practice-start')(page);
  await page.getByTestId('look-take').waitFor();
};
/** A finder slid along the advised line, its first marks taken, the lamp lit on a stud. */
const sliding = async (page: Page) => {
  await started(page);
  await tap('look-take')(page);
  const tool = (await page.getByTestId('tool').boundingBox())!;
  const [x, y] = [tool.x + tool.width / 2, tool.y + 40];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 24, y, { steps: 24 });
  await page.mouse.up();
};

const SHOTS: Shot[] = [
  { name: 'phone-rooms', path: '/' },
  { name: 'phone-room', path: '/room/stove-parlour/room' },
  { name: 'phone-mount', path: '/room/guest-room/mount', first: tap('why-louvre-2') },
  { name: 'phone-fit', path: '/room/attic-snug/fit' },
  { name: 'phone-height', path: '/room/guest-room/height' },
  { name: 'phone-reach', path: '/room/attic-snug/reach', first: tap('bring-v2') },
  { name: 'phone-customer', path: '/room/attic-snug/customer' },
  { name: 'phone-photo', path: '/room/guest-room/photo?picture=wall' },
  { name: 'phone-wall', path: '/room/guest-room/wall' },
  { name: 'phone-practice', path: PRACTICE, first: sliding },
  { name: 'phone-holes', path: '/room/stove-parlour/holes', first: tap('view-section') },
  { name: 'phone-corner', path: '/room/sewing-corner/holes' },
  { name: 'phone-bench', path: '/room/clockmakers-bench/reach' },
  { name: 'phone-ladder', path: '/room/guest-room/ladder' },
  { name: 'phone-level', path: '/room/guest-room/level', dark: true },
  { name: 'phone-box', path: '/room/hallway-niche/box' },
  { name: 'phone-hang', path: '/room/attic-snug/hang' },
  { name: 'wide-wall', path: '/room/guest-room/wall', wide: true },
  { name: 'phone-sheets', path: '/room/guest-room/sheets' },
];

const PORT = '4872';
const OUT = 'docs/screenshots';
const env = {
  ...process.env,
  STEDDO_PORT: PORT,
  STEDDO_SEED: 'demo',
  STEDDO_LOG: 'silent',
  STEDDO_DB: join(mkdtempSync(join(tmpdir(), 'steddo-shots-')), 's.db'),
};
mkdirSync(OUT, { recursive: true });
const server = spawn('node', ['apps/server/dist/main.mjs'], {
  env,
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: process.env.STEDDO_CHROMIUM,
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const shot of SHOTS) {
  const context = await browser.newContext({
    viewport: shot.wide ? { width: 1280, height: 800 } : { width: 390, height: 844 },
    colorScheme: shot.dark ? 'dark' : 'light',
  });
  const page = await context.newPage();
  await page.goto(`http://localhost:${PORT}${shot.path}`);
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(700);
  await shot.first?.(page);
  await page.waitForTimeout(400);
  // what a worker is still at is no picture of the view
  await page.getByText('Working out').first().waitFor({ state: 'hidden' });
  await page.screenshot({ path: join(OUT, `${shot.name}.png`) });
  await context.close();
  process.stderr.write(`steddo: ${shot.name}.png\n`);
}
await browser.close();
server.kill();
