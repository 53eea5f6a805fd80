/** A database that cannot be used, in a sentence that names the file. */
export class DatabaseError extends Error {}

interface Coded {
  code?: unknown;
  message?: unknown;
  cause?: unknown;
}

/** The codes of an error and of what it came from. */
function codesOf(error: unknown): string[] {
  const codes: string[] = [];
  for (let e = error as Coded | undefined; e && typeof e === 'object' && codes.length < 8; e = e.cause as Coded)
    codes.push(`${typeof e.code === 'string' ? e.code : ''} ${typeof e.message === 'string' ? e.message : ''}`);
  return codes;
}

const has = (error: unknown, pattern: RegExp): boolean => codesOf(error).some((c) => pattern.test(c));

export const isLocked = (error: unknown): boolean => has(error, /SQLITE_BUSY|SQLITE_LOCKED/);

/** What keeps a database from being written, where it is something that somebody can put right. */
export type Trouble = 'full' | 'read-only' | 'locked' | 'gone';

export function troubleOf(error: unknown): Trouble | undefined {
  if (has(error, /SQLITE_FULL|ENOSPC|EDQUOT|SQLITE_IOERR_(WRITE|SHM|FSYNC)/)) return 'full';
  if (has(error, /SQLITE_READONLY|EROFS/)) return 'read-only';
  if (isLocked(error)) return 'locked';
  return has(error, /SQLITE_CANTOPEN|SQLITE_IOERR/) || has(error, UNREACHABLE) || has(error, NO_TOKEN)
    ? 'gone'
    : undefined;
}

/** A database that has a server of its own, and that server is away; or does not let us in. */
const UNREACHABLE = /fetch failed|ECONNREFUSED|ECONNRESET|ENOTFOUND|ETIMEDOUT|EAI_AGAIN|HTTP status 5\d\d/;
const NO_TOKEN = /HTTP status 40[13]/;

/** Two wrote the same at once, and the other one was first. */
export const isConflict = (error: unknown): boolean => has(error, /SQLITE_CONSTRAINT/);

/** In words for whoever starts the server; the first that fits. */
const AT_START: readonly [RegExp, string][] = [
  [NO_TOKEN, 'does not let us in: STEDDO_DB_TOKEN is missing or not its token'],
  [UNREACHABLE, 'cannot be reached: is its server running, and the address right?'],
  [/ENOTDIR|EEXIST/, 'cannot be made: a part of its path is a file and not a folder'],
  [/ENOENT/, 'cannot be found: its folder cannot be made'],
  [/EACCES|EPERM|SQLITE_PERM|SQLITE_AUTH/, 'may not be opened by this user: give the rights to its file and folder'],
  [/EROFS|SQLITE_READONLY/, 'cannot be written: its file, or the disk that it is on, is read-only'],
  [/ENOSPC|EDQUOT|SQLITE_FULL/, 'cannot be written: the disk is full, or has no room for another file'],
  [/SQLITE_BUSY|SQLITE_LOCKED/, 'is locked by another program; end it and start again'],
  [
    /SQLITE_CANTOPEN|Unable to open connection/,
    'cannot be opened: its file or its folder may not be read, or it is no file',
  ],
];

/** Wraps what went wrong at the start into a sentence; one for every cause that somebody can put right. */
export function named(path: string, error: unknown): DatabaseError {
  const known = AT_START.find(([pattern]) => has(error, pattern));
  if (known) return new DatabaseError(`the database ${path} ${known[1]}`);
  return new DatabaseError(`the database ${path} cannot be used and was left as it is: ${plainReason(error)}`);
}

/** What an error says, without the driver's codes. */
export const plainReason = (error: unknown): string =>
  (error instanceof Error ? error.message : String(error)).replace(/^SQLITE_\w+: /, '');
