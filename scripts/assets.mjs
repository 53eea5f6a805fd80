import { copyFileSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib.mjs';

/** Puts the fonts, which come from packages, where the web app serves them from. */
const FONTS = [
  ['atkinson-hyperlegible', 'atkinson-hyperlegible-latin-400-normal.woff2'],
  ['atkinson-hyperlegible', 'atkinson-hyperlegible-latin-700-normal.woff2'],
  ['b612', 'b612-latin-700-normal.woff2'],
];
const out = join(ROOT, 'apps/web/public/fonts');
mkdirSync(out, { recursive: true });
for (const [family, file] of FONTS)
  copyFileSync(join(ROOT, 'node_modules/@fontsource', family, 'files', file), join(out, file));
