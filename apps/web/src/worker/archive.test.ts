/** @jest-environment node */
import JSZip from 'jszip';
import sharp from 'sharp';
import type { Job } from '@steddo/contract';
import { zipSync, strToU8 } from 'fflate';
import { atticSnug, breakfastBar, demoRooms, guestRoom } from '@steddo/samples';
import { packRooms, unpackRooms, type PackedRoom } from './archive';

const room = (name: string, job: Job, pictures: PackedRoom['pictures'] = new Map()) => ({ name, job, pictures });
const picture = (width: number, said = false) => {
  const made = sharp({ create: { width, height: 30, channels: 3, background: '#a98' } }).jpeg();
  return (said ? made.withExif({ IFD0: { Make: 'a maker' } }) : made).toBuffer().then((b) => new Uint8Array(b));
};
const withPhotos = (...ids: string[]): Job => ({ ...guestRoom, photos: ids.map((id) => ({ id, of: 'room' })) });
const bytes = (value: unknown) => strToU8(typeof value === 'string' ? value : JSON.stringify(value));

describe('rooms as an archive', () => {
  it('come back as they were, of one name too', () => {
    const rooms = [...demoRooms, { id: 'twin', job: { ...atticSnug } }].map(({ id, job }) => room(id, job));
    const read = unpackRooms('rooms.zip', packRooms(rooms));
    if (!read.ok) throw new Error('was refused');
    expect(read.jobs.map((j) => j.job)).toEqual(expect.arrayContaining(rooms.map((r) => r.job)));
    expect(read.jobs).toHaveLength(rooms.length);
  });
  it('are a zip that another reader opens, a job file each', async () => {
    const zip = await JSZip.loadAsync(packRooms([room('guest-room-a', guestRoom)]));
    const [name] = Object.keys(zip.files);
    expect(name).toMatch(/^[a-z0-9-]+\.steddo\.json$/);
    expect(JSON.parse(await zip.files[name!]!.async('string'))).toEqual(guestRoom);
  });
});

describe('rooms with pictures', () => {
  it('come back with every one of them, byte for byte; another reader finds them beside their job', async () => {
    const own = new Map([
      ['p-1', await picture(40)],
      ['p-2', await picture(50)],
    ]);
    const whole = packRooms([room('den', withPhotos('p-1', 'p-2', 'p-3'), own), room('bar', breakfastBar)]);
    const read = unpackRooms('rooms.zip', whole);
    if (!read.ok) throw new Error('was refused');
    const den = read.jobs.find((j) => j.file === 'den.steddo.json')!;
    expect([...den.pictures.keys()]).toEqual(['p-1', 'p-2']);
    for (const [id, bytes] of den.pictures) expect(Buffer.compare(bytes, own.get(id)!)).toBe(0);
    const zip = await JSZip.loadAsync(whole);
    expect(Object.keys(zip.files).filter((f) => f.endsWith('.jpg'))).toEqual([
      'den.pictures/p-1.jpg',
      'den.pictures/p-2.jpg',
    ]);
    expect(await zip.files['den.pictures/p-2.jpg']!.async('uint8array')).toEqual(own.get('p-2'));
  });

  it('whose ids no name of a file may hold stay in their folder, and come back', async () => {
    const id = '../../p/é';
    const whole = packRooms([room('den', withPhotos(id), new Map([[id, await picture(40)]]))]);
    expect(Object.keys((await JSZip.loadAsync(whole)).files)).toContain('den.pictures/..%2f..%2fp%2f%e9.jpg');
    expect(unpackRooms('rooms.zip', whole)).toMatchObject({
      ok: true,
      jobs: [{ pictures: new Map([[id, expect.anything()]]) }],
    });
  });

  it('are refused whole where one of them says where it was taken, or is no picture; others beside them are left', async () => {
    const job = bytes(withPhotos('p-1', 'p-2'));
    const zip = zipSync({
      'den.json': job,
      'den.pictures/p-1.jpg': await picture(40, true),
      'den.pictures/p-2.jpg': bytes('no picture'),
      'den.pictures/p-9.jpg': bytes('of no job'),
    });
    const read = unpackRooms('rooms.zip', zip);
    if (read.ok) throw new Error('was taken');
    expect(read.faults.map((f) => [f.file, f.path])).toEqual([
      ['den.pictures/p-1.jpg', '(picture)'],
      ['den.pictures/p-2.jpg', '(picture)'],
    ]);
    expect(read.faults[0]!.reason).toMatch(/says more than the picture/);
  });
});

describe('a file that is brought in', () => {
  it('is a job file too, with a mark of byte order or without', () => {
    const text = JSON.stringify(breakfastBar);
    for (const start of ['', '\uFEFF'])
      expect(unpackRooms('bar.json', bytes(start + text))).toMatchObject({ ok: true });
  });
  it.each<[string, Uint8Array, string, RegExp]>([
    ['no JSON', bytes('{"format":'), '(file)', /is not JSON/],
    ['a job with a fault', bytes({ ...guestRoom, units: 'feet' }), 'units', /takes "imperial", "metric"/],
    ['a zip that is none', bytes('PK\u0003\u0004 and no more'), '(file)', /no archive that can be unpacked/],
    ['a zip with nothing of ours', zipSync({ 'readme.txt': bytes('hello') }), '(file)', /no job files/],
    [
      'a zip with one bad job',
      zipSync({ 'a.json': bytes(guestRoom), 'b.json': bytes({}) }),
      'format',
      /is missing|takes/,
    ],
    ['a file that is larger than a room', new Uint8Array(2 * 1024 * 1024 + 1), '(file)', /larger than a room may be/],
    ['a bomb', zipSync({ 'a.json': new Uint8Array(30_000_000) }), '(file)', /larger than a room may be/],
    [
      'a job nested deep',
      bytes(`{"title":${'['.repeat(9000)}${']'.repeat(9000)}}`),
      'title.0.0.0.0.0.0.0.…',
      /nested deeper/,
    ],
  ])('%s takes nothing in, and says where', (_, content, path, reason) => {
    const read = unpackRooms('file', content);
    if (read.ok) throw new Error('was taken');
    expect(read.faults[0]!.path).toBe(path);
    expect(read.faults[0]!.reason).toMatch(reason);
  });
});
