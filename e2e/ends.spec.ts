import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import type { Job, Plan } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { Thumb, expect, figureValue, isReady, isSent, openRoom, putRoom, savedJob, test, unfold } from './fixtures';
import { ROOT, runToEnd, testServer } from './server';

const { ticks: _, ...unfitted } = guestRoom;

/* The ends of a job: fitting, hanging, the day, how sure it is, handing over. */

test('from the box to done without a server, the phone started again in the middle of hanging: nothing is lost', async () => {
  const server = await testServer('demo');
  const browser = await chromium.launch(test.info().project.use.launchOptions);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  let page = await context.newPage();
  const job: Job = { ...unfitted, title: 'To the end' };
  await putRoom(page, server, 'ends', job);
  await page.goto(`${server.url}/room/ends/fit`);
  await isReady(page);
  await page.waitForFunction(
    async () => (await navigator.serviceWorker.ready).active?.state === 'activated',
    undefined,
    { timeout: 60_000 },
  );
  // the rooms and the app are on the device once the list has been seen
  await page.goto(server.url);
  await expect(page.getByTestId('room-ends')).toBeVisible();
  await server.kill();
  await page.goto(`${server.url}/room/ends/fit`);
  await isReady(page);
  let thumb = new Thumb(page);
  const tap = (id: string) => thumb.tap(page.getByTestId(id));
  await expect(page.getByTestId('one-number')).toContainText('By the drawings');
  for (const step of ['box', 'screws-out', 'arms', 'snug']) await tap(`tick-fit.${step}`);
  await thumb.tap(page.getByRole('button', { name: 'measured on the set, show' }));
  await page.getByTestId('measured').getByTestId('choice-row:1').click();
  await tap('add-measured');
  await thumb.keys('12 5/8', 'done');
  await expect(page.getByTestId('one-number')).toContainText('Read on the set');
  // what was read shows that the plate was staged
  await expect(page.getByTestId('tick-fit.stage')).toHaveAttribute('aria-checked', 'true');
  await tap('primary-action');
  await expect(page).toHaveURL(/\/holes$/);
  await tap('to-ladder');
  for (let i = 0; i < 4; i++) {
    await tap('tick-good');
    if (i === 0) await tap('levelled');
  }
  await thumb.tap(page.getByRole('button', { name: 'the level', exact: true }));
  await tap('primary-action');
  await expect(page).toHaveURL(/\/hang$/);
  await tap('to-hanging');
  const now = page.getByTestId('hanging');
  for (const step of ['hang.live', 'hang.check', 'hang.lift']) {
    await expect(page.getByTestId(`now-${step}`)).toBeVisible();
    await tap('step-done');
  }
  await expect(page.getByTestId('now-hang.hooks')).toContainText('From the side');
  await expect(now).toContainText('Step 4 of');
  await page.close();
  page = await context.newPage();
  await page.goto(`${server.url}/room/ends/hanging`);
  thumb = new Thumb(page);
  await expect(page.getByTestId('now-hang.hooks')).toBeVisible();
  await tap('step-done');
  await expect(page.getByTestId('now-leads.hooked')).toContainText('power');
  for (const step of ['leads.hooked', 'hang.click', 'hang.prove', 'hang.centre', 'hang.level']) {
    await expect(page.getByTestId(`now-${step}`)).toBeVisible();
    await tap('step-done');
  }
  // one screw that no key reaches is an open point
  await expect(page.getByTestId('now-hang.lock')).toBeVisible();
  await tap('cannot');
  await page.getByTestId('name-input').fill('left screw out of reach');
  await page.getByRole('button', { name: 'take it' }).click();
  // 15 degrees of tilt face the pillow
  await expect(page.getByTestId('pose')).toContainText('down');
  for (const step of ['hang.pose', 'hang.on']) {
    await expect(page.getByTestId(`now-${step}`)).toBeVisible();
    await tap('step-done');
  }
  await tap('to-done');
  await expect(page.getByTestId('open-points')).toContainText('left screw out of reach');
  await tap('all-over');
  await tap('finish');
  await expect(page.getByRole('button', { name: /^done, \d/ })).toBeVisible();
  await server.start();
  await expect
    .poll(async () => (await savedJob(page, server, 'ends')).job.record?.done, { timeout: 60_000 })
    .toBeDefined();
  const { job: kept } = await savedJob(page, server, 'ends');
  const ticked = (kept.ticks ?? []).map((t) => t.step);
  expect(ticked).toEqual(expect.arrayContaining(['fit.snug', 'hang.hooks', 'hang.lock', 'hang.on', 'over.leave']));
  expect(new Set(ticked).size).toBe(ticked.length);
  expect(kept.drilled).toHaveLength(4);
  expect(kept.ticks!.find((t) => t.step === 'hang.lock')!.note).toBe('left screw out of reach');
  expect(kept.measured).toMatchObject([{ from: 'bottom', to: 'row:1', value: 12.625 * 25.4 }]);
  await browser.close();
  await server.kill();
});

test('a mount of which nothing is drawn: the one number read on the staged set gives the marks', async ({
  page,
  demo,
}) => {
  const { plate: _p, hook: _h, patternAboveHook: _a, ...label } = guestRoom.mount!;
  const job: Job = { ...unfitted, leads: undefined, mount: label, choices: { centreY: 1500 } };
  await openRoom(page, demo, 'undrawn', job, 'fit');
  await expect(page.getByTestId('one-number')).toContainText('Nothing is drawn of this plate');
  const thumb = new Thumb(page);
  await thumb.tap(page.getByTestId('add-measured'));
  await thumb.keys('10', 'done');
  await expect(page.getByTestId('one-number')).toContainText('Read on the set');
  await thumb.tap(page.getByTestId('stage-holes'));
  await expect(page.getByTestId('hole-h1')).toBeVisible();
  // the set is 552.45 tall: its bottom hangs at 1500 less half of it, and the row 10 in above that
  const up = 1500 - 552.45 / 2 + 254;
  expect(await figureValue(page.getByTestId('hole-h1'), 'up from the floor')).toBeCloseTo(up, 6);
});

test('leads: by their route, cut to size, too short is said; gaps say how far to slide', async ({ page, demo }) => {
  await openRoom(page, demo, 'leads', { ...unfitted, units: 'metric', leads: undefined }, 'hang');
  const thumb = new Thumb(page);
  const tap = (id: string) => thumb.tap(page.getByTestId(id));
  await expect(page.getByTestId('lift')).toContainText('One lifts');
  await unfold(page, 'leads');
  await tap('add-lead');
  const lead = page.getByTestId('lead-l1');
  await expect(lead).toContainText('power to the outlet');
  await expect(lead).toContainText('plugged in while it is hooked');
  // leads that go in while it hangs on its hooks take a second pair of hands
  await expect(page.getByTestId('lift')).toContainText('Two people lift');
  await lead.getByTestId('choice-trunking').click();
  await tap('field-leads.l1.legs.0');
  await thumb.keys('600', 'done');
  await tap('field-leads.l1.legs.1');
  await thumb.keys('900', 'done');
  // by hand: 600 + 900 and 100 for plug and bend; two caps of 20 off the trunking
  expect(await figureValue(lead, 'needed')).toBeCloseTo(1600, 6);
  expect(await figureValue(lead, 'trunking to cut')).toBeCloseTo(1460, 6);
  await tap('field-leads.l1.length');
  await thumb.keys('1570', 'done');
  await expect(page.getByTestId('finding-lead-short')).toContainText('30 mm more');
  await expect(page.locator('[data-shape="lead-l1"]')).toBeVisible();
  await unfold(page, 'gaps left and right');
  await tap('field-hang.gaps.left');
  await thumb.keys('600', 'next');
  await thumb.keys('640', 'done');
  await expect(page.getByTestId('slide')).toContainText('20 mm to the right');
  await isSent(page);
  const { job } = await savedJob(page, demo, 'leads');
  expect(job.leads).toMatchObject([{ id: 'l1', what: 'power', route: 'trunking', legs: [600, 900], length: 1570 }]);
  expect(job.hang!.gaps).toEqual({ left: 600, right: 640 });
});

test('nothing is hung before every hole is drilled', async ({ page, demo }) => {
  await openRoom(page, demo, 'not-yet', guestRoom, 'hang');
  await expect(page.getByTestId('hang-held')).toContainText('4 holes are still to be drilled');
  await expect(page.getByTestId('to-hanging')).toHaveCount(0);
  await page.goto(`${demo.url}/room/not-yet/hanging`);
  await expect(page.getByTestId('hang-held')).toBeVisible();
  await expect(page.getByTestId('step-done')).toBeDisabled();
});

test('the day: who, with what, what waits for what; packed is packed', async ({ page, demo }) => {
  await openRoom(page, demo, 'day', unfitted, 'hang');
  await page.getByTestId('to-day').click();
  await expect(page.getByTestId('day-sum')).toContainText('two people');
  await expect(page.getByTestId('second-hands')).toBeVisible();
  await expect(page.getByTestId('step-hang.hooks')).toContainText('Waits for: Two lift the set onto the rail');
  await page.getByTestId('tick-fit.box').click();
  await expect(page.getByTestId('step-fit.arms')).not.toContainText('Check the box');
  const pack = page.getByTestId('pack');
  const left = async () => Number(/(\d+) left/.exec((await pack.textContent()) ?? '')?.[1]);
  const before = await left();
  await pack.getByTestId('pack.tool-level').click();
  await expect.poll(left).toBe(before - 1);
  await isSentFrom(page, demo, 'day', ['fit.box', 'pack.tool-level']);
  await page.reload();
  await expect(page.getByTestId('pack').getByTestId('pack.tool-level')).toHaveAttribute('aria-checked', 'true');
});

/** Kept by the server, whichever page shows it. */
async function isSentFrom(page: Thumb['page'], server: Parameters<typeof savedJob>[1], id: string, steps: string[]) {
  await expect
    .poll(async () => (await savedJob(page, server, id)).job.ticks?.map((t) => t.step))
    .toEqual(expect.arrayContaining(steps));
}

test('on the command line: how sure, the same for the same seed', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'steddo-ends-'));
  writeFileSync(join(folder, 'job.json'), JSON.stringify(guestRoom));
  const made = async (...more: string[]) => {
    const run = await runToEnd(
      'npm',
      ['--prefix', ROOT, 'run', '--silent', 'plan', '--', 'job.json', ...more],
      {},
      folder,
    );
    expect(run.code).toBe(0);
    return JSON.parse(run.out) as Plan;
  };
  const [a, b] = [await made('--tolerance', '--seed', '3'), await made('--tolerance', '--seed', '3')];
  expect(a.tolerance).toEqual(b.tolerance);
  expect(a.tolerance).toMatchObject({ seed: 3, draws: 20_000 });
  expect(a.day!.steps.length).toBeGreaterThan(20);
});

test('how sure all of it is: drawn with progress, a chart with its table, and what to do', async ({ page, demo }) => {
  const [first, ...rest] = guestRoom.evidence!;
  // one edge of one stud was never marked
  const vague = rest.filter((e) => e.kind !== 'edge-right' || Math.abs(e.x - first!.x) > 100);
  await openRoom(page, demo, 'sure', { ...guestRoom, evidence: [first!, ...vague] }, 'holes');
  await page.getByTestId('to-tolerance').click();
  await expect(page.getByTestId('all-land')).toHaveText(/^\d+ in 100$/, { timeout: 180_000 });
  await expect(page.getByTestId('tolerance-advice')).toBeVisible();
  await expect(page.getByTestId('tolerance-chart')).toBeVisible();
  const table = page.getByTestId('tolerance-table');
  await expect(table.getByRole('row')).toHaveCount(8);
  // with the finder's doubt out of it nothing is less sure
  const cells = async (row: ReturnType<typeof table.getByRole>) =>
    Number(await row.getByRole('cell').first().textContent());
  const all = await cells(table.getByRole('row').nth(1));
  expect(await cells(table.getByTestId('source-finder'))).toBeGreaterThanOrEqual(all);
});
