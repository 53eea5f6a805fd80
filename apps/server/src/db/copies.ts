import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import type { Client } from '@libsql/client';

/** Copies that are kept beside the database, of each kind. */
const KEPT = { daily: 14, 'before-migration': 6 } as const;
export type CopyKind = keyof typeof KEPT;

export const copiesFolder = (path: string): string => join(dirname(path), 'copies');

/** A sound copy of the whole database; the file appears only when it is complete. */
export async function copyInto(client: Client, file: string): Promise<void> {
  const part = `${file}.part`;
  rmSync(part, { force: true });
  mkdirSync(dirname(file), { recursive: true });
  await client.execute({ sql: 'VACUUM INTO ?', args: [part] });
  renameSync(part, file);
}

/** Keeps a copy of its kind and day, and of each kind only the latest ones. A day has one. */
export async function keepCopy(client: Client, path: string, kind: CopyKind, now: Date): Promise<string | undefined> {
  const folder = copiesFolder(path);
  const stamp = now
    .toISOString()
    .slice(0, kind === 'daily' ? 10 : 19)
    .replaceAll(':', '');
  const file = join(folder, `${basename(path, '.db')}-${kind}-${stamp}.db`);
  if (existsSync(file)) return undefined;
  await copyInto(client, file);
  const own = readdirSync(folder).filter((f) => f.startsWith(`${basename(path, '.db')}-${kind}-`) && f.endsWith('.db'));
  // never the one just made, even where the clock went back behind the others
  const others = own.filter((f) => f !== basename(file)).sort();
  for (const old of others.slice(0, 1 - KEPT[kind])) rmSync(join(folder, old), { force: true });
  return file;
}
