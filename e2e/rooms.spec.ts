import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { guestRoom } from '@steddo/samples';
import { Thumb, expect, figureValue, isReady, isSent, openRoom, putRoom, savedJob, test } from './fixtures';
import { MAIN, freePort } from './server';

test('a room in millimetres: the pad has no fractions and steps by a millimetre', async ({ page, demo }) => {
  await page.goto(demo.url);
  const thumb = new Thumb(page);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await page.getByTestId('new-room').click();
  await isReady(page);
  await page.getByTestId('stage-room').click();
  await page.getByTestId('field-room.wall.width').click();
  await expect(page.getByTestId('key-1/2')).toHaveCount(0);
  await thumb.keys('2650', 'next');
  await page.getByTestId('key-+ 1 mm').click();
  await expect(page.getByTestId('pad-text')).toHaveValue('2439.4');
  await page.getByRole('button', { name: 'unit mm, change' }).click();
  await page.getByTestId('pad-text').fill('2.4 m');
  await page.getByTestId('key-done').click();
  await isSent(page);
  const id = new URL(page.url()).pathname.split('/')[2]!;
  const { job } = await savedJob(page, demo, id);
  expect([job.units, job.room.wall.width, job.room.wall.height]).toEqual(['metric', 2650, 2400]);
  expect(job.guessed).not.toContain('room.wall.width');
  await expect(page.getByTestId('field-room.wall.width')).not.toContainText('guess');
  await expect(page.getByTestId('field-room.viewers.v1.eye')).toContainText('guess');
});

test('a room gets a name, and the list shows it with what it lacks', async ({ page, demo }) => {
  await putRoom(page, demo, 'to-name', { ...guestRoom, title: 'Before', evidence: [] });
  await page.goto(`${demo.url}/room/to-name/wall`);
  await isReady(page);
  await page.getByRole('button', { name: 'Before, change its name' }).click();
  await page.getByTestId('name-input').fill('Box room');
  await page.getByRole('button', { name: 'take it' }).click();
  await isSent(page);
  await page.getByRole('button', { name: 'all rooms' }).click();
  await expect(page.getByTestId('room-to-name')).toContainText('Box room');
  await expect(page.getByTestId('room-to-name')).toContainText('needs 2, and the marks show 0');
});

test('a room that is tapped before it is worked out opens where its work goes on', async ({ page, demo }) => {
  await putRoom(page, demo, 'early', { ...guestRoom, title: 'Early' });
  await putRoom(page, demo, 'earlier', { ...guestRoom, title: 'Earlier' });
  let come = () => {};
  const held = new Promise<void>((resolve) => (come = resolve));
  await page.route('**/plan-*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(demo.url);
  const row = page.getByTestId('room-early');
  await expect(row).toContainText('43 in · 19 lb · 200 x 200 · Louvre 2…');
  // the one that is tapped last
  await page.getByTestId('room-earlier').click();
  await expect(page.getByTestId('room-earlier')).toContainText('It opens as soon as it is worked out.');
  await row.click();
  await expect(row).toContainText('It opens as soon as it is worked out.');
  await expect(page.getByTestId('room-earlier')).not.toContainText('It opens');
  expect(new URL(page.url()).pathname).toBe('/');
  come();
  await page.waitForURL(/\/room\/early\/holes$/);
});

test('a room that is asked for while its files are still being brought is there when they are', async ({
  page,
  demo,
}) => {
  let come = () => {};
  const held = new Promise<void>((resolve) => (come = resolve));
  await page.route('**/__rest-*.js', async (route) => {
    await held;
    await route.continue();
  });
  // brought ahead once the list stands still; the stages' own file would be there, and not what it shares
  const asked = page.waitForRequest('**/__rest-*.js');
  await page.goto(demo.url);
  await asked;
  await page.waitForTimeout(500);
  await page.getByTestId('new-room').click();
  await page.waitForTimeout(300);
  come();
  await expect(page.getByTestId('field-screen.diagonal')).toBeVisible();
});

test('a mark that is taken away takes its stud with it, and undo brings both back', async ({ page, demo }) => {
  const evidence = [{ id: 'e1', kind: 'centre' as const, x: 1600, y: 1400 }];
  await putRoom(page, demo, 'marks', { ...guestRoom, title: 'Marks', evidence });
  await page.goto(`${demo.url}/room/marks/wall`);
  await isReady(page);
  const marked = page.getByTestId(/^stud-\d+$/).filter({ hasText: '1 mark, a stud 95 in 100' });
  await expect(marked).toHaveCount(1);
  await page.getByRole('button', { name: /take away the centre/ }).click();
  await expect(marked).toHaveCount(0);
  await expect(page.getByTestId('stud-0')).toHaveCount(0);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  await expect(marked).toHaveCount(1);
  await isSent(page);
  expect((await savedJob(page, demo, 'marks')).job.evidence).toEqual(evidence);
});

test('another mount is another plan; the reasons open', async ({ page, empty }) => {
  await putRoom(page, empty, 'mounts', { ...guestRoom, title: 'Mounts' });
  await page.goto(`${empty.url}/room/mounts/mount`);
  await isReady(page);
  const hook = await figureValue(page.getByTestId('thumb-bar'), 'hook');
  await page.getByTestId('mount-batten-2').getByRole('radio').click();
  await expect.poll(() => figureValue(page.getByTestId('thumb-bar'), 'hook')).not.toBe(hook);
  await page.getByRole('button', { name: /why Derrick 4 is here/ }).click();
  await expect(page.getByTestId('mount-derrick-4')).toContainText('12 in under its smallest size');
  await isSent(page);
  expect((await savedJob(page, empty, 'mounts')).job.mount!.id).toBe('batten-2');
});

test('a level read by its lines, and one lifted until it is centred; each has its own error', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'levels', { ...guestRoom, title: 'Levels', levelReadings: [] }, 'level');
  const choose = (label: string, name: string) =>
    page.getByRole('radiogroup', { name: label }).getByRole('radio', { name, exact: true }).click();
  const add = async (text: string) => {
    await page.getByTestId('add-reading').click();
    await page.getByTestId('pad-text').fill(text);
    await page.getByTestId('key-done').click();
  };
  // 1 line of 0.5 mm/m, right high, and 0.6 left high when turned: slope (0.5 - 0.3) / 2 = 0.1 mm/m
  await choose('read by', 'bubble, by its lines');
  await add('1');
  await choose('turned end for end', 'yes');
  await choose('high end', 'left');
  await add('0.6');
  const slope = Math.atan(0.0001) * (180 / Math.PI);
  expect(await figureValue(page.getByTestId('thumb-bar'), 'slope')).toBeCloseTo(slope, 6);
  // another level, lifted 3 mm over 600: 5 mm/m
  await choose('which one', 'another…');
  await page.getByTestId('name-input').fill('long one');
  await page.getByRole('button', { name: 'take it' }).click();
  await choose('read by', 'lifted until centred');
  await add('3');
  // the first reading of another level is not the turned one of the last
  await expect(page.getByTestId('panel')).toContainText('lifted 3 mm over 600, left high on the plate, long one');
  await isSent(page);
  const { job } = await savedJob(page, demo, 'levels');
  expect(job.levelReadings).toMatchObject([
    { instrument: 'spirit', bubble: 1, high: 'right', turned: false },
    { instrument: 'spirit', bubble: 0.6, high: 'left', turned: true },
    { instrument: 'spirit', lifted: 3, span: 600, high: 'left', level: 'long one' },
  ]);
});

test('a room that is looked for is shown, done or not', async ({ page, empty }) => {
  for (const n of [1, 2, 3, 4, 5]) await putRoom(page, empty, `sought-${n}`, { ...guestRoom, title: `Sought ${n}` });
  await putRoom(page, empty, 'sought-done', { ...guestRoom, title: 'Long since', record: { done: '2027-03-04' } });
  await page.goto(empty.url);
  await expect(page.getByTestId('room-sought-1')).toBeVisible();
  await expect(page.getByTestId('room-sought-done')).toHaveCount(0);
  await page.getByTestId('room-search').fill('long s');
  await expect(page.getByTestId('room-sought-done')).toBeVisible();
  await expect(page.getByTestId('room-sought-1')).toHaveCount(0);
  await page.getByTestId('room-search').fill('sought');
  await expect(page.getByTestId('room-sought-1')).toBeVisible();
});

test('a room is copied, made into a new one, taken away and back, and done', async ({ page, empty }) => {
  await putRoom(page, empty, 'whole', { ...guestRoom, title: 'Whole' });
  await page.goto(empty.url);
  const menu = (title: string) => page.getByRole('button', { name: `${title}: name, copies, take away` }).click();
  await page.getByTestId('room-whole').scrollIntoViewIfNeeded();
  await menu('Whole');
  await page.getByTestId('copy-room').click();
  await isReady(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Whole, copy');
  await page.getByRole('button', { name: 'all rooms' }).click();
  await menu('Whole');
  await page.getByTestId('room-from').click();
  await isReady(page);
  await isSent(page);
  // the sheet that it was asked for in is gone from the history, and the address is the new room's
  await page.waitForTimeout(200);
  const id = new URL(page.url()).pathname.split('/')[2]!;
  const { job } = await savedJob(page, empty, id);
  expect([job.title, job.mount?.id, job.screen, job.evidence]).toEqual([
    'Whole 2',
    guestRoom.mount!.id,
    guestRoom.screen,
    undefined,
  ]);
  await page.getByRole('button', { name: 'all rooms' }).click();
  await menu('Whole 2');
  await page.getByTestId('remove-room').click();
  await expect(page.getByTestId(`room-${id}`)).toHaveCount(0);
  await page.getByText('take it back').click();
  await expect(page.getByTestId(`room-${id}`)).toBeVisible();
  await menu('Whole 2');
  await page.getByTestId('rename-room').click();
  await page.getByTestId('name-input').fill('Next door');
  await page.getByRole('button', { name: 'take it' }).click();
  await expect(page.getByTestId(`room-${id}`)).toContainText('Next door');
  // the dialog that closed goes one step back in the history first
  await page.waitForTimeout(300);
  // said to be done it stands apart, opens at its summary, and can be opened again
  await page.goto(`${empty.url}/room/whole/done`);
  await expect(page.getByTestId('done')).toContainText('0 of 4 drilled');
  await page.getByTestId('finish').click();
  await expect(page.getByTestId('room-whole')).toHaveCount(0);
  await page.getByTestId('fold-done').click();
  await page.getByTestId('room-whole').click();
  await expect(page.getByTestId('done-at')).toBeVisible();
  await page.getByTestId('reopen').click();
  await expect(page.getByTestId('finish')).toBeVisible();
  await page.getByRole('button', { name: 'back to hanging' }).click();
  await isSent(page);
  expect((await savedJob(page, empty, 'whole')).job.record?.done).toBeUndefined();
});

test('asked to stop, the server ends what it is doing and leaves with 0', async () => {
  const env = {
    ...process.env,
    STEDDO_PORT: String(await freePort()),
    STEDDO_DB: join(mkdtempSync(join(tmpdir(), 'steddo-stop-')), 's.db'),
  };
  const server = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  let log = '';
  server.stderr.on('data', (d) => (log += String(d)));
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const health = await fetch(`http://localhost:${env.STEDDO_PORT}/health`);
  expect(await health.json()).toMatchObject({ ok: true });
  expect((await fetch(`http://localhost:${env.STEDDO_PORT}/api/rooms`)).status).toBe(200);
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGTERM');
  expect(await ended).toBe(0);
  const lines = log
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as { msg: string; route?: string; status?: number });
  expect(lines.find((l) => l.msg === 'request')).toMatchObject({ route: '/api/rooms', status: 200 });
});
