import { copyFileSync, mkdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { ROOT } from './lib.mjs';

/** Puts the fonts, which come from packages, where the web app serves them from. */
const FONTS = [
  ['atkinson-hyperlegible', 'atkinson-hyperlegible-latin-400-normal.woff2'],
  ['atkinson-hyperlegible', 'atkinson-hyperlegible-latin-700-normal.woff2'],
  ['b612', 'b612-latin-700-normal.woff2'],
];
/** For paper: what is embedded has to be `.woff` or `.ttf`; the last has the letters that the others lack. */
const FOR_PAPER = [
  '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
  '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff',
  'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
];
const out = join(ROOT, 'apps/web/public/fonts');
mkdirSync(out, { recursive: true });
for (const [family, file] of FONTS)
  copyFileSync(join(ROOT, 'node_modules/@fontsource', family, 'files', file), join(out, file));
for (const path of FOR_PAPER) copyFileSync(join(ROOT, 'node_modules', path), join(out, basename(path)));
