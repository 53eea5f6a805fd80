import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import type { Item } from '@steddo/contract';
import { plan } from '@steddo/core';
import { atticSnug, guestRoom, landingStudy, photographed } from '@steddo/samples';
import { cornersOf, shoot as shootBent } from '../packages/core/test/ownCamera';
import { seriousFaults } from './axe';
import { expect, isBack, openRoom, sentJob, test, type, unfold } from './fixtures';
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
  await expect(page.getByTestId('picture-said')).toContainText('One picture');
  await page
    .getByRole('button', { name: /^the room, .*: open$/ })
    .first()
    .click();
  await page.getByTestId('to-photo').click();
  await expect(page.getByTestId('photo-frame').locator('img')).toBeVisible();
}

interface Place {
  u: number;
  v: number;
}

async function placeOf(page: Page, i: number): Promise<Place> {
  const said = (await page.getByTestId(`corner-${i}`).getAttribute('aria-valuetext'))!;
  const [u, v] = said.match(/\d+/g)!.map(Number) as [number, number];
  return { u, v };
}

/** Drags a cross to a place of the picture; a cross that lies lags behind the finger. */
async function drag(page: Page, i: number, to: Place, again = false): Promise<void> {
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
}

/** Lays a cross two pixels off a corner, and it is drawn to it. */
async function lay(page: Page, i: number, to: Place, again = false): Promise<void> {
  await drag(page, i, { u: to.u + 2, v: to.v - 2 }, again);
  await expect
    .poll(async () => {
      const at = await placeOf(page, i);
      return Math.hypot(at.u - to.u, at.v - to.v);
    })
    .toBeLessThan(1.5);
}

const step = (page: Page, name: 'lay' | 'measure' | 'show the set') =>
  page.getByRole('radio', { name, exact: true }).click();
const part = (page: Page, name: string) => page.getByRole('radio', { name, exact: true }).click();

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
  await expect(page.getByTestId('photo-said')).toContainText('What is drawn may be out by');
  expect(await seriousFaults(page, 'light', false)).toEqual([]);

  // the face's corners against the pinhole's own
  await step(page, 'show the set');
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
  // drawn to all four corners of the wall
  expect(Math.min(...(await polygons(page)).map(off))).toBeLessThan(3);

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
    expect(Math.abs(p.u - u / PICTURE.width)).toBeLessThan(0.001);
    expect(Math.abs(p.v - v / PICTURE.height)).toBeLessThan(0.001);
  });
  await page.getByTestId('keep-photo').click();
  await expect(page.getByTestId('photo-kept')).toContainText('Kept among the room’s pictures');
  expect((await sentJob(page, demo, 'on-photo')).photos).toHaveLength(2);
  // found again as they were laid
  await page.reload();
  await expect(page.getByTestId('photo-said')).toContainText('What is drawn may be out by');
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
  await step(page, 'measure');
  await expect(page.getByTestId('measure-said')).toContainText('Two corners have changed places');
  await step(page, 'show the set');
  await expect(page.getByTestId('keep-photo')).toBeDisabled();
  expect(await polygons(page)).toEqual([]);
  await step(page, 'lay');
  await lay(page, 0, first!, true);
  await lay(page, 1, second!, true);
  await step(page, 'show the set');
  const rest = await polygons(page);
  expect(rest.length).toBeGreaterThan(4);
  await page.getByRole('radio', { name: 'swung out' }).click();
  await expect.poll(async () => JSON.stringify(await polygons(page)) !== JSON.stringify(rest)).toBe(true);
});

/** The picture that the demo ships, and what is on its wall. */
const [, study] = photographed;
const shipped = () => readFileSync('apps/server/pictures/landing-study.jpg');
const seenIn = (x: number, y: number, z = 0): Place => shootBent(study!.camera, x, y, z);
const thing = (id: string): Item => study!.things.find((o) => o.id === id)!;

async function laySheet(page: Page, at: 0 | 1): Promise<void> {
  const { left, bottom, ...size } = study!.sheets[at]!;
  for (const [i, c] of cornersOf(left, bottom, size).entries()) await lay(page, i, seenIn(c.x, c.y));
}

async function trace(page: Page, id: string): Promise<void> {
  const { kind, left, right, bottom, top, out = 0 } = thing(id);
  await page.getByTestId('trace-thing').click();
  await page.getByTestId(`kind-${kind}`).click();
  await expect(page.getByTestId('kinds')).toHaveCount(0);
  await isBack(page);
  await lay(page, 0, seenIn(left, top, out));
  await lay(page, 1, seenIn(right, bottom, out));
}

test('from a picture to a plan: two sheets, what is taped between, a straight edge; things traced stand in the room within what they may be out, and the customer chooses on it', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'by-photo', landingStudy, 'room');
  await takePicture(page, demo.url, 'by-photo', shipped());
  const [photo] = (await sentJob(page, demo, 'by-photo')).photos!;
  const base = `photos.${photo!.id}.plane`;
  const [first, second] = [study!.sheets[0]!, study!.sheets[1]!];

  await part(page, 'an A4 sheet');
  await laySheet(page, 0);
  await expect(page.getByTestId('photo-said')).toContainText('Nothing says where on the wall that is');
  await type(page, `${base}.0.left`, String(first.left));
  await type(page, `${base}.0.bottom`, String(first.bottom));
  // a sheet at one end says little of the set's place
  await expect(page.getByTestId('photo-said')).toContainText('or a second sheet further away');
  await part(page, 'a second sheet');
  await page.getByTestId('add-second').click();
  await laySheet(page, 1);
  // what is taped wrongly is noticed, and nothing of it is lost
  const apart = second.left - first.left - first.width;
  await type(page, `${base}.apart`, String(apart + 400));
  await type(page, `${base}.level`, String(second.bottom - first.bottom));
  await expect(page.getByTestId('photo-said')).toContainText('do not agree');
  await type(page, `${base}.apart`, String(apart));
  await expect(page.getByTestId('photo-said')).toContainText('What is drawn may be out by');
  await part(page, 'a straight edge');
  const { width, height } = landingStudy.room.wall;
  await drag(page, 0, seenIn(150, height));
  await drag(page, 1, seenIn(width - 150, height));
  await expect(page.getByTestId('edge-said')).toContainText(/Found at \d+ places/);
  const laid = (await sentJob(page, demo, 'by-photo')).photos![0]!.plane!;
  expect(Math.abs(laid.k1! - study!.camera.k1)).toBeLessThan(0.01);

  await step(page, 'measure');
  await trace(page, 'outlet');
  await expect(page.getByTestId('measured')).toContainText('±');
  await page.getByTestId('keep-traced').click();
  await trace(page, 'cabinet');
  await expect(page.getByTestId('stands-out')).toContainText('too much to plan by');
  await expect(page.getByTestId('keep-traced')).toBeDisabled();
  await page.getByTestId('traced-out').fill('nonsense');
  await expect(page.getByText('takes a length as the tape says it')).toBeVisible();
  await page.getByTestId('traced-out').fill('340');
  await page.getByTestId('keep-traced').click();
  await expect(page.getByTestId('removable-row')).toHaveCount(2);
  expect(await seriousFaults(page, 'light', false)).toEqual([]);
  const job = await sentJob(page, demo, 'by-photo');
  for (const id of ['outlet', 'cabinet']) {
    const truth = thing(id);
    const seen = job.room.objects!.find((o) => o.kind === truth.kind)!;
    expect(seen.photo).toBe(photo!.id);
    expect(seen.doubt).toBeLessThan(30);
    for (const side of ['left', 'right', 'bottom', 'top'] as const)
      expect(Math.abs(seen[side] - truth[side])).toBeLessThanOrEqual(seen.doubt!);
  }

  // the customer's word, on the photograph
  await step(page, 'show the set');
  await page.getByRole('radio', { name: /^2: / }).click();
  await page.getByTestId('choose-height').click();
  await expect(page.getByTestId('height-chosen')).toBeVisible();
  expect((await sentJob(page, demo, 'by-photo')).aim).not.toEqual(job.aim);

  // in the room, from the photo until each edge is taped
  await page.goto(`${demo.url}/room/by-photo/room`);
  const { id } = job.room.objects!.find((o) => o.kind === 'outlet')!;
  await unfold(page, 'on the wall');
  const row = page.getByTestId(`thing-${id}`);
  await expect(row).toContainText('from the photo, ±');
  await row.getByRole('button', { name: /, open$/ }).click();
  for (const [field, mm] of [
    ['left', thing('outlet').left],
    ['width', 86],
    ['bottom', thing('outlet').bottom],
    ['top', thing('outlet').top],
  ] as const)
    await type(page, `room.objects.${id}.${field}`, String(mm));
  await expect(row).not.toContainText('from the photo');
  expect((await sentJob(page, demo, 'by-photo')).room.objects!.find((o) => o.id === id)).toEqual(
    expect.objectContaining({ left: thing('outlet').left, right: thing('outlet').right }),
  );
});

test('a picture that shows nothing, a screenshot, a broken one and one that is too large each get their sentence', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'odd-photos', guestRoom, 'height');
  await page.goto(`${demo.url}/room/odd-photos/pictures`);
  const give = (buffer: Buffer, mimeType = 'image/jpeg') =>
    page.getByTestId('picture-camera').setInputFiles({ name: 'wall.jpg', mimeType, buffer });
  await give(Buffer.from('not a picture'));
  await expect(page.getByTestId('picture-refused')).toContainText('is no picture that can be read');
  await give(Buffer.alloc(0));
  await expect(page.getByTestId('picture-refused')).toContainText('is empty');
  await give(shipped().subarray(0, 3000));
  await expect(page.getByTestId('picture-refused')).toContainText('cannot be read');
  const huge = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: '#888' } })
    .png({ compressionLevel: 9 })
    .toBuffer();
  await give(huge, 'image/png');
  await expect(page.getByTestId('picture-refused')).toContainText('10000 x 10000 pixels');
  expect((await sentJob(page, demo, 'odd-photos')).photos).toBeUndefined();

  const fog = await sharp({
    create: {
      width: 800,
      height: 600,
      channels: 3,
      background: '#999',
      noise: { type: 'gaussian', mean: 150, sigma: 4 },
    },
  })
    .png()
    .toBuffer();
  await takePicture(page, demo.url, 'odd-photos', fog);
  await expect(page.getByTestId('photo-trouble')).toContainText('nearly all of one brightness');
  const bars = Array.from({ length: 8 }, (_, i) => `<rect x="${i * 100}" width="50" height="600" fill="#123"/>`).join(
    '',
  );
  const screen = await sharp(
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${bars}</svg>`),
  )
    .flatten({ background: '#fff' })
    .png()
    .toBuffer();
  await takePicture(page, demo.url, 'odd-photos', screen);
  await expect(page.getByTestId('photo-trouble')).toContainText('does not look like what a camera saw');
});
