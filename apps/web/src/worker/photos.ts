import * as Comlink from 'comlink';
import type { Job, PhotoPlane } from '@steddo/contract';
import type { Drawn, PicturePlace } from '@steddo/core/photo';
import type { FlatWall, OpenedPhoto, PhotoApi } from './photo.worker';

let api: Comlink.Remote<PhotoApi> | undefined;
let broken = new Promise<never>(() => undefined);

function running(): Comlink.Remote<PhotoApi> {
  if (api) return api;
  const worker = new Worker(new URL('./photo.worker.ts', window.location.href));
  broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => {
      api = undefined;
      reject(new Error('the measuring of pictures is not on this device yet'));
    });
  });
  broken.catch(() => undefined);
  return (api = Comlink.wrap<PhotoApi>(worker));
}

/** A call on a worker that never came up would wait for ever. */
const answered = <T>(call: (worker: Comlink.Remote<PhotoApi>) => Promise<T>): Promise<T> => {
  const worker = running();
  return Promise.race([call(worker), broken]);
};

/** Reads a picture apart from the page, so that taps can be drawn to what it shows. */
export const openPhoto = (bytes: Uint8Array): Promise<OpenedPhoto | undefined> =>
  answered((w) => w.open(bytes as Uint8Array<ArrayBuffer>));

/** The corner or edge of the opened picture that a tap is meant for. */
export const nearestInPhoto = (tap: PicturePlace): Promise<Drawn> => answered((w) => w.nearest(tap));

/** Places along an edge of the opened picture. */
export const edgeInPhoto = (from: PicturePlace, to: PicturePlace): Promise<PicturePlace[]> =>
  answered((w) => w.along(from, to));

/** The wall by itself, to scale, out of a picture of it. */
export const flatWallOf = (bytes: Uint8Array, job: Job, plane: PhotoPlane): Promise<FlatWall | undefined> =>
  answered((w) => w.flat(bytes as Uint8Array<ArrayBuffer>, job, plane));
