import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '../../..');

/** Pages that say where something stands in the code: `core/wall/holeChance.ts` is packages/core/src/wall/holeChance.ts. */
const PAGES = ['docs/sources.md', 'docs/architecture.md', 'docs/extending.md', 'docs/formats.md', 'docs/decisions.md'];

const named = (page: string): string[] => [
  ...new Set(
    [
      ...readFileSync(join(ROOT, page), 'utf8').matchAll(/`((?:core|text|drawing|contract|samples)\/[\w/.]+\.tsx?)`/g),
    ].map((found) => found[1]!),
  ),
];

const isThere = (file: string): boolean => {
  const [name, ...path] = file.split('/');
  const of = join(ROOT, 'packages', name!);
  return existsSync(join(of, 'src', ...path)) || existsSync(join(of, ...path));
};

describe('what the pages say', () => {
  it.each(PAGES)('%s names no file that is not there', (page) => {
    expect(named(page).filter((file) => !isThere(file))).toEqual([]);
  });
  it('the table of findings has every code (npm run docs:findings)', () => {
    const list = readFileSync(join(ROOT, 'packages/core/src/primitives/findings.ts'), 'utf8');
    const from = list.indexOf('export interface FindingValues');
    const codes = [...list.slice(from, list.indexOf('\n}', from)).matchAll(/^ {2}'([a-z-]+)':/gm)].map((m) => m[1]);
    const page = readFileSync(join(ROOT, 'docs/findings.md'), 'utf8');
    const rows = [...page.matchAll(/^\| `([a-z-]+)`/gm)].map((m) => m[1]);
    expect(rows).toEqual([...codes].sort());
  });
  it('the table of sources names a file for most of its rows', () => {
    expect(named('docs/sources.md').length).toBeGreaterThan(20);
  });
});
