import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as schema from './schema';

export type Db = LibSQLDatabase<typeof schema>;

/** The one way to the database: a serial queue, because the driver cannot take two writers. */
export interface Store {
  /** Runs one piece of work after all earlier ones have ended. */
  run: <T>(work: (db: Db) => Promise<T>) => Promise<T>;
  close: () => Promise<void>;
}

/** A database that cannot be opened, in a sentence that names the file. */
export class DatabaseError extends Error {}

/** Opens, checks, migrates. A file that is not sound is named and left as it is. */
export async function openStore(path: string, migrations: string): Promise<Store> {
  const known = existsSync(path) && statSync(path).size > 0;
  mkdirSync(dirname(path), { recursive: true });
  if (known) await checkSound(path);
  const client = open(path);
  try {
    await setPragmas(client);
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: migrations });
    await setPragmas(client);
    return queued(client, db);
  } catch (error) {
    client.close();
    throw named(path, error);
  }
}

const BUSY_MS = 5000;
const open = (path: string): Client => createClient({ url: `file:${path}`, concurrency: 1, timeout: BUSY_MS });

/** Reads only, before anything could write to the file. */
async function checkSound(path: string): Promise<void> {
  let client: Client | undefined;
  try {
    client = open(path);
    const { rows } = await client.execute('PRAGMA quick_check(1)');
    const said = String(rows[0]?.[0] ?? 'no answer');
    if (said !== 'ok') throw new Error(said);
  } catch (error) {
    throw named(path, error);
  } finally {
    client?.close();
  }
}

const named = (path: string, error: unknown): DatabaseError =>
  new DatabaseError(
    `the database ${path} cannot be used and was left as it is: ${error instanceof Error ? error.message : String(error)}`,
  );

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

function queued(client: Client, db: Db): Store {
  let tail: Promise<unknown> = Promise.resolve();
  const run: Store['run'] = (work) => {
    const next = tail.then(() => work(db));
    tail = next.catch(() => undefined);
    return next;
  };
  return { run, close: () => tail.then(() => client.close()) };
}
