import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib.mjs';
import { LINT_RULES } from './lintRules.mjs';

/** npm run lint: the rules, and the form. The rules lie where an editor finds them too. */
const FILE = '.oxlintrc.json';
writeFileSync(join(ROOT, FILE), JSON.stringify(LINT_RULES, null, 2));
const passes = (...command) => spawnSync('npx', command, { cwd: ROOT, stdio: 'inherit' }).status === 0;
const rules = passes('oxlint', '-c', FILE, '--deny-warnings');
const form = passes('oxfmt', '--check', '.');
process.exit(rules && form ? 0 : 1);
