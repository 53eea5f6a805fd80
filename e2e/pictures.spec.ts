import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import JSZip from 'jszip';
import sharp from 'sharp';
import { guestRoom } from '@steddo/samples';
import { cameraPicture } from './camera';
import { expect, openRoom, sentJob, test, isBack } from './fixtures';

/* Pictures of the room, of a hole, of what was seen: taken, turned, made small, kept, sent, and in the record. */

const shot = async (name: string, made: Promise<Buffer> | Buffer) => ({
  name,
  mimeType: 'image/jpeg',
  buffer: await made,
});

async function openPictures(page: Page) {
  await page.getByRole('button', { name: /where it is kept/ }).click();
  await page.getByTestId('to-pictures').click();
  await expect(page.getByTestId('pictures')).toBeVisible();
}

/** Red as the left of the sensor is, or blue as its right. */
async function colourAt(picture: Buffer, x: number, y: number): Promise<'red' | 'blue'> {
  const { data, info } = await sharp(picture).raw().toBuffer({ resolveWithObject: true });
  const at = (Math.round(y * (info.height - 1)) * info.width + Math.round(x * (info.width - 1))) * info.channels;
  return data[at]! > data[at + 2]! ? 'red' : 'blue';
}

test('a picture is turned as it was held, made small, says nothing of place or camera, and is in the record', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'pictured', guestRoom, 'holes');
  await openPictures(page);
  await expect(page.getByTestId('pictures-space')).toContainText('no pictures');
  const taken = await cameraPicture();
  expect((await sharp(taken).metadata()).exif?.toString('latin1')).toContain('a camera');
  await page.getByTestId('picture-camera').setInputFiles(await shot('DSC_1.jpg', taken));
  await expect(page.getByTestId('picture-said')).toContainText('One picture of the room taken');
  await expect(page.getByTestId('pictures-space')).toContainText('none waits to be sent');
  const [photo] = (await sentJob(page, demo, 'pictured')).photos ?? [];
  expect(photo).toMatchObject({ of: 'room', type: 'image/jpeg' });
  const kept = await page.request.get(`${demo.url}/api/rooms/pictured/pictures/${photo!.id}`);
  const bytes = await kept.body();
  expect(bytes.length).toBe(photo!.size);
  const about = await sharp(bytes).metadata();
  expect([about.width, about.height, about.orientation, about.exif, about.xmp, about.iptc]).toEqual([
    ...[1200, 1600],
    ...[undefined, undefined, undefined, undefined],
  ]);
  expect(bytes.toString('latin1')).not.toContain('a camera');
  // held upright, the left of the sensor is up
  expect([await colourAt(bytes, 0.5, 0.1), await colourAt(bytes, 0.5, 0.9)]).toEqual(['red', 'blue']);
  await page.goto(`${demo.url}/room/pictured/sheets`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-record').click()]);
  const record = readFileSync((await file.path())!);
  expect(record.toString('latin1')).toMatch(/\/Subtype \/Image[^]*\/DCTDecode/);
  expect(record.includes(bytes)).toBe(true);
});

test('without a signal pictures are kept, over a restart too, and sent in pieces when it is back', async ({
  page,
  demo,
  watch,
}) => {
  watch.allow(/ERR_FAILED .*\/api\//);
  await openRoom(page, demo, 'cellar-pictures', guestRoom, 'holes');
  await openPictures(page);
  await page.route('**/api/**', (route) => route.abort());
  const leaves = sharp({
    create: {
      ...{ width: 1500, height: 1500, channels: 3, background: '#888' },
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
    },
  });
  await page
    .getByTestId('picture-files')
    .setInputFiles([
      await shot('1.jpg', leaves.jpeg().toBuffer()),
      await shot('2.jpg', cameraPicture({ width: 400, height: 300, held: 1 })),
    ]);
  await expect(page.getByTestId('picture-said')).toContainText('2 pictures of the room taken');
  await expect(page.getByTestId('pictures-space')).toContainText('2 not on the server yet');
  await page.reload();
  await expect(page.getByTestId('pictures-space')).toContainText('2 not on the server yet');
  await expect(page.getByRole('img', { name: 'the room' })).toHaveCount(2);
  const pieces: string[] = [];
  // the first piece gets through, the next does not, and it goes on from there
  await page.route('**/pictures/**', async (route) => {
    const from = new URL(route.request().url()).searchParams.get('from');
    if (from !== null) pieces.push(from);
    if (pieces.length === 2) await route.abort();
    else await route.continue();
  });
  // only now: what is tried in between would not be counted
  await page.unroute('**/api/**');
  await expect(page.getByTestId('pictures-space')).toContainText('none waits to be sent');
  expect(pieces.slice(0, 3)).toEqual(['0', String(256 * 1024), String(256 * 1024)]);
  const { photos } = await sentJob(page, demo, 'cellar-pictures');
  for (const { id, size } of photos!) {
    const kept = await page.request.get(`${demo.url}/api/rooms/cellar-pictures/pictures/${id}`);
    expect((await kept.body()).length).toBe(size);
  }
});

test('what is no picture that can be read says why, and holds up nothing beside it', async ({ page, demo, watch }) => {
  await openRoom(page, demo, 'odd-pictures', guestRoom, 'holes');
  await openPictures(page);
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(300)]);
  const vast = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
    .png()
    .toBuffer();
  vast.writeUInt32BE(50_000, 16);
  vast.writeUInt32BE(50_000, 20);
  await page
    .getByTestId('picture-files')
    .setInputFiles([
      await shot('IMG_2.HEIC', heic),
      await shot('notes.jpg', Buffer.from('not a picture')),
      await shot('vast.png', vast),
      await shot('good.jpg', cameraPicture({ width: 300, height: 200, held: 1 })),
    ]);
  await expect(page.getByTestId('picture-said')).toContainText('One picture');
  const refused = page.getByTestId('picture-refused');
  await expect(refused).toContainText('IMG_2.HEIC is a HEIC picture, which this browser cannot read');
  await expect(refused).toContainText('notes.jpg is no picture that can be read');
  await expect(refused).toContainText('vast.png is 50000 x 50000 pixels');
  expect((await sentJob(page, demo, 'odd-pictures')).photos).toHaveLength(1);
  // the part of the app that makes them small is not there
  watch.allow(/ERR_FAILED .*picture-/);
  const worker = /\/picture-[0-9a-f]+\.js/;
  await page.route(worker, (route) => route.abort());
  await page.reload();
  const good = await shot('later.jpg', cameraPicture({ width: 300, height: 200, held: 1 }));
  await page.getByTestId('picture-files').setInputFiles(good);
  await expect(refused).toContainText('later.jpg could not be taken (what makes it small is not on this device yet');
  await page.unroute(worker);
  await page.getByTestId('picture-files').setInputFiles(good);
  await expect(page.getByTestId('picture-said')).toContainText('One picture');
  expect((await sentJob(page, demo, 'odd-pictures')).photos).toHaveLength(2);
});

test('of a hole, at the ladder; taken away and back by undo; out with the archive and in again', async ({
  page,
  demo,
}) => {
  await openRoom(page, demo, 'hole-picture', guestRoom, 'holes');
  await page.goto(`${demo.url}/room/hole-picture/ladder`);
  await page.getByRole('button', { name: 'a picture of this hole' }).click();
  await expect(page.getByRole('radio', { name: /^Hole 1/ })).toBeChecked();
  await page
    .getByTestId('picture-camera')
    .setInputFiles(await shot('h.jpg', cameraPicture({ width: 600, height: 400, held: 1 })));
  const tile = page.getByRole('button', { name: /^Hole 1.*: open$/ });
  await expect(tile).toContainText('here and on the server');
  const before = (await sentJob(page, demo, 'hole-picture')).photos!;
  expect(before).toMatchObject([{ of: 'h1' }]);
  await tile.click();
  await page.getByTestId('remove-picture').click();
  await expect(tile).toHaveCount(0);
  await expect(page.getByTestId('picture-sheet')).toHaveCount(0);
  await isBack(page);
  await page.goto(`${demo.url}/room/hole-picture/ladder`);
  await page.getByRole('button', { name: 'undo', exact: true }).click();
  expect((await sentJob(page, demo, 'hole-picture')).photos).toEqual(before);
  await page.goto(`${demo.url}/room/hole-picture/sheets`);
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId('make-archive').click()]);
  const archive = readFileSync((await file.path())!);
  const zip = await JSZip.loadAsync(archive);
  const [name] = Object.keys(zip.files).filter((f) => f.endsWith('.jpg'));
  expect(name).toMatch(/\.pictures\/p-[0-9a-f]{12}\.jpg$/);
  await page.goto(`${demo.url}/device`);
  await page
    .getByTestId('rooms-file')
    .setInputFiles({ name: 'rooms.zip', mimeType: 'application/zip', buffer: archive });
  await expect(page.getByTestId('rooms-ready')).toContainText('one room with one picture, no faults');
  await page.getByTestId('rooms-take').click();
  await expect(page.getByTestId('rooms-said')).toContainText('one room taken in');
  await expect(page.getByTestId('pictures-here')).toContainText('2 pictures here');
  // the copy has it on the server by itself
  await expect(page.getByTestId('pictures-here')).toContainText('all on the server');
  const { rooms } = (await (await page.request.get(`${demo.url}/api/rooms`)).json()) as {
    rooms: { id: string; title: string }[];
  };
  const copy = rooms.find((r) => r.title === 'hole-picture' && r.id !== 'hole-picture')!;
  const bytes = await (await page.request.get(`${demo.url}/api/rooms/${copy.id}/pictures/${before[0]!.id}`)).body();
  expect(Buffer.compare(bytes, await zip.files[name!]!.async('nodebuffer'))).toBe(0);
});
