import * as Comlink from 'comlink';
import type { WallApi } from './wall.worker';

let worker: Comlink.Remote<WallApi> | undefined;

/** The worker that weighs where to look next, started when a wall is first looked at. */
export function wallWorker(): Comlink.Remote<WallApi> {
  worker ??= Comlink.wrap<WallApi>(new Worker(new URL('./wall.worker.ts', window.location.href)));
  return worker;
}
