/** @jest-environment node */
import { bringCatalogue, keptCatalogue } from './catalogueFile';

const FILE = '{"format":"steddo-catalogue","version":1,"mounts":[]}';
const memory = () => {
  const kept = new Map<string, unknown>();
  const writes: string[] = [];
  return {
    kept: (key: string) => Promise.resolve(kept.get(key)),
    keep: async (key: string, value: unknown) => {
      writes.push(key);
      kept.set(key, value);
    },
    writes,
  };
};
const answer = (body: string, headers: Record<string, string>, status = 200) => {
  globalThis.fetch = () =>
    Promise.resolve(new Response(body, { status, headers: { 'content-type': 'application/json', ...headers } }));
};
const rest = () => new Promise((resolve) => setImmediate(resolve));

describe('the catalogue’s file', () => {
  it('is kept as it was sent, and written again only where its tag is another', async () => {
    const store = memory();
    answer(FILE, { etag: '"1-1"' });
    expect(await bringCatalogue(store)).toBe(FILE);
    await rest();
    expect(await keptCatalogue(store)).toBe(FILE);
    await bringCatalogue(store);
    await rest();
    expect(store.writes).toEqual(['catalogue', 'catalogue-tag']);
    const next = FILE.replace('[]', '[{}]');
    answer(next, { etag: '"1-2"' });
    await bringCatalogue(store);
    await rest();
    expect([await keptCatalogue(store), store.writes.length]).toEqual([next, 4]);
  });
  it('what is another answer is not kept in its place', async () => {
    const store = memory();
    answer(FILE, { etag: '"1-1"' });
    await bringCatalogue(store);
    await rest();
    answer('{"login":"guest"}', { etag: '"9"' });
    await expect(bringCatalogue(store)).rejects.toThrow('in-between');
    answer('{"error":"x","message":"busy"}', {}, 429);
    await expect(bringCatalogue(store)).rejects.toThrow('too-many');
    await rest();
    expect(await keptCatalogue(store)).toBe(FILE);
  });
  it('of another kind than a text is none', async () => {
    const store = memory();
    await store.keep('catalogue', { mounts: [] });
    expect(await keptCatalogue(store)).toBeUndefined();
  });
});
