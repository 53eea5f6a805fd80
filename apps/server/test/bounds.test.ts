import { gzipSync } from 'node:zlib';
import type { Catalogue } from '@steddo/contract';
import { guestRoom, demoCatalogue } from '@steddo/samples';
import { seed } from '../src/seed';
import { closeAll, edit, newId, now, openServer } from './openServer';

afterEach(closeAll);

type Faults = { faults: { path: string; reason: string }[]; message: string };
const nested = (deep: number): string => `${'['.repeat(deep)}${']'.repeat(deep)}`;

describe('what comes from outside has a bound', () => {
  const put = async (body: string) => {
    const { http } = await openServer();
    return http.put('/api/rooms/a').set('content-type', 'application/json').send(body);
  };
  const withJob = (job: string) => `{"editId":"e1","baseVersion":0,"touched":[],"job":${job}}`;
  const spliced = (field: string, text: string) =>
    JSON.stringify({ ...guestRoom, [field]: 'SPLICE' }).replace('"SPLICE"', text);
  it.each([
    ['a title nested 5,000 deep', withJob(spliced('title', nested(5000))), 'job.title.0.0.0.0.0.0.…', /deeper than 64/],
    [
      'a record nested 5,000 deep',
      withJob(spliced('record', `{"built":${nested(5000)}}`)),
      'job.record.built.0.0.0.0.0.…',
      /deeper than 64/,
    ],
    ['a whole body nested 200,000 deep', nested(200_000), '0.0.0.0.0.0.0.0.…', /deeper than 64/],
    ['1.9 MB of brackets', nested(950_000), '(file)', /has 950000 lists and objects; 200000 are the most/],
    [
      '200,000 anchors that are none',
      withJob(spliced('anchors', `[${'0,'.repeat(199_999)}0]`)),
      'job.anchors',
      /has 200000 entries; 5000 are the most/,
    ],
  ])('%s is a fault and not a failure', async (_, body, path, reason) => {
    const { status, body: said } = await put(body);
    expect(status).toBe(422);
    const [first] = (said as Faults).faults;
    expect(first!.path).toBe(path);
    expect(first!.reason).toMatch(reason);
  });
  it('brackets inside of text are text', async () => {
    const title = `${'['.repeat(190)}\\"${'{'.repeat(5)}`;
    const { status } = await put(withJob(JSON.stringify({ ...guestRoom, title })));
    expect(status).toBe(200);
    const much = withJob(JSON.stringify({ ...guestRoom, title: '['.repeat(250_000) }));
    const { body } = await put(much);
    expect((body as Faults).faults.map((f) => f.path)).toEqual(['job.title']);
  });
  it('of ten thousand faults 500 are told and the rest counted', async () => {
    const bad = Array.from({ length: 5000 }, () => ({ id: 7 }));
    const { status, body } = await put(withJob(spliced('anchors', JSON.stringify(bad))));
    const { faults } = body as Faults;
    expect([status, faults.length]).toEqual([422, 501]);
    expect(faults[500]!.reason).toMatch(/^and \d+ more faults like these$/);
  });
  it.each(['gzip', 'deflate', 'br'])('a body packed with %s is not unpacked', async (coding) => {
    const { http } = await openServer();
    const bomb = gzipSync(Buffer.alloc(60_000_000, 32));
    for (const [method, path, type] of [
      ['put', '/api/rooms/a', 'application/json'],
      ['post', '/api/catalogue/import', 'text/csv'],
    ] as const) {
      const answer = http[method](path).set('content-type', type).set('content-encoding', coding);
      const { status, body } = await answer.serialize((b: unknown) => b as string).send(bomb as never);
      expect([status, (body as Faults).message]).toEqual([
        415,
        `takes bodies as they are, not packed with "${coding}"`,
      ]);
    }
  });
  it.each([
    ['an arm of 12,903 mm', { links: [12_903] }, 'job.mount.arm.links.0'],
    ['a head of 100 m', { head: 100_000 }, 'job.mount.arm.head'],
  ])('%s is refused, in a room as in a catalogue', async (_, arm, path) => {
    const mount = { ...demoCatalogue.mounts.find((m) => m.arm)!, arm: { kind: 'links', ...arm } };
    const { status, body } = await put(withJob(JSON.stringify({ ...guestRoom, mount })));
    expect([status, (body as Faults).faults.map((f) => f.path)]).toEqual([422, [path]]);
    const { http } = await openServer();
    const file = { format: 'steddo-catalogue', version: 1, mounts: [mount] };
    const { body: taken } = await http.post('/api/catalogue/import').send(file).expect(422);
    expect((taken as Faults).faults.map((f) => f.path)).toEqual([path.replace('job.mount', 'mounts.0')]);
  });
});

describe('a catalogue that is brought in', () => {
  it.each(['anchors', 'screens', 'lags', 'bits'])('names the %s that are none, up to 500', async (name) => {
    const { http } = await openServer();
    const bad = Array.from({ length: 2000 }, () => ({ id: 7 }));
    const { body } = await http
      .post('/api/catalogue/import')
      .send({ format: 'steddo-catalogue', version: 1, mounts: [], [name]: bad })
      .expect(422);
    const { faults } = body as Faults;
    expect(faults[0]!.path).toMatch(new RegExp(`^${name}\\.0\\.`));
    expect([faults.length, faults[500]!.reason]).toEqual([501, 'what follows these faults was not looked at']);
  });
  it('of more lists and objects than any catalogue has is not read', async () => {
    const { http } = await openServer();
    const { body } = await http
      .post('/api/catalogue/import')
      .set('content-type', 'application/json')
      .send(`[${'[],'.repeat(2_100_000)}0]`)
      .expect(422);
    expect((body as Faults).faults[0]!.reason).toMatch(/^has 2100001 lists and objects; 2000000 are the most$/);
  });
  const file = (price: number) => ({
    format: 'steddo-catalogue',
    version: 1,
    mounts: [{ ...demoCatalogue.mounts[0]!, id: 'own', price }],
  });
  it('without an edit id is never taken for another one, though both come at once', async () => {
    const { http, store } = await openServer();
    await seed(store, 'catalogue', now, newId);
    const many = Array.from({ length: 40 }, (_, i) => i + 1);
    const answers = await Promise.all(
      many.map((n) => {
        const { mounts, ...rest } = file(n);
        return http.post('/api/catalogue/import').send({ ...rest, mounts: [{ ...mounts[0]!, id: `own-${n}` }] });
      }),
    );
    expect(answers.map((a) => a.status)).toEqual(many.map(() => 200));
    const { body } = await http.get('/api/catalogue').expect(200);
    expect((body as Catalogue).mounts.filter((m) => m.id.startsWith('own-'))).toHaveLength(40);
  });
  it('under an id that was used for another content is refused and not dropped', async () => {
    const { http } = await openServer();
    const send = (price: number) => http.post('/api/catalogue/import').set('x-edit-id', 'once').send(file(price));
    await send(1).expect(200);
    await send(1).expect(200);
    expect((await send(2).expect(422)).body.message).toMatch(/said something else/);
    const history = await http.get('/api/catalogue/mounts/own/history').expect(200);
    expect(history.body.versions).toHaveLength(1);
  });
  it('names an id that it has twice', async () => {
    const { http } = await openServer();
    const { mounts, ...rest } = file(1);
    const { body } = await http
      .post('/api/catalogue/import')
      .send({ ...rest, mounts: [mounts[0], mounts[0]] })
      .expect(422);
    expect(body.faults).toEqual([{ path: 'mounts.1.id', reason: '"own" is already used at mounts.0' }]);
  });
  it('of 1.5 MB of anchors that are none says 500 things and no more', async () => {
    const { http } = await openServer();
    const anchors = Array.from({ length: 45_000 }, () => ({ id: 1, kind: 'x' }));
    const { status, body } = await http.post('/api/catalogue/import').send({ ...file(1), anchors });
    expect([status, body.faults.length]).toEqual([422, 501]);
  });
});

describe('1,000 spoilt requests', () => {
  /** A small generator of its own, so that the same requests come every time. */
  function* numbers(seed: number): Generator<number, never> {
    for (let x = seed; ;) {
      x = (Math.imul(x, 1_664_525) + 1_013_904_223) >>> 0;
      yield x / 2 ** 32;
    }
  }
  it('are answered, each with a fault or a save, never a failure; the server goes on', async () => {
    const { http } = await openServer();
    const next = numbers(20261128);
    const pick = (n: number) => Math.floor(next.next().value * n);
    const text = JSON.stringify(edit('e', 0));
    const pieces = [
      'null',
      '{}',
      '[]',
      '-1',
      '1e999',
      '"\\u0000"',
      '"x"',
      '9007199254740993',
      'true',
      nested(70),
      '"__proto__"',
      '{"__proto__":1}',
    ];
    const statuses = new Map<number, number>();
    for (let i = 0; i < 1000; i++) {
      const at = pick(text.length);
      const values = [...text.matchAll(/:("[^"]*"|-?[\d.]+|true|false)/g)];
      const value = values[pick(values.length)]!;
      const body =
        i % 4 === 0
          ? text.slice(0, at) + text.slice(at + 1 + pick(40))
          : text.slice(0, value.index + 1) + pieces[pick(pieces.length)]! + text.slice(value.index + value[0].length);
      const answer = await http
        .put(`/api/rooms/m${i % 7}`)
        .set('content-type', 'application/json')
        .send(body);
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      if (answer.status >= 500) throw new Error(`${answer.status} for ${body.slice(0, 400)}`);
    }
    expect([...statuses.keys()].sort()).toEqual(expect.arrayContaining([400, 422]));
    await http.get('/health').expect(200);
    await http.get('/api/rooms').expect(200);
  }, 60_000);
});
