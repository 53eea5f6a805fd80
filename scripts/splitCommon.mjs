import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, say } from './lib.mjs';

/**
 * Metro puts whatever two pages share into one file that every page waits for. Here it becomes three: what the list of
 * rooms needs; what a room's page needs beside it; and what works a room out and draws it, which that page does not wait
 * for. The last two come together with the pages that need much of them. What else a page needs it has in its own file: a
 * module that is there twice is defined once.
 */
const OUT = join(ROOT, 'apps/web/dist');
const SCRIPTS = join(OUT, '_expo/static/js/web');
const ADDRESS = '/_expo/static/js/web/';
/** More than this of what the stages need is not worth having twice, characters. */
const LITTLE = 25_000;

/** The modules of a file in order: number, text and what each needs before it can run. Undefined for a worker's file. */
function modulesOf(text) {
  if (!text.startsWith('__d(')) return undefined;
  const modules = [];
  for (const part of text.split(/\n(?=__d\()/)) {
    const [, id, needs] = /,(\d+),(\[[\d,null]*\]|\{"0":.*\})\);\s*(?:__r\(\d+\);\s*)*$/.exec(part) ?? [];
    if (id === undefined) throw new Error(`no module as Metro writes it: …${part.slice(-120)}`);
    const { paths = {}, ...numbered } = JSON.parse(needs);
    // what has a path is brought when it is asked for
    const now = Object.values(numbered).filter((n) => n !== null && !(String(n) in paths));
    modules.push({ id: Number(id), text: part, now });
  }
  return modules;
}

const files = new Map();
for (const name of readdirSync(SCRIPTS).filter((f) => f.endsWith('.js') && !f.startsWith('__expo'))) {
  const modules = modulesOf(readFileSync(join(SCRIPTS, name), 'utf8'));
  if (modules) files.set(name, modules);
}
const one = (what, found) => {
  if (found.length !== 1) throw new Error(`${what}: one file was looked for, ${found.length} are there`);
  return found[0];
};
const startingWith = (start) => [...files.keys()].filter((name) => name.startsWith(start));
const html = readFileSync(join(OUT, 'index.html'), 'utf8');
const common = one('the common file', startingWith('__common-'));
const entry = one(
  'the first file',
  [...files.keys()].filter((name) => name !== common && html.includes(`${ADDRESS}${name}`)),
);
const layout = one('the layout', startingWith('_layout-'));
const byId = new Map([...files.values()].flat().map((m) => [m.id, m]));
const isCommon = new Set(files.get(common).map((m) => m.id));

/** Of the common file, what some modules and all that they need use. */
function commonOf(modules) {
  const seen = new Set(modules.map((m) => m.id));
  for (const id of seen) for (const next of byId.get(id)?.now ?? []) seen.add(next);
  return new Set([...seen].filter((id) => isCommon.has(id)));
}

/** The list of rooms: the page that holds what the address without anything shows. */
const list = one(
  'the list of rooms',
  [...files]
    .filter(([, modules]) => modules.some((m) => m.text.includes('RoomsScreen')))
    .filter(([name]) => name !== common && name !== entry)
    .map(([name]) => name),
);
const first = new Set([entry, layout, list].flatMap((name) => [...commonOf(files.get(name))]));
const room = one('a room', startingWith('[stage]-'));
const without = (ids, ...sets) => new Set([...ids].filter((id) => !sets.some((set) => set.has(id))));
const shared = [{ stem: '__rest', ids: without(commonOf(files.get(room)), first) }];
/** What a room's page brings once it is open. */
const broughtByRoom = [...files.keys()].filter((name) =>
  [...shared[0].ids, ...files.get(room).map((m) => m.id)].some((id) => byId.get(id).text.includes(ADDRESS + name)),
);
const AFTER_INPUTS = ['planHere-', 'Canvas-'];
const after = AFTER_INPUTS.map((start) => one('what comes after the inputs', startingWith(start)));
shared.push({
  stem: '__drawn',
  ids: without(commonOf(after.flatMap((name) => files.get(name))), first, shared[0].ids),
});
/** Whatever they need of it, these have it with everybody else. */
const always = { __rest: new Set(broughtByRoom), __drawn: new Set(after) };
const textOf = (ids) =>
  files
    .get(common)
    .filter((m) => ids(m.id))
    .map((m) => m.text)
    .join('\n');

const written = new Map();
const nameFor = (stem, text) => `${stem}-${createHash('md5').update(text).digest('hex')}.js`;
const stemOf = (name) => name.replace(/-[0-9a-f]{32}\.js$/, '');

/** Which files a page is now, by the name that Metro gave it; written when it is first asked for. */
function placeOf(name) {
  if (written.has(name)) return written.get(name);
  // a page that asks for itself keeps the name that it has
  written.set(name, `${ADDRESS}${name}`);
  const lacks = without(commonOf(files.get(name)), first);
  const much = shared.filter(
    ({ stem, ids }) => always[stem].has(name) || textOf((id) => lacks.has(id) && ids.has(id)).length > LITTLE,
  );
  const extra = textOf((id) => lacks.has(id) && !much.some(({ ids }) => ids.has(id)));
  const own = files.get(name).map((m) => m.text);
  const text = withPlaces([extra, ...own].filter(Boolean).join('\n'));
  const called = nameFor(stemOf(name), text);
  rmSync(join(SCRIPTS, name));
  writeFileSync(join(SCRIPTS, called), text);
  written.set(name, [...much.map(sharedPlace), `${ADDRESS}${called}`].join(' '));
  return written.get(name);
}

/** Named by all that there is: it asks for pages by names that depend on its own. */
const digestOfAll = [...files].map(([name, modules]) => name + modules.map((m) => m.text).join('')).join('');
function sharedPlace({ stem, ids }) {
  if (written.has(stem)) return written.get(stem);
  const called = nameFor(stem, digestOfAll);
  written.set(stem, `${ADDRESS}${called}`);
  writeFileSync(join(SCRIPTS, called), withPlaces(textOf((id) => ids.has(id))));
  return written.get(stem);
}

/** A text in which pages are asked for where they are now. */
const withPlaces = (text) =>
  text.replace(/"\/_expo\/static\/js\/web\/([^"]+\.js)"/g, (whole, name) =>
    files.has(name) ? JSON.stringify(placeOf(name)) : whole,
  );

const firstText = withPlaces(textOf((id) => first.has(id)));
const firstName = nameFor('__common', firstText);
rmSync(join(SCRIPTS, common));
writeFileSync(join(SCRIPTS, firstName), firstText);
const entryText = withPlaces(readFileSync(join(SCRIPTS, entry), 'utf8'));
const entryName = nameFor(stemOf(entry), entryText);
rmSync(join(SCRIPTS, entry));
writeFileSync(join(SCRIPTS, entryName), entryText);
writeFileSync(join(OUT, 'index.html'), html.replace(common, firstName).replace(entry, entryName));
const kB = (text) => `${Math.round(text.length / 1000)} kB`;
const [rest, drawn] = shared.map(({ ids }) => kB(textOf((id) => ids.has(id))));
say(`of what pages share, ${kB(firstText)} come first, ${rest} with a room's pages, ${drawn} with what is drawn`);
