import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { expect, figureValue, isReady, isSent, openRoom, putRoom, savedJob, test } from './fixtures';
import { testServer } from './server';

/** Tabs that are ended; the long run does it two hundred times and more. */
const CLOSES = Number(process.env.STEDDO_CLOSES ?? 6);
const KILLS = Number(process.env.STEDDO_KILLS ?? 3);
const IN = 25.4;
const centre = (page: Page) => figureValue(page.getByTestId('thumb-bar'), 'centre');
const nudge = (page: Page) => page.getByTestId('set-handle').press('ArrowUp');

const editable = (page: Page) => expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
const unitsShown = (page: Page) =>
  page.evaluate(() =>
    /mm/.test(document.querySelector('[data-testid="thumb-bar"]')?.textContent ?? '') ? 'metric' : 'imperial',
  );

/** One tap that changes the units, and so many milliseconds: whether it was said to be on this device by then. */
async function change(page: Page, ms: number): Promise<{ shown: string; kept: boolean }> {
  const before = await unitsShown(page);
  await page.keyboard.press('u');
  await page.evaluate((wait) => new Promise((resolve) => setTimeout(resolve, wait)), ms);
  const said = await page.getByTestId('save-state').textContent();
  const shown = await unitsShown(page);
  return { shown, kept: shown !== before && /^on this device/.test(said ?? '') };
}

test(`${CLOSES} tabs closed or loaded again 0 to 150 ms after a tap: every edit is there`, async ({
  context,
  demo,
}) => {
  test.setTimeout(60_000 + CLOSES * 4000);
  let page = await context.newPage();
  await openRoom(page, demo, 'closing', { ...guestRoom, title: 'Closing' }, 'height');
  let units = await unitsShown(page);
  let shownAsKept = 0;
  for (let i = 0; i < CLOSES; i++) {
    const { kept } = await change(page, (i * 37) % 151);
    units = units === 'metric' ? 'imperial' : 'metric';
    shownAsKept += kept ? 1 : 0;
    if (i % 6 !== 5) await page.reload();
    else {
      await page.close({ runBeforeUnload: false });
      page = await context.newPage();
      await page.goto(`${demo.url}/room/closing/height`);
    }
    await editable(page);
    // every tap is there, shown as kept or not: the journal is written before anything is drawn
    expect(await unitsShown(page)).toBe(units);
  }
  expect(shownAsKept).toBeGreaterThan(CLOSES / 4);
  await isSent(page);
  const { job, version } = await savedJob(page, demo, 'closing');
  expect([job.units, version]).toEqual([units, CLOSES + 1]);
});

test(`${KILLS} times the browser is killed after a tap: what was shown as kept is there`, async () => {
  test.setTimeout(60_000 + KILLS * 12_000);
  const server = await testServer('catalogue');
  const profile = mkdtempSync(join(tmpdir(), 'steddo-profile-'));
  const { launchOptions } = test.info().project.use;
  const open = async () => {
    const viewport = { width: 390, height: 844 };
    const context = await chromium.launchPersistentContext(profile, { ...launchOptions, viewport });
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto(`${server.url}/room/killed/height`);
    await editable(page);
    return { context, page };
  };
  await fetch(`${server.url}/api/rooms/killed`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ editId: 'first', baseVersion: 0, touched: [], job: { ...guestRoom, title: 'Killed' } }),
  });
  let promised = 0;
  let units: string | undefined;
  for (let i = 0; i < KILLS; i++) {
    const { context, page } = await open();
    if (units) expect(await unitsShown(page)).toBe(units);
    // no server while the tap is made: it is this device that has to keep it
    await context.setOffline(true);
    const { shown, kept } = await change(page, 30 + ((i * 53) % 121));
    process.kill(await browserProcess(page), 'SIGKILL');
    await context.close().catch(() => undefined);
    units = kept ? shown : undefined;
    promised += kept ? 1 : 0;
  }
  expect(promised).toBeGreaterThan(KILLS / 4);
  const { context, page } = await open();
  if (units) expect(await unitsShown(page)).toBe(units);
  await isSent(page);
  await context.close();
  await server.kill();
});

/** The process of the browser that shows a page. */
async function browserProcess(page: Page): Promise<number> {
  const session = await page.context().browser()!.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  return processInfo.find((p) => p.type === 'browser')!.id;
}

test('a nudge that has not come to rest is not said to be kept, and is when the tab ends', async ({
  context,
  demo,
}) => {
  const first = await context.newPage();
  await openRoom(first, demo, 'nudged', { ...guestRoom, title: 'Nudged' }, 'height');
  const before = await centre(first);
  await nudge(first);
  await expect(first.getByTestId('save-state')).toHaveText('shown, not taken yet');
  const height = await centre(first);
  expect(height).toBeGreaterThan(before);
  await first.goto(`${demo.url}/device`);
  await first.goto(`${demo.url}/room/nudged/height`);
  await expect.poll(() => centre(first)).toBeCloseTo(height, 6);
});

test('what was half typed is in the pad again, with its text, when the tab comes back', async ({ page, demo }) => {
  await openRoom(page, demo, 'half', { ...guestRoom, title: 'Half' }, 'height');
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill('61 3/');
  await page.reload();
  await expect(page.getByTestId('pad-text')).toHaveValue('61 3/');
  await page.getByTestId('pad-text').fill('61 3/8');
  await page.getByTestId('key-done').click();
  await expect.poll(() => centre(page)).toBeCloseTo(61.375 * IN, 6);
  // the pad's own entry of the browser's history goes first
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await isSent(page);
  await page.reload();
  await isReady(page);
  await expect(page.getByTestId('pad')).toHaveCount(0);
});

test('a tab in the background and one that only shows follow within five seconds', async ({ context, demo }) => {
  const first = await context.newPage();
  await openRoom(first, demo, 'follow', { ...guestRoom, title: 'Follow' }, 'height');
  const shown = await context.newPage();
  await shown.goto(`${demo.url}/room/follow/height`);
  await expect(shown.getByTestId('read-only')).toBeVisible();
  await first.bringToFront();
  const lower = await centre(first);
  await nudge(first);
  await expect.poll(() => centre(first)).toBeGreaterThan(lower);
  const height = await centre(first);
  await expect.poll(() => centre(shown)).toBeCloseTo(height, 6);
  // another device, through the server
  await isSent(first);
  const { job, version } = await savedJob(first, demo, 'follow');
  await putRoom(first, demo, 'follow', { ...job, title: 'From another device' }, version);
  for (const page of [first, shown])
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('From another device');
});
