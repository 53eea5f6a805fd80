import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { type Client } from '@libsql/client';
import { connect } from './db/client';
import { DatabaseError, isLocked, named } from './db/databaseErrors';

/**
 * One Steddo for one database: a small file beside it is held as long as the program runs, and let go by the
 * system however it ends.
 */
export async function holdDatabase(path: string): Promise<() => void> {
  let client: Client | undefined;
  try {
    mkdirSync(dirname(path), { recursive: true });
    client = connect(`${path}.held`);
    const held = await client.transaction('write');
    const opened = client;
    return () => {
      held.close();
      opened.close();
    };
  } catch (error) {
    client?.close();
    if (!isLocked(error)) throw named(path, error);
    throw new DatabaseError(
      `the database ${path} is in use by another Steddo; end it, or set STEDDO_DB to another file`,
    );
  }
}
