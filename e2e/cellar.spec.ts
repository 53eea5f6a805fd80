import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { guestRoom } from '@steddo/samples';
import { Thumb, expect, isReady, isSent, putRoom, savedJob, test } from './fixtures';
import { ROOT, testServer } from './server';

/* After one visit there need be no server: the app itself is on the device. */

const STAGES = ['set', 'room', 'mount', 'fit', 'height', 'wall', 'holes', 'level', 'hang'] as const;

test('in a cellar: the server gone after the first visit, a job from new room to level with two restarts, then back', async () => {
  const server = await testServer('demo');
  const browser = await chromium.launch(test.info().project.use.launchOptions);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  let page = await context.newPage();
  await page.goto(server.url);
  await expect(page.getByTestId('room-guest-room')).toBeVisible();
  await page.waitForFunction(
    async () => (await navigator.serviceWorker.ready).active?.state === 'activated',
    undefined,
    { timeout: 60_000 },
  );
  // whatever is still being fetched is not on the phone; a row is worked out once it is looked at
  const guest = async () => {
    await page.getByTestId('room-guest-room').scrollIntoViewIfNeeded();
    await expect(page.getByTestId('room-guest-room')).toContainText('4 holes to drill');
  };
  await guest();
  await server.kill();
  const restart = async (path: string) => {
    await page.close();
    page = await context.newPage();
    await page.goto(`${server.url}${path}`);
  };
  await restart('/');
  await expect(page.getByText('No server at the moment.')).toBeVisible({ timeout: 60_000 });
  await guest();
  // every stage of a room that was never opened here
  for (const stage of STAGES) {
    await page.goto(`${server.url}/room/guest-room/${stage}`);
    await expect(page.getByTestId('panel')).toBeVisible();
    await expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
  }
  await page.goto(server.url);
  await page.getByTestId('new-room').click();
  const thumb = new Thumb(page);
  await expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
  const id = new URL(page.url()).pathname.split('/')[2]!;
  await page.getByTestId('stage-room').click();
  await page.getByTestId('field-room.wall.width').click();
  await thumb.keys('144', 'done');
  await expect(page.getByTestId('save-state')).toContainText('no server');
  await restart(`/room/${id}/mount`);
  await page.getByTestId('mount-batten-2').getByRole('radio').click();
  await expect(page.getByTestId('mount-batten-2').getByRole('radio')).toBeChecked();
  await page.goto(`${server.url}/room/${id}/wall`);
  await restart(`/room/${id}/level`);
  await expect(page.getByTestId('panel')).toBeVisible();
  await expect(page.getByTestId('save-state')).toContainText(/\d+ to send · no server/);
  await server.start();
  await expect(page.getByTestId('save-state')).toHaveText('on this device · sent', { timeout: 60_000 });
  const { job } = await savedJob(page, server, id);
  expect([job.room.wall.width, job.mount!.id]).toEqual([144 * 25.4, 'batten-2']);
  await browser.close();
  await server.kill();
});

test('a newer app is fetched beside the running one, offered on the list of rooms, and taken with a tap', async () => {
  const web = join(mkdtempSync(join(tmpdir(), 'steddo-newer-')), 'dist');
  cpSync(join(ROOT, 'apps/web/dist'), web, { recursive: true });
  const server = await testServer('demo', { STEDDO_WEB: web });
  const browser = await chromium.launch(test.info().project.use.launchOptions);
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await page.goto(`${server.url}/room/guest-room/height`);
  await page.waitForFunction(
    async () => (await navigator.serviceWorker.ready).active?.state === 'activated',
    undefined,
    {
      timeout: 60_000,
    },
  );
  const index = join(web, 'index.html');
  for (const file of [index, join(web, 'sw.js')]) rmSync(`${file}.br`, { force: true });
  writeFileSync(index, readFileSync(index, 'utf8').replace('<title>Steddo</title>', '<title>Steddo, newer</title>'));
  // as a build of it would write it: another digest for what has changed
  const worker = join(web, 'sw.js');
  writeFileSync(worker, readFileSync(worker, 'utf8').replace(/(url:"index\.html",revision:")[0-9a-f]+/, '$1newer'));
  await server.kill();
  await server.start();
  await page.reload();
  await expect(page.getByRole('button', { name: /, change its name$/ })).toBeEnabled();
  await expect(page).toHaveTitle('Steddo');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await expect(page.getByTestId('new-version')).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'take the newer one' }).click();
  // it comes once nothing of the old one is under way any more
  await expect(page).toHaveTitle('Steddo, newer', { timeout: 60_000 });
  await browser.close();
  await server.kill();
});

test('all rooms out as an archive, into an empty database, and they are the same', async ({ page, demo, empty }) => {
  // rooms that were never opened here are in it too
  await page.goto(`${demo.url}/device`);
  const download = page.waitForEvent('download');
  await page.getByTestId('rooms-out').click();
  const file = await (await download).path();
  await expect(page.getByTestId('rooms-said')).toContainText('taken out.', { timeout: 60_000 });
  const bytes = readFileSync(file);
  await page.goto(`${empty.url}/device`);
  await page.getByTestId('rooms-file').setInputFiles({ name: 'rooms.zip', mimeType: 'application/zip', buffer: bytes });
  await expect(page.getByTestId('rooms-ready')).toContainText('Attic snug');
  await page.getByTestId('rooms-take').click();
  await expect(page.getByTestId('rooms-said')).toContainText('taken in, as new rooms');
  const list = async (url: string) =>
    ((await (await page.request.get(`${url}/api/rooms`)).json()) as { rooms: { id: string; title: string }[] }).rooms;
  const wanted = await list(demo.url);
  await expect
    .poll(async () => (await list(empty.url)).map((r) => r.title))
    .toEqual(expect.arrayContaining(wanted.map((r) => r.title)));
  const taken = await list(empty.url);
  for (const { id, title } of wanted.filter((r) => ['guest-room', 'attic-snug', 'breakfast-bar'].includes(r.id))) {
    const twin = taken.find((r) => r.title === title)!;
    expect((await savedJob(page, empty, twin.id)).job).toEqual((await savedJob(page, demo, id)).job);
  }
});

test('a file with a fault brings in nothing, and says where it is', async ({ page, empty }) => {
  await page.goto(`${empty.url}/device`);
  const bad = { ...guestRoom, units: 'feet' };
  await page.getByTestId('rooms-file').setInputFiles([
    {
      name: 'good.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ ...guestRoom, title: 'Not taken' })),
    },
    { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(bad)) },
    { name: 'half.zip', mimeType: 'application/zip', buffer: Buffer.from('PK\u0003\u0004 and no more') },
  ]);
  await expect(page.getByTestId('rooms-faults')).toContainText(
    'bad.json, units: takes "imperial", "metric", not "feet"',
  );
  await expect(page.getByTestId('rooms-faults')).toContainText('half.zip, (file): is no archive that can be unpacked');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await expect(page.getByText('Not taken')).toHaveCount(0);
});

test('job files are dropped as well as picked, and a drop with a fault takes nothing', async ({ page, empty }) => {
  await page.goto(`${empty.url}/device`);
  const zone = page.getByTestId('room-files');
  await expect(zone).toBeVisible();
  const drop = async (name: string, text: string) => {
    const dataTransfer = await page.evaluateHandle(
      ([called, content]) => {
        const held = new DataTransfer();
        held.items.add(new File([content!], called!, { type: 'application/json' }));
        return held;
      },
      [name, text],
    );
    await zone.dispatchEvent('dragenter', { dataTransfer });
    await expect(zone).toContainText('Let go: they are read');
    await zone.dispatchEvent('drop', { dataTransfer });
    await expect(zone).not.toContainText('Let go');
  };
  await drop('photo.png', 'no job');
  await expect(page.getByTestId('rooms-faults')).toContainText('photo.png, (file): is not JSON');
  await drop('dropped.json', JSON.stringify({ ...guestRoom, title: 'Dropped in' }));
  await expect(page.getByTestId('rooms-ready')).toContainText('one room, no faults: Dropped in');
  await page.getByTestId('rooms-take').click();
  await expect(page.getByTestId('rooms-said')).toContainText('one room taken in');
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await expect(page.getByText('Dropped in')).toBeVisible();
});

test('a room that is taken away is off the list, and back with everything when it is taken back', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'to-go', { ...guestRoom, title: 'To go' });
  await page.goto(`${demo.url}/room/to-go/height`);
  await isReady(page);
  await page.getByRole('button', { name: /^this room: where it is kept/ }).click();
  await page.getByTestId('remove-room').click();
  await expect(page.getByTestId('room-guest-room')).toBeVisible();
  await expect(page.getByTestId('room-to-go')).toHaveCount(0);
  await expect.poll(async () => (await page.request.get(`${demo.url}/api/rooms/to-go`)).status()).toBe(410);
  await page.getByTestId('to-device').click();
  await page.getByTestId('take-back-to-go').click();
  await expect(page.getByTestId('deleted-to-go')).toHaveCount(0);
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await page.getByTestId('room-to-go').click();
  await isReady(page);
  await isSent(page);
});

test('the device has a name that others see', async ({ page, demo }) => {
  await page.goto(`${demo.url}/device`);
  await expect(page.getByTestId('keeping')).toContainText(/[kM]B used of about/);
  await page.getByTestId('name-device').click();
  await page.getByTestId('name-input').fill('Ladder phone');
  await page.getByRole('button', { name: 'take it' }).click();
  await expect(page.getByText('Called “Ladder phone”')).toBeVisible();
  await expect(page.getByTestId('name-input')).toHaveCount(0);
  await page.getByRole('button', { name: 'all rooms', exact: true }).click();
  await page.getByTestId('new-room').click();
  await isReady(page);
  const id = new URL(page.url()).pathname.split('/')[2]!;
  const { revisions } = (await (await page.request.get(`${demo.url}/api/rooms/${id}/revisions`)).json()) as {
    revisions: { device: string }[];
  };
  expect(revisions[0]!.device).toBe('Ladder phone');
});
