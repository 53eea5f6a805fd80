import type { Hole, Job } from '@steddo/contract';
import { applyCommand, plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { ladderAt, otherResults, tick } from './ladderAt';

const after = (job: Job, ...results: [number, Parameters<typeof tick>[2]][]): Job =>
  results.reduce((now, [at, result]) => {
    const hole = plan(now).holes![at]!;
    return applyCommand(now, tick(now, hole, result, undefined, new Date(0))).job;
  }, job);

describe('the way up the ladder', () => {
  it('is one hole, the level, the rest, and then through', () => {
    const at = (job: Job, levelled?: string) => ladderAt(plan(job), levelled);
    expect(at(guestRoom)).toMatchObject({ at: 'mark', done: 0, of: 4 });
    const one = after(guestRoom, [0, 'good']);
    expect(at(one)).toMatchObject({ at: 'level', first: { id: 'h1' } });
    expect(at(one, 'h1')).toMatchObject({ at: 'mark', hole: { id: 'h2' }, done: 1 });
    // levelled from a hole that is not the first any more: asked again
    expect(at(one, 'h9').at).toBe('level');
    const all = after(one, [1, 'good'], [2, 'good'], [3, 'good']);
    expect(at(all, 'h1')).toEqual({ at: 'finished', of: 4 });
    expect(ladderAt({ ...plan(guestRoom), holes: undefined }, undefined).at).toBe('none');
  });
  it('a hole that did not come out is not done, and the next one has another number', () => {
    const broken = after(guestRoom, [0, 'broken']);
    const next = ladderAt(plan(broken), undefined);
    expect(next.at).toBe('mark');
    if (next.at === 'mark') expect(next.hole.id).not.toBe('h1');
  });
  it('keeps where the hole really is, what it was made for and when', () => {
    const hole = plan(guestRoom).holes![0]!;
    const command = tick(guestRoom, hole, 'drifted', { x: 0, y: -6 }, new Date('2026-01-02T03:04:05Z'));
    expect(command).toMatchObject({
      path: 'drilled.0',
      value: { hole: 'h1', y: hole.y - 6, into: 'stud', diameter: 7.94, at: '2026-01-02T03:04:05.000Z' },
    });
  });
  it('offers what a hole can turn out to be: never what it was sent for', () => {
    const hole = (into: Hole['into']) => ({ ...plan(guestRoom).holes![0]!, into });
    expect(otherResults(hole('board'))).toContain('stud');
    expect(otherResults(hole('board'))).not.toContain('hollow');
    expect(otherResults(hole('stud'))).toContain('hollow');
    expect(otherResults(hole('stud'))).not.toContain('stud');
    expect(otherResults(hole('masonry'))).toEqual(['blocked', 'broken']);
  });
});
