/** @jest-environment node */
import JSZip from 'jszip';
import { zipSync, strToU8 } from 'fflate';
import { atticSnug, breakfastBar, demoRooms, guestRoom } from '@steddo/samples';
import { packRooms, unpackRooms } from './archive';

const bytes = (value: unknown) => strToU8(typeof value === 'string' ? value : JSON.stringify(value));

describe('rooms as an archive', () => {
  it('come back as they were, of one name too', () => {
    const rooms = [...demoRooms, { id: 'twin', job: { ...atticSnug } }];
    const read = unpackRooms('rooms.zip', packRooms(rooms));
    if (!read.ok) throw new Error('was refused');
    expect(read.jobs.map((j) => j.job)).toEqual(expect.arrayContaining(rooms.map((r) => r.job)));
    expect(read.jobs).toHaveLength(rooms.length);
  });
  it('are a zip that another reader opens, a job file each', async () => {
    const zip = await JSZip.loadAsync(packRooms([{ id: 'a', job: guestRoom }]));
    const [name] = Object.keys(zip.files);
    expect(name).toMatch(/^[a-z0-9-]+\.steddo\.json$/);
    expect(JSON.parse(await zip.files[name!]!.async('string'))).toEqual(guestRoom);
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
