import type { Fault } from './api';
import { PICTURE } from './photo';

/** Where a picture lies beside its job file: `den.steddo.json` and p-1 give `den.pictures/p-1.jpg`; what no name of a file may hold is written as its number. */
export const picturePath = (jobFile: string, id: string): string =>
  `${jobFile.replace(/(\.steddo)?\.json$/i, '')}.pictures/${id.replace(/[^\w.-]/g, (c) => `%${c.charCodeAt(0).toString(16)}`)}.jpg`;

/** What a JPEG says before its picture begins. */
export interface JpegHead {
  width: number;
  height: number;
  /** Whether it carries more than the picture: place, device, dates, a comment, another picture in it. */
  says: boolean;
}

const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
const COMMENT = 0xfe;
/** Parts of an application that are about the picture itself: density, colour profile, colour transform. */
const ABOUT_PICTURE = new Map([
  [0xe0, 'JFIF'],
  [0xe2, 'ICC_PROFILE'],
  [0xee, 'Adobe'],
]);

const isFrame = (mark: number): boolean => mark >= 0xc0 && mark <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(mark);
const isOfApplication = (mark: number): boolean => mark >= 0xe0 && mark <= 0xef;

/**
 * Reads the parts of a JPEG up to its picture; nothing is decoded. Undefined for what is none, or ends too early.
 * Source: the marker segments of ITU-T T.81 (annex B), from memory. A 40 x 30 picture of a camera gives `{ width: 40, height: 30, says: true }`.
 */
export function jpegHead(bytes: Uint8Array): JpegHead | undefined {
  const word = (at: number): number => ((bytes[at] ?? 0) << 8) | (bytes[at + 1] ?? 0);
  if (bytes[0] !== 0xff || bytes[1] !== START || bytes[2] !== 0xff) return undefined;
  let size: { width: number; height: number } | undefined;
  // what stands behind the end would be another picture, or a film
  let says = bytes.at(-2) !== 0xff || bytes.at(-1) !== END;
  for (let at = 2; at + 4 <= bytes.length && bytes[at] === 0xff;) {
    const mark = bytes[at + 1]!;
    if (mark === 0xff) {
      at += 1;
      continue;
    }
    if (mark === SCAN) return size && { ...size, says };
    if (isFrame(mark)) size = { height: word(at + 5), width: word(at + 7) };
    if (mark === COMMENT) says = true;
    if (isOfApplication(mark)) {
      const name = String.fromCharCode(...bytes.subarray(at + 4, at + 15));
      says ||= !ABOUT_PICTURE.has(mark) || !name.startsWith(ABOUT_PICTURE.get(mark)!);
    }
    at += 2 + word(at + 2);
  }
  return undefined;
}

/** Why bytes are no picture that may be kept or sent; undefined where they are one. */
export function faultOfPicture(bytes: Uint8Array): Fault | undefined {
  const refuse = (reason: string): Fault => ({ path: '(picture)', reason });
  if (bytes.length > PICTURE.mostBytes) return refuse('is larger than a picture may be (4 MB)');
  const head = jpegHead(bytes);
  if (!head || head.width === 0 || head.height === 0) return refuse('is no JPEG');
  if (Math.max(head.width, head.height) > PICTURE.longestEdge)
    return refuse(`is ${head.width} x ${head.height}; ${PICTURE.longestEdge} is the longest edge`);
  return head.says ? refuse('says more than the picture, such as where and with what it was taken') : undefined;
}
