import './importMeta';
import * as Comlink from 'comlink';
import type { Job, PhotoPlane } from '@steddo/contract';
import {
  alongEdge,
  flattenPicture,
  greyOf,
  isFog,
  laidInPicture,
  nearestCorner,
  wallPlane,
  type Drawn,
  type GreyPicture,
  type PicturePlace,
} from '@steddo/core/photo';

/** What was opened, and whether anything is to be seen in it. */
export interface OpenedPhoto {
  width: number;
  height: number;
  /** It shows hardly anything. */
  fog: boolean;
}

/** The wall to scale as a picture, with what of the wall it shows. */
export interface FlatWall {
  picture: Blob;
  width: number;
  height: number;
}

/** A pixel of the flattened wall, at most so many each way: as fine as a phone's screen needs, closer too. */
const MOST_FLAT_PX = 2400;
const FLAT_PER_MM = 0.5;

let opened: GreyPicture | undefined;

const api = {
  /** Reads a picture's brightness, for what is asked of it next. */
  async open(bytes: Uint8Array<ArrayBuffer>): Promise<OpenedPhoto | undefined> {
    // meanwhile nothing is drawn to what another picture shows
    opened = undefined;
    const picture = await pixelsOf(bytes);
    if (!picture) return undefined;
    opened = greyOf(picture.data, picture.width, picture.height);
    return { width: picture.width, height: picture.height, fog: isFog(opened) };
  },
  nearest: (tap: PicturePlace): Drawn => (opened ? nearestCorner(opened, tap) : { ...tap, to: 'nothing' }),
  along: (from: PicturePlace, to: PicturePlace): PicturePlace[] => (opened ? alongEdge(opened, from, to) : []),
  /** The wall by itself, from straight before it, to scale. */
  async flat(bytes: Uint8Array<ArrayBuffer>, job: Job, plane: PhotoPlane): Promise<FlatWall | undefined> {
    const picture = await pixelsOf(bytes);
    if (!picture) return undefined;
    const made = wallPlane(laidInPicture(job, plane, picture));
    if (!made.ok) return undefined;
    const { width, height } = job.room.wall;
    const perMm = Math.min(FLAT_PER_MM, MOST_FLAT_PX / Math.max(width, height));
    const flat = flattenPicture(picture, made.plane, { left: 0, right: width, bottom: 0, top: height, perMm });
    const canvas = new OffscreenCanvas(flat.width, flat.height);
    const context = canvas.getContext('2d');
    if (!context) return undefined;
    context.putImageData(new ImageData(new Uint8ClampedArray(flat.data), flat.width, flat.height), 0, 0);
    return { picture: await canvas.convertToBlob({ type: 'image/webp', quality: 0.8 }), width, height };
  },
};

async function pixelsOf(bytes: Uint8Array<ArrayBuffer>): Promise<ImageData | undefined> {
  const picture = await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' })).catch(() => undefined);
  if (!picture) return undefined;
  const context = new OffscreenCanvas(picture.width, picture.height).getContext('2d', { willReadFrequently: true });
  context?.drawImage(picture, 0, 0);
  const pixels = context?.getImageData(0, 0, picture.width, picture.height);
  picture.close();
  return pixels;
}

export type PhotoApi = typeof api;
Comlink.expose(api);
