import * as Comlink from 'comlink';
import type { CatalogueApi } from './catalogue.worker';

let worker: Comlink.Remote<CatalogueApi> | undefined;

/** The one catalogue worker of this tab, started when it is first needed. */
export function catalogueWorker(): Comlink.Remote<CatalogueApi> {
  worker ??= Comlink.wrap<CatalogueApi>(new Worker(new URL('./catalogue.worker.ts', window.location.href)));
  return worker;
}
