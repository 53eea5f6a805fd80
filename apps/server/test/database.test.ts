import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { guestRoom } from '@steddo/samples';
import { backUp, restore } from '../src/backup';
import { connect, openStore } from '../src/db/client';
import { copiesFolder, keepCopy } from '../src/db/copies';
import { named, troubleOf } from '../src/db/databaseErrors';
import { findRoom, listRooms, unreadableRooms } from '../src/db/rooms';
import { holdDatabase } from '../src/lock';
import { seed } from '../src/seed';
import { PARTS, aFile, closeAll, edit, newId, now, openServer } from './openServer';

afterEach(closeAll);

const titles = async (path: string) => {
  const store = await openStore(path, PARTS);
  const { rooms } = await store.read(listRooms);
  await store.close();
  return rooms.map((r) => r.title).sort();
};

/** Many times as many as are read at once; the long run takes in twenty thousand. */
const MANY = Number(process.env.STEDDO_MOUNTS ?? 6000);

describe('a database that cannot be used', () => {
  it('is named in one line, whatever is wrong', async () => {
    const folder = aFile('a-folder');
    mkdirSync(folder);
    await expect(openStore(folder, PARTS)).rejects.toThrow(`the database ${folder} is a folder; name a file in it`);
    const file = aFile('a-file');
    writeFileSync(file, 'x');
    await expect(openStore(join(file, 'rooms.db'), PARTS)).rejects.toThrow(/a part of its path is a file/);
  });
  it.each([
    [{ code: 'EACCES' }, /may not be opened by this user/],
    [{ code: 'EROFS' }, /read-only/],
    [{ code: 'SQLITE_READONLY' }, /read-only/],
    [{ code: 'ENOSPC' }, /the disk is full/],
    [{ code: 'SQLITE_FULL' }, /the disk is full/],
    [{ message: 'x', cause: { code: 'SQLITE_BUSY' } }, /locked by another program/],
    [{ code: 'ConnectionFailed("Unable to open connection to local database x: 14")' }, /may not be read/],
    [new Error('file is not a database'), /left as it is: file is not a database/],
  ])('%j in words without a code or a stack', (error, words) => {
    const { message } = named('/some/where.db', error);
    expect(message).toMatch(words);
    expect(message).toMatch(/^the database \/some\/where\.db /);
    expect(message).not.toMatch(/\n| at |SQLITE|ENO/);
  });
  it('written by a newer program is refused by name, and left as it was', async () => {
    const { path, store, forget } = await openServer();
    await store.run((db) =>
      db.run(sql`insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)`),
    );
    await store.close();
    forget();
    const before = readFileSync(path);
    await expect(openStore(path, PARTS)).rejects.toThrow(/was written by a newer Steddo than this one/);
    expect(readFileSync(path).equals(before)).toBe(true);
  });
  it('with a path of odd characters is used like any other', async () => {
    for (const name of ['a b.db', 'a#b?c.db', '100%25.db', 'größe ✓.db', "o'clock.db"]) {
      const { path, http } = await openServer(aFile(name));
      await http.put('/api/rooms/a').send(edit('e1', 0)).expect(200);
      expect(readdirSync(dirname(path))).toContain(name);
    }
  });
});

describe('a disk that fills up while the server runs', () => {
  it('is named in reply and health, loses nothing that was saved, and recovers', async () => {
    const { http, store } = await openServer();
    await http
      .put('/api/rooms/a')
      .send(edit('e1', 0, 'kept'))
      .expect(200);
    // SQLite answers to this as it does to a full disk
    const pages = async (most: number) =>
      void (await store.run((db) => db.run(sql.raw(`pragma max_page_count = ${most}`))));
    await pages(1);
    const big = {
      ...edit('e2', 1),
      job: { ...guestRoom, record: { notes: Array.from({ length: 400 }, (_, i) => `${i} ${'x'.repeat(900)}`) } },
    };
    const { body } = await http.put('/api/rooms/a').send(big).expect(507);
    expect(body).toEqual({ error: 'disk-full', message: "the server's disk is full; nothing was saved" });
    expect((await http.get('/api/rooms/a').expect(200)).body.title).toBe('kept');
    await pages(1_000_000);
    await http.put('/api/rooms/a').send(big).expect(200);
    expect((await http.get('/health').expect(200)).body).toMatchObject({ ok: true });
  });
  it.each([
    ['SQLITE_FULL', 'full'],
    ['ENOSPC', 'full'],
    ['SQLITE_READONLY', 'read-only'],
    ['SQLITE_BUSY', 'locked'],
    ['SQLITE_IOERR', 'gone'],
  ])('%s is %s', (code, trouble) => {
    expect(troubleOf({ message: 'failed', cause: { code } })).toBe(trouble);
  });
});

describe('a lock of another program', () => {
  it('holds up no reading; writing waits for it, and says so when it takes too long', async () => {
    const { http, path } = await openServer(aFile(), { patience: 300 });
    await http
      .put('/api/rooms/a')
      .send(edit('e1', 0, 'one'))
      .expect(200);
    const other = connect(path);
    const held = await other.transaction('write');
    const late = http.put('/api/rooms/a').send(edit('e2', 1, 'two'));
    const answered = late.then((r) => r);
    expect((await http.get('/api/rooms/a').expect(200)).body.title).toBe('one');
    const { status, body } = await answered;
    expect([status, body.error]).toEqual([503, 'locked']);
    const waiting = http
      .put('/api/rooms/a')
      .send(edit('e3', 1, 'three'))
      .then((r) => r.status);
    await held.rollback();
    expect(await waiting).toBe(200);
    other.close();
  });
  it('of a second Steddo on one database: one line that says what to do', async () => {
    const path = aFile();
    const release = await holdDatabase(path);
    await expect(holdDatabase(path)).rejects.toThrow(
      `the database ${path} is in use by another Steddo; end it, or set STEDDO_DB`,
    );
    release();
    (await holdDatabase(path))();
  });
  it(`a catalogue of ${MANY} mounts on its way in holds up nobody who reads`, async () => {
    const { http, app } = await openServer();
    const server = app.listen(0);
    const { port } = server.address() as { port: number };
    const mounts = Array.from({ length: MANY }, (_, i) => ({ ...guestRoom.mount!, id: `m${i}` }));
    const taking = http.post('/api/catalogue/import').send({ format: 'steddo-catalogue', version: 1, mounts });
    const taken = taking.then((r) => r.body as { mounts: number });
    let ended = false;
    void taken.then(() => (ended = true));
    let asked = 0;
    while (!ended) {
      const answer = await fetch(`http://localhost:${port}/api/rooms`);
      expect(answer.status).toBe(200);
      asked += 1;
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
    server.close();
    expect((await taken).mounts).toBe(MANY);
    expect(asked).toBeGreaterThan(10);
  }, 60_000);
});

describe('copies', () => {
  it('a clean stop leaves everything in the one file', async () => {
    const { path, store, http, forget } = await openServer();
    await http
      .put('/api/rooms/a')
      .send(edit('e1', 0, 'the last one'))
      .expect(200);
    await store.close();
    forget();
    const alone = aFile('alone.db');
    copyFileSync(path, alone);
    expect(await titles(alone)).toEqual(['the last one']);
  });
  it('a backup while the server runs is sound and whole; it is never written over another file', async () => {
    const { path, http } = await openServer();
    for (let i = 0; i < 5; i++)
      await http
        .put(`/api/rooms/r${i}`)
        .send(edit('e1', 0, `room ${i}`))
        .expect(200);
    const file = aFile('backup.db');
    expect(await backUp(path, file)).toMatch(/^backed up to .*backup\.db \(\d+ kB\)$/);
    expect(await titles(file)).toHaveLength(5);
    await expect(backUp(path, file)).rejects.toThrow(/is there already/);
    await expect(backUp(aFile('none.db'), aFile())).rejects.toThrow(/there is no database at/);
  });
  it('put back after being tried, and what was there is kept', async () => {
    const first = await openServer();
    await first.http.put('/api/rooms/a').send(edit('e1', 0, 'then'));
    const file = aFile('backup.db');
    await backUp(first.path, file);
    await first.http.put('/api/rooms/a').send(edit('e2', 1, 'now'));
    await first.store.close();
    first.forget();
    const said = await restore(first.path, file, PARTS);
    expect(said).toMatch(/^put back 1 room from .*; what was there is .*before-restore-/);
    expect(await titles(first.path)).toEqual(['then']);
    expect(await titles(said.split('what was there is ')[1]!)).toEqual(['now']);
  });
  it.each([
    [
      'a text',
      (file: string) => writeFileSync(file, 'shopping list\n'.repeat(300)),
      /is no backup of Steddo|cannot be used/,
    ],
    ['nothing', () => undefined, /there is no file/],
    ['an empty file', (file: string) => writeFileSync(file, ''), /it has no rooms/],
    [
      'another database',
      async (file: string) => {
        const client = createClient({ url: `file:${file}` });
        await client.execute('create table shopping (what text)');
        client.close();
      },
      /it has no rooms/,
    ],
    [
      'a backup with a record that cannot be read',
      async (file: string) => {
        const store = await openStore(file, PARTS);
        await seed(store, 'demo', now, newId);
        await store.run((db) => db.run(sql`update rooms set job = '{' where id = 'guest-room'`));
        await store.close();
      },
      /1 record that cannot be read \(room guest-room/,
    ],
    [
      'half a backup',
      async (file: string) => {
        const store = await openStore(file, PARTS);
        await seed(store, 'demo', now, newId);
        await store.close();
        writeFileSync(file, readFileSync(file).subarray(0, 40_000));
      },
      /./,
    ],
  ])('%s is refused on the way in, and what is there stays', async (_, make, words) => {
    const there = await openServer();
    await there.http.put('/api/rooms/a').send(edit('e1', 0, 'stays'));
    await there.store.close();
    there.forget();
    const file = aFile('incoming.db');
    await make(file);
    await expect(restore(there.path, file, PARTS)).rejects.toThrow(words);
    expect(await titles(there.path)).toEqual(['stays']);
    expect(readdirSync(dirname(there.path)).filter((f) => f.includes('incoming'))).toEqual([]);
  });
  it('is not put back under a server that runs', async () => {
    const path = aFile();
    const release = await holdDatabase(path);
    const file = aFile();
    writeFileSync(file, '');
    await expect(restore(path, file, PARTS)).rejects.toThrow(/in use by another Steddo/);
    release();
  });
  it('of the day: one a day, the latest fourteen', async () => {
    const { path } = await openServer();
    const client = connect(path);
    const day = (n: number) => new Date(Date.UTC(2026, 2, n, 9));
    for (let n = 1; n <= 20; n++) expect(await keepCopy(client, path, 'daily', day(n))).toBeDefined();
    expect(await keepCopy(client, path, 'daily', day(20))).toBeUndefined();
    const kept = readdirSync(copiesFolder(path)).sort();
    expect([kept.length, kept[0], kept.at(-1)]).toEqual([14, 'test-daily-2026-03-07.db', 'test-daily-2026-03-20.db']);
    // a clock that went back: the copy just made is one of those that stay
    await keepCopy(client, path, 'daily', day(-300));
    client.close();
    const after = readdirSync(copiesFolder(path)).sort();
    expect([after.length, after[0]]).toEqual([14, 'test-daily-2025-05-04.db']);
  });
  it('before a migration, of a database of an earlier version; its rooms get marks', async () => {
    const path = aFile();
    await writeFirstVersion(path);
    const store = await openStore(path, PARTS);
    const room = (await store.read((db) => findRoom(db, 'old')))!;
    expect([room.title, room.version]).toEqual([guestRoom.title, 2]);
    expect(room.revision).toMatch(/^[0-9a-f]{16}$/);
    await store.close();
    const [copy] = readdirSync(copiesFolder(path));
    expect(copy).toMatch(/^test-before-migration-/);
    expect(existsSync(join(copiesFolder(path), copy!))).toBe(true);
  });
});

/** A database as the first version of the program left it. */
async function writeFirstVersion(path: string): Promise<void> {
  const client = createClient({ url: `file:${path}` });
  const folder = PARTS.migrations;
  const journal = JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  await client.execute(
    'create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)',
  );
  for (const { tag, when } of journal.entries.slice(0, 2)) {
    for (const statement of readFileSync(join(folder, `${tag}.sql`), 'utf8').split('--> statement-breakpoint'))
      await client.execute(statement);
    await client.execute({
      sql: 'insert into __drizzle_migrations (hash, created_at) values (?, ?)',
      args: [tag, when],
    });
  }
  const job = JSON.stringify(guestRoom);
  await client.execute({ sql: `insert into rooms values ('old', 2, ?, 'then', ?)`, args: [guestRoom.title, job] });
  for (const version of [1, 2])
    await client.execute({
      sql: `insert into revisions values ('old', ?, ?, 'then', '[]', ?)`,
      args: [version, `e${version}`, job],
    });
  client.close();
}

describe('the start', () => {
  it('goes on past a demo room that somebody has spoilt, and names it', async () => {
    const { store } = await openServer();
    await seed(store, 'demo', now, newId);
    await store.run((db) => db.run(sql`update rooms set job = 'spoilt' where id = 'guest-room'`));
    await seed(store, 'demo', now, newId);
    expect(await store.read(unreadableRooms)).toMatchObject([{ id: 'guest-room' }]);
  });
});
