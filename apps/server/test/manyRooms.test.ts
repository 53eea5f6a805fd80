import { sql } from 'drizzle-orm';
import { guestRoom } from '@steddo/samples';
import { PAGE } from '../src/db/rooms';
import type { Store } from '../src/db/client';
import { closeAll, edit, openServer } from './openServer';

afterEach(closeAll);

/** Rooms put there as they would lie there, `n` of them, two saved in the same moment each time. */
async function fill(store: Store, n: number): Promise<void> {
  const job = JSON.stringify(guestRoom);
  await store.run((db) =>
    db.run(sql`with recursive c(n) as (select 1 union all select n + 1 from c where n < ${n})
      insert into rooms (id, version, title, saved_at, job, revision, words)
      select 'r-' || n, 1, 'Room ' || n, strftime('%Y-%m-%dT%H:%M:%fZ', '2026-01-01', '+' || (n / 2) || ' minutes'),
        ${job}, 'rev-' || n, 'room ' || n || ' wide arm' from c`),
  );
}

type Page = { rooms: { id: string; title: string; savedAt: string }[]; more: boolean; deleted: unknown[] };

describe('a list of more rooms than are told at once', () => {
  it('is told page by page, each room once, the latest first, also those of one moment', async () => {
    const { http, store } = await openServer();
    // an even number of them: pages end between two of one moment
    const all = 2 * PAGE + 30;
    await fill(store, all);
    const seen: string[] = [];
    let after = '';
    for (let more = true; more;) {
      const { body } = await http
        .get(`/api/rooms${after === '' ? '' : `?after=${encodeURIComponent(after)}`}`)
        .expect(200);
      const page = body as Page;
      expect(page.rooms.length).toBeLessThanOrEqual(PAGE);
      seen.push(...page.rooms.map((r) => r.id));
      const last = page.rooms.at(-1)!;
      after = `${last.savedAt} ${last.id}`;
      ({ more } = page);
    }
    expect(seen).toHaveLength(all);
    expect(new Set(seen).size).toBe(all);
    expect(seen.slice(0, 3)).toEqual([`r-${all}`, `r-${all - 2}`, `r-${all - 1}`]);
  });

  it('is looked through for words in names, sets and mounts, in whatever letters; what was renamed is found by its new name', async () => {
    const { http, store } = await openServer();
    await fill(store, PAGE + 50);
    const found = async (words: string) =>
      ((await http.get(`/api/rooms?words=${encodeURIComponent(words)}`).expect(200)).body as Page).rooms.map(
        (r) => r.id,
      );
    expect(await found('ROOM 77')).toEqual(['r-77']);
    expect((await found('wide arm')).length).toBe(PAGE);
    await http
      .put('/api/rooms/r-77')
      .send(edit('e1', 1, 'Küche über dem Hof'))
      .expect(200);
    expect(await found('KÜCHE')).toEqual(['r-77']);
    expect(await found('room 77')).toEqual([]);
    // no sign of a pattern is one
    expect(await found('%')).toEqual([]);
  });

  it('says of certain rooms how they stand; of those that are not here nothing', async () => {
    const { http, store } = await openServer();
    await fill(store, 20);
    await http.delete('/api/rooms/r-3').expect(200);
    const { body } = await http.get('/api/rooms/heads?ids=r-1,r-2,r-3,none').expect(200);
    expect((body as Page).rooms.map((r) => r.id).sort()).toEqual(['r-1', 'r-2']);
  });

  it.each([
    ['after=yesterday', /^after: takes/],
    ['after=1&after=2', /^after: takes/],
    ['words=', /^words: takes/],
    [`words=${'x'.repeat(81)}`, /^words: takes up to 80/],
    ['words=a&words=b', /^words: takes/],
  ])('%s is refused in words', async (query, words) => {
    const { http } = await openServer();
    const { body } = await http.get(`/api/rooms?${query}`).expect(400);
    expect(body.message).toMatch(words);
  });
  it.each([
    ['nothing', ''],
    ['no room', 'ids='],
    ['what is no id', 'ids=A B'],
    ['201 rooms', `ids=${Array.from({ length: 201 }, (_, i) => `r${i}`).join(',')}`],
  ])('how %s stands is refused in words', async (_, query) => {
    const { http } = await openServer();
    await http.get(`/api/rooms/heads?${query}`).expect(400);
  });
});
