import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, ensureInstalled } from './lib.mjs';

/** npm run --silent sheet -- FILE --to pdf|template|svg|dxf|ics|csv …: a sheet, drawing or table on standard output, or with --out in a file. */
ensureInstalled();
const result = spawnSync(
  process.execPath,
  ['--import', 'tsx', join(ROOT, 'scripts/sheetFile.ts'), ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, STEDDO_FROM: process.env.INIT_CWD ?? process.cwd() },
  },
);
process.exit(result.status ?? 1);
