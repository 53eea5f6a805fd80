import './importMeta';
import * as Comlink from 'comlink';
import { faultOfPicture } from '@steddo/contract';
import { greyOf, isDrawn } from '@steddo/core/brightness';
import type { Reduced } from '../data/pictures';
import { sha256 } from '../data/sha256';
import type { Paint } from './paint';
import { HEIC_TEXT, pictureHead } from './pictureHead';

/** A picture made small, or why it cannot be taken: the rest of a sentence that begins with its name. */
export type ReducedPicture =
  | ({ ok: true; /** No camera took it. */ drawn?: boolean } & Reduced)
  | { ok: false; why: string };

/** What a screen and a page of paper need of a wall. */
const LONGEST_PX = 1600;
const QUALITIES = [0.82, 0.7, 0.55];
/** The first of these is reached by most; a picture of leaves takes more. */
const WANTED_BYTES = 900_000;
/** Of a picture's middle, each way: enough to tell a sensor's grain. */
const LOOKED_AT_PX = 600;

const api = {
  /** Turns it as it was held, makes it small, leaves out everything that is not the picture. */
  async reduce(file: Blob): Promise<ReducedPicture> {
    const head = pictureHead(new Uint8Array(await file.arrayBuffer()));
    if (!head.ok) return head;
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
    if (!picture) return { ok: false, why: head.heic ? HEIC_TEXT : 'cannot be read by this browser' };
    const drawn = head.exact && isScreen(picture);
    const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
    const scaled = (px: number) => Math.max(1, Math.round(px * scale));
    const [width, height] = [scaled(picture.width), scaled(picture.height)];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    if (!context) return { ok: false, why: 'cannot be made smaller by this browser' };
    context.fillStyle = 'white';
    context.fillRect(0, 0, width, height);
    context.imageSmoothingQuality = 'high';
    context.drawImage(picture, 0, 0, width, height);
    picture.close();
    const bytes = await encoded(canvas);
    const fault = faultOfPicture(bytes);
    if (fault) return { ok: false, why: fault.reason };
    const reduced = { ok: true as const, bytes, sha256: await sha256(bytes), ...(drawn ? { drawn } : {}) };
    return Comlink.transfer(reduced, [bytes.buffer]);
  },
  paint: painted,
};

/** By its middle, as it is: made smaller everything is smooth. */
function isScreen(picture: ImageBitmap): boolean {
  const [width, height] = [Math.min(LOOKED_AT_PX, picture.width), Math.min(LOOKED_AT_PX, picture.height)];
  const context = new OffscreenCanvas(width, height).getContext('2d');
  if (!context) return false;
  context.drawImage(picture, Math.round((width - picture.width) / 2), Math.round((height - picture.height) / 2));
  return isDrawn(greyOf(context.getImageData(0, 0, width, height).data, width, height));
}

/** Draws on a picture that was made small before. */
async function painted(bytes: Uint8Array<ArrayBuffer>, paints: readonly Paint[]): Promise<ReducedPicture> {
  const picture = await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' })).catch(() => undefined);
  const canvas = picture && new OffscreenCanvas(picture.width, picture.height);
  const context = canvas?.getContext('2d');
  if (!canvas || !context) return { ok: false, why: 'cannot be drawn on by this browser' };
  context.drawImage(picture, 0, 0);
  picture.close();
  for (const { points, colour, opacity, line } of paints) {
    context.globalAlpha = opacity;
    context.beginPath();
    points.forEach(({ u, v }, i) => (i === 0 ? context.moveTo(u, v) : context.lineTo(u, v)));
    if (line === undefined) {
      context.closePath();
      context.fillStyle = colour;
      context.fill();
    } else {
      context.strokeStyle = colour;
      context.lineWidth = line;
      context.stroke();
    }
  }
  const made = await encoded(canvas);
  const fault = faultOfPicture(made);
  return fault ? { ok: false, why: fault.reason } : { ok: true, bytes: made, sha256: await sha256(made) };
}

async function encoded(canvas: OffscreenCanvas): Promise<Uint8Array<ArrayBuffer>> {
  let bytes = new Uint8Array();
  for (const quality of QUALITIES) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    bytes = new Uint8Array(await blob.arrayBuffer());
    if (bytes.length <= WANTED_BYTES) break;
  }
  return bytes;
}

export type PictureApi = typeof api;
Comlink.expose(api);
