import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { guestRoom } from '@steddo/samples';
import { expect, isReady, putRoom, savedJob, test } from './fixtures';
import { MAIN, ROOT, freePort, runToEnd } from './server';

const NONSENSE = ['abc', '12 34', '1,5', '3/7', '-99999', '99999999', '1e9', '58 9/8'];

/** One field of one stage, for real; every field of the others is gone through in apps/web/src/pad/pad.test.tsx. */
test('a field refuses nonsense, says what it takes, and keeps what was typed', async ({ page, demo }) => {
  const id = 'bad-wall';
  await putRoom(page, demo, id, { ...guestRoom, title: id });
  await page.goto(`${demo.url}/room/${id}/wall`);
  await isReady(page);
  await page.getByTestId('mark-centre').click();
  for (const text of NONSENSE) {
    await page.getByTestId('pad-text').fill(text);
    await page.getByTestId('key-done').click();
    await expect(page.getByTestId('pad-error')).toHaveText(/[Tt]akes|Write|write|go up to|cannot be less/);
    await expect(page.getByTestId('pad-text')).toHaveValue(text);
  }
  await page.getByRole('button', { name: /close the pad/ }).click();
  await page.getByTestId('mark-centre').click();
  await expect(page.getByTestId('pad-text')).toHaveValue(NONSENSE.at(-1)!);
  await page.getByRole('button', { name: /close the pad/ }).click();
  await expect(page.getByTestId('pad')).toHaveCount(0);
  const saved = await savedJob(page, demo, id);
  expect([saved.version, saved.job]).toEqual([1, JSON.parse(JSON.stringify({ ...guestRoom, title: id }))]);
});

test('a millimetre number in an imperial job is questioned, and taken as millimetres in one tap', async ({
  page,
  demo,
}) => {
  await putRoom(page, demo, 'bad-unit', { ...guestRoom, title: 'Unit' });
  await page.goto(`${demo.url}/room/bad-unit/height`);
  await page.getByTestId('field-choices.centreY').click();
  await page.getByTestId('pad-text').fill('1600');
  await page.getByTestId('key-done').click();
  await expect(page.getByTestId('pad-error')).toContainText('Did you mean mm?');
  await page.getByRole('button', { name: 'take it as mm' }).click();
  await expect.poll(async () => (await savedJob(page, demo, 'bad-unit')).job.choices?.centreY).toBe(1600);
});

test('a room without a name is refused at the field', async ({ page, demo }) => {
  await putRoom(page, demo, 'bad-name', { ...guestRoom, title: 'Name' });
  await page.goto(`${demo.url}/room/bad-name/height`);
  await page.getByRole('button', { name: 'Name, change its name' }).click();
  await page.getByTestId('name-input').fill('   ');
  await page.getByRole('button', { name: 'take it' }).click();
  await expect(page.getByText('Takes a name of 1 to 200 characters.')).toBeVisible();
  await expect(page.getByTestId('name-input')).toHaveValue('   ');
});

test('an address that is no room, or no stage, says so', async ({ page, demo, watch }) => {
  watch.allow(/404/);
  await page.goto(`${demo.url}/room/nowhere/height`);
  await expect(page.getByText('There is no such room, here or on the server.')).toBeVisible();
  await page.goto(`${demo.url}/room/guest-room/nothing`);
  await expect(page).toHaveURL(/guest-room\/room$/);
  await page.goto(`${demo.url}/elsewhere`);
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test.describe('command line and start', () => {
  const folder = mkdtempSync(join(tmpdir(), 'steddo-bad-'));

  test('a job file with five faults prints five lines and exits 2', async () => {
    const bad = {
      ...guestRoom,
      title: '',
      units: 'feet',
      extra: 1,
      screen: { ...guestRoom.screen, mass: -1, width: 'wide' },
    };
    writeFileSync(join(folder, 'five.json'), JSON.stringify(bad));
    const run = await runToEnd('npm', ['--prefix', ROOT, 'run', '--silent', 'plan', '--', 'five.json'], {}, folder);
    const lines = run.err.split('\n').filter((l) => l !== '' && !l.startsWith('npm '));
    expect([run.code, run.out, lines.length]).toEqual([2, '', 5]);
    expect(lines.map((l) => l.split(':')[0]).sort()).toEqual([
      'extra',
      'screen.mass',
      'screen.width',
      'title',
      'units',
    ]);
  });
  test('a file that is not there, or is no JSON, is one line', async () => {
    writeFileSync(join(folder, 'broken.json'), '{"format":');
    writeFileSync(join(folder, 'bytes.json'), Buffer.from(Array.from({ length: 256 }, (_, i) => i)));
    writeFileSync(join(folder, 'lines.json'), JSON.stringify({ ...guestRoom, 'two\nlines': 1 }));
    for (const [file, words] of [
      ['none.json', 'there is no such file'],
      ['broken.json', 'is not JSON'],
      ['bytes.json', 'is not JSON'],
      ['lines.json', 'two\\u000alines: is not a field'],
    ] as const) {
      const run = await runToEnd('node', [join(ROOT, 'scripts/plan.mjs'), join(folder, file)]);
      expect(run.code).toBe(2);
      expect(run.err).toContain(words);
      expect(run.err.split('\n').filter((l) => l !== '' && !l.startsWith('npm '))).toHaveLength(1);
      expect(run.err).not.toMatch(/at .*:\d+:\d+/);
    }
  });
  test('a busy port says so', async () => {
    const port = await freePort();
    const holder = createServer().listen(port, '127.0.0.1');
    const run = await runToEnd(process.execPath, [MAIN], {
      STEDDO_PORT: String(port),
      STEDDO_DB: join(folder, 'busy.db'),
    });
    holder.close();
    expect(run.code).toBe(1);
    expect(run.err).toContain(`port ${port} on 127.0.0.1 is busy`);
  });
  test('a corrupt database is named at start and left untouched', async () => {
    const path = join(folder, 'corrupt.db');
    const bytes = `SQLite format 3\0${'x'.repeat(8000)}`;
    writeFileSync(path, bytes);
    const run = await runToEnd(process.execPath, [MAIN], {
      STEDDO_PORT: String(await freePort()),
      STEDDO_DB: path,
    });
    expect(run.code).toBe(1);
    expect(run.err).toContain(path);
    expect(readFileSync(path, 'utf8')).toBe(bytes);
  });
  test('a faulty setting is named', async () => {
    const run = await runToEnd(process.execPath, [MAIN], { STEDDO_PORT: 'high' });
    expect([run.code, run.err.includes('STEDDO_PORT: takes a port number')]).toEqual([1, true]);
  });
});
