import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** What a page has to have before its first input works, beside the scripts that every page begins with. */
const NEEDED = {
  list: (name, text) => /^_layout-/.test(name) || (/^index-/.test(name) && text().includes('RoomsScreen')),
  // that these are enough is shown in the browser, with all other files held back
  room: (name) => /^(_layout|__rest|\[stage\]|RoomStage)-/.test(name),
  nothing: () => false,
};

/** The scripts that a page waits for until its first input works, by their paths in `dist`; workers beside it left out. */
export function firstLoad(dist, page) {
  const html = readFileSync(join(dist, 'index.html'), 'utf8');
  const begins = [...html.matchAll(/src="\/([^"]+\.js)"/g)].map((m) => m[1]);
  const folder = '_expo/static/js/web';
  const later = readdirSync(join(dist, folder))
    .filter((name) => name.endsWith('.js'))
    .map((name) => [name, join(folder, name)])
    .filter(
      ([name, path]) => !begins.includes(path) && NEEDED[page](name, () => readFileSync(join(dist, path), 'utf8')),
    )
    .map(([, path]) => path);
  return [...begins, ...later];
}
