import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { SheetFonts } from '@steddo/export';

/** The letters of paper, from the packages that they come in. */
export function paperFonts(): SheetFonts {
  const { resolve } = createRequire(import.meta.url);
  const read = (path: string) => new Uint8Array(readFileSync(resolve(path)));
  const own = '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin';
  return {
    plain: read(`${own}-400-normal.woff`),
    bold: read(`${own}-700-normal.woff`),
    fallback: read('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
  };
}
