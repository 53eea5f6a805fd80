/** @jest-environment node */
import sharp from 'sharp';
import { pictureHead } from './pictureHead';

/* Pictures by their beginning, written by another library: what kind, how large, before anything is decoded. */

const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#a98' } });
const bytes = async (made: { toBuffer: () => Promise<Buffer> }) => new Uint8Array(await made.toBuffer());

describe('the beginning of a picture', () => {
  it.each(['jpeg', 'png', 'webp', 'avif', 'gif'] as const)('of %s says how large it is', async (format) => {
    expect(pictureHead(await bytes(plain(64, 48).toFormat(format)))).toEqual({
      ok: true,
      heic: false,
      exact: format === 'png' || format === 'gif',
      width: 64,
      height: 48,
    });
  });

  it.each<[string, () => Promise<Uint8Array>, RegExp]>([
    ['nothing', async () => new Uint8Array(), /is empty/],
    ['words', async () => new TextEncoder().encode('no picture, whatever its name says'), /no picture/],
    ['half of its beginning', async () => (await bytes(plain(64, 48).jpeg())).subarray(0, 20), /no picture/],
    ['a drawing', async () => new TextEncoder().encode('<svg width="9" height="9"></svg>'), /no picture/],
    ['more bytes than any camera writes', async () => new Uint8Array(81 * 1024 * 1024), /larger than 80 MB/],
  ])('of %s is refused', async (_, made, why) => {
    const head = pictureHead(await made());
    expect(head.ok ? '' : head.why).toMatch(why);
  });

  it('that claims more pixels than can be decoded is refused before it is tried', async () => {
    const png = await bytes(plain(64, 48).png());
    // width and height stand behind the name of the first part
    new DataView(png.buffer, png.byteOffset).setUint32(16, 60_000);
    new DataView(png.buffer, png.byteOffset).setUint32(20, 60_000);
    const head = pictureHead(png);
    expect(head.ok ? '' : head.why).toMatch(/60000 x 60000/);
  });

  it('of a HEIC picture is known by its brand, even where its size is not said', () => {
    const heic = Uint8Array.from([
      0,
      0,
      0,
      24,
      ...new TextEncoder().encode('ftypheic'),
      ...new Array<number>(64).fill(0),
    ]);
    expect(pictureHead(heic)).toMatchObject({ ok: true, heic: true });
  });
});
