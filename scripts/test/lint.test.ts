import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const ROOT = join(import.meta.dirname, '../..');
const ARM = 'packages/core/src/arm';
const WALL = 'apps/web/src/features/wall';
const UI = 'apps/web/src/ui';
const REACT = "import { useEffect, useState } from 'react';\n";

const importing = (from: string) => `import { it } from '${from}';\nexport const made = it;\n`;
const making = (value: string) => `export const made = ${value};\n`;
const part = (first: string) =>
  `${REACT}export function Part(tell: () => void) {\n  ${first}\n  return useState(1)[0];\n}\n`;

/** What is written, in which file, and the rule that has to name it; none where it is as it may be. */
const WRITTEN: [what: string, file: string, text: string, rule?: string][] = [
  ['a circle', `${ARM}/one.ts`, "import { b } from './two';\nexport const a = () => b;\n", 'no-cycle'],
  ['its other side', `${ARM}/two.ts`, "import { a } from './one';\nexport const b = () => a;\n", 'no-cycle'],
  ['a circle of types', `${UI}/one.ts`, "import type { B } from './two';\nexport type A = B | 1;\n", 'no-cycle'],
  ['its other side too', `${UI}/two.ts`, "import type { A } from './one';\nexport type B = A | 2;\n", 'no-cycle'],
  ['a folder of the core that stands above', `${ARM}/above.ts`, importing('../plate/plate'), 'no-restricted-imports'],
  ['a file of the core that stands above', `${ARM}/plan.ts`, importing('../plan'), 'no-restricted-imports'],
  ['more than types of the contract', `${ARM}/values.ts`, importing('@steddo/contract'), 'no-restricted-imports'],
  ['Node in the core', `${ARM}/node.ts`, importing('node:fs'), 'no-restricted-imports'],
  ['drawing in the text', 'packages/text/src/drawn.ts', importing('@steddo/drawing'), 'no-restricted-imports'],
  ['another feature', `${WALL}/beside.ts`, importing('../hang/HangStage'), 'no-restricted-imports'],
  ['the shell in a feature', `${WALL}/shell.ts`, importing('../../shell/Room'), 'no-restricted-imports'],
  ['the state in the dress', `${UI}/state.ts`, importing('../state/session'), 'no-restricted-imports'],
  ['the server in the app', 'apps/web/src/shell/api.ts', importing('@steddo/server'), 'no-restricted-imports'],
  ['the clock in the core', `${ARM}/clock.ts`, making('() => new Date()'), 'no-restricted-globals'],
  ['chance in the core', `${ARM}/chance.ts`, making('() => Math.random()'), 'no-restricted-properties'],
  ['a colour that is no token', `${UI}/colour.ts`, making("'#ff0000'"), 'colours-from-tokens'],
  ['any', `${WALL}/any.ts`, making('(it: any) => it'), 'no-explicit-any'],
  ['a name of nothing in a script', 'scripts/made.mjs', making('() => notThere'), 'no-undef'],
  ['a hook not always called', `${WALL}/Hook.tsx`, part('if (tell) useEffect(() => {});'), 'rules-of-hooks'],
  ['an effect that hides a need', `${WALL}/Effect.tsx`, part('useEffect(() => tell(), []);'), 'exhaustive-deps'],
  ['types of the contract', `${ARM}/types.ts`, "import type { Job } from '@steddo/contract';\nexport type A = Job;\n"],
  ['what stands below in the core', `${ARM}/below.ts`, importing('../primitives/working')],
  ['what stands below in the app', `${WALL}/below.ts`, importing('../../ui/row')],
];

interface Found {
  diagnostics: { code: string; filename: string }[];
}

describe('lint finds', () => {
  const folder = mkdtempSync(join(tmpdir(), 'steddo-lint-'));
  let found: Found['diagnostics'];
  beforeAll(() => {
    const rules = execFileSync(
      process.execPath,
      ['-e', "import('./scripts/lintRules.mjs').then((m) => console.log(JSON.stringify(m.LINT_RULES)))"],
      { cwd: ROOT, encoding: 'utf8' },
    );
    for (const [, file, text] of [...WRITTEN, ['', '.oxlintrc.json', rules] as const]) {
      mkdirSync(dirname(join(folder, file)), { recursive: true });
      writeFileSync(join(folder, file), text);
    }
    const oxlint = join(ROOT, 'node_modules/.bin/oxlint');
    const run = spawnSync(oxlint, ['-c', '.oxlintrc.json', '-f', 'json'], { cwd: folder, encoding: 'utf8' });
    found = (JSON.parse(run.stdout) as Found).diagnostics;
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  it.each(WRITTEN.map(([what, file, , rule]) => ({ what, file, rule })))('$what', ({ file, rule }) => {
    const codes = found.filter(({ filename }) => filename.endsWith(file)).map(({ code }) => /\((.+)\)/.exec(code)![1]);
    expect(codes).toEqual(rule ? [rule] : []);
  });
});
