import { createHash } from 'node:crypto';
import { guestRoom } from '@steddo/samples';
import sharp from 'sharp';
import { forgetDeleted } from '../src/db/forgetting';
import { closeAll, edit, openServer } from './openServer';

/* Pictures on their way in: pieces in order, cut off and gone on, whole or not at all; read back by another library. */

const ROOM = 'guest-room';
const PIECE = 256 * 1024;
const sumOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

/** Noise, so that it is as large as a picture of a wall. */
const noise = (width: number, height: number) =>
  sharp({
    create: { width, height, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 128, sigma: 60 } },
  });

let http: Awaited<ReturnType<typeof openServer>>['http'];
let store: Awaited<ReturnType<typeof openServer>>['store'];
beforeEach(async () => {
  ({ http, store } = await openServer());
  await http.put(`/api/rooms/${ROOM}`).send(edit('e1', 0)).expect(200);
});
afterEach(closeAll);

const address = (id: string, from: number, whole: Buffer, sum = sumOf(whole), room = ROOM) =>
  `/api/rooms/${room}/pictures/${id}?from=${from}&size=${whole.length}&sha256=${sum}`;
const put = (id: string, from: number, whole: Buffer, { sum = sumOf(whole), piece = PIECE, room = ROOM } = {}) =>
  http
    .put(address(id, from, whole, sum, room))
    .type('application/octet-stream')
    .send(whole.subarray(from, from + piece));

async function sendAll(id: string, whole: Buffer) {
  for (let from = 0; from < whole.length; from += PIECE) await put(id, from, whole).expect(200);
}

describe('a picture', () => {
  it('comes in pieces and is given back as it was, read by another library', async () => {
    const picture = await noise(1600, 1200).jpeg({ quality: 90 }).toBuffer();
    expect(picture.length).toBeGreaterThan(2 * PIECE);
    await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(404);
    await sendAll('p-1', picture);
    const { body, headers } = await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(200);
    expect(headers['content-type']).toBe('image/jpeg');
    expect(sumOf(body as Buffer)).toBe(sumOf(picture));
    expect(await sharp(body as Buffer).metadata()).toMatchObject({ format: 'jpeg', width: 1600, height: 1200 });
  });

  it('that was cut off goes on where the server is; a piece sent twice is not there twice', async () => {
    const picture = await noise(1200, 900).jpeg({ quality: 95 }).toBuffer();
    await put('p-1', 0, picture).expect(200, { received: PIECE, whole: false });
    await http.get(`/api/rooms/${ROOM}/pictures`).expect(200, { whole: [] });
    const again = await put('p-1', 0, picture).expect(409);
    expect(again.body).toMatchObject({ error: 'gap', received: PIECE, whole: false });
    await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(404);
    for (let from = PIECE; from < picture.length; from += PIECE) await put('p-1', from, picture).expect(200);
    // the answer to the last piece was lost: asked once more it is whole
    await put('p-1', 0, picture).expect(200, { received: picture.length, whole: true });
    const { body } = await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(200);
    expect(sumOf(body as Buffer)).toBe(sumOf(picture));
    await http.get(`/api/rooms/${ROOM}/pictures`).expect(200, { whole: ['p-1'] });
  });

  it('whose bytes are not those that were said is refused, and can be sent from the beginning', async () => {
    const picture = await noise(100, 80).jpeg().toBuffer();
    const refused = await put('p-1', 0, picture, { sum: 'a'.repeat(64) }).expect(422);
    expect(refused.body.faults[0].path).toBe('sha256');
    await put('p-1', 0, picture).expect(200, { received: picture.length, whole: true });
  });

  it.each<[string, () => Promise<Buffer>, RegExp]>([
    ['is a PNG', () => noise(60, 40).png().toBuffer(), /no JPEG/],
    ['is words', async () => Buffer.from('no picture at all'), /no JPEG/],
    [
      'says where it was taken',
      () =>
        noise(60, 40)
          .jpeg()
          .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
          .toBuffer(),
      /says more than the picture/,
    ],
    ['is larger than a screen needs', () => noise(2700, 40).jpeg().toBuffer(), /2700 x 40/],
    [
      'has a film behind it',
      async () => Buffer.concat([await noise(60, 40).jpeg().toBuffer(), Buffer.from('ftypmp42')]),
      /says more/,
    ],
    ['is half of one', async () => (await noise(60, 40).jpeg().toBuffer()).subarray(0, 90), /no JPEG/],
  ])('that %s is not taken, and says why', async (_, made, reason) => {
    const { body } = await put('p-1', 0, await made()).expect(422);
    expect(body.faults[0].reason).toMatch(reason);
    await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(404);
  });

  it('of a room that is not there, without an address that can be read, or too long is refused', async () => {
    const picture = await noise(60, 40).jpeg().toBuffer();
    await put('p-1', 0, picture, { room: 'nowhere' }).expect(404);
    await http.put(`/api/rooms/${ROOM}/pictures/p-1`).type('application/octet-stream').send(picture).expect(422);
    await http
      .put(address('p-1', 0, picture))
      .type('image/jpeg')
      .send(picture)
      .expect(415);
    const large = await noise(1200, 900).jpeg({ quality: 95 }).toBuffer();
    const { body } = await put('p-1', 0, large, { piece: PIECE + 1 }).expect(413);
    expect(body.message).toMatch(/256 kB/);
    const beyond = address('p-1', 0, picture).replace(`size=${picture.length}`, 'size=9999999');
    const { body: said } = await http.put(beyond).type('application/octet-stream').send(picture).expect(422);
    expect(said.faults[0].path).toBe('size');
  });

  it('of another id is another picture; the same id is not written over', async () => {
    const [one, two] = [await noise(60, 40).jpeg().toBuffer(), await noise(80, 40).jpeg().toBuffer()];
    await sendAll('p-1', one);
    const { body } = await put('p-1', 0, two).expect(422);
    expect(body.faults[0]).toMatchObject({ path: 'picture' });
    await sendAll('p-2', two);
    const kept = await http.get(`/api/rooms/${ROOM}/pictures/p-1`).expect(200);
    expect(sumOf(kept.body as Buffer)).toBe(sumOf(one));
  });

  it('goes when its room has gone for good, and not before', async () => {
    await sendAll('p-1', await noise(60, 40).jpeg().toBuffer());
    await http.delete(`/api/rooms/${ROOM}`).expect(200);
    const day = (n: number) => new Date(Date.parse('2026-03-14T09:30:00Z') + n * 86_400_000);
    for (let n = 1; n <= 29; n++) await store.run((db) => forgetDeleted(db, day(n)));
    expect((await store.read((db) => db.query.picturePieces.findMany())).length).toBe(1);
    for (let n = 30; n <= 32; n++) await store.run((db) => forgetDeleted(db, day(n)));
    expect(await store.read((db) => db.query.picturePieces.findMany())).toEqual([]);
    expect(await store.read((db) => db.query.pictures.findMany())).toEqual([]);
  });
});

it('a job keeps its list of pictures, each field by itself', async () => {
  const photos = [{ id: 'p-1', of: 'h1', at: '2026-03-14T09:30:00Z', size: 180_000, type: 'image/jpeg' }];
  const job = { ...guestRoom, photos };
  await http
    .put('/api/rooms/with-pictures')
    .send({ editId: 'e2', baseVersion: 0, touched: ['photos'], job })
    .expect(200);
  const { body } = await http.get('/api/rooms/with-pictures').expect(200);
  expect(body.job.photos).toEqual(photos);
});
