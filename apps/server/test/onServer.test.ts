import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pino from 'pino';
import request from 'supertest';
import { demoCatalogue } from '@steddo/samples';
import { makeApp } from '../src/app';
import { openOnServer, type Db, type Store } from '../src/db/client';
import { deleteRoom, listRooms } from '../src/db/rooms';
import { saveRoom } from '../src/db/saving';
import { seed } from '../src/seed';
import { PARTS, aFile, edit, newId, now } from './openServer';
import { standIn, type StandIn } from './standIn';

const TOKEN = 'a-token-of-the-database';
let database: StandIn;
const stores: Store[] = [];

beforeEach(async () => {
  database = await standIn(aFile('shared.db'), TOKEN);
});
afterEach(async () => {
  for (const store of stores.splice(0)) await store.close();
  await database.close();
});

/** One process of the application on the shared database. */
async function aProcess() {
  const store = await openOnServer({ kind: 'server', url: database.url, token: TOKEN }, PARTS);
  stores.push(store);
  const web = mkdtempSync(join(tmpdir(), 'steddo-web-'));
  const app = await makeApp({ store, log: pino({ level: 'silent' }), now, newId, web });
  return { store, http: request(app.callback()) };
}

describe('a database that has a server of its own', () => {
  it('does all that a file does: rooms, revisions, the catalogue, pictures, health', async () => {
    const { http, store } = await aProcess();
    await seed(store, 'demo', now, newId);
    const { body: list } = await http.get('/api/rooms').expect(200);
    expect(list.rooms.length).toBeGreaterThan(5);
    const { body: saved } = await http
      .put('/api/rooms/mine')
      .send(edit('e1', 0, 'first'))
      .expect(200);
    await http
      .put('/api/rooms/mine')
      .send({ ...edit('e2', 1, 'second'), baseRevision: saved.revision })
      .expect(200);
    const { body: late } = await http
      .put('/api/rooms/mine')
      .send(edit('e3', 1, 'late'))
      .expect(409);
    expect(late).toMatchObject({ error: 'stale', theirs: { title: 'second' } });
    const { body: versions } = await http.get('/api/rooms/mine/revisions').expect(200);
    expect([versions.revisions.length, versions.refused.length]).toEqual([2, 1]);
    await http.delete('/api/rooms/mine').expect(200);
    await http.get('/api/rooms/mine').expect(410);
    await http.post('/api/rooms/mine/take-back').expect(200);
    const mount = { ...demoCatalogue.mounts[0]!, id: 'own-mount' };
    await http.put('/api/catalogue/mounts/own-mount').send({ editId: 'm1', mount }).expect(200);
    expect((await http.get('/api/catalogue/mounts/own-mount/history').expect(200)).body.versions).toHaveLength(1);
    expect((await http.get('/health').expect(200)).body).toMatchObject({ ok: true });
  });

  it('is opened with its token only, and says in a line what is wrong without', async () => {
    const open = (url: string, token: string) => openOnServer({ kind: 'server', url, token }, PARTS);
    await expect(open(database.url, 'another')).rejects.toThrow(/^the database libsql:\/\/127\.0\.0\.1:\d+ /);
    expect(database.refused).toBeGreaterThan(0);
    // never the token
    await expect(open(database.url, 'a-secret-token')).rejects.not.toThrow(/a-secret-token/);
    await expect(open('libsql://127.0.0.1:9?tls=0', TOKEN)).rejects.toThrow(/cannot be reached/);
  });

  it('is migrated once by processes that start at the same moment', async () => {
    const all = await Promise.all([aProcess(), aProcess(), aProcess()]);
    expect(new Set(all.map((p) => p.store.database)).size).toBe(1);
    expect((await all[0]!.store.read(listRooms)).rooms).toEqual([]);
  });

  it('a batch that fails in its middle leaves nothing', async () => {
    const { store } = await aProcess();
    const bad = store.run((db) =>
      db.batch([
        db.run(`insert into meta (name, value) values ('half', 'done')`),
        db.run(`insert into meta (name, value) values ('half', 'again')`),
      ]),
    );
    await expect(bad).rejects.toThrow();
    expect(await store.read((db) => db.all(`select * from meta where name = 'half'`))).toEqual([]);
  });

  it('two processes, saves of one room interleaved: each one is there once, in an unbroken line, or was refused', async () => {
    const [one, two] = [await aProcess(), await aProcess()];
    await one.http
      .put('/api/rooms/both')
      .send(edit('begin', 0, 'begin'))
      .expect(200);
    const ROUNDS = 25;
    const done = { saved: [] as string[], stale: 0 };
    /** Saves on top of what it last saw, and once more where somebody else was there first, as a device does. */
    const work = async (who: string, { http }: typeof one) => {
      let base = (await http.get('/api/rooms/both').expect(200)).body as { version: number; revision: string };
      for (let i = 0; i < ROUNDS;) {
        const editId = `${who}-${i}`;
        const sent = { ...edit(editId, base.version, editId), baseRevision: base.revision };
        const { status, body } = await http.put('/api/rooms/both').send(sent);
        if (status === 409) {
          base = body.theirs;
          done.stale += 1;
          continue;
        }
        expect(status).toBe(200);
        base = body;
        done.saved.push(editId);
        i += 1;
      }
    };
    await Promise.all([work('left', one), work('right', two)]);
    expect(done.saved).toHaveLength(2 * ROUNDS);
    expect(done.stale).toBeGreaterThan(0);
    const { body } = await one.http.get('/api/rooms/both/revisions').expect(200);
    const versions = (body.revisions as { version: number; editId: string }[]).slice().reverse();
    expect(versions.map((r) => r.version)).toEqual(Array.from({ length: 2 * ROUNDS + 1 }, (_, i) => i + 1));
    expect(versions.map((r) => r.editId).sort()).toEqual(['begin', ...done.saved].sort());
    // what the one saved the other hears of
    const heard = await two.http.get('/api/changes?since=').expect(200);
    await one.http
      .put('/api/rooms/new')
      .send(edit('n1', 0, 'new'))
      .expect(200);
    const { body: told } = await two.http.get(`/api/changes?since=${heard.body.cursor as string}`).expect(200);
    expect(told.rooms.map((r: { id: string }) => r.id)).toEqual(['new']);
  }, 120_000);

  it('the same edit sent to both at once is saved once', async () => {
    const [one, two] = [await aProcess(), await aProcess()];
    const both = await Promise.all([one, two].map(({ http }) => http.put('/api/rooms/r').send(edit('e', 0, 'once'))));
    expect(both.map((r) => r.status)).toEqual([200, 200]);
    expect(both[0]!.body.revision).toBe(both[1]!.body.revision);
    expect((await one.http.get('/api/rooms/r/revisions')).body.revisions).toHaveLength(1);
  });

  it('a save whose room is taken away between its reading and its writing does not bring the room back', async () => {
    const { http, store } = await aProcess();
    await http.put('/api/rooms/r').send(edit('e1', 0)).expect(200);
    const saving = { now: now().toISOString(), revision: 'late', person: '', device: '' };
    const result = await store.run((db) => {
      let away = false;
      const slow = new Proxy(db, {
        get: (target, key) => {
          if (key !== 'batch' || away) return Reflect.get(target, key) as unknown;
          away = true;
          return async (all: Parameters<Db['batch']>[0]) => {
            await deleteRoom(db, 'r', now().toISOString());
            return target.batch(all);
          };
        },
      });
      return saveRoom(slow, 'r', { ...edit('e2', 1) }, saving);
    });
    expect(result.kind).toBe('deleted');
    await http.get('/api/rooms/r').expect(410);
  });

  it('a save that meets a taking away is told of it, and does not bring the room back', async () => {
    const [one, two] = [await aProcess(), await aProcess()];
    for (let i = 0; i < 8; i++) {
      await one.http.put(`/api/rooms/r${i}`).send(edit('e1', 0)).expect(200);
      const [save, gone] = await Promise.all([
        one.http.put(`/api/rooms/r${i}`).send(edit('e2', 1)),
        two.http.delete(`/api/rooms/r${i}`),
      ]);
      expect(gone.status).toBe(200);
      expect([200, 410]).toContain(save.status);
      await one.http.get(`/api/rooms/r${i}`).expect(410);
    }
  });
});
