import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import pino, { type Logger } from 'pino';
import { makeApp } from './app';
import { backUp, restore } from './backup';
import { connect, openStore, type Store } from './db/client';
import { keepCopy } from './db/copies';
import { DatabaseError } from './db/databaseErrors';
import { forgetDeleted } from './db/forgetting';
import { unreadableRooms } from './db/rooms';
import { readSettings, type Settings } from './environment';
import { holdDatabase } from './lock';
import { seed } from './seed';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
const STOP_MS = 5000;
const HOUR_MS = 3_600_000;
/** A connection that is closed sooner is closed under requests of those who ask every few seconds. */
const IDLE_MS = 65_000;
const now = () => new Date();
const parts = { migrations: MIGRATIONS, newId: randomUUID, now };

/** Something is wrong with how the server was started: say it in a line, no stack trace. */
function giveUp(lines: readonly string[]): never {
  process.stderr.write(lines.map((line) => `steddo: ${line}\n`).join(''));
  process.exit(1);
}

async function serve(settings: Settings): Promise<void> {
  const log = pino({ level: settings.log }, pino.destination(2));
  const release = await holdDatabase(settings.database);
  const store = await openStore(settings.database, parts);
  await seed(store, settings.seed, now, randomUUID);
  const aside = await store.read(unreadableRooms);
  for (const { id, reason } of aside) log.warn({ room: id, reason }, 'a record cannot be read and is set aside');
  const app = await makeApp({ store, log, now, newId: randomUUID, aside, web: settings.web });
  const hourly: NodeJS.Timeout = globalThis.setInterval(() => void tidy(store, log), HOUR_MS) as never;
  hourly.unref();
  await tidy(store, log);
  const server = createServer(app.callback());
  server.keepAliveTimeout = IDLE_MS;
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
    server.close(
      () =>
        void store.close().then(() => {
          release();
          process.exit(0);
        }),
    );
    server.closeIdleConnections();
  };
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
}

/** Once a day a copy; rooms whose thirty days are over go. What fails is said and tried again in an hour. */
async function tidy(store: Store, log: Logger): Promise<void> {
  try {
    await store.run((db) => forgetDeleted(db, now()));
    const client = connect(store.path);
    const file = await keepCopy(client, store.path, 'daily', now()).finally(() => client.close());
    if (file) log.info({ file }, 'kept a copy of the day');
  } catch (error) {
    log.error({ err: error }, 'the copy of the day could not be kept');
  }
}

const USAGE = 'takes nothing, or "backup FILE", or "restore FILE"';

async function main(settings: Settings, [what, file, more]: readonly string[]): Promise<void> {
  if (what === undefined) return serve(settings);
  if (!['backup', 'restore'].includes(what) || file === undefined || more !== undefined) giveUp([USAGE]);
  const target = resolve(process.env.STEDDO_FROM ?? '.', file);
  const said =
    what === 'backup' ? await backUp(settings.database, target) : await restore(settings.database, target, parts);
  process.stdout.write(`steddo: ${said}\n`);
}

const read = readSettings(process.env);
if (!read.ok) giveUp(read.lines);
main(read.settings, process.argv.slice(2)).catch((error: unknown) => {
  if (error instanceof DatabaseError) giveUp([error.message]);
  throw error;
});
