import { existsSync, mkdirSync, renameSync, rmSync, copyFileSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { checkSound, connect, openStore, type OpenParts } from './db/client';
import { copyInto } from './db/copies';
import { DatabaseError, named, plainReason } from './db/databaseErrors';
import { countRooms, unreadableRooms } from './db/rooms';
import { holdDatabase } from './lock';

/** A sound copy of the database into a file, whether a server is running or not. */
export async function backUp(path: string, file: string): Promise<string> {
  if (!existsSync(path)) throw new DatabaseError(`there is no database at ${path}: nothing to back up`);
  if (existsSync(file)) throw new DatabaseError(`${file} is there already: name another file`);
  const client = connect(path);
  try {
    await copyInto(client, file);
  } catch (error) {
    throw named(file, error);
  } finally {
    client.close();
  }
  return `backed up to ${file} (${Math.ceil(statSync(file).size / 1024)} kB)`;
}

/** Puts a backup in the database's place once it has proved sound; what was there is kept beside it. */
export async function restore(path: string, file: string, parts: OpenParts): Promise<string> {
  if (!existsSync(file)) throw new DatabaseError(`there is no file ${file}`);
  if (statSync(file).isDirectory()) throw new DatabaseError(`${file} is a folder; name the file of a backup`);
  mkdirSync(dirname(path), { recursive: true });
  const release = await holdDatabase(path);
  const incoming = `${path}.incoming`;
  try {
    for (const end of ['', '-wal', '-shm']) rmSync(`${incoming}${end}`, { force: true });
    copyFileSync(file, incoming);
    const rooms = await examined(incoming, file, parts);
    let kept = '';
    if (existsSync(path)) {
      const stamp = parts.now().toISOString().slice(0, 19).replaceAll(':', '');
      kept = `${path}.before-restore-${stamp}`;
      const before = connect(path);
      await before.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
      before.close();
      renameSync(path, kept);
      for (const end of ['-wal', '-shm']) if (existsSync(`${path}${end}`)) renameSync(`${path}${end}`, `${kept}${end}`);
    }
    renameSync(incoming, path);
    return `put back ${rooms} room${rooms === 1 ? '' : 's'} from ${file}${kept ? `; what was there is ${kept}` : ''}`;
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(`${incoming}${end}`, { force: true });
    release();
  }
}

/** Opens the copy as the server would, every record read; names what is wrong with the file that was given. */
async function examined(incoming: string, file: string, parts: OpenParts): Promise<number> {
  try {
    await checkSound(incoming, parts.migrations);
    await isOurs(incoming, file);
    const store = await openStore(incoming, { ...parts, copies: false });
    const broken = await store.read(unreadableRooms);
    const rooms = await store.read(countRooms);
    await store.close();
    const [first] = broken;
    if (first)
      throw new DatabaseError(
        `${file} has ${broken.length} record${broken.length === 1 ? '' : 's'} that cannot be read (room ${first.id}: ${first.reason}); nothing was put back`,
      );
    return rooms;
  } catch (error) {
    const said = plainReason(error).replaceAll(incoming, file);
    throw new DatabaseError(error instanceof DatabaseError ? said : `${file} is no backup of Steddo: ${said}`);
  }
}

async function isOurs(incoming: string, file: string): Promise<void> {
  const client = connect(incoming);
  const { rows } = await client.execute(`select count(*) from sqlite_master where name in ('rooms', 'revisions')`);
  client.close();
  if (Number(rows[0]?.[0]) !== 2) throw new DatabaseError(`${file} is no backup of Steddo: it has no rooms`);
}
