import { ROOT, ensureInstalled, ensureServer, ensureWebApp, hold, say } from './lib.mjs';

/** npm run demo: everything needed, then the app with demo data. */
ensureInstalled();
ensureWebApp();
const server = ensureServer();
say('starting with the demo rooms');
hold(process.execPath, [server], {
  ...process.env,
  STEDDO_SEED: process.env.STEDDO_SEED ?? 'demo',
  STEDDO_DB: process.env.STEDDO_DB ?? `${ROOT}/data/demo.db`,
  STEDDO_WEB: `${ROOT}/apps/web/dist`,
  STEDDO_LOG: process.env.STEDDO_LOG ?? 'warn',
});
