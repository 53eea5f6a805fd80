import { catalogueRows, type Catalogue, type Mount } from '@steddo/contract';
import { demoCatalogue } from '@steddo/samples';
import { seed } from '../src/seed';
import { closeAll, newId, now, openServer } from './openServer';

afterEach(closeAll);

async function open() {
  const { http, store } = await openServer();
  await seed(store, 'catalogue', now, newId);
  const mounts = async () => ((await http.get('/api/catalogue').expect(200)).body as Catalogue).mounts;
  return { http, mounts };
}

const own: Mount = { ...demoCatalogue.mounts[0]!, id: 'own-1', name: 'Own 1' };
const csv = (mounts: readonly Mount[]) =>
  catalogueRows(mounts)
    .map((row) => row.map((c) => `"${c}"`).join(','))
    .join('\n');

describe('the catalogue', () => {
  it('is served whole, with a tag that changes when it does', async () => {
    const { http } = await open();
    const first = await http.get('/api/catalogue').expect(200);
    const { etag } = first.headers as { etag: string };
    await http.get('/api/catalogue').set('if-none-match', etag).expect(304);
    await http.put('/api/catalogue/mounts/own-1').send({ editId: 'e1', mount: own }).expect(200);
    const again = await http.get('/api/catalogue').set('if-none-match', etag).expect(200);
    expect((again.body as Catalogue).mounts).toContainEqual(own);
  });
  it('tells the kit by itself, which stays as it is when a mount changes', async () => {
    const { http } = await open();
    const { anchors, lags, bits } = demoCatalogue;
    const { body, headers } = await http.get('/api/catalogue/kit').expect(200);
    expect(body).toEqual({ anchors, lags, bits });
    await http.put('/api/catalogue/mounts/own-1').send({ editId: 'e1', mount: own }).expect(200);
    const { etag } = headers as { etag: string };
    const again = await http.get('/api/catalogue/kit').set('if-none-match', etag).expect(304);
    expect(again.headers['cache-control']).toBe('private, no-cache');
  });
  it('keeps every version of a mount, the same edit sent twice only once', async () => {
    const { http, mounts } = await open();
    const put = (editId: string, mount: Mount) => http.put(`/api/catalogue/mounts/${mount.id}`).send({ editId, mount });
    const first = demoCatalogue.mounts[0]!;
    expect((await put('e1', { ...first, price: 1 })).body).toEqual({ id: first.id, version: 2 });
    await put('e1', { ...first, price: 1 });
    expect((await put('e2', { ...first, price: 2 })).body).toEqual({ id: first.id, version: 3 });
    const { body } = await http.get(`/api/catalogue/mounts/${first.id}/history`).expect(200);
    const { versions } = body as { versions: { version: number; mount: Mount }[] };
    expect(versions.map((v) => [v.version, v.mount.price])).toEqual([
      [3, 2],
      [2, 1],
      [1, first.price],
    ]);
    expect((await mounts()).find((m) => m.id === first.id)!.price).toBe(2);
    await http.get('/api/catalogue/mounts/nobody/history').expect(404);
  });
  it('refuses a mount that is none, or under another address, and saves nothing', async () => {
    const { http, mounts } = await open();
    const before = await mounts();
    const bad = await http
      .put('/api/catalogue/mounts/own-1')
      .send({ editId: 'e1', mount: { ...own, maxMass: -1 } })
      .expect(422);
    expect(bad.body.faults).toEqual([{ path: 'mount.maxMass', reason: 'must be more than 0, not -1' }]);
    await http.put('/api/catalogue/mounts/other').send({ editId: 'e2', mount: own }).expect(422);
    expect(await mounts()).toEqual(before);
  });
});

describe('a file of mounts', () => {
  const post = (http: Awaited<ReturnType<typeof open>>['http'], type: string, body: string) =>
    http.post('/api/catalogue/import').set('content-type', type).send(body);
  it.each([
    ['text/csv', csv([own, { ...own, id: 'own-2' }])],
    [
      'application/json',
      JSON.stringify({ format: 'steddo-catalogue', version: 1, mounts: [own, { ...own, id: 'own-2' }] }),
    ],
  ])('is taken as %s, and its mounts are there as they were written', async (type, body) => {
    const { http, mounts } = await open();
    expect((await post(http, type, body).expect(200)).body).toEqual({ mounts: 2 });
    expect((await mounts()).filter((m) => m.id.startsWith('own-'))).toEqual([own, { ...own, id: 'own-2' }]);
  });
  it('with one fault in the last row nothing of it is taken', async () => {
    const { http, mounts } = await open();
    const before = await mounts();
    const lines = csv([own, { ...own, id: 'own-2', maxMass: 61 }]).replace('"61"', '"61 kg"');
    const { body } = await post(http, 'text/csv', lines).expect(422);
    expect(body.faults).toEqual([
      { path: 'row 3, maxMass', reason: 'takes a number, not "61 kg" (no unit: mm and kg)' },
    ]);
    expect(await mounts()).toEqual(before);
  });
  it('splits a table by what its first line is split by', async () => {
    const { http } = await openServer();
    const rows = catalogueRows(demoCatalogue.mounts.slice(0, 4));
    const text = rows.map((r) => r.map((c) => `"${c.replaceAll('"', '""')}"`).join(';')).join('\r\n');
    const { body } = await http.post('/api/catalogue/import').set('content-type', 'text/csv').send(text).expect(200);
    expect(body).toEqual({ mounts: 4 });
  });
  it('names the row where a quote is never closed, and what is not JSON', async () => {
    const { http } = await open();
    const open1 = await post(http, 'text/csv', `${csv([own])}\n"never`).expect(422);
    expect(open1.body.faults[0].path).toMatch(/^row \d+$/);
    const broken = await post(http, 'application/json', '{"mounts": [').expect(422);
    expect(broken.body.faults[0]).toMatchObject({ path: '(file)' });
  });
  it('lists at most 500 faults and looks no further; other types are refused', async () => {
    const { http } = await open();
    const many = Array.from({ length: 600 }, (_, i): Mount => ({ ...own, id: `own-${i}`, maxMass: 7777 }));
    const { body } = await post(http, 'text/csv', csv(many)).expect(422);
    expect(body.faults).toHaveLength(501);
    expect(body.faults[500].reason).toBe('what follows these faults was not looked at');
    await post(http, 'text/plain', 'hello').expect(415);
  });
});
