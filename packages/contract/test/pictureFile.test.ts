import sharp from 'sharp';
import { PICTURE, faultOfPicture, jpegHead } from '../src';

/* Which pictures may be kept and sent: written by another library, with everything a camera writes beside them. */

const plain = (width = 64, height = 48) => sharp({ create: { width, height, channels: 3, background: '#a98' } });
const bytes = async (made: { toBuffer: () => Promise<Buffer> }) => new Uint8Array(await made.toBuffer());
/** A JPEG with a part of its own put in before its frame. */
const withPart = (jpeg: Uint8Array, mark: number, text: string): Uint8Array => {
  const body = new TextEncoder().encode(text);
  const part = [0xff, mark, (body.length + 2) >> 8, (body.length + 2) & 0xff, ...body];
  return Uint8Array.from([...jpeg.subarray(0, 2), ...part, ...jpeg.subarray(2)]);
};

describe('a picture that may be kept', () => {
  it.each([
    ['plain', { quality: 80 }],
    ['in passes', { quality: 80, progressive: true }],
    ['with all its colours', { quality: 30, chromaSubsampling: '4:4:4' }],
  ])('is a JPEG, %s, of any size up to the longest edge', async (_, options) => {
    for (const [w, h] of [
      [64, 48],
      [1, 900],
      [PICTURE.longestEdge, 20],
    ] as const) {
      const jpeg = await bytes(plain(w, h).jpeg(options));
      expect(jpegHead(jpeg)).toEqual({ width: w, height: h, says: false });
      expect(faultOfPicture(jpeg)).toBeUndefined();
    }
  });

  it('may say its colours: that is about the picture', async () => {
    const jpeg = await bytes(plain().jpeg().withIccProfile('p3'));
    expect(Buffer.from(jpeg).includes('ICC_PROFILE')).toBe(true);
    expect(faultOfPicture(jpeg)).toBeUndefined();
  });
});

describe('a picture that may not', () => {
  const saying = /says more than the picture/;
  it.each<[string, () => Promise<Uint8Array>, RegExp]>([
    [
      'names its camera',
      () =>
        bytes(
          plain()
            .jpeg()
            .withExif({ IFD0: { Model: 'a camera' } }),
        ),
      saying,
    ],
    ['says how it was held', () => bytes(plain().jpeg().withMetadata({ orientation: 6 })), saying],
    ['has words of a program', () => bytes(plain().jpeg().withXmp('<x:xmpmeta xmlns:x="adobe:ns:meta/"/>')), saying],
    ['has a comment', async () => withPart(await bytes(plain().jpeg()), 0xfe, 'taken at home'), saying],
    ['has another picture in it', async () => withPart(await bytes(plain().jpeg()), 0xe2, 'MPF\0more'), saying],
    ['has a film behind it', async () => Uint8Array.from([...(await bytes(plain().jpeg())), 1, 2, 3]), saying],
    ['is a PNG', () => bytes(plain().png()), /no JPEG/],
    ['is nothing', async () => new Uint8Array(), /no JPEG/],
    ['ends in its beginning', async () => (await bytes(plain().jpeg())).subarray(0, 160), /no JPEG/],
    ['is wider than it may be', () => bytes(plain(PICTURE.longestEdge + 1, 4).jpeg()), /2601 x 4/],
    ['is higher than it may be', () => bytes(plain(4, PICTURE.longestEdge + 1).jpeg()), /4 x 2601/],
    ['is larger than it may be', async () => new Uint8Array(PICTURE.mostBytes + 1), /4 MB/],
  ])('%s', async (_, made, reason) => {
    expect(faultOfPicture(await made())?.reason).toMatch(reason);
  });

  it('is known as none whatever its bytes, and nothing is thrown', async () => {
    const jpeg = await bytes(plain().jpeg());
    for (let cut = 0; cut < jpeg.length; cut += 7) {
      expect(() => jpegHead(jpeg.subarray(0, cut))).not.toThrow();
      const bent = jpeg.slice();
      bent[cut] = bent[cut]! ^ 0xff;
      expect(() => jpegHead(bent)).not.toThrow();
    }
  });
});
