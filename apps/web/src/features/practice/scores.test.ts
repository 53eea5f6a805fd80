import { withScore, type BestScore } from './scores';

const score = (points: number, change: Partial<BestScore> = {}): BestScore => ({
  seed: 7,
  room: 'guest-room',
  title: 'Guest room',
  tools: ['edge', 'drill'],
  points,
  at: '2026-11-25T10:00:00Z',
  ...change,
});

describe('best scores', () => {
  it('of one wall with the same instruments the better one stays, in whatever order they were packed', () => {
    const kept = withScore([score(70)], score(85, { tools: ['drill', 'edge'] }));
    expect(kept.map((s) => s.points)).toEqual([85]);
    expect(withScore(kept, score(60))).toEqual(kept);
  });
  it('another wall, room or bag is another score; best first', () => {
    const all = [score(50, { seed: 8 }), score(90, { room: 'attic-snug' }), score(60, { tools: ['edge'] })];
    expect(all.reduce(withScore, [] as BestScore[]).map((s) => s.points)).toEqual([90, 60, 50]);
  });
  it('keeps twenty', () => {
    const many = Array.from({ length: 30 }, (_, i) => score(i, { seed: i }));
    const kept = many.reduce(withScore, [] as BestScore[]);
    expect(kept).toHaveLength(20);
    expect(kept.at(-1)!.points).toBe(10);
  });
});
