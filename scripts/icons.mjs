import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as mdi from '@mdi/js';
import { ROOT } from './lib.mjs';

/** Takes the few icon paths that the app uses out of the icon package: the whole of it is 2.8 MB. */
const USED = {
  back: 'mdiChevronLeft',
  next: 'mdiArrowRight',
  check: 'mdiCheck',
  close: 'mdiClose',
  plus: 'mdiPlus',
  minus: 'mdiMinus',
  undo: 'mdiUndo',
  redo: 'mdiRedo',
  down: 'mdiChevronDown',
  up: 'mdiChevronUp',
  right: 'mdiChevronRight',
  backspace: 'mdiBackspaceOutline',
  trash: 'mdiTrashCanOutline',
  swap: 'mdiSwapHorizontal',
  speak: 'mdiVolumeHigh',
  more: 'mdiDotsVertical',
  search: 'mdiMagnify',
  help: 'mdiHelpCircleOutline',
  copy: 'mdiContentCopy',
  edit: 'mdiPencilOutline',
  camera: 'mdiCameraOutline',
};
const lines = Object.entries(USED).map(([name, key]) => `  ${name}: '${mdi[key]}',`);
writeFileSync(
  join(ROOT, 'apps/web/src/ui/iconPaths.ts'),
  `/** Made by npm run icons from the icon package; do not edit. */\nexport const iconPaths = {\n${lines.join('\n')}\n} as const;\n`,
);
