import * as Comlink from 'comlink';
import type { ArchiveApi } from './archive.worker';

let worker: Comlink.Remote<ArchiveApi> | undefined;

/** The worker that packs rooms and unpacks them, started when it is first asked for. */
export function archiveWorker(): Comlink.Remote<ArchiveApi> {
  worker ??= Comlink.wrap<ArchiveApi>(new Worker(new URL('./archive.worker.ts', window.location.href)));
  return worker;
}
