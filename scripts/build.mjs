import { ensureServer, ensureWebApp } from './lib.mjs';

/** The web app and the server, as they are served; nothing where neither has changed. */
ensureWebApp({ compressed: !process.argv.includes('--uncompressed') });
ensureServer();
