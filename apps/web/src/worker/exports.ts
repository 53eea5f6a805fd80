import * as Comlink from 'comlink';
import type { ExportApi } from './export.worker';

let worker: Comlink.Remote<ExportApi> | undefined;

/** The worker that makes sheets and files, started when one is first asked for. */
export function exportWorker(): Comlink.Remote<ExportApi> {
  worker ??= Comlink.wrap<ExportApi>(new Worker(new URL('./export.worker.ts', window.location.href)));
  return worker;
}
