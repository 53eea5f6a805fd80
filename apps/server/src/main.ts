import { chmodSync, existsSync, readFileSync, readdirSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createEncrypted } from 'node:https';
import { basename, join, resolve } from 'node:path';
import { text } from 'node:stream/consumers';
import { createSecureContext } from 'node:tls';
import { fileURLToPath } from 'node:url';
import pino, { type Logger } from 'pino';
import { PASSCODE, checkFile, crew, type RoomList } from '@steddo/contract';
import { makeApp } from './app';
import { backUp, restore } from './backup';
import { passcodeHash, setPasscode, weaknessOf } from './crew/passcode';
import { forgetChanges } from './db/changes';
import { connect, openOnServer, openStore, type Store } from './db/client';
import { keepCopy } from './db/copies';
import { DatabaseError } from './db/databaseErrors';
import { forgetDeleted } from './db/forgetting';
import type { Place } from './db/place';
import { unreadableRooms } from './db/rooms';
import { readSettings, type Settings } from './environment';
import { holdDatabase } from './lock';
import { loggedError } from './middleware/loggedError';
import { isBeyond } from './reach';
import { seed } from './seed';
import { Watch } from './watch';

const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));
/** Of demo rooms, by the room's id. */
const PICTURES = fileURLToPath(new URL('../pictures', import.meta.url));
const STOP_MS = 5000;
const HOUR_MS = 3_600_000;
/** A connection that is closed sooner is closed under requests of those who ask every few seconds. */
const IDLE_MS = 65_000;
/** More than a firm's phones, and few enough for what a process may have open. */
const MOST_CONNECTIONS = 500;
/** Whoever sends slower than this holds a connection for nothing, ms. */
const HEAD_MS = 20_000;
const BODY_MS = 120_000;
const now = () => new Date();
const parts = { migrations: MIGRATIONS, newId: randomUUID, now };

/** Something is wrong with how the server was started: say it in a line, no stack trace. */
function giveUp(lines: readonly string[]): never {
  process.stderr.write(lines.map((line) => `steddo: ${line}\n`).join(''));
  process.exit(1);
}

/** The pictures of the demo's walls; an installation that left them out has none. */
function demoPictures(): Map<string, Buffer> {
  const names = existsSync(PICTURES) ? readdirSync(PICTURES).filter((n) => n.endsWith('.jpg')) : [];
  return new Map(names.map((n) => [basename(n, '.jpg'), readFileSync(join(PICTURES, n))]));
}

interface Opened {
  store: Store;
  release: () => void;
}

/** The database; a file is held for this program alone, and may be read by nobody else of this machine. */
async function open(place: Place): Promise<Opened> {
  if (place.kind === 'server') return { store: await openOnServer(place, parts), release: () => undefined };
  const release = await holdDatabase(place.path);
  for (const end of ['', '-wal', '-shm']) if (existsSync(place.path + end)) chmodSync(place.path + end, 0o600);
  return { store: await openStore(place.path, parts), release };
}

async function serve(settings: Settings): Promise<void> {
  const { reach, tls, place } = settings;
  const log = pino({ level: settings.log }, pino.destination(2));
  const pem = tls && pemOf(tls);
  const { store, release } = await open(place);
  if (isBeyond(reach) && (await store.read(passcodeHash)) === undefined)
    giveUp(['there is no crew passcode, and the rooms would be open to everybody: set one with "passcode" first']);
  await seed(store, settings.seed, now, randomUUID, settings.seed === 'demo' ? demoPictures() : undefined);
  let aside: RoomList['aside'] = [];
  const watch = new Watch(true);
  const app = await makeApp({
    store,
    log,
    now,
    newId: randomUUID,
    aside: () => aside,
    reach,
    watch,
    web: settings.web,
  });
  const hourly: NodeJS.Timeout = globalThis.setInterval(() => void tidy(store, log), HOUR_MS) as never;
  hourly.unref();
  await tidy(store, log);
  const server = listener(pem, app.callback());
  server.on('error', (error: NodeJS.ErrnoException) => {
    const { host, port } = settings;
    if (error.code === 'EADDRINUSE')
      giveUp([
        `port ${port} on ${host} is busy: another program, or another Steddo, is using it. Stop it, or set STEDDO_PORT.`,
      ]);
    giveUp([`cannot listen on ${host}:${port}: ${error.message}`]);
  });
  server.listen(settings.port, settings.host, () => {
    process.stdout.write(`Steddo is at ${addressOf(settings)}\n`);
    // a hundred thousand records take minutes: nobody waits for them
    void store
      .read(unreadableRooms)
      .then((found) => {
        aside = found;
        for (const { id, reason } of found) log.warn({ room: id, reason }, 'a record cannot be read and is set aside');
      })
      .catch((error: unknown) => log.error({ error: loggedError(error) }, 'the records could not be looked through'));
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

interface Pem {
  cert: Buffer;
  key: Buffer;
}

function listener(pem: Pem | undefined, answer: RequestListener): Server {
  const server = pem ? createEncrypted({ ...pem, minVersion: 'TLSv1.2' }, answer) : createPlain(answer);
  server.keepAliveTimeout = IDLE_MS;
  server.headersTimeout = HEAD_MS;
  server.requestTimeout = BODY_MS;
  server.maxConnections = MOST_CONNECTIONS;
  return server;
}

/** The certificate and its key, read and tried before anything else is done. */
function pemOf({ cert, key }: NonNullable<Settings['tls']>): Pem {
  const read = (name: string, file: string): Buffer => {
    try {
      return readFileSync(file);
    } catch (error) {
      return giveUp([
        `${name}: the file ${file} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'no reason'})`,
      ]);
    }
  };
  const pem = { cert: read('STEDDO_TLS_CERT', cert), key: read('STEDDO_TLS_KEY', key) };
  try {
    createSecureContext(pem);
  } catch (error) {
    giveUp([`STEDDO_TLS_CERT, STEDDO_TLS_KEY: are no certificate with its key (${(error as Error).message})`]);
  }
  return pem;
}

function addressOf({ host, port, tls, reach }: Settings): string {
  const [name] = reach.hosts;
  if (reach.proxies.length > 0) return `http://${host}:${port}, for the proxy of ${name ?? host} alone`;
  return `${tls ? 'https' : 'http'}://${name ?? (host === '127.0.0.1' ? 'localhost' : host)}:${port}`;
}

/** Once a day a copy of a file; rooms whose thirty days are over go. What fails is said and tried again in an hour. */
async function tidy(store: Store, log: Logger): Promise<void> {
  try {
    await store.run((db) => forgetDeleted(db, now()));
    await store.run(forgetChanges);
    if (store.place.kind === 'server') return;
    const { path } = store.place;
    const client = connect(path);
    const file = await keepCopy(client, path, 'daily', now()).finally(() => client.close());
    if (file) log.info({ file }, 'kept a copy of the day');
  } catch (error) {
    log.error({ error: loggedError(error) }, 'the copy of the day could not be kept');
  }
}

/** Sets the crew's passcode from what is typed or piped in; never from an argument, which every program can read. */
async function takePasscode(place: Place): Promise<string> {
  if (process.stdin.isTTY) process.stderr.write('the crew’s new passcode, then Enter and Ctrl-D: ');
  const given = (await text(process.stdin)).replace(/\r?\n$/, '');
  const checked = checkFile(crew.passcode, given);
  if (!checked.ok) giveUp([`the passcode ${checked.faults[0]?.reason ?? 'cannot be taken'}; the earlier one stays`]);
  const weakness = weaknessOf(checked.value);
  if (weakness) giveUp([`the passcode ${weakness}; the earlier one stays`]);
  // beside a server that runs: what it holds is the right to write rooms, and this is one row
  const store = place.kind === 'server' ? await openOnServer(place, parts) : await openStore(place.path, parts);
  await store.run((db) => setPasscode(db, checked.value));
  await store.close();
  return `the crew has a new passcode (${checked.value.length} letters, ${PASSCODE.least} at least); devices that are in stay in`;
}

const USAGE = 'takes nothing, or "passcode", or "backup FILE", or "restore FILE"';

async function main({ place, ...settings }: Settings, [what, file, more]: readonly string[]): Promise<void> {
  if (what === undefined) return serve({ ...settings, place });
  if (what === 'passcode' && file === undefined) {
    process.stdout.write(`steddo: ${await takePasscode(place)}\n`);
    return;
  }
  if (!['backup', 'restore'].includes(what) || file === undefined || more !== undefined) giveUp([USAGE]);
  if (place.kind === 'server')
    giveUp([`${what} is for a database in a file; one that has a server of its own is copied and put back there`]);
  const target = resolve(process.env.STEDDO_FROM ?? '.', file);
  const said = what === 'backup' ? await backUp(place.path, target) : await restore(place.path, target, parts);
  process.stdout.write(`steddo: ${said}\n`);
}

// whatever is written here, its copies included, is for this user alone
process.umask(0o077);
const read = readSettings(process.env);
if (!read.ok) giveUp(read.lines);
main(read.settings, process.argv.slice(2)).catch((error: unknown) => {
  if (error instanceof DatabaseError) giveUp([error.message]);
  throw error;
});
