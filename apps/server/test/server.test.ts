import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { guestRoom } from '@steddo/samples';
import { openStore } from '../src/db/client';
import { DatabaseError } from '../src/db/databaseErrors';
import { readSettings } from '../src/environment';
import { seed } from '../src/seed';
import { PARTS, aFile, closeAll, edit, newId, now, openServer } from './openServer';

afterEach(closeAll);

describe('rooms', () => {
  it('are saved as revisions, every earlier one kept', async () => {
    const { http } = await openServer();
    await http
      .put('/api/rooms/a')
      .send(edit('e1', 0, 'one'))
      .expect(200);
    const second = await http
      .put('/api/rooms/a')
      .send(edit('e2', 1, 'two'))
      .expect(200);
    expect(second.body).toMatchObject({ id: 'a', version: 2 });
    const { body } = await http.get('/api/rooms/a/revisions').expect(200);
    expect(body.revisions.map((r: { version: number }) => r.version)).toEqual([2, 1]);
    const first = await http.get('/api/rooms/a/revisions/1').expect(200);
    expect(first.body.job.title).toBe('one');
  });
  it('a stale save is refused with both versions, and kept', async () => {
    const { http, store } = await openServer();
    await http.put('/api/rooms/a').send(edit('e1', 0, 'one'));
    await http.put('/api/rooms/a').send(edit('e2', 1, 'theirs'));
    const { body } = await http
      .put('/api/rooms/a')
      .send(edit('e3', 1, 'mine'))
      .expect(409);
    expect([body.error, body.theirs.job.title, body.theirs.version, body.known]).toEqual(['stale', 'theirs', 2, true]);
    const kept = await store.run((db) => db.query.refused.findMany());
    expect(kept.map((r) => [r.editId, (JSON.parse(r.job) as { title: string }).title])).toEqual([['e3', 'mine']]);
    expect((await http.get('/api/rooms/a')).body.job.title).toBe('theirs');
  });
  it('the same edit sent twice is saved once', async () => {
    const { http } = await openServer();
    await http.put('/api/rooms/a').send(edit('e1', 0));
    const again = await http.put('/api/rooms/a').send(edit('e1', 0)).expect(200);
    expect(again.body.version).toBe(1);
    expect((await http.get('/api/rooms/a/revisions')).body.revisions).toHaveLength(1);
  });
  it('a room that only the device knows comes back from it', async () => {
    const { http } = await openServer();
    const { body } = await http.put('/api/rooms/a').send(edit('e9', 7)).expect(200);
    expect(body.version).toBe(8);
    expect((await http.get('/api/rooms/a')).body.title).toBe(guestRoom.title);
  });
  it('two saves from one version at once: one is taken, one refused', async () => {
    const { http } = await openServer();
    await http.put('/api/rooms/a').send(edit('e1', 0));
    const both = await Promise.all([
      http.put('/api/rooms/a').send(edit('x', 1)),
      http.put('/api/rooms/a').send(edit('y', 1)),
    ]);
    expect(both.map((r) => r.status).sort()).toEqual([200, 409]);
  });
  it('a document that is not valid is refused with path and reason, and nothing is saved', async () => {
    const { http } = await openServer();
    const bad = { ...edit('e1', 0), job: { ...guestRoom, units: 'feet', extra: 1 } };
    const { body } = await http.put('/api/rooms/a').send(bad).expect(422);
    expect(body.faults.map((f: { path: string }) => f.path).sort()).toEqual(['job.extra', 'job.units']);
    await http.get('/api/rooms/a').expect(404);
  });
  it.each([
    ['/api/rooms/none', 404],
    ['/api/rooms/NO!', 400],
    ['/api/rooms/a/revisions/x', 404],
    ['/api/nothing', 404],
  ])('%s answers %d with a message', async (path, status) => {
    const { http } = await openServer();
    const { body } = await http.get(path).expect(status);
    expect(body.message.length).toBeGreaterThan(5);
  });
  it('a body that is no JSON, or too large, is refused in words', async () => {
    const { http } = await openServer();
    const broken = await http.put('/api/rooms/a').set('content-type', 'application/json').send('{"a":').expect(400);
    expect(broken.body.message).toMatch(/not JSON/);
    const huge = await http
      .put('/api/rooms/a')
      .set('content-type', 'application/json')
      .send(JSON.stringify({ a: 'x'.repeat(2_200_000) }))
      .expect(413);
    expect(huge.body.message).toMatch(/2 MB/);
  });
  it('answer under a local name only', async () => {
    const { http } = await openServer();
    await http.get('/api/rooms').set('host', 'elsewhere.example').expect(421);
  });
});

describe('seed', () => {
  it('is idempotent and leaves a user’s rooms alone', async () => {
    const { http, store } = await openServer();
    await seed(store, 'demo', now, newId);
    await http
      .put('/api/rooms/guest-room')
      .send(edit('mine', 1, 'Changed'))
      .expect(200);
    await seed(store, 'demo', now, newId);
    const { body } = await http.get('/api/rooms');
    expect(body.rooms.map((r: { title: string }) => r.title).sort()).toEqual([
      'Attic snug',
      'Breakfast bar',
      'Changed',
      'Clockmaker’s bench',
      'Hallway niche',
      'Landing study',
      'Narrowboat cabin',
      'Sewing corner',
      'Stove parlour',
    ]);
    expect((await http.get('/api/catalogue')).body.mounts.length).toBeGreaterThan(27);
  });
});

describe('the seed’s pictures', () => {
  it('come with their rooms, once, and a picture of no room that is known stays out', async () => {
    const { http, store } = await openServer();
    const bytes = readFileSync(join(import.meta.dirname, '../pictures/guest-room.jpg'));
    const pictures = new Map([
      ['guest-room', bytes],
      ['attic-snug', bytes],
    ]);
    await seed(store, 'demo', now, newId, pictures);
    await seed(store, 'demo', now, newId, pictures);
    const { job } = (await http.get('/api/rooms/guest-room')).body;
    expect(job.photos).toMatchObject([
      { id: 'wall', of: 'room', size: bytes.length, plane: { references: [{ what: 'wall' }] } },
    ]);
    const back = await http.get('/api/rooms/guest-room/pictures/wall').buffer(true);
    expect(Buffer.compare(back.body as Buffer, bytes)).toBe(0);
    expect((await http.get('/api/rooms/attic-snug')).body.job.photos).toBeUndefined();
  });
});

describe('the web app', () => {
  it('is served packed, with hashed files for ever and pages asked for again', async () => {
    const { http } = await openServer();
    const js = await http.get('/_expo/entry-0123456789abcdef.js').set('accept-encoding', 'br').buffer(false);
    expect([js.headers['content-encoding'], js.headers['cache-control']]).toEqual([
      'br',
      'public, max-age=31536000, immutable',
    ]);
    const page = await http.get('/room/a/height').expect(200);
    expect([page.headers['cache-control'], page.text]).toEqual(['no-cache', expect.stringContaining('Steddo')]);
    await http.get('/').set('if-none-match', String(page.headers.etag)).expect(304);
    await http.get('/no-such-file.js').expect(404);
  });
  it('has a strict policy: nothing inline, nothing from elsewhere', async () => {
    const { http } = await openServer();
    const policy = String((await http.get('/')).headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self';");
    expect(policy).not.toMatch(/unsafe|https?:|\*/);
  });
});

describe('the database', () => {
  it('survives closing, with everything in it', async () => {
    const one = await openServer();
    await one.http.put('/api/rooms/a').send(edit('e1', 0, 'kept'));
    await one.store.close();
    one.forget();
    const two = await openServer(one.path);
    expect((await two.http.get('/api/rooms/a')).body.title).toBe('kept');
  });
  it('that is corrupt is named, and left as it was', async () => {
    const path = aFile('broken.db');
    const bytes = `SQLite format 3\0${'broken '.repeat(900)}`;
    writeFileSync(path, bytes);
    await expect(openStore(path, PARTS)).rejects.toThrow(DatabaseError);
    await expect(openStore(path, PARTS)).rejects.toThrow(path);
    expect(readFileSync(path, 'utf8')).toBe(bytes);
  });
  it('that is some other file is named too', async () => {
    const path = aFile('notes.txt');
    writeFileSync(path, 'shopping list\n'.repeat(200));
    await expect(openStore(path, PARTS)).rejects.toThrow(/left as it is/);
  });
});

describe('the environment', () => {
  it('has defaults, and faults in lines', () => {
    expect(readSettings({})).toMatchObject({
      ok: true,
      settings: { port: 4810, host: '127.0.0.1' },
    });
    const bad = readSettings({ STEDDO_PORT: 'many', STEDDO_LOG: 'loud' });
    expect(bad).toMatchObject({ ok: false });
    if (!bad.ok) expect(bad.lines.join('\n')).toMatch(/STEDDO_PORT: takes a port.*"many"[\s\S]*STEDDO_LOG/);
    expect(readSettings({ STEDDO_PORT: '70000' }).ok).toBe(false);
  });
  it('refuses to open the rooms to the network', () => {
    expect(readSettings({ STEDDO_HOST: '0.0.0.0' })).toMatchObject({ ok: false });
  });
});
