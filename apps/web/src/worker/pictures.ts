import * as Comlink from 'comlink';
import type { Paint } from './paint';
import type { PictureApi, ReducedPicture } from './picture.worker';

interface Running {
  api: Comlink.Remote<PictureApi>;
  /** Fails when the worker does: a call on one that never came up would wait for ever. */
  broken: Promise<never>;
}

let running: Running | undefined;

function start(): Running {
  const worker = new Worker(new URL('./picture.worker.ts', window.location.href));
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => {
      running = undefined;
      reject(new Error('what makes it small is not on this device yet: open the app once with a signal'));
    });
  });
  broken.catch(() => undefined);
  return { api: Comlink.wrap<PictureApi>(worker), broken };
}

/** A picture with something drawn on it, as a new one. */
export function paintPicture(bytes: Uint8Array, paints: readonly Paint[]): Promise<ReducedPicture> {
  const { api, broken } = (running ??= start());
  return Promise.race([api.paint(bytes as Uint8Array<ArrayBuffer>, paints), broken]);
}

/** Makes a picture small, apart from the page; the worker is started when the first is taken. */
export function reducePicture(file: Blob): Promise<ReducedPicture> {
  const { api, broken } = (running ??= start());
  return Promise.race([api.reduce(file), broken]);
}
