import type { Page } from '@playwright/test';
import { plan } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { seriousFaults } from './axe';
import { expect, openRoom, sentJob, test } from './fixtures';
import { PICTURE, shoot, wallPicture, type Lens } from './wallPicture';

const corners = ({ width, height }: { width: number; height: number }) =>
  [
    [0, height],
    [width, height],
    [width, 0],
    [0, 0],
  ] as const;

/** From the left of the wall, all of it in the picture. */
const lensFor = ({ width, height }: { width: number; height: number }): Lens => ({
  focal: 1150,
  yaw: 24,
  at: { x: width / 2 - 0.445 * 1.5 * width, y: height / 2, z: 1.36 * width },
});

async function takePicture(page: Page, url: string, room: string, buffer: Buffer): Promise<void> {
  await page.goto(`${url}/room/${room}/pictures`);
  await page.getByTestId('picture-camera').setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer });
  await page
    .getByRole('button', { name: /^the room, .*: open$/ })
    .first()
    .click();
  await page.getByTestId('to-photo').click();
  await expect(page.getByTestId('photo-frame').locator('img')).toBeVisible();
}

/** Drags a corner's cross to a place of the picture, then lays it by keys to the pixel; once laid, it lags behind the finger. */
async function lay(page: Page, i: number, to: { u: number; v: number }, again = false): Promise<void> {
  const box = (await page.getByTestId('photo-frame').locator('img').boundingBox())!;
  const scale = box.width / PICTURE.width;
  const cross = (await page.getByTestId(`corner-${i}`).boundingBox())!;
  const from = { x: cross.x + cross.width / 2, y: cross.y + cross.height / 2 };
  const way = { x: box.x + to.u * scale - from.x, y: box.y + to.v * scale - from.y };
  const more = again ? 1 + 18 / Math.hypot(way.x, way.y) : 1;
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + way.x * more, from.y + way.y * more, { steps: 4 });
  await expect(page.getByTestId('loupe')).toBeVisible();
  await page.mouse.up();
  await expect(page.getByTestId('loupe')).toHaveCount(0);
  const said = (await page.getByTestId(`corner-${i}`).getAttribute('aria-valuetext'))!;
  const [across, down] = said.match(/\d+/g)!.map(Number) as [number, number];
  const steps = (n: number, less: string, more: string) => Array(Math.abs(n)).fill(n < 0 ? less : more) as string[];
  for (const key of [
    ...steps(Math.round(to.u) - across, 'ArrowLeft', 'ArrowRight'),
    ...steps(Math.round(to.v) - down, 'ArrowUp', 'ArrowDown'),
  ])
    await page.getByTestId(`corner-${i}`).press(key);
}

const polygons = (page: Page) =>
  page
    .getByTestId('photo-frame')
    .locator('polygon')
    .evaluateAll((all) =>
      all.map((p) => (p.getAttribute('points') ?? '').split(' ').map((at) => at.split(',').map(Number))),
    );

test('a picture of the wall is taken, its corners laid, and the set hangs on it in true perspective at each height; kept, it is in the room', async ({
  page,
  demo,
}) => {
  const { wall } = guestRoom.room;
  const lens = lensFor(wall);
  await openRoom(page, demo, 'on-photo', guestRoom, 'height');
  await takePicture(page, demo.url, 'on-photo', await wallPicture(guestRoom, lens));
  // nothing is drawn, and no doubt told, of corners that nobody has laid
  await expect(page.getByTestId('photo-said')).toContainText('Lay each of the four crosses');
  expect(await polygons(page)).toEqual([]);
  for (const [i, [x, y]] of corners(wall).entries()) await lay(page, i, shoot(lens, x, y));
  await expect(page.getByTestId('photo-said')).toContainText('What is drawn may be out by about');
  expect(await seriousFaults(page, 'light', false)).toEqual([]);

  // the face's corners against the pinhole's own
  const { placement } = plan(guestRoom);
  const job = await sentJob(page, demo, 'on-photo');
  const { depth } = job.mount!;
  const face = depth.folded + job.screen.thickness!;
  const truth = [
    [placement!.left, placement!.top],
    [placement!.right, placement!.top],
    [placement!.right, placement!.bottom],
    [placement!.left, placement!.bottom],
  ].map(([x, y]) => shoot(lens, x!, y!, face));
  const off = (shape: number[][]) =>
    Math.max(...truth.map(({ u, v }, i) => Math.hypot(u - (shape[i]?.[0] ?? 0), v - (shape[i]?.[1] ?? 0))));
  // laid to the pixel on all four corners of the wall
  expect(Math.min(...(await polygons(page)).map(off))).toBeLessThan(4);

  // another height hangs elsewhere, with plate and holes when the installer asks
  const before = await polygons(page);
  await page.getByRole('radio', { name: /^2: / }).click();
  await expect.poll(async () => JSON.stringify(await polygons(page)) !== JSON.stringify(before)).toBe(true);
  await expect(page.getByTestId('photo-frame').locator('polyline')).toHaveCount(0);
  await page.getByRole('radio', { name: 'with plate and holes' }).click();
  await expect(page.getByTestId('photo-frame').locator('polyline')).not.toHaveCount(0);

  // the corners are the job's, and the picture that is kept is another one of the room
  const [photo] = job.photos!;
  photo!.plane!.points.forEach((p, i) => {
    const [x, y] = corners(wall)[i]!;
    const { u, v } = shoot(lens, x, y);
    expect([p.x, p.y]).toEqual([x, y]);
    expect(Math.abs(p.u - u / PICTURE.width)).toBeLessThan(0.002);
    expect(Math.abs(p.v - v / PICTURE.height)).toBeLessThan(0.002);
  });
  await page.getByTestId('keep-photo').click();
  await expect(page.getByTestId('photo-kept')).toContainText('Kept among the room’s pictures');
  expect((await sentJob(page, demo, 'on-photo')).photos).toHaveLength(2);
  // found again as they were laid
  await page.reload();
  await expect(page.getByTestId('photo-said')).toContainText('What is drawn may be out by about');
});

test('corners that say nothing of the wall are told apart; a small thing is doubted; an arm swings its set out', async ({
  page,
  demo,
}) => {
  const { wall } = atticSnug.room;
  const lens = lensFor(wall);
  await openRoom(page, demo, 'arm-photo', atticSnug, 'reach');
  await takePicture(page, demo.url, 'arm-photo', await wallPicture(atticSnug, lens));
  const [first, second, third, fourth] = corners(wall).map(([x, y]) => shoot(lens, x, y));
  await lay(page, 0, second!);
  await lay(page, 1, first!);
  await lay(page, 2, third!);
  await lay(page, 3, fourth!);
  await expect(page.getByTestId('photo-said')).toContainText('Two corners have changed places');
  await expect(page.getByTestId('keep-photo')).toBeDisabled();
  expect(await polygons(page)).toEqual([]);
  await lay(page, 0, first!, true);
  await lay(page, 1, second!, true);
  const rest = await polygons(page);
  expect(rest.length).toBeGreaterThan(4);
  await page.getByRole('radio', { name: 'swung out' }).click();
  await expect.poll(async () => JSON.stringify(await polygons(page)) !== JSON.stringify(rest)).toBe(true);
  // a sheet at one end, far from the set
  await page.getByRole('radio', { name: 'an A4 sheet' }).click();
  await page.getByTestId('sheet-left').fill('nonsense');
  await expect(page.getByText('takes a length as the tape says it')).toBeVisible();
  await page.getByTestId('sheet-left').fill('2');
  await page.getByTestId('sheet-bottom').fill('10');
  const sheet = [
    [50.8, 254 + 297],
    [260.8, 254 + 297],
    [260.8, 254],
    [50.8, 254],
  ].map(([x, y]) => shoot(lens, x!, y!));
  for (const [i, at] of sheet.entries()) await lay(page, i, at);
  await expect(page.getByTestId('photo-said')).toContainText('Tap something larger');
});
