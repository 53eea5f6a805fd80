import { imageSize } from 'image-size';

/** A picture as a camera or a file gives it, by its beginning: nothing is decoded yet. */
export type PictureHead =
  | { ok: true; heic: boolean; /** Nothing has smoothed its pixels. */ exact: boolean; width: number; height: number }
  | { ok: false; why: string };

/** What decoding takes in memory is four bytes a pixel: beyond this a phone gives up without a word. */
const MOST_PIXELS = 64_000_000;
const MOST_BYTES = 80 * 1024 * 1024;
const EXACT = new Set(['png', 'gif', 'bmp']);
const TAKEN = new Set(['jpg', 'png', 'webp', 'avif', 'heif', 'heic', 'gif', 'bmp']);

export const HEIC_TEXT =
  'is a HEIC picture, which this browser cannot read. Set the camera to JPEG (“most compatible”), or take the picture from here.';

const refuse = (why: string): PictureHead => ({ ok: false, why });

/** Reads what kind of picture it is and its pixels; what would be too much to decode is refused before it is tried. */
export function pictureHead(bytes: Uint8Array): PictureHead {
  if (bytes.length === 0) return refuse('is empty');
  if (bytes.length > MOST_BYTES) return refuse('is larger than 80 MB');
  const heic = isHeic(bytes);
  const size = sizeOf(bytes);
  // its size is said by some cameras in a way of their own; where the browser reads it, it is read
  if (heic && !size) return { ok: true, heic, exact: false, width: 0, height: 0 };
  if (!size || !TAKEN.has(size.type ?? '')) return refuse('is no picture that can be read');
  const { width, height } = size;
  if (width * height > MOST_PIXELS)
    return refuse(`is ${width} x ${height} pixels, more than can be made smaller here; take it with fewer`);
  return { ok: true, heic, exact: EXACT.has(size.type ?? ''), width, height };
}

function sizeOf(bytes: Uint8Array) {
  try {
    return imageSize(bytes);
  } catch {
    return undefined;
  }
}

/** By the brand in its first box, as ISO/IEC 23008-12 names them (from memory). */
function isHeic(bytes: Uint8Array): boolean {
  const text = String.fromCharCode(...bytes.subarray(4, 12));
  return text.startsWith('ftyp') && ['heic', 'heix', 'heim', 'heis', 'hevc', 'mif1', 'msf1'].includes(text.slice(4));
}
