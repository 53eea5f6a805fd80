import { createHash } from 'node:crypto';
import { Writable } from 'node:stream';
import pino from 'pino';
import type Koa from 'koa';
import { sql } from 'drizzle-orm';
import sharp from 'sharp';
import { guestRoom } from '@steddo/samples';
import { setPasscode } from '../src/crew/passcode';
import { Watch } from '../src/watch';
import { closeAll, edit, openServer } from './openServer';

afterEach(closeAll);

const PASSCODE = 'a ladder, a tape and a level';
const HOST = 'rooms.test';
const REACH = { hosts: [HOST], proxies: ['127.0.0.1'] };

/** A server of a crew, as a proxy on this machine hands requests to it; its clock can be moved. */
async function crewServer(more: { log?: pino.Logger; watchToken?: string } = {}) {
  const clock = { now: new Date('2026-03-14T09:30:00Z') };
  const { log = pino({ level: 'silent' }), watchToken } = more;
  const reach = { ...REACH, ...(watchToken === undefined ? {} : { watchToken }) };
  const server = await openServer(undefined, {}, { reach, log, now: () => clock.now, watch: new Watch(false) });
  await server.store.run((db) => setPasscode(db, PASSCODE));
  type Method = 'get' | 'put' | 'post' | 'delete';
  /** One request from a page of the server's own; `cookie` is what the device holds. */
  const ask = (
    method: Method,
    path: string,
    { cookie = '', from = '203.0.113.7', origin = `https://${HOST}` } = {},
  ) => {
    const asked = server.http[method](path)
      .set('host', HOST)
      .set('x-forwarded-proto', 'https')
      .set('x-forwarded-for', from);
    if (cookie !== '') void asked.set('cookie', cookie);
    return origin === '' ? asked : asked.set('origin', origin);
  };
  const enter = (body: object, more: { from?: string; cookie?: string } = {}) =>
    ask('post', '/api/crew/enter', more).send({ person: 'Kim', device: 'blue phone', ...body });
  const pair = async (body: object = { passcode: PASSCODE }) => {
    const reply = await enter(body).expect(200);
    const set = String(reply.headers['set-cookie']);
    return { id: reply.body.me.id as string, set, cookie: set.split(';')[0]! };
  };
  return { ...server, clock, ask, enter, pair };
}

/** Every route of the application, as its routers have them. */
function routesOf(app: Koa): { method: string; path: string }[] {
  type Layer = { path: string; methods: string[] };
  const routers = app.middleware.flatMap((m) => (m as { router?: { stack: Layer[] } }).router ?? []);
  const layers = [...new Set(routers)].flatMap((r) => r.stack);
  return layers.flatMap(({ path, methods }) =>
    methods.filter((m) => m !== 'HEAD').map((method) => ({ method: method.toLowerCase(), path })),
  );
}

describe('a device that is no part of the crew', () => {
  it('is asked who it is on every route, but for those that let it in, a customer’s link and the health', async () => {
    const { app, ask, pair } = await crewServer();
    const routes = routesOf(app);
    expect(routes.length).toBeGreaterThan(25);
    const told: Record<string, number> = {};
    for (const { method, path } of routes) {
      const real = path.replace(/:\w+/g, 'a');
      const { status, headers } = await ask(method as 'get', real).send(method === 'get' ? undefined : {});
      told[`${method} ${path}`] = status;
      if (path.startsWith('/api/') && status === 401) expect(headers['cache-control']).toMatch(/no-store|no-cache/);
    }
    const passed = Object.entries(told).filter(([, status]) => status !== 401);
    expect(Object.fromEntries(passed)).toEqual({
      'get /api/crew': 200,
      'post /api/crew/enter': 422,
      'get /api/shown': 404,
      'get /api/shown/pictures/:picture': 404,
      'get /health': 200,
      'get /metrics': 404,
    });
    // and what is at no route at all
    await ask('get', '/api/anything').expect(401);
    // a route in other letters is a page, not a way round
    for (const path of ['/API/rooms', '/Api/rooms/a', '/api/ROOMS'])
      expect((await ask('get', path)).text).not.toContain('"rooms"');
    await ask('put', '/API/rooms/a').send(edit('e1', 0)).expect(405);
    // the walk means something only if a device of the crew passes where a stranger does not
    const { cookie } = await pair();
    await ask('get', '/api/rooms', { cookie }).expect(200);
  });

  it('is let in by the passcode, with a cookie that only this server gets and no script reads', async () => {
    const { ask, enter, pair } = await crewServer();
    await enter({ passcode: 'another ladder' }).expect(401);
    const { set, cookie, id } = await pair();
    for (const part of ['__Host-', 'Path=/', 'HttpOnly', 'Secure', 'SameSite=Strict']) expect(set).toContain(part);
    expect(set).not.toMatch(/domain=/i);
    const { body } = await ask('get', '/api/crew', { cookie }).expect(200);
    expect(body).toEqual({ crew: true, me: { id, person: 'Kim', name: 'blue phone' } });
  });

  it.each([
    ['no name', { passcode: PASSCODE, person: ' ' }, 'person'],
    ['no device', { passcode: PASSCODE, device: '' }, 'device'],
    ['a passcode that is a list', { passcode: [PASSCODE] }, 'passcode'],
    ['a code of five letters', { code: 'ABCDE' }, 'code'],
  ])('is told what is wrong with %s', async (_, body, path) => {
    const { enter } = await crewServer();
    const { body: said } = await enter(body).expect(422);
    expect(said.faults[0].path).toBe(path);
  });
});

describe('a code that a device of the crew shows', () => {
  it('lets one other device in, once, for five minutes, however it is typed', async () => {
    const { ask, enter, pair, clock } = await crewServer();
    const first = await pair();
    const offer = async () => (await ask('post', '/api/crew/pairings', first).expect(200)).body.code as string;
    const code = await offer();
    expect(code).toMatch(/^[0-9A-HJKMNP-TV-Z]{8}$/);
    const typed = `${code.slice(0, 4)} ${code.slice(4)}`.toLowerCase().replaceAll('0', 'o');
    await enter({ code: typed, person: 'Alex', device: 'red phone' }).expect(200);
    await enter({ code, person: 'Alex', device: 'red phone' }).expect(401);
    const late = await offer();
    clock.now = new Date(clock.now.getTime() + 5 * 60_000 + 1);
    await enter({ code: late }).expect(401);
    const replaced = await offer();
    await offer();
    await enter({ code: replaced }).expect(401);
    const { body } = await ask('get', '/api/crew/devices', first).expect(200);
    expect(body.devices.map((d: { person: string; pairedBy: string }) => [d.person, d.pairedBy])).toContainEqual([
      'Alex',
      'Kim, blue phone',
    ]);
  });
  it('of a device that was taken out is good for nothing', async () => {
    const { ask, enter, pair } = await crewServer();
    const [lost, other] = [await pair(), await pair()];
    const { code } = (await ask('post', '/api/crew/pairings', lost).expect(200)).body;
    await ask('delete', `/api/crew/devices/${lost.id}`, other).expect(200);
    await enter({ code }).expect(401);
  });
});

describe('a lost phone', () => {
  it('is taken out in the middle of a job: it reads and sends nothing from then on; what it sent stays', async () => {
    const { ask, pair } = await crewServer();
    const [lost, other] = [await pair(), await pair()];
    await ask('put', '/api/rooms/r', lost)
      .send(edit('e1', 0, 'sent'))
      .expect(200);
    await ask('delete', `/api/crew/devices/${lost.id}`, other).expect(200);
    const { body } = await ask('put', '/api/rooms/r', lost)
      .send(edit('e2', 1, 'not taken'))
      .expect(401);
    expect(body.error).toBe('taken-out');
    await ask('get', '/api/rooms/r', lost).expect(401);
    expect((await ask('get', '/api/rooms/r', other).expect(200)).body.title).toBe('sent');
    expect((await ask('get', '/api/crew', lost).expect(200)).body).toMatchObject({ crew: true, takenOut: {} });
    // twice is no other thing
    await ask('delete', `/api/crew/devices/${lost.id}`, other).expect(404);
  });
  it('that comes in again is one device, and sends what it kept', async () => {
    const { ask, enter, pair } = await crewServer();
    const [phone, other] = [await pair(), await pair()];
    await ask('delete', `/api/crew/devices/${phone.id}`, other).expect(200);
    const again = await enter({ passcode: PASSCODE }, { cookie: phone.cookie }).expect(200);
    const cookie = String(again.headers['set-cookie']).split(';')[0]!;
    await ask('put', '/api/rooms/r', { cookie })
      .send(edit('e2', 0, 'kept'))
      .expect(200);
    // one that is in and comes in once more leaves its earlier self
    await enter({ passcode: PASSCODE }, { cookie }).expect(200);
    const { body } = await ask('get', '/api/crew/devices', other).expect(200);
    expect(body.devices.filter((d: { takenOut?: unknown }) => !d.takenOut)).toHaveLength(2);
  });
});

describe('every revision', () => {
  it('says who saved it and on what, as the server knows them and not as the device says', async () => {
    const { ask, pair } = await crewServer();
    const phone = await pair();
    await ask('put', '/api/rooms/r', phone)
      .send({ ...edit('e1', 0), device: 'somebody else’s' })
      .expect(200);
    await ask('put', '/api/crew/me', phone).send({ person: 'Kim L.', device: 'green phone' }).expect(200);
    await ask('put', '/api/rooms/r', phone)
      .send(edit('e2', 1, 'again'))
      .expect(200);
    await ask('put', '/api/rooms/r', phone)
      .send(edit('e3', 1, 'late'))
      .expect(409);
    const { body } = await ask('get', '/api/rooms/r/revisions', phone).expect(200);
    const who = (r: { person: string; device: string }) => `${r.person} on ${r.device}`;
    expect(body.revisions.map(who)).toEqual(['Kim L. on green phone', 'Kim on blue phone']);
    expect(body.refused.map(who)).toEqual(['Kim L. on green phone']);
  });
});

describe('wrong passcodes', () => {
  it('ten are free; then it is locked for a minute, for two, for four …, for the right one too; elsewhere it is not', async () => {
    const { enter, clock } = await crewServer();
    const wrong = () => enter({ passcode: 'not this one' });
    for (let i = 0; i < 10; i++) expect((await wrong()).body.error).toBe('wrong');
    const waits: number[] = [];
    for (let i = 0; i < 4; i++) {
      const { status, body, headers } = await enter({ passcode: PASSCODE });
      expect([status, body.error]).toEqual([429, 'locked']);
      waits.push(Number(headers['retry-after']));
      clock.now = new Date(clock.now.getTime() + waits.at(-1)! * 1000);
      expect((await wrong()).body.error).toBe('wrong');
    }
    expect(waits).toEqual([60, 120, 240, 480]);
    await enter({ passcode: PASSCODE }, { from: '198.51.100.4' }).expect(200);
  }, 120_000);
  it('the right one forgets them; a day without any does too', async () => {
    const { enter, clock } = await crewServer();
    const wrong = async (times: number) => {
      for (let i = 0; i < times; i++) await enter({ passcode: 'not this one' }).expect(401);
    };
    await wrong(9);
    await enter({ passcode: PASSCODE }).expect(200);
    await wrong(9);
    clock.now = new Date(clock.now.getTime() + 25 * 3_600_000);
    await wrong(9);
    await enter({ passcode: PASSCODE }).expect(200);
  }, 120_000);
  it('many at once get in no more of them than one after the other', async () => {
    const { enter } = await crewServer();
    const all = await Promise.all(Array.from({ length: 40 }, () => enter({ passcode: 'not this one' })));
    const tried = all.filter((r) => r.body.error === 'wrong').length;
    expect(tried).toBe(10);
    expect((await enter({ passcode: PASSCODE })).status).toBe(429);
  }, 120_000);
  it('from everywhere at once lock everybody out for a while, and no device that is in', async () => {
    const { ask, enter, pair } = await crewServer();
    const phone = await pair();
    for (let i = 0; i < 100; i++) await enter({ code: '00000000' }, { from: `203.0.113.${i}` }).expect(401);
    expect((await enter({ passcode: PASSCODE }, { from: '198.51.100.9' })).body.error).toBe('locked');
    await ask('get', '/api/rooms', phone).expect(200);
  }, 120_000);
});

describe('writes', () => {
  it.each([
    ['from a page elsewhere', { origin: 'https://elsewhere.test' }, {}],
    ['from a page over plain http', { origin: `http://${HOST}` }, {}],
    ['from a frame without an origin', { origin: 'null' }, {}],
    ['that the browser says come from elsewhere', {}, { 'sec-fetch-site': 'cross-site' }],
    ['from a page of the same site under another name', {}, { 'sec-fetch-site': 'same-site' }],
    ['with a cookie and no word where they come from', { origin: '' }, {}],
  ])('%s are refused, and nothing is saved', async (_, more, headers) => {
    const { ask, pair } = await crewServer();
    const { cookie } = await pair();
    for (const [method, path] of [
      ['put', '/api/rooms/r'],
      ['delete', '/api/rooms/r'],
      ['post', '/api/crew/pairings'],
      ['post', '/api/catalogue/import'],
      ['put', '/api/rooms/r/pictures/p'],
    ] as const) {
      const { status, body } = await ask(method, path, { cookie, ...more })
        .set(headers)
        .send(edit('e1', 0));
      expect([status, body.error]).toEqual([403, 'cross-origin']);
    }
    await ask('get', '/api/rooms/r', { cookie }).expect(404);
  });
  it('to a name that is not this server’s, or over a way that others read along, are refused', async () => {
    const { ask, http } = await crewServer();
    await ask('get', '/api/rooms').set('host', 'elsewhere.test').expect(421);
    const plain = await http.get('/api/crew').set('host', HOST).set('x-forwarded-proto', 'http');
    expect([plain.status, plain.body.error]).toEqual([403, 'insecure']);
    // a stranger's word about himself is not a proxy's
    const direct = await openServer(undefined, {}, { reach: { hosts: [HOST], proxies: ['192.0.2.1'] } });
    await direct.http.get('/api/crew').set('host', HOST).set('x-forwarded-proto', 'https').expect(403);
  });
  it('this machine alone needs no crew; a page elsewhere is refused there too', async () => {
    const { http } = await openServer();
    await http.put('/api/rooms/r').send(edit('e1', 0)).expect(200);
    await http.put('/api/rooms/r').set('origin', 'https://elsewhere.test').send(edit('e2', 1)).expect(403);
    await http.get('/api/rooms/r/links').expect(200);
    expect((await http.post('/api/rooms/r/links')).status).toBe(409);
    expect((await http.get('/api/crew').expect(200)).body).toEqual({ crew: false });
  });
});

describe('a customer’s link', () => {
  const shown = (server: Awaited<ReturnType<typeof crewServer>>, secret: string, path = '') =>
    server.ask('get', `/api/shown${path}`).set('authorization', `Bearer ${secret}`);
  it('shows its room and nothing else, until it is withdrawn', async () => {
    const server = await crewServer();
    const { ask, pair } = server;
    const phone = await pair();
    await ask('put', '/api/rooms/mine', phone).send(edit('e1', 0)).expect(200);
    await ask('put', '/api/rooms/other', phone).send(edit('e2', 0)).expect(200);
    const { body: made } = await ask('post', '/api/rooms/mine/links', phone).expect(200);
    expect(made.secret).toMatch(/^[\w-]{43}$/);
    const { body, headers } = await shown(server, made.secret).expect(200);
    expect(body.job.title).toBe(guestRoom.title);
    expect(headers['cache-control']).toBe('no-store');
    // it is no way into anything else
    for (const path of [
      '/api/rooms',
      '/api/rooms/mine',
      '/api/rooms/other',
      '/api/catalogue',
      '/api/catalogue/kit',
      '/api/crew/devices',
    ])
      await ask('get', path).set('authorization', `Bearer ${made.secret}`).expect(401);
    await ask('put', '/api/rooms/mine').set('authorization', `Bearer ${made.secret}`).send(edit('e3', 1)).expect(401);
    const { body: list } = await ask('get', '/api/rooms/mine/links', phone).expect(200);
    expect(list.links).toMatchObject([{ id: made.id, madeBy: 'Kim', opened: 1 }]);
    expect(JSON.stringify(list)).not.toContain(made.secret);
    await ask('delete', `/api/rooms/other/links/${made.id}`, phone).expect(404);
    await ask('delete', `/api/rooms/mine/links/${made.id}`, phone).expect(200);
    await shown(server, made.secret).expect(404);
  });
  it('shows the pictures that the room names, and no other one of it', async () => {
    const server = await crewServer();
    const { ask, pair } = server;
    const phone = await pair();
    const photos = [{ id: 'p-1', of: 'room' as const }];
    await ask('put', '/api/rooms/mine', phone)
      .send({ ...edit('e1', 0), job: { ...guestRoom, photos } })
      .expect(200);
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a98' } })
      .jpeg()
      .toBuffer();
    const sha256 = createHash('sha256').update(picture).digest('hex');
    for (const id of ['p-1', 'p-2'])
      await ask('put', `/api/rooms/mine/pictures/${id}?from=0&size=${picture.length}&sha256=${sha256}`, phone)
        .type('application/octet-stream')
        .send(picture)
        .expect(200);
    const { secret } = (await ask('post', '/api/rooms/mine/links', phone)).body;
    const { body, headers } = await shown(server, secret, '/pictures/p-1').expect(200);
    expect([headers['content-type'], headers['cache-control']]).toEqual(['image/jpeg', 'no-store']);
    expect((body as Buffer).equals(picture)).toBe(true);
    await shown(server, secret, '/pictures/p-2').expect(404);
  });
  it('shows nothing of a room that was taken away, and nothing for a secret that is none', async () => {
    const server = await crewServer();
    const { ask, pair } = server;
    const phone = await pair();
    await ask('put', '/api/rooms/mine', phone).send(edit('e1', 0)).expect(200);
    const { secret } = (await ask('post', '/api/rooms/mine/links', phone)).body;
    for (const bad of ['', 'short', 'x'.repeat(43), `${secret as string}x`]) await shown(server, bad).expect(404);
    await shown(server, secret, '/pictures/none').expect(404);
    await ask('delete', '/api/rooms/mine', phone).expect(200);
    await shown(server, secret).expect(404);
  });
});

describe('every answer', () => {
  it('is told apart from a page, framed by nobody, kept by nobody, and names no program', async () => {
    const { ask, pair } = await crewServer();
    const phone = await pair();
    for (const path of ['/', '/api/rooms', '/api/nothing', '/health']) {
      const { headers } = await ask('get', path, phone);
      expect(headers['x-content-type-options']).toBe('nosniff');
      expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
      expect(headers['content-security-policy']).not.toMatch(/unsafe-inline|unsafe-eval|https?:/);
      expect(headers['strict-transport-security']).toMatch(/max-age=31536000/);
      expect(headers['referrer-policy']).toBe('no-referrer');
      expect(headers['content-type']).toMatch(/charset=utf-8/i);
      expect([headers.server, headers['x-powered-by'], headers['access-control-allow-origin']]).toEqual([
        undefined,
        undefined,
        undefined,
      ]);
      if (path.startsWith('/api/')) expect(headers['cache-control']).toBe('no-store');
    }
  });
  it.each([
    '/../../etc/passwd',
    '/%2e%2e/%2e%2e/etc/passwd',
    '/_expo/../../../etc/passwd',
    '/_expo/%2e%2e%2f%2e%2e%2f%2e%2e%2fetc/passwd',
    '//etc/passwd',
    '/_expo',
  ])('to %s gives nothing of the disk', async (path) => {
    const { ask } = await crewServer();
    const { text = '', status } = await ask('get', path);
    // two above the folder of a test's pages is the root of the disk
    expect(text).not.toContain('root:');
    expect([200, 400, 404]).toContain(status);
    if (status === 200) expect(text).toContain('<!doctype html>');
  });
  it('to a method that is none of its route’s says so', async () => {
    const { ask, pair } = await crewServer();
    const phone = await pair();
    await ask('delete', '/api/catalogue', phone).expect(405);
    await ask('post', '/api/rooms/r', phone).send({}).expect(405);
  });
  it('from a failure inside says nothing of the inside', async () => {
    const { ask, pair, store } = await crewServer();
    const phone = await pair();
    const read = store.read;
    let calls = 0;
    // the device is known by then
    store.read = (work) => (calls++ === 0 ? read(work) : Promise.reject(new Error('select secret from inside')));
    const { status, body } = await ask('get', '/api/rooms', phone);
    expect(status).toBe(500);
    expect(body).toEqual({ error: 'internal', message: 'something went wrong here; nothing was saved' });
  });
});

describe('requests', () => {
  it('of a stranger are counted: more than 120 a minute are told to wait, and no device of the crew is', async () => {
    const { ask, pair } = await crewServer();
    const phone = await pair();
    const from = '198.51.100.20';
    const all: number[] = [];
    for (let i = 0; i < 125; i++) all.push((await ask('get', '/api/crew', { from })).status);
    expect(all.slice(0, 120).every((s) => s === 200)).toBe(true);
    const { status, headers } = await ask('get', '/api/crew', { from });
    expect([status, Number(headers['retry-after'])]).toEqual([429, 60]);
    await ask('get', '/api/rooms', { ...phone, from }).expect(200);
  }, 60_000);
});

describe('the log and the numbers', () => {
  it('know nobody: no name, passcode, secret, address, title or room in a line of them', async () => {
    let written = '';
    const sink = new Writable({
      write(chunk, _, done) {
        written += String(chunk);
        done();
      },
    });
    const server = await crewServer({ log: pino({ level: 'debug' }, sink), watchToken: 'w'.repeat(24) });
    const { ask, enter, pair } = server;
    await enter({ passcode: 'a wrong one of them' });
    const phone = await pair();
    await ask('put', '/api/rooms/room-of-the-smiths', phone)
      .send(edit('e1', 0, 'The Smiths'))
      .expect(200);
    await ask('put', '/api/rooms/room-of-the-smiths', phone).send({ nonsense: true }).expect(422);
    const { secret } = (await ask('post', '/api/rooms/room-of-the-smiths/links', phone)).body;
    await ask('get', '/api/shown')
      .set('authorization', `Bearer ${secret as string}`)
      .expect(200);
    // a statement that fails has its values in the driver's own words
    const run = server.store.run;
    server.store.run = (work) =>
      run(async (db) => {
        await work(db);
        await db.run(sql`insert into rooms (id, job) values (${'x'}, ${'The Smiths, once more'})`);
        throw new Error('not reached');
      });
    await ask('put', '/api/rooms/second', phone)
      .send(edit('e2', 0, 'The Smiths'))
      .expect(500);
    server.store.run = run;
    expect(written).toContain('Failed query');
    const id = String((await ask('get', '/api/rooms', phone)).headers['x-request-id']);
    expect(written).toContain(id);
    const { text } = await ask('get', '/metrics')
      .set('authorization', `Bearer ${'w'.repeat(24)}`)
      .expect(200);
    expect(text).toContain('steddo_turned_away_total{why="wrong"} 1');
    expect(text).toMatch(/steddo_request_seconds_count\{method="PUT",route="\/api\/rooms\/:id",status="200"\} 1/);
    for (const known of [
      'Kim',
      'blue phone',
      PASSCODE,
      'wrong one',
      phone.cookie.split('=')[1]!,
      secret as string,
      '203.0.113',
      'Smiths',
      'smiths',
    ])
      expect(`${written}${text}`).not.toContain(known);
    expect(written.split('\n').filter(Boolean).length).toBeGreaterThan(5);
  });
  it('health says in a word how it is to everybody, and more to who watches over it', async () => {
    const { ask } = await crewServer({ watchToken: 'w'.repeat(24) });
    expect((await ask('get', '/health').expect(200)).body).toEqual({ ok: true });
    const { body } = await ask('get', '/health').set('authorization', `Bearer ${'w'.repeat(24)}`);
    expect(body).toMatchObject({ ok: true, version: expect.stringMatching(/^\d+\.\d+/), database: 'file' });
    expect(body.freeBytes).toBeGreaterThan(0);
    await ask('get', '/metrics').set('authorization', 'Bearer wrong').expect(404);
    const here = await openServer();
    expect((await here.http.get('/metrics').expect(200)).text).toContain('steddo_database_writable 1');
  });
});
