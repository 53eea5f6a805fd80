import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, ensureInstalled } from './lib.mjs';

/** npm run --silent plan -- FILE [--catalogue FILE] [--tolerance [--seed N]]: the plan file on standard output. */
ensureInstalled();
const result = spawnSync(
  process.execPath,
  ['--import', 'tsx', join(ROOT, 'scripts/planFile.ts'), ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, STEDDO_FROM: process.env.INIT_CWD ?? process.cwd() },
  },
);
process.exit(result.status ?? 1);
