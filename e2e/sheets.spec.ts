import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { demoCatalogue, guestRoom, smallestRoom } from '@steddo/samples';
import { plan, withKit } from '@steddo/core';
import { roomFace } from '@steddo/drawing';
import { toSvg } from '@steddo/export';
import { expect, openRoom, putRoom, sentJob, test } from './fixtures';

/* Sheets, drawings and files, made on the device and handed to whoever asked. */

async function made(page: Page, button: string): Promise<{ name: string; bytes: Buffer }> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId(button).click()]);
  return { name: file.suggestedFilename(), bytes: readFileSync((await file.path())!) };
}

test('sheet, template, drawings and tables of a room are made without the server', async ({ page, demo, watch }) => {
  watch.allow(/ERR_FAILED .*\/api\//);
  await openRoom(page, demo, 'on-paper', guestRoom, 'holes');
  await page.getByTestId('to-sheets').click();
  await expect(page.getByTestId('sheets')).toBeVisible();
  const sheet = await made(page, 'make-pdf');
  expect(sheet.name).toMatch(/^on-paper-sheets-\d{4}-\d\d-\d\d\.pdf$/);
  expect(sheet.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(sheet.bytes.length).toBeGreaterThan(15_000);
  await expect(page.getByTestId('sheet-said')).toContainText('made');
  // from here on there is no signal
  await page.route('**/api/**', (route) => route.abort());
  const template = await made(page, 'make-template');
  expect(template.bytes.toString('latin1').match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(2);
  expect((await made(page, 'make-dxf')).bytes.toString()).toContain('SECTION');
  expect((await made(page, 'make-holes')).bytes.toString().split('\r\n')[1]).toMatch(/^h1,main,1,/);
  expect(JSON.parse((await made(page, 'make-plan')).bytes.toString())).toMatchObject({ format: 'steddo-plan' });
  await page.unroute('**/api/**');
});

test('each part is shared by itself, by the device’s own way where it has one; thinking better of it downloads nothing', async ({
  page,
  demo,
}) => {
  let downloads = 0;
  page.on('download', () => (downloads += 1));
  await openRoom(page, demo, 'shared', guestRoom, 'holes');
  await page.goto(`${demo.url}/room/shared/sheets`);
  await expect(page.getByTestId('sheets')).toBeVisible();
  // on this page alone: the next test has the browser as it is
  await page.evaluate(() => {
    const shared: string[] = [];
    Object.assign(globalThis, { shared });
    navigator.canShare = () => true;
    navigator.share = async ({ files = [] } = {}) => {
      for (const f of files) shared.push(`${f.name} ${f.type} ${f.size > 5000}`);
      if (shared.length > 1) throw new DOMException('not now', 'AbortError');
    };
  });
  for (const part of ['customer', 'record']) {
    await page.getByTestId(`make-${part}`).click();
    await expect(page.getByTestId('sheet-said')).toContainText('made');
  }
  const shared = await page.evaluate(() => (globalThis as unknown as { shared: string[] }).shared);
  expect(shared.map((s) => s.replace(/\d{4}-\d\d-\d\d/, 'day'))).toEqual([
    'shared-customer-day.pdf application/pdf true',
    'shared-record-day.pdf application/pdf true',
  ]);
  expect(downloads).toBe(0);
});

test('a calendar entry needs the visit; a span that is off refuses the template', async ({ page, demo }) => {
  await openRoom(page, demo, 'visit', guestRoom, 'holes');
  await page.getByTestId('to-sheets').click();
  await page.getByTestId('make-ics').click();
  await expect(page.getByTestId('sheet-said')).toContainText('there is no visit');
  await page.getByTestId('visit-start').fill('tomorrow');
  await page.getByTestId('visit-start').blur();
  await expect(page.getByText('Takes a day and a time such as')).toBeVisible();
  await page.getByTestId('visit-start').fill('2027-03-04 09:30');
  await page.getByTestId('visit-start').blur();
  expect((await sentJob(page, demo, 'visit')).visit).toEqual({ start: '2027-03-04T09:30' });
  const { bytes } = await made(page, 'make-ics');
  expect(bytes.toString()).toContain('DTSTART:20270304T093000');
  // 16 13/16 by the plan, and 16 1/2 by the tape
  await page.getByTestId('measured-span').fill('16 1/2');
  await expect(page.getByTestId('span-verdict')).toContainText('Do not use it');
  await page.getByTestId('measured-span').fill('16 13/16');
  await expect(page.getByTestId('span-verdict')).toContainText('It may be used');
  await page.getByTestId('measured-span').fill('wide');
  await expect(page.getByTestId('span-verdict')).toHaveCount(0);
});

test('a room without holes says what cannot be made', async ({ page, demo }) => {
  await putRoom(page, demo, 'no-holes', smallestRoom);
  await page.goto(`${demo.url}/room/no-holes/sheets`);
  for (const [button, why] of [
    ['make-template', 'nothing to drill'],
    ['make-holes', 'no holes yet'],
  ] as const) {
    await page.getByTestId(button).click();
    await expect(page.getByTestId('sheet-said')).toContainText(why);
  }
  expect((await made(page, 'make-pdf')).bytes.length).toBeGreaterThan(10_000);
});

test('the SVG is drawn by a browser as the scene has it', async ({ page }) => {
  const job = withKit(guestRoom, demoCatalogue);
  const made = plan(job);
  const scene = roomFace(job, made, 'holes');
  await page.goto('about:blank');
  await page.setContent(toSvg(scene, job.title).replace(/^<\?xml.*\n/, ''));
  const { left, top } = scene.bounds;
  for (const s of scene.shapes) {
    if (s.kind !== 'rect') continue;
    const box = await page.locator(`[id="${s.id}"]`).evaluate((el) => {
      const { x, y, width, height } = (el as SVGGraphicsElement).getBBox();
      return { x, y, width, height };
    });
    const wanted = [s.left - left, top - s.top, s.right - s.left, s.top - s.bottom];
    [box.x, box.y, box.width, box.height].forEach((v, k) =>
      expect([s.id, Math.abs(v - wanted[k]!) < 0.1]).toEqual([s.id, true]),
    );
  }
});
