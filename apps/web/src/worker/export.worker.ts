import './importMeta';
import * as Comlink from 'comlink';
import type { Job, Plan } from '@steddo/contract';
import { templateScene } from '@steddo/drawing';
import {
  NotMade,
  toCsv,
  toDxf,
  toIcs,
  toSheet,
  toSvg,
  toTemplate,
  viewOf,
  type Paper,
  type SheetFonts,
  type Table,
  type View,
} from '@steddo/export';

/** What is asked for on the page of sheets. */
export type Asked =
  | { to: 'pdf'; paper: Exclude<Paper, 'roll'> }
  | { to: 'template'; paper: Paper; width?: number }
  | { to: 'svg' | 'dxf'; view: View | 'template' }
  | { to: 'csv'; what: Table }
  | { to: 'ics' };

/** A file, or why it cannot be made. */
export type MadeFile = { ok: true; content: Uint8Array | string } | { ok: false; why: string };

let fonts: Promise<SheetFonts> | undefined;

/** The letters of paper, fetched when they are first asked for; the app keeps them for where there is no signal. */
function paperFonts(): Promise<SheetFonts> {
  const read = async (name: string) => {
    const answer = await fetch(new URL(`/fonts/${name}`, self.location.origin));
    if (!answer.ok)
      throw new NotMade('the letters of the sheet are not on this device yet: open the app once with a signal');
    return new Uint8Array(await answer.arrayBuffer());
  };
  const own = 'atkinson-hyperlegible-latin';
  fonts ??= Promise.all([read(`${own}-400-normal.woff`), read(`${own}-700-normal.woff`), read('DejaVuSans.ttf')]).then(
    ([plain, bold, fallback]) => ({ plain, bold, fallback }),
  );
  // what failed is tried again the next time
  fonts.catch(() => (fonts = undefined));
  return fonts;
}

const api = {
  async make(job: Job, plan: Plan, asked: Asked): Promise<MadeFile> {
    try {
      return { ok: true, content: await made(job, plan, asked) };
    } catch (error) {
      if (error instanceof NotMade) return { ok: false, why: error.message };
      throw error;
    }
  },
};

async function made(job: Job, plan: Plan, asked: Asked): Promise<Uint8Array | string> {
  const whole = { job, plan };
  const at = new Date();
  switch (asked.to) {
    case 'pdf':
      return toSheet(whole, { paper: asked.paper, fonts: await paperFonts(), at });
    case 'template':
      return toTemplate(whole, { paper: asked.paper, width: asked.width, fonts: await paperFonts(), at });
    case 'svg':
      return toSvg(sceneOf(job, plan, asked.view), job.title);
    case 'dxf':
      return toDxf(sceneOf(job, plan, asked.view));
    case 'csv':
      return toCsv(whole, asked.what);
    case 'ics':
      return toIcs(whole, at);
  }
}

function sceneOf(job: Job, plan: Plan, view: View | 'template') {
  if (view !== 'template') return viewOf({ job, plan }, view);
  const scene = templateScene(job, plan);
  if (!scene) throw new NotMade('there is nothing to drill or to cut yet: no template');
  return scene;
}

export type ExportApi = typeof api;
Comlink.expose(api);
