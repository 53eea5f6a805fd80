import './importMeta';
import * as Comlink from 'comlink';
import { makeFile, NotMade, type Asked, type Exported, type SheetFonts } from '@steddo/export';

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
  async make(exported: Exported, asked: Asked): Promise<MadeFile> {
    try {
      return { ok: true, content: await makeFile(exported, asked, { fonts: paperFonts, at: new Date() }) };
    } catch (error) {
      if (error instanceof NotMade) return { ok: false, why: error.message };
      throw error;
    }
  },
};

export type ExportApi = typeof api;
Comlink.expose(api);
