import type { Mount } from '@steddo/contract';
import { demoCatalogue } from '@steddo/samples';
import { OwnMounts, type MountEdit } from './ownMounts';

const [first, second] = demoCatalogue.mounts as [Mount, Mount];

function bench() {
  const kept = new Map<string, unknown>();
  const server = { up: true, refuses: false, got: [] as MountEdit[], told: 0 };
  const retries: (() => void)[] = [];
  let ids = 0;
  const make = () =>
    new OwnMounts({
      store: {
        keep: (key: string, value: unknown) => {
          kept.set(key, JSON.parse(JSON.stringify(value)) as unknown);
          return Promise.resolve();
        },
        kept: (key: string) => Promise.resolve(kept.get(key)),
      },
      send: (edit) => {
        if (!server.up) return Promise.resolve('offline');
        if (server.refuses) return Promise.resolve('refused');
        server.got.push(edit);
        return Promise.resolve('sent');
      },
      newId: () => `edit-${++ids}`,
      onSent: () => (server.told += 1),
      later: (work) => retries.push(work),
    });
  return { kept, server, make, retry: () => retries.splice(0).forEach((work) => work()) };
}
const settle = async () => {
  for (let i = 0; i < 60; i++) await Promise.resolve();
};

describe('own mounts', () => {
  it('go to the device first, then to the server in the order in which they were made', async () => {
    const b = bench();
    const own = b.make();
    await own.save(first);
    await own.save({ ...first, price: 1 });
    await own.save(second);
    await settle();
    expect(b.server.got.map((e) => [e.mount.id, e.mount.price])).toEqual([
      [first.id, first.price],
      [first.id, 1],
      [second.id, second.price],
    ]);
    expect(new Set(b.server.got.map((e) => e.editId)).size).toBe(3);
    expect([own.list(), b.server.told]).toEqual([[], 3]);
  });
  it('wait without the server, over a closed tab, the latest of each in sight, and are sent by themselves', async () => {
    const b = bench();
    b.server.up = false;
    const own = b.make();
    await own.save(first);
    await own.save({ ...first, price: 2 });
    await settle();
    expect(own.list()).toEqual([{ ...first, price: 2 }]);
    const later = b.make();
    await later.open();
    expect(later.list()).toEqual([{ ...first, price: 2 }]);
    b.server.up = true;
    b.retry();
    await settle();
    expect(b.server.got.map((e) => e.mount.price)).toEqual([first.price, 2]);
    expect(b.kept.get('own-mounts')).toEqual([]);
  });
  it('stay when the server refuses them, and what is kept but no mount is left out', async () => {
    const b = bench();
    b.kept.set('own-mounts', [{ editId: 'old', mount: { id: 'broken' } }]);
    b.server.refuses = true;
    const own = b.make();
    await own.save(second);
    await settle();
    expect(own.list()).toEqual([second]);
    expect(b.server.got).toEqual([]);
  });
});
