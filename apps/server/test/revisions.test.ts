import { guestRoom } from '@steddo/samples';
import { sql } from 'drizzle-orm';
import { forgetDeleted } from '../src/db/forgetting';
import { closeAll, edit, now, openServer } from './openServer';

afterEach(closeAll);

type Server = Awaited<ReturnType<typeof openServer>>;
const put = ({ http }: Server, id: string, body: object) => http.put(`/api/rooms/${id}`).send(body);

describe('a revision', () => {
  it('has a mark of its own, and a save is judged by it and not by its number alone', async () => {
    const server = await openServer();
    const first = await put(server, 'a', edit('e1', 0)).expect(200);
    const { revision, database } = first.body as { revision: string; database: string };
    expect(database).toBe(server.store.database);
    await put(server, 'a', { ...edit('e2', 1), baseRevision: revision }).expect(200);
    const other = await put(server, 'a', { ...edit('e3', 2), baseRevision: 'another-two' }).expect(409);
    expect([other.body.known, other.body.theirs.version]).toEqual([false, 2]);
  });
  it('that came too late is told what was saved since, by whom, and what it touched', async () => {
    const server = await openServer();
    const first = await put(server, 'a', edit('e1', 0)).expect(200);
    const mine = { baseRevision: first.body.revision as string };
    await put(server, 'a', { ...edit('e2', 1), ...mine, device: 'tablet', touched: ['screen.mass'] }).expect(200);
    const late = await put(server, 'a', { ...edit('e3', 1), ...mine, device: 'phone' }).expect(409);
    expect(late.body.known).toBe(true);
    expect(late.body.since).toMatchObject([{ version: 2, device: 'tablet', touched: ['screen.mass'] }]);
    const { body } = await server.http.get('/api/rooms/a/revisions').expect(200);
    expect(body.refused).toMatchObject([{ editId: 'e3', device: 'phone', baseVersion: 1 }]);
    const kept = await server.http.get('/api/rooms/a/refused/e3').expect(200);
    expect(kept.body.job.title).toBe(guestRoom.title);
  });
  it('of a room that this database never had is not taken as a new one', async () => {
    const server = await openServer();
    const { body } = await put(server, 'a', { ...edit('e9', 7), baseRevision: 'elsewhere' }).expect(404);
    expect([body.error, body.database]).toEqual(['unknown', server.store.database]);
    await server.http.get('/api/rooms/a').expect(404);
  });
  it('that is asked about is known or not', async () => {
    const server = await openServer();
    const { body } = await put(server, 'a', edit('e1', 0));
    const known = async (mark: string) => (await server.http.get(`/api/rooms/a?base=${mark}`)).body.known as boolean;
    expect([await known(body.revision as string), await known('never')]).toEqual([true, false]);
  });
});

describe('an edit id that is used again', () => {
  it('for the same content is the same save; for another one it is refused, not dropped', async () => {
    const server = await openServer();
    await put(server, 'a', edit('e1', 0, 'one')).expect(200);
    expect((await put(server, 'a', edit('e1', 0, 'one')).expect(200)).body.version).toBe(1);
    const other = await put(server, 'a', edit('e1', 1, 'something else')).expect(422);
    expect(other.body.message).toMatch(/said something else/);
    await put(server, 'b', edit('e1', 0, 'of another room')).expect(200);
  });
});

describe('a room that is taken away', () => {
  it('is gone for readers and savers, is listed for thirty days, and comes back whole', async () => {
    const server = await openServer();
    await put(server, 'a', edit('e1', 0, 'one'));
    await server.http.delete('/api/rooms/a').expect(200);
    await server.http.delete('/api/rooms/a').expect(404);
    const gone = await server.http.get('/api/rooms/a').expect(410);
    expect(gone.body).toMatchObject({ error: 'deleted', deletedAt: now().toISOString() });
    await put(server, 'a', edit('e2', 1, 'two')).expect(410);
    const list = (await server.http.get('/api/rooms')).body as { rooms: unknown[]; deleted: { id: string }[] };
    expect([list.rooms, list.deleted.map((r) => r.id)]).toEqual([[], ['a']]);
    await server.http.post('/api/rooms/a/take-back').expect(200);
    await server.http.post('/api/rooms/a/take-back').expect(404);
    await put(server, 'a', edit('e3', 1, 'two')).expect(200);
    expect((await server.http.get('/api/rooms/a/revisions')).body.revisions).toHaveLength(2);
  });
  it('goes for good on the thirty-first day, and not on the thirtieth', async () => {
    const server = await openServer();
    await put(server, 'a', edit('e1', 0));
    await server.http.delete('/api/rooms/a');
    const after = (days: number) => new Date(now().getTime() + days * 86_400_000);
    for (let day = 0; day < 30; day++) await server.store.run((db) => forgetDeleted(db, after(day)));
    await server.store.run((db) => forgetDeleted(db, after(29.9)));
    await server.http.get('/api/rooms/a').expect(410);
    await server.store.run((db) => forgetDeleted(db, after(30.1)));
    await server.http.get('/api/rooms/a').expect(404);
    expect((await server.http.get('/api/rooms/a/revisions')).body.revisions).toEqual([]);
  });
  it('is not lost to a clock that is a year wrong, forwards or backwards', async () => {
    const server = await openServer();
    const { http, store } = server;
    const after = (days: number) => new Date(now().getTime() + days * 86_400_000);
    const tidy = (days: number) => store.run((db) => forgetDeleted(db, after(days)));
    await put(server, 'a', edit('e1', 0));
    await http.delete('/api/rooms/a');
    for (const day of [0, 365, 366, 1]) await tidy(day);
    await http.get('/api/rooms/a').expect(410);
    // taken away while the clock stood at 1970
    await store.run((db) => db.run(sql`update rooms set deleted_at = '1970-01-01T00:00:10.000Z' where id = 'a'`));
    for (const day of [2, 3]) await tidy(day);
    await http.get('/api/rooms/a').expect(410);
    // taken back and away again its days count anew
    await http.post('/api/rooms/a/take-back').expect(200);
    await http.delete('/api/rooms/a');
    for (const day of [40, 41, 42, 43, 44, 45]) await tidy(day);
    await http.get('/api/rooms/a').expect(410);
    await tidy(46);
    await http.get('/api/rooms/a').expect(404);
  });
});

describe('one bad record', () => {
  it.each([
    ['no JSON', '{"format":'],
    ['no units', JSON.stringify({ ...guestRoom, units: undefined })],
    ['nested ten thousand deep', `{"record":{"built":${'['.repeat(10_000)}${']'.repeat(10_000)}}}`],
  ])('%s: the list and all others are there, the record can be fetched as it is', async (_, text) => {
    const server = await openServer();
    await put(server, 'good', edit('e1', 0, 'good'));
    await put(server, 'bad', edit('e1', 0, 'bad'));
    await server.store.run((db) => db.run(sql`update rooms set job = ${text} where id = 'bad'`));
    const list = (await server.http.get('/api/rooms').expect(200)).body as { rooms: { id: string }[] };
    expect(list.rooms.map((r) => r.id).sort()).toEqual(['bad', 'good']);
    await server.http.get('/api/rooms/good').expect(200);
    const bad = await server.http.get('/api/rooms/bad').expect(500);
    expect(bad.body).toMatchObject({ error: 'unreadable' });
    expect(bad.body.message).toMatch(/the record of room bad cannot be read/);
    const record = await server.http
      .get('/api/rooms/bad/record')
      .buffer(true)
      .parse((res, done) => {
        let whole = '';
        res.setEncoding('utf8');
        res.on('data', (part: string) => (whole += part));
        res.on('end', () => done(null, whole));
      });
    expect(record.body).toBe(text);
  });
  it('a version that cannot be counted on from is refused, and the list goes on', async () => {
    const server = await openServer();
    const { body } = await put(server, 'a', edit('e1', 9007199254740991)).expect(422);
    expect(body.faults).toEqual([{ path: 'baseVersion', reason: 'must be at most 1000000000' }]);
    await server.http.get('/api/rooms').expect(200);
  });
});

describe('what has changed', () => {
  it('may be everything at first, then is only what did, then nothing', async () => {
    const server = await openServer();
    await put(server, 'a', edit('e1', 0));
    const ask = async (since: string) =>
      (await server.http.get(`/api/changes?since=${since}`).expect(200)).body as {
        cursor: string;
        rooms: { id: string }[];
        catalogue: boolean;
        everything: boolean;
      };
    const first = await ask('');
    expect(first).toMatchObject({ rooms: [], catalogue: true, everything: true });
    expect(await ask(first.cursor)).toMatchObject({ rooms: [], catalogue: false, everything: false });
    await put(server, 'b', edit('e1', 0));
    await put(server, 'b', edit('e2', 1));
    expect((await ask(first.cursor)).rooms.map((r) => r.id)).toEqual(['b']);
    expect(await ask('another-database.3')).toMatchObject({ rooms: [], everything: true });
    // a later one than there is: a backup was put back
    expect(await ask(first.cursor.replace(/\d+$/, '900'))).toMatchObject({ rooms: [], everything: true });
  });
});
