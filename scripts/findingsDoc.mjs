import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** docs/findings.md: every code of a finding with where it is said and how serious it can be, read off the core. */
const CORE = new URL('../packages/core/src/', import.meta.url).pathname;

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? sources(path) : path.endsWith('.ts') ? [readFileSync(path, 'utf8')] : [];
  });
}

export function findingsDoc() {
  const list = readFileSync(join(CORE, 'primitives/findings.ts'), 'utf8');
  const from = list.indexOf('export interface FindingValues');
  const codes = [...list.slice(from, list.indexOf('\n}', from)).matchAll(/^ {2}'([a-z-]+)':/gm)].map((m) => m[1]);
  const may = list.slice(list.indexOf('const ACKNOWLEDGEABLE'), list.indexOf(']);'));
  const all = sources(CORE).join('\n');
  const rows = codes.sort().map((code) => {
    const said = [...all.matchAll(new RegExp(`finding\\(\\s*'${code}',\\s*([^,]+),\\s*'?([a-z-]+)'?`, 'g'))];
    const levels = [...new Set(said.flatMap((m) => [...m[1].matchAll(/'(info|caution|stop)'/g)].map((l) => l[1])))];
    const stages = [...new Set(said.map((m) => m[2]))].filter((s) => s !== 'stage');
    const level = levels.length > 0 ? levels.join(', ') : 'by its values';
    return `| \`${code}\` | ${level} | ${stages.join(', ') || 'by its values'} | ${may.includes(`'${code}'`) ? 'yes' : 'no'} |`;
  });
  return [
    '# Findings',
    '',
    'Every code that a plan may give, its level and stage, and whether a stop of it may be acknowledged. Written by `npm run docs:findings`; the',
    'sentences are in `packages/text`.',
    '',
    '| code | level | stage | acknowledgeable |',
    '| --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}
