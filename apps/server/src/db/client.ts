import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setTimeout as wait } from 'node:timers/promises';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { keepCopy } from './copies';
import { DatabaseError, isLocked, named } from './databaseErrors';
import { newerThanProgram, pendingMigrations } from './migrations';
import { placeText, type Place } from './place';
import * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;

/** The one way to the database. Writes to a file of ours go one after the other, reads beside them. */
export interface Store {
  /** Runs one piece of writing; while another program has the lock it waits. */
  run: <T>(work: (db: Db) => Promise<T>) => Promise<T>;
  /** Reads; no writing holds it up. */
  read: <T>(work: (db: Db) => Promise<T>) => Promise<T>;
  /** What this database is known by, wherever it lies. */
  database: string;
  place: Place;
  /** A file is put in order, so that it can be taken along by itself. */
  close: () => Promise<void>;
}

export interface OpenParts {
  migrations: string;
  newId: () => string;
  now: () => Date;
  /** Whether a copy is kept before a migration; yes unless it is a copy itself. */
  copies?: boolean;
  /** How long a write waits for another program's lock, ms. */
  patience?: number;
}

const PATIENCE_MS = 5000;
const AGAIN_MS = 60;

/** Opens, checks, copies before a migration, migrates. A file that is not sound is named and left as it is. */
export async function openStore(path: string, parts: OpenParts): Promise<Store> {
  const clients: Client[] = [];
  const open = () => {
    const client = connect(path);
    clients.push(client);
    return client;
  };
  try {
    const known = fileAt(path);
    if (known) await checkSound(path, parts.migrations);
    const client = open();
    await setPragmas(client);
    if (known && parts.copies !== false && (await pendingMigrations(client, parts.migrations)) > 0)
      await keepCopy(client, path, 'before-migration', parts.now());
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: parts.migrations });
    await setPragmas(client);
    const database = await databaseMark(client, parts.newId);
    const reader = open();
    return queued({ path, client, db, reader, database, patience: parts.patience ?? PATIENCE_MS });
  } catch (error) {
    for (const client of clients) client.close();
    throw error instanceof DatabaseError ? error : named(path, error);
  }
}

/** The path may hold any character that a file name may. The driver's own waiting would hold up everything. */
export const connect = (path: string): Client =>
  createClient({ url: pathToFileURL(path).href, concurrency: 1, timeout: 0 });

/** Whether a database lies there; its folder is made, and what is no file is named. */
function fileAt(path: string): boolean {
  mkdirSync(dirname(path), { recursive: true });
  if (!existsSync(path)) return false;
  const what = statSync(path);
  if (what.isDirectory()) throw new DatabaseError(`the database ${path} is a folder; name a file in it`);
  return what.size > 0;
}

/** Reads only, before anything could write to the file. */
export async function checkSound(path: string, migrations: string): Promise<void> {
  const client = connect(path);
  try {
    const { rows } = await client.execute('PRAGMA quick_check(1)');
    const said = String(rows[0]?.[0] ?? 'no answer');
    if (said !== 'ok') throw new Error(said);
    if (await newerThanProgram(client, migrations))
      throw new DatabaseError(
        `the database ${path} was written by a newer Steddo than this one and was left as it is; start the newer one`,
      );
  } finally {
    client.close();
  }
}

/** Write-ahead log with full durability; read back, because a pragma that is refused says nothing. */
async function setPragmas(client: Client): Promise<void> {
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA synchronous = FULL');
  await client.execute('PRAGMA foreign_keys = ON');
  const mode = await client.execute('PRAGMA journal_mode');
  const sync = await client.execute('PRAGMA synchronous');
  if (String(mode.rows[0]?.[0]) !== 'wal' || Number(sync.rows[0]?.[0]) !== 2)
    throw new Error('write-ahead logging with full durability could not be set');
}

/**
 * Opens a database that has a server of its own. Other processes may be at it: nothing is kept in memory here, and
 * what two of them write at once is judged by the database. Copies are that server's own business.
 */
export async function openOnServer(place: Extract<Place, { kind: 'server' }>, parts: OpenParts): Promise<Store> {
  const client = createClient({ url: place.url, ...(place.token === undefined ? {} : { authToken: place.token }) });
  try {
    if (await newerThanProgram(client, parts.migrations))
      throw new DatabaseError(`the database at ${placeText(place)} was written by a newer Steddo; start the newer one`);
    const db = drizzle(client, { schema });
    await migrateAmongOthers(client, db, parts.migrations);
    const database = await databaseMark(client, parts.newId);
    const patience = parts.patience ?? PATIENCE_MS;
    return {
      run: (work) => patiently(() => work(db), patience),
      read: (work) => patiently(() => work(db), patience),
      database,
      place,
      close: () => Promise.resolve(client.close()),
    };
  } catch (error) {
    client.close();
    throw error instanceof DatabaseError ? error : named(placeText(place), error);
  }
}

/** Two processes that start at once both want to migrate; who comes second finds it done. */
async function migrateAmongOthers(client: Client, db: Db, folder: string): Promise<void> {
  try {
    await migrate(db, { migrationsFolder: folder });
  } catch (error) {
    for (let waited = 0; waited < PATIENCE_MS; waited += AGAIN_MS) {
      if ((await pendingMigrations(client, folder)) === 0) return;
      await wait(AGAIN_MS);
    }
    throw error;
  }
}

/** Tries again while another program has the lock. */
async function patiently<T>(work: () => Promise<T>, patience: number, between?: () => Promise<void>): Promise<T> {
  for (let waited = 0; ; waited += AGAIN_MS) {
    try {
      return await work();
    } catch (error) {
      if (!isLocked(error)) throw error;
      await between?.();
      if (waited >= patience) throw error;
      await wait(AGAIN_MS);
    }
  }
}

async function databaseMark(client: Client, newId: () => string): Promise<string> {
  await client.execute({
    sql: `insert or ignore into meta (name, value) values ('database', ?)`,
    args: [newId()],
  });
  const { rows } = await client.execute(`select value from meta where name = 'database'`);
  return String(rows[0]?.[0]);
}

interface Parts {
  path: string;
  client: Client;
  db: Db;
  reader: Client;
  database: string;
  patience: number;
}

function queued({ path, client, db, reader, database, patience }: Parts): Store {
  let tail: Promise<unknown> = Promise.resolve();
  const readDb = drizzle(reader, { schema });
  const afresh = async () => {
    // what a refused statement leaves behind would go on seeing the database as it was
    await client.reconnect();
    await setPragmas(client).catch(() => undefined);
  };
  const run: Store['run'] = (work) => {
    const next = tail.then(() => patiently(() => work(db), patience, afresh));
    tail = next.catch(() => undefined);
    return next;
  };
  return {
    run,
    read: (work) => work(readDb),
    database,
    place: { kind: 'file', path },
    close: () =>
      tail.then(async () => {
        reader.close();
        await client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
        client.close();
      }),
  };
}
