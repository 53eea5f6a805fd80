import { guestRoom } from '@steddo/samples';
import type { Page } from '@playwright/test';
import { expect, figureValue, isReady, isSent, openRoom, putRoom, savedJob, test } from './fixtures';
import { testServer } from './server';

const IN = 25.4;
const centre = (page: Page) => figureValue(page.getByTestId('thumb-bar'), 'centre');

/** `just` happens when all is typed and nothing taken: what the page hears of it later than it is taken. */
async function typeCentre(page: Page, text: string, just?: () => Promise<void>) {
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill(text);
  await just?.();
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
  await expect(page.getByTestId('save-state')).toContainText('1 to send · no server');
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
    timeout: 60_000,
  });
  expect((await savedJob(page, server, 'cellar')).job.choices!.centreY).toBe(64 * IN);
  await server.kill();
});

/** A room that is open, and somebody else's save on top of what it was opened with. */
async function meanwhile(page: Page, url: string, id: string, theirs: typeof guestRoom) {
  // the page is told nothing of it before it saves, however slow the machine is
  await page.route('**/api/changes?*', async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, json: { ...((await response.json()) as object), rooms: [] } });
  });
  const data = { editId: `${id}-theirs`, baseVersion: 1, touched: ['screen.mass'], device: 'Kit’s phone', job: theirs };
  expect((await page.request.put(`${url}/api/rooms/${id}`, { data })).status()).toBe(200);
}
const CENTRE_64 = { centreY: 64 * IN };

test('two devices: different things land both, and nobody is asked', async ({ page, demo, watch }) => {
  watch.allow(/409/);
  const job = { ...guestRoom, title: 'Shared' };
  await openRoom(page, demo, 'both-land', job, 'height');
  await meanwhile(page, demo.url, 'both-land', { ...job, title: 'Theirs' });
  await typeCentre(page, '65');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Theirs');
  await isSent(page);
  expect(await centre(page)).toBeCloseTo(65 * IN, 6);
  await expect(page.getByTestId('dispute')).toHaveCount(0);
  const { job: saved, version } = await savedJob(page, demo, 'both-land');
  expect([version, saved.title, saved.choices!.centreY]).toEqual([3, 'Theirs', 65 * IN]);
});

for (const whose of ['mine', 'theirs'] as const)
  test(`two devices: the same thing is asked about, with who and when; keeping ${whose} settles it`, async ({
    page,
    demo,
    watch,
  }) => {
    watch.allow(/409/);
    const id = `same-${whose}`;
    const job = { ...guestRoom, title: id };
    await openRoom(page, demo, id, job, 'height');
    await typeCentre(page, '65', () =>
      meanwhile(page, demo.url, id, { ...job, choices: { ...job.choices, ...CENTRE_64 } }),
    );
    const dispute = page.getByTestId('dispute');
    await expect(dispute).toContainText('Two values: how high it hangs');
    await expect(dispute).toContainText(/Kit’s phone have both changed it, theirs saved \d+ \w+ \d{4}/);
    await expect(dispute).toContainText('Yours: 65 in');
    await expect(dispute).toContainText('Theirs: 64 in');
    await expect(page.getByTestId('save-state')).toHaveText('on this device · 1 to settle');
    // drawn too: the set stands where they have it for as long as theirs is shown
    expect(await centre(page)).toBeCloseTo(65 * IN, 6);
    await page.getByTestId('dispute-show').click();
    await expect.poll(() => centre(page)).toBeCloseTo(64 * IN, 6);
    await page.getByTestId('dispute-show').click();
    await expect.poll(() => centre(page)).toBeCloseTo(65 * IN, 6);
    // the question outlives the tab
    await page.reload();
    await expect(dispute).toBeVisible();
    await page.getByTestId(whose === 'mine' ? 'keep-mine' : 'take-theirs').click();
    const inches = whose === 'mine' ? 65 : 64;
    await isSent(page);
    await expect(dispute).toHaveCount(0);
    expect((await savedJob(page, demo, id)).job.choices!.centreY).toBeCloseTo(inches * IN, 6);
    if (whose === 'mine') return;
    await page.getByRole('button', { name: 'undo', exact: true }).click();
    await expect.poll(() => centre(page)).toBeCloseTo(65 * IN, 6);
    await isSent(page);
  });

test('undo does not take back what somebody else has changed since, and says so', async ({ page, demo }) => {
  const job = { ...guestRoom, title: 'undo-other' };
  await openRoom(page, demo, 'undo-other', job, 'height');
  await typeCentre(page, '65');
  await isSent(page);
  const { job: mine } = await savedJob(page, demo, 'undo-other');
  await putRoom(page, demo, 'undo-other', { ...mine, choices: { ...mine.choices, ...CENTRE_64 } }, 2);
  // seen here within five seconds
  await expect.poll(() => centre(page)).toBeCloseTo(64 * IN, 6);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(page.getByTestId('not-undone')).toContainText('Not taken back: the height by hand');
  expect(await centre(page)).toBeCloseTo(64 * IN, 6);
});

test('every version can be looked at, compared and taken back, the ones that came too late too', async ({
  page,
  demo,
  watch,
}) => {
  watch.allow(/409/);
  const job = { ...guestRoom, title: 'Versions' };
  await openRoom(page, demo, 'versions', job, 'height');
  await meanwhile(page, demo.url, 'versions', { ...job, choices: { ...job.choices, ...CENTRE_64 } });
  await typeCentre(page, '65');
  await page.getByTestId('keep-mine').click();
  await isSent(page);
  await page.getByRole('button', { name: /^this room: where it is kept/ }).click();
  await page.getByTestId('to-history').click();
  const history = page.getByTestId('history');
  await expect(history.getByRole('button', { name: /^Version/ })).toHaveCount(3);
  await expect(history.getByRole('button', { name: /^Came too late/ })).toHaveCount(1);
  await page.getByTestId('revision-2').click();
  await expect(page.getByTestId('comparison')).toContainText('the height by hand: 64 in then, 65 in now');
  await page.getByTestId('take-back').click();
  await expect(page.getByTestId('same')).toContainText('Taken back');
  await page.getByRole('button', { name: 'back to the room' }).click();
  await isSent(page);
  expect((await savedJob(page, demo, 'versions')).job.choices!.centreY).toBeCloseTo(64 * IN, 6);
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
