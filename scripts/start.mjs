import { ROOT, ensureInstalled, ensureServer, ensureWebApp, hold } from './lib.mjs';

/** npm start: the app without demo rooms, for real jobs. */
ensureInstalled();
ensureWebApp();
hold(process.execPath, [ensureServer()], {
  STEDDO_WEB: `${ROOT}/apps/web/dist`,
  STEDDO_DB: `${ROOT}/data/steddo.db`,
  ...process.env,
});
