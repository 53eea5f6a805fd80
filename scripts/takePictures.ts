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

const SHOTS: Shot[] = [
  { name: 'phone-rooms', path: '/' },
  { name: 'phone-room', path: '/room/attic-snug/room' },
  { name: 'phone-set', path: '/room/guest-room/set' },
  {
    name: 'phone-pad',
    path: '/room/guest-room/set',
    first: (p) => p.getByTestId('field-screen.height').click(),
  },
  { name: 'phone-mount', path: '/room/guest-room/mount' },
  { name: 'phone-height', path: '/room/guest-room/height' },
  {
    name: 'phone-working',
    path: '/room/guest-room/height',
    first: (p) => p.getByTestId('thumb-bar').getByTestId('figure').nth(2).click(),
  },
  { name: 'phone-wall', path: '/room/guest-room/wall' },
  { name: 'phone-holes', path: '/room/guest-room/holes' },
  { name: 'phone-holes-dark', path: '/room/guest-room/holes', dark: true },
  { name: 'phone-level', path: '/room/guest-room/level' },
  { name: 'wide-height', path: '/room/attic-snug/height', wide: true },
  { name: 'wide-holes', path: '/room/guest-room/holes', wide: true },
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
  await page.getByTestId(shot.path === '/' ? 'room-guest-room' : 'face').waitFor();
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(700);
  await shot.first?.(page);
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(OUT, `${shot.name}.png`) });
  await context.close();
  process.stderr.write(`steddo: ${shot.name}.png\n`);
}
await browser.close();
server.kill();
