import * as Comlink from 'comlink';
import type { ReachApi } from './reach.worker';

let worker: Comlink.Remote<ReachApi> | undefined;

/** The worker that maps the floor, started when somebody first asks for the map. */
export function reachWorker(): Comlink.Remote<ReachApi> {
  worker ??= Comlink.wrap<ReachApi>(new Worker(new URL('./reach.worker.ts', window.location.href)));
  return worker;
}
