import { guestRoom } from '@steddo/samples';
import type { Page } from '@playwright/test';
import { expect, figureValue, isReady, isSent, putRoom, savedJob, test } from './fixtures';
import { testServer } from './server';

const IN = 25.4;
const centre = (page: Page) => figureValue(page.getByTestId('thumb-bar'), 'centre');

async function typeCentre(page: Page, text: string) {
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill(text);
  await page.getByTestId('key-done').click();
}

test('an edit survives the server dying, the tab closing, and reaches the server when it is back', async ({
  context,
  watch,
}) => {
  watch.allow(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  const server = await testServer('catalogue');
  let page = await context.newPage();
  await putRoom(page, server, 'cellar', { ...guestRoom, title: 'Cellar' });
  await page.goto(`${server.url}/room/cellar/height`);
  await isReady(page);
  // in the middle of an edit the server goes
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill('64');
  await server.kill();
  await page.getByTestId('key-done').click();
  expect(await centre(page)).toBeCloseTo(64 * IN, 6);
  await expect(page.getByTestId('save-state')).toContainText('no server, 1 to send');
  await typeCentre(page, '64 1/2');
  await expect(page.getByTestId('save-state')).toContainText('2 to send');
  await page.close();
  await server.start();
  page = await context.newPage();
  await page.goto(`${server.url}/room/cellar/height`);
  expect(await centre(page)).toBeCloseTo(64.5 * IN, 6);
  await isSent(page);
  const saved = await savedJob(page, server, 'cellar');
  expect([saved.version, saved.job.choices!.centreY]).toEqual([3, 64.5 * IN]);
  const { revisions } = (await (await page.request.get(`${server.url}/api/rooms/cellar/revisions`)).json()) as {
    revisions: unknown[];
  };
  expect(revisions).toHaveLength(3);
  await server.kill();
});

test('the page stays and goes on sending when the server comes back under it', async ({ page, watch }) => {
  watch.allow(/ERR_CONNECTION_REFUSED|Failed to load resource/);
  const server = await testServer('catalogue');
  await putRoom(page, server, 'cellar', { ...guestRoom, title: 'Cellar' });
  await page.goto(`${server.url}/room/cellar/height`);
  await isReady(page);
  await server.kill();
  await typeCentre(page, '64');
  await expect(page.getByTestId('save-state')).toContainText('no server');
  await server.start();
  await expect(page.getByTestId('save-state')).toHaveText('on this device · sent', {
    timeout: 20_000,
  });
  expect((await savedJob(page, server, 'cellar')).job.choices!.centreY).toBe(64 * IN);
  await server.kill();
});

test('a stale save: both versions are there, mine can be kept, theirs stays on record', async ({
  page,
  demo,
  watch,
}) => {
  watch.allow(/409/);
  await putRoom(page, demo, 'shared-a', { ...guestRoom, title: 'Shared' });
  await page.goto(`${demo.url}/room/shared-a/height`);
  await isReady(page);
  await putRoom(page, demo, 'shared-a', { ...guestRoom, title: 'Theirs' }, 1);
  await typeCentre(page, '65');
  await expect(page.getByTestId('two-versions')).toBeVisible();
  expect((await savedJob(page, demo, 'shared-a')).job.title).toBe('Theirs');
  expect(await centre(page)).toBeCloseTo(65 * IN, 6);
  await page.getByRole('button', { name: 'keep mine' }).click();
  await isSent(page);
  const saved = await savedJob(page, demo, 'shared-a');
  expect([saved.version, saved.job.title, saved.job.choices!.centreY]).toEqual([3, 'Shared', 65 * IN]);
  const theirs = (await (await page.request.get(`${demo.url}/api/rooms/shared-a/revisions/2`)).json()) as {
    job: { title: string };
  };
  expect(theirs.job.title).toBe('Theirs');
});

test('a stale save: theirs can be taken, and undo brings mine back', async ({ page, demo, watch }) => {
  watch.allow(/409/);
  await putRoom(page, demo, 'shared-b', { ...guestRoom, title: 'Shared' });
  await page.goto(`${demo.url}/room/shared-b/height`);
  await isReady(page);
  await putRoom(page, demo, 'shared-b', { ...guestRoom, title: 'Theirs' }, 1);
  await typeCentre(page, '65');
  await page.getByRole('button', { name: 'take theirs' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Theirs');
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shared');
  expect(await centre(page)).toBeCloseTo(65 * IN, 6);
  await isSent(page);
});

test('one tab edits a room; another shows it and takes over when the first closes', async ({ context, demo }) => {
  const first = await context.newPage();
  await putRoom(first, demo, 'two-tabs', { ...guestRoom, title: 'Two tabs' });
  await first.goto(`${demo.url}/room/two-tabs/height`);
  await isReady(first);
  const second = await context.newPage();
  await second.goto(`${demo.url}/room/two-tabs/height`);
  await expect(second.getByTestId('read-only')).toBeVisible();
  await expect(second.getByTestId('set-handle')).toHaveCount(0);
  await expect(second.getByTestId('field-choices.centreY')).toBeDisabled();
  await typeCentre(first, '66');
  await isSent(first);
  await first.close();
  await expect(second.getByTestId('read-only')).toHaveCount(0);
  await expect.poll(() => centre(second)).toBeCloseTo(66 * IN, 6);
});

test('undo survives a reload', async ({ page, demo }) => {
  await putRoom(page, demo, 'undo', { ...guestRoom, title: 'Undo' });
  await page.goto(`${demo.url}/room/undo/height`);
  await isReady(page);
  const before = await centre(page);
  await typeCentre(page, '70');
  await isSent(page);
  await page.reload();
  await isReady(page);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect.poll(() => centre(page)).toBeCloseTo(before, 6);
});
