import Database from 'libsql';
import { guestRoom } from '@steddo/samples';
import { expect, test } from './fixtures';
import { testServer } from './server';

test('of 460 rooms the latest are told; older ones come page by page, or by what they are looked for', async ({
  page,
}) => {
  const server = await testServer('catalogue');
  const db = new Database(server.database);
  db.prepare(
    `with recursive c(n) as (select 1 union all select n + 1 from c where n < 460)
     insert into rooms (id, version, title, saved_at, job, revision, words)
     select 'r-' || n, 1, 'Room ' || n, strftime('%Y-%m-%dT%H:%M:%fZ', '2026-01-01', '+' || n || ' minutes'),
       ?, 'rev-' || n, 'room ' || n from c`,
  ).run(JSON.stringify(guestRoom));
  db.close();
  await page.goto(server.url);
  const listed = page.locator('[data-testid^="room-r-"]');
  await expect(page.getByTestId('room-r-460')).toBeVisible();
  await expect(listed).toHaveCount(200);
  const older = page.getByTestId('far-rooms');
  await older.click();
  await expect(page.getByTestId('room-r-61')).toHaveCount(1);
  await expect(listed).toHaveCount(400);
  await older.click();
  await expect(page.getByTestId('room-r-1')).toHaveCount(1);
  await expect(listed).toHaveCount(460);
  await expect(older).toHaveCount(0);
  // one that is looked for is found on the server, in a list that has not come that far
  await page.reload();
  await expect(listed).toHaveCount(200);
  await page.getByTestId('room-search').fill('ROOM 17');
  await expect(page.getByTestId('room-r-17')).toBeVisible();
  await page.getByTestId('room-r-17').click();
  await expect(page).toHaveURL(/\/room\/r-17\//);
  await page.goto('about:blank');
  await server.kill();
});
