import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { catalogueFromRows, catalogueRows, type Catalogue, type Mount } from '@steddo/contract';
import { demoCatalogue, guestRoom } from '@steddo/samples';
import { parse } from 'csv-parse/sync';
import { expect, openRoom, quick, test } from './fixtures';
import { testServer } from './server';

const csvOf = (mounts: readonly Mount[]) =>
  catalogueRows(mounts)
    .map((row) => row.map((cell) => `"${cell.replaceAll('"', '""')}"`).join(','))
    .join('\n');
const fileWith = (name: string, text: string) => {
  const path = join(tmpdir(), `steddo-${process.pid}-${name}`);
  writeFileSync(path, text);
  return path;
};
/** What a room with a plain wall ranks. */
const WALL_MOUNTS = demoCatalogue.mounts.filter((m) => ['fixed', 'tilt', 'full-motion'].includes(m.type));

/** As many as asked for, each a little different, all of them mounts that the format takes. */
const many = (count: number): Mount[] =>
  Array.from({ length: count }, (_, i) => {
    const mount = WALL_MOUNTS[i % WALL_MOUNTS.length]!;
    return { ...mount, id: `bulk-${i}`, name: `Bulk ${i}`, maxMass: mount.maxMass + (i % 50) };
  });

test('a CSV with faults names row, column and reason of each, and nothing is taken', async ({ page, demo }) => {
  const [names = [], ...rows] = catalogueRows(demoCatalogue.mounts.slice(0, 3));
  const put = (row: number, column: string, text: string) => {
    rows[row]![names.indexOf(column)] = text;
  };
  rows.forEach((row, i) => put(i, 'id', `faulty-${i}`) ?? row);
  put(0, 'maxMass', '20 kg');
  put(0, 'type', 'sideways');
  put(2, 'depth.folded', '-4');
  const text = [names, ...rows].map((r) => r.join(',')).join('\n');
  await page.goto(`${demo.url}/catalogue`);
  await expect(page.getByTestId('catalogue-count')).toBeVisible();
  await page.getByTestId('import-file').setInputFiles(fileWith('faults.csv', text));
  const faults = page.getByTestId('import-faults');
  await expect(faults).toContainText('3 faults');
  await expect(faults).toBeInViewport();
  await expect(faults).toContainText('row 2, maxMass: takes a number, not "20 kg" (no unit: mm and kg)');
  await expect(faults).toContainText('row 2, type: takes "fixed"');
  await expect(faults).toContainText('row 4, depth.folded: must be at least 0, not -4');
  await page.getByTestId('import-file').setInputFiles(fileWith('broken.json', '{"format":'));
  await expect(faults).toContainText('(file): is not JSON');
  await page.getByTestId('import-file').setInputFiles(fileWith('quote.csv', `${names.join(',')}\n"a`));
  await expect(faults).toContainText('row 2');
  const { mounts } = (await (await page.request.get(`${demo.url}/api/catalogue`)).json()) as Catalogue;
  expect(mounts.some((m) => m.id.startsWith('faulty'))).toBe(false);
});

test('what is taken out as CSV and as JSON is what is taken in again', async ({ page, demo }) => {
  await page.goto(`${demo.url}/catalogue`);
  const mine = { ...demoCatalogue.mounts[0]!, id: 'carried', name: 'Carried "over", 3' };
  // few rows, whose lists hold more semicolons than the table has commas, and a table by semicolons
  const semicolons = catalogueRows(demoCatalogue.mounts.slice(0, 8)).map((r) =>
    r.map((c) => `"${c.replaceAll('"', '""')}"`).join(';'),
  );
  for (const [name, text] of [
    ['eight.csv', csvOf(demoCatalogue.mounts.slice(0, 8))],
    ['semicolons.csv', semicolons.join('\n')],
  ] as const) {
    await page.getByTestId('import-file').setInputFiles(fileWith(name, text));
    await expect(page.getByTestId('import-ready')).toContainText('8 mounts, no faults');
  }
  await page.getByTestId('import-file').setInputFiles(fileWith('one.csv', csvOf([mine])));
  await expect(page.getByTestId('import-ready')).toContainText('1 mounts, no faults');
  await page.getByTestId('import-take').click();
  await expect(page.getByTestId('import-said')).toHaveText('1 mounts taken in.');
  await page.getByTestId('catalogue-search').fill('carried');
  await expect(page.getByTestId('entry-carried')).toBeVisible();
  const { mounts } = (await (await page.request.get(`${demo.url}/api/catalogue`)).json()) as Catalogue;
  const sorted = (all: readonly Mount[]) => [...all].sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const kind of ['csv', 'json'] as const) {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId(`export-${kind}`).click()]);
    const text = readFileSync((await download.path())!, 'utf8');
    const read = kind === 'csv' ? catalogueFromRows(parse(text)) : undefined;
    const back = read ? (read.ok ? read.value.mounts : []) : (JSON.parse(text) as Catalogue).mounts;
    expect(sorted(back)).toEqual(sorted(mounts));
  }
});

/** So many are still being read when a finger comes down. */
const MORE = 12_000;
/** As many as a shop may have; the long run takes in twenty thousand. */
const BULK = Number(process.env.STEDDO_MOUNTS ?? 1500);

quick(
  `${BULK} mounts are read, taken in and ranked in the worker, with progress and a way out`,
  async ({ own: page }) => {
    quick.slow();
    const server = await testServer('demo');
    try {
      await page.goto(`${server.url}/catalogue`);
      await expect(page.getByTestId('catalogue-count')).toBeVisible();
      const file = fileWith('bulk.csv', csvOf(many(BULK)));
      // called off while it is read: nothing is taken
      await page.getByTestId('import-file').setInputFiles(fileWith('more.csv', csvOf(many(Math.max(BULK, MORE)))));
      await expect(page.getByTestId('cancel-work')).toBeVisible();
      await page.getByTestId('cancel-work').click();
      await expect(page.getByTestId('import-said')).toHaveText('Stopped; nothing was taken.');

      await page.getByTestId('import-file').setInputFiles(file);
      await expect(page.getByRole('progressbar')).toBeVisible();
      await expect(page.getByTestId('import-ready')).toContainText(`${BULK} mounts, no faults`, { timeout: 120_000 });
      await page.getByTestId('import-take').click();
      await expect(page.getByTestId('import-said')).toHaveText(`${BULK} mounts taken in.`, { timeout: 120_000 });

      await openRoom(page, server, 'crowd', guestRoom, 'mount');
      const count = page.getByTestId('mount-count');
      const all = BULK + WALL_MOUNTS.length;
      await expect(count).toHaveText(`30 of ${all}`, { timeout: 120_000 });
      // the page answers while the worker works: typing narrows the list
      await page.getByRole('button', { name: 'look for one, hide' }).waitFor();
      await page.getByTestId('mount-search').fill(`bulk ${BULK - 1}`);
      await expect(count).toHaveText(`1 of 1, out of ${all}`);
      await expect(page.getByTestId(`mount-bulk-${BULK - 1}`)).toBeVisible();
      await page.getByTestId('mount-search').fill('');
      await page.getByTestId('more-mounts').click();
      await expect(count).toHaveText(`60 of ${all}`);
      // hundreds of them go: none of the first sixty is anything else
      const verdicts = page.locator('[data-testid^="mount-"] [role="radio"] [role="img"]');
      await expect(verdicts).toHaveCount(60);
      expect(new Set(await verdicts.evaluateAll((all) => all.map((e) => e.getAttribute('aria-label'))))).toEqual(
        new Set(['go']),
      );
    } finally {
      await server.kill();
    }
  },
);
