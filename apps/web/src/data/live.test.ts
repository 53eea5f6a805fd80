/** @jest-environment node */
import type { ChangesReply } from '@steddo/contract';
import { Live } from './live';

const rest = async () => {
  for (let i = 0; i < 20; i++) await Promise.resolve();
};

function bench() {
  const asked: string[] = [];
  const waits: number[] = [];
  const told: ChangesReply[] = [];
  let next: (() => void) | undefined;
  const state = { up: true, visible: true, rooms: [] as ChangesReply['rooms'] };
  let n = 0;
  const live = new Live({
    fetchChanges: (since) => {
      asked.push(since);
      if (!state.up) return Promise.reject(new Error('down'));
      return Promise.resolve({
        database: 'd',
        cursor: `c${++n}`,
        rooms: state.rooms,
        catalogue: false,
        everything: false,
      });
    },
    onChanges: (changes) => told.push(changes),
    visible: () => state.visible,
    later: (work, ms) => {
      waits.push(ms);
      next = work;
    },
  });
  const tick = async () => {
    next?.();
    await rest();
  };
  return { live, asked, waits, told, state, tick };
}

describe('hearing of changes', () => {
  it('asks from where it was, and tells only of what there is', async () => {
    const b = bench();
    b.live.ask();
    await rest();
    await b.tick();
    b.state.rooms = [{ id: 'a', revision: 'r2' }];
    await b.tick();
    expect(b.asked).toEqual(['', 'c1', 'c2']);
    expect(b.told.map((t) => t.cursor)).toEqual(['c1', 'c3']);
    expect(Math.max(...b.waits)).toBeLessThanOrEqual(5000);
  });
  it('asks less and less while there is no server, at most every half minute, and at once when told to', async () => {
    const b = bench();
    b.state.up = false;
    b.live.ask();
    await rest();
    for (let i = 0; i < 6; i++) await b.tick();
    expect(b.waits.at(-1)).toBe(30_000);
    b.state.up = true;
    b.live.ask();
    await rest();
    expect(b.told).toHaveLength(1);
    expect(b.waits.every((ms) => ms <= 30_000)).toBe(true);
  });
  it('asks nothing while nobody looks', async () => {
    const b = bench();
    b.state.visible = false;
    b.live.ask();
    await rest();
    expect(b.asked).toEqual([]);
  });
});
