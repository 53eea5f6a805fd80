import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Client } from '@libsql/client';

/** When each of the program's migrations was written; that is what the database remembers them by. */
function ownMigrations(folder: string): number[] {
  const journal = JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  return journal.entries.map((e) => e.when);
}

async function latestDone(client: Client): Promise<number> {
  const tables = await client.execute(`select name from sqlite_master where name = '__drizzle_migrations'`);
  if (tables.rows.length === 0) return 0;
  const { rows } = await client.execute('select max(created_at) from __drizzle_migrations');
  return Number(rows[0]?.[0] ?? 0);
}

/** Whether the database has been through a migration that this program does not know. */
export const newerThanProgram = async (client: Client, folder: string): Promise<boolean> =>
  (await latestDone(client)) > Math.max(...ownMigrations(folder));

/** How many migrations the database has not been through. */
export async function pendingMigrations(client: Client, folder: string): Promise<number> {
  const done = await latestDone(client);
  return ownMigrations(folder).filter((when) => when > done).length;
}
