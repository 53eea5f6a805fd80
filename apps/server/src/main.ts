import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import pino from 'pino';
import { makeApp } from './app';
import { DatabaseError, openStore } from './db/client';
import { readSettings, type Settings } from './environment';
import { seed } from './seed';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const STOP_MS = 5000;

/** Something is wrong with how the server was started: say it in a line, no stack trace. */
function giveUp(lines: readonly string[]): never {
  process.stderr.write(lines.map((line) => `steddo: ${line}\n`).join(''));
  process.exit(1);
}

async function start(settings: Settings): Promise<void> {
  const log = pino({ level: settings.log }, pino.destination(2));
  const now = () => new Date();
  const store = await openStore(settings.database, MIGRATIONS);
  await seed(store, settings.seed, now);
  const app = await makeApp({ store, log, now, web: settings.web });
  const server = createServer(app.callback());
  server.on('error', (error: NodeJS.ErrnoException) => {
    const { host, port } = settings;
    if (error.code === 'EADDRINUSE')
      giveUp([
        `port ${port} on ${host} is busy: another program, or another Steddo, is using it. Stop it, or set STEDDO_PORT.`,
      ]);
    giveUp([`cannot listen on ${host}:${port}: ${error.message}`]);
  });
  server.listen(settings.port, settings.host, () => {
    process.stdout.write(
      `Steddo is at http://${settings.host === '127.0.0.1' ? 'localhost' : settings.host}:${settings.port}\n`,
    );
  });
  const stop = (signal: string) => {
    log.info({ signal }, 'stopping');
    const forced: NodeJS.Timeout = globalThis.setTimeout(() => process.exit(1), STOP_MS) as never;
    forced.unref();
    server.close(() => void store.close().then(() => process.exit(0)));
    server.closeIdleConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

const read = readSettings(process.env);
if (!read.ok) giveUp(read.lines);
start(read.settings).catch((error: unknown) => {
  if (error instanceof DatabaseError) giveUp([error.message]);
  throw error;
});
