import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureInstalled, ensureServer, hold } from './lib.mjs';

/** npm run passcode, npm run backup -- FILE, npm run restore -- FILE: of the database that STEDDO_DB names, else of start's or demo's. */
ensureInstalled();
const server = ensureServer();
const own = ['data/steddo.db', 'data/demo.db'].map((file) => join(ROOT, file));
const database = process.env.STEDDO_DB ?? own.find((file) => existsSync(file)) ?? own[0];
const [what, ...rest] = process.argv.slice(2);
hold(process.execPath, [server, what, ...rest], {
  ...process.env,
  STEDDO_DB: database,
  STEDDO_FROM: process.env.INIT_CWD ?? process.cwd(),
});
