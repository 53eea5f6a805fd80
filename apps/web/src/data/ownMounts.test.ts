import type { Mount } from '@steddo/contract';
import { demoCatalogue } from '@steddo/samples';
import { OwnMounts } from './ownMounts';
import type { MountEdit } from './records';

const [first, second] = demoCatalogue.mounts as [Mount, Mount];

function bench() {
  let kept: MountEdit[] = [];
  let seq = 0;
  const server = { up: true, refuses: (_: MountEdit) => false, got: [] as MountEdit[], told: 0 };
  const device = { full: false };
  const retries: (() => void)[] = [];
  let ids = 0;
  const make = () =>
    new OwnMounts({
      store: {
        mountEdits: () => Promise.resolve([...kept]),
        addMountEdit: (edit) =>
          device.full ? Promise.reject(new Error('full')) : Promise.resolve(void kept.push({ ...edit, seq: ++seq })),
        dropMountEdit: (editId) => Promise.resolve(void (kept = kept.filter((e) => e.editId !== editId))),
      },
      send: (edit) => {
        if (!server.up) return Promise.resolve('offline');
        if (server.refuses(edit)) return Promise.resolve('refused');
        server.got.push(edit);
        return Promise.resolve('sent');
      },
      newId: () => `edit-${++ids}`,
      onSent: () => (server.told += 1),
      tell: () => undefined,
      later: (work) => retries.push(work),
    });
  const put = (...edits: MountEdit[]) => (kept = edits);
  return { server, device, make, put, kept: () => kept, retry: () => retries.splice(0).forEach((work) => work()) };
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
    expect(b.kept()).toEqual([]);
  });
  it('stay when the server refuses them, hold up no other, and what is kept but no mount is left out', async () => {
    const b = bench();
    b.put({ editId: 'old', mount: { id: 'broken' } as Mount });
    b.server.refuses = (e) => e.mount.id === second.id;
    const own = b.make();
    await own.save(second);
    await own.save(first);
    await settle();
    expect(own.list()).toEqual([second]);
    expect(b.server.got.map((e) => e.mount.id)).toEqual([first.id]);
  });
  it('of two tabs stay both', async () => {
    const b = bench();
    b.server.up = false;
    const [one, two] = [b.make(), b.make()];
    await Promise.all([one.open(), two.open()]);
    await Promise.all([one.save(first), two.save(second)]);
    expect(
      b
        .kept()
        .map((e) => e.mount.id)
        .sort(),
    ).toEqual([first.id, second.id].sort());
    await one.read();
    expect(one.list()).toHaveLength(2);
  });
  it('on a device that is full are in sight and sent all the same', async () => {
    const b = bench();
    b.device.full = true;
    b.server.up = false;
    const own = b.make();
    await own.save(first);
    await settle();
    expect(own.list()).toEqual([first]);
    b.server.up = true;
    b.retry();
    await settle();
    expect([b.server.got.map((e) => e.mount.id), own.list()]).toEqual([[first.id], []]);
  });
});
