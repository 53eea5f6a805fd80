import type { Anchor, Item, Job } from '@steddo/contract';
import { evaluate, plan } from '../src';
import { mark, probe, testJob } from './jobs';

const anchors: Anchor[] = [
  { id: 'plug', kind: 'plug', board: 12.7, tension: 130, shear: 200, hole: 6, diameter: 4, walls: ['timber-stud'] },
  {
    id: 'strap',
    kind: 'strap-toggle',
    board: 12.7,
    tension: 1000,
    shear: 1000,
    hole: 13,
    diameter: 4.8,
    walls: ['timber-stud'],
  },
  { id: 'bare', kind: 'spring-toggle', board: 12.7, hole: 13, diameter: 4.8, walls: ['timber-stud'] },
];
const shelf = (change: Partial<Item> = {}): Item => ({
  id: 's',
  kind: 'shelf',
  left: 600,
  right: 1000,
  bottom: 1000,
  top: 1240,
  out: 200,
  mass: 6,
  ...change,
});
const room = (item: Item, change: Partial<Job> = {}): Job => {
  const base = testJob(change);
  return { ...base, anchors, room: { ...base.room, objects: [item] } };
};
const light = (job: Job) => plan(job).light![0]!;

describe('light things', () => {
  it('are held by their weight half as far out as they stand, by hand', () => {
    // 6 kg on two fixings 120 above the lower edge: 58.84 N, 100 out: 58.84 * 100 / (120 * 2) and half of it down
    const found = light(room(shelf()));
    expect(found.tension!.value).toBeCloseTo((6 * 9.80665 * 100) / 240, 6);
    expect(found.shear!.value).toBeCloseTo((6 * 9.80665) / 2, 6);
    for (const c of found.choices) expect(evaluate(c.working)).toBeCloseTo(c.utilisation, 9);
  });
  it('take the smallest anchor that holds them; what has no rating is not offered', () => {
    expect(light(room(shelf({ mass: 1 }))).choices.map((c) => c.id)).toEqual(['plug', 'strap']);
    const heavier = light(room(shelf({ mass: 8 }))).choices;
    expect(heavier[0]!.id).toBe('strap');
    expect(heavier.at(-1)!.utilisation).toBeGreaterThan(1);
  });
  it('go into wood where it is', () => {
    const evidence = [650, 950].flatMap((x, i) => [
      mark('edge-left', x - 19, `a${i}`),
      mark('edge-right', x + 19, `b${i}`),
      probe(x, 'wood', `p${i}`),
    ]);
    const lags = [{ id: 'l', diameter: 6.35, length: 51, threadLength: 38 }];
    const found = light({ ...room(shelf({ left: 500, right: 1100 }), { evidence }), lags });
    expect(found.choices[0]).toMatchObject({ into: 'stud', id: 'l' });
    expect(found.choices[0]!.utilisation).toBeLessThan(0.5);
  });
  it('over 20 lb (common practice) are not light: no anchor is offered, and a word says so', () => {
    const p = plan(room(shelf({ mass: 9.2 })));
    expect(p.light![0]!.choices).toEqual([]);
    expect(p.light![0]!.verdict).toBe('stop');
    expect(p.findings.map((f) => f.code)).toContain('light-heavy');
    expect(plan(room(shelf({ mass: 9 }))).findings.map((f) => f.code)).not.toContain('light-heavy');
  });
  it('find nothing in wet or patched board', () => {
    const job = room(shelf());
    for (const state of ['wet', 'patched'] as const) {
      const wall = { ...job.room.wall, build: { ...job.room.wall.build, state } };
      expect(light({ ...job, room: { ...job.room, wall } }).choices).toEqual([]);
    }
  });
  it('do not stop the set', () => {
    const job = room(shelf({ mass: 40 }));
    expect(
      plan(job)
        .findings.filter((f) => f.code.startsWith('light-'))
        .every((f) => f.level !== 'stop'),
    ).toBe(true);
  });
});
