import type { Mount } from '@steddo/contract';
import { rankMounts } from '@steddo/core';
import { clockmakersBench, demoCatalogue, guestRoom, sewingCorner } from '@steddo/samples';
import { MountRanking, matches, withOwn, type MountQuery, type RankedPage } from './catalogueJob';

const ALL: MountQuery = { text: '', types: [], fitting: false, from: 0, count: 1000 };
const { mounts } = demoCatalogue;
const always = () => true;
const nothing = () => undefined;
const idsOf = ({ mounts: shown }: RankedPage) => shown.map((m) => m.ranked.id);

describe('the ranking in the worker', () => {
  it('has the order of the plan, page by page', async () => {
    const ranking = new MountRanking();
    const all = await ranking.page(mounts, guestRoom, ALL, always, nothing);
    const order = rankMounts(mounts, guestRoom).map((r) => r.id);
    expect(idsOf(all!)).toEqual(order);
    const second = await ranking.page(mounts, guestRoom, { ...ALL, from: 5, count: 4 }, always, nothing);
    expect(idsOf(second!)).toEqual(order.slice(5, 9));
    expect([second!.total, second!.of]).toEqual([order.length, order.length]);
  });
  it('judges a corner by its gap, a bench by how the set stands, as the plan does', async () => {
    const screen = { ...clockmakersBench.screen, patternCentre: { right: 90, up: 0 } };
    const jobs = [
      { ...sewingCorner, choices: { cornerGap: 220 } },
      { ...clockmakersBench, screen, choices: { portrait: true } },
    ];
    for (const job of jobs) {
      const page = (await new MountRanking().page(mounts, job, ALL, always, nothing))!;
      expect(page.mounts.map((m) => m.ranked)).toEqual(rankMounts(mounts, job));
      // and otherwise they would be judged otherwise
      const { choices: _, ...plain } = job;
      expect(rankMounts(mounts, plain)).not.toEqual(rankMounts(mounts, job));
    }
  });

  it('filters by words, by type, by what nothing stops; archived ones are out', async () => {
    const ranking = new MountRanking();
    const archived: Mount[] = mounts.map((m, i) => (i === 0 ? { ...m, archived: true } : m));
    const page = async (change: Partial<MountQuery>) =>
      (await ranking.page(archived, guestRoom, { ...ALL, ...change }, always, nothing))!;
    // of the list is what hangs on a wall
    const walls = new Set(['fixed', 'tilt', 'full-motion']);
    expect((await page({})).of).toBe(mounts.filter((m) => walls.has(m.type)).length - 1);
    expect(idsOf(await page({ text: 'LOUVRE 2' }))).toEqual(['louvre-2']);
    const types = (await page({ types: ['tilt'] })).mounts.map((m) => m.ranked.type);
    expect(new Set(types)).toEqual(new Set(['tilt']));
    const fitting = (await page({ fitting: true })).mounts;
    expect(fitting.length).toBeGreaterThan(0);
    expect(fitting.some((m) => m.ranked.verdict === 'stop')).toBe(false);
  });
  it('gives some of the list as they stand in it, whatever the filter lets through', async () => {
    const ranking = new MountRanking();
    expect(ranking.some(['louvre-2'])).toEqual([]);
    await ranking.page(mounts, guestRoom, { ...ALL, text: 'batten' }, always, nothing);
    const wanted = rankMounts(mounts, guestRoom);
    const found = ranking.some(['pintle-4', 'nothing', 'louvre-2']);
    expect(found.map((m) => m.mount.id)).toEqual(['pintle-4', 'louvre-2']);
    for (const { ranked } of found) expect(ranked).toEqual(wanted.find((r) => r.id === ranked.id));
  });
  it('judges again when the room changes, not when only the page does', async () => {
    const ranking = new MountRanking();
    let judged = 0;
    const count = () => (judged += 1);
    await ranking.page(mounts, guestRoom, ALL, always, count);
    await ranking.page(mounts, guestRoom, { ...ALL, text: 'pintle' }, always, count);
    expect(judged).toBe(1);
    const heavy = { ...guestRoom, screen: { ...guestRoom.screen, mass: 70 } };
    const page = await ranking.page(mounts, heavy, { ...ALL, fitting: true }, always, count);
    expect(judged).toBe(2);
    expect(page!.mounts.every(({ mount }) => mount.maxMass >= 70)).toBe(true);
  });
  it('gives nothing when it is called off, and tells how far it is', async () => {
    const many = Array.from({ length: 2500 }, (_, i): Mount => ({ ...mounts[0]!, id: `m${i}` }));
    const shares: [number, number][] = [];
    const ranking = new MountRanking();
    const stopped = await ranking.page(
      many,
      guestRoom,
      ALL,
      () => shares.length < 2,
      (done, of) => shares.push([done, of]),
    );
    expect(stopped).toBeUndefined();
    expect(shares).toEqual([
      [1000, 2500],
      [2000, 2500],
    ]);
  });
  it('mounts of this device stand over those of the server', () => {
    const own = { ...mounts[1]!, price: 1 };
    const all = withOwn(demoCatalogue, [own]);
    expect(all).toHaveLength(mounts.length);
    expect(all.find((m) => m.id === own.id)!.price).toBe(1);
    expect(matches(own, 'batten 1')).toBe(false);
  });
});
