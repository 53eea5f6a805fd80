import * as Comlink from 'comlink';
import type { PictureApi } from './picture.worker';

let worker: Comlink.Remote<PictureApi> | undefined;

/** The worker that makes pictures small, started when one is first taken. */
export function pictureWorker(): Comlink.Remote<PictureApi> {
  worker ??= Comlink.wrap<PictureApi>(new Worker(new URL('./picture.worker.ts', window.location.href)));
  return worker;
}
