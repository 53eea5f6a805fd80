import type { Job, HeightRule } from '@steddo/contract';
import { evaluate, pictureDistances, outlineOf, plan } from '../src';
import { IN, testJob } from './jobs';

type Schools = NonNullable<Job['aim']['schools']>;
const aimed = (height: HeightRule, schools: Schools = {}, change: Partial<Job> = {}) =>
  testJob({ ...change, aim: { ...testJob().aim, height, schools } });
const heightOf = (job: Job, school: HeightRule) => plan(job).heights!.find((h) => h.school === school);
const withObjects = (objects: NonNullable<Job['room']['objects']>) => ({
  room: { ...testJob().room, objects },
});
const thing = (id: string, bottom: number, top: number) => ({
  id,
  kind: 'furniture' as const,
  left: 1500,
  right: 2500,
  bottom,
  top,
});

describe('the other four schools', () => {
  it('line up: an edge, or the centre, on the line', () => {
    const at = (edge: 'bottom' | 'top' | 'centre') =>
      heightOf(aimed('line-up', { 'line-up': { edge, to: 1374 } }), 'line-up')!;
    expect(at('bottom').bottom).toBeCloseTo(1374, 9);
    expect(at('top').top).toBeCloseTo(1374, 9);
    expect(at('centre').centre).toBeCloseTo(1374, 9);
  });

  // common practice: 34 in free above the mantel, a set 25 in tall leaves 9: 4 1/2 above and below
  it('fit between: splits what is left', () => {
    const job = aimed(
      'fit-between',
      { 'fit-between': { below: 'm', above: 'ceiling' } },
      {
        ...withObjects([thing('m', 0, 2500 - 34 * IN)]),
        screen: { ...testJob().screen, height: 25 * IN },
      },
    );
    const h = heightOf(job, 'fit-between')!;
    expect((h.bottom! - (2500 - 34 * IN)) / IN).toBeCloseTo(4.5, 9);
    expect((2500 - h.top!) / IN).toBeCloseTo(4.5, 9);
    expect(evaluate(h.working!)).toBeCloseTo(h.centre!, 9);
  });
  it('fit between: another share, between two things', () => {
    const objects = [thing('low', 0, 700), thing('high', 2000, 2300)];
    const between = { below: 'low', above: 'high', ratio: 0.25 };
    const h = heightOf(aimed('fit-between', { 'fit-between': between }, withObjects(objects)), 'fit-between')!;
    expect(h.wanted - 320 - 700).toBeCloseTo(0.25 * (1300 - 640), 9);
  });
  it('fit between: without names from what stands below to the ceiling; without that from the floor', () => {
    expect(heightOf(aimed('fit-between'), 'fit-between')!.wanted).toBeCloseTo((500 + 2500) / 2, 9);
    expect(heightOf(aimed('fit-between', {}, withObjects([])), 'fit-between')!.wanted).toBeCloseTo(1250, 9);
  });
  it('fit between: a name that is not in the room is said', () => {
    const p = plan(aimed('fit-between', { 'fit-between': { below: 'gone' } }));
    expect(p.findings.find((f) => f.code === 'school-needs-object')!.values.object).toBe('gone');
  });

  it('vote: from the top that was agreed', () => {
    expect(heightOf(aimed('vote', { vote: { top: 1900 } }), 'vote')!.top).toBeCloseTo(1900, 9);
  });
  it.each(['vote', 'line-up'] as const)('%s: no mark until its value is there, never replaced', (school) => {
    const p = plan(aimed(school));
    expect(p.findings.find((f) => f.code === 'school-needs-value')!.level).toBe('todo');
    expect([p.placement, p.holes, p.verdict]).toEqual([undefined, undefined, 'caution']);
  });

  // common practice: standing eyes about 170 cm
  it('standing: stated, else those who stand, else 170 cm as a guess', () => {
    const viewers = [
      { id: 'a', eye: 1600, distance: 2000, posture: 'standing' as const },
      { id: 'b', eye: 1650, distance: 2000, posture: 'standing' as const },
      { id: 'c', eye: 1100, distance: 2000 },
    ];
    const room = { ...testJob().room, viewers };
    expect(heightOf(testJob({ room }), 'standing')!.wanted).toBeCloseTo(1625, 9);
    expect(heightOf(testJob(), 'standing')!.wanted).toBe(1700);
    expect(heightOf(aimed('standing', { standing: { eye: 1500 } }), 'standing')!.wanted).toBe(1500);
    const guess = plan(aimed('standing')).findings.find((f) => f.code === 'still-guessed')!;
    expect(guess.values.paths).toContain('aim.schools.standing.eye');
  });
});

describe('settled marks of several people', () => {
  it('each counts once, however often they try, and by their weight', () => {
    const viewers = [
      { id: 'a', eye: 1000, distance: 2500, settled: [1100, 1120, 1110] },
      { id: 'b', eye: 1000, distance: 2500, settled: [1200], weight: 2 },
      { id: 'c', eye: 1300, distance: 2500 },
    ];
    const room = { ...testJob().room, viewers };
    expect(heightOf(testJob({ room }), 'eyes')!.wanted).toBeCloseTo((1110 + 2400 + 1300) / 4, 9);
  });
});

describe('picture distances', () => {
  // computation.md 4, from memory of ITU-R and ergonomic practice: multiples of the 16:9 diagonal and of the height
  const job = testJob({
    screen: { diagonal: 1000, mass: 10, pattern: { width: 200, height: 200 } },
  });
  const { width, height } = outlineOf(job.screen, []);
  const at = (rule: string) => pictureDistances(job, width, height).bounds.find((b) => b.rule === rule)!;
  it.each([
    ['across-30', 1.626, 1000],
    ['across-40', 1.197, 1000],
    ['lines-1080', 3.18, 490.3],
    ['lines-2160', 1.59, 490.3],
  ])('%s is %d times', (rule, times, of) => {
    expect(at(rule).distance / of).toBeCloseTo(times, 2);
    expect(evaluate(at(rule).working)).toBeCloseTo(at(rule).distance, 6);
  });
  it('a viewer outside is told, as a note', () => {
    const codes = (distance: number) => {
      const room = { ...testJob().room, viewers: [{ id: 'v1', eye: 1100, distance }] };
      return plan(testJob({ room })).findings.filter((f) => f.code.startsWith('sits-'));
    };
    // width 1118: 40 degrees at 1536, 30 at 2086 from the face, which is 120 out
    expect(codes(1600).map((f) => [f.code, f.level])).toEqual([['sits-near', 'info']]);
    expect(codes(1800)).toEqual([]);
    expect(codes(2300).map((f) => f.code)).toEqual(['sits-far']);
  });
});

describe('lift-on room', () => {
  it('a shelf just above the set is a caution, with what there is', () => {
    const under = (bottom: number) =>
      plan(
        testJob({
          choices: { centreY: 1100 },
          ...withObjects([{ ...thing('s', bottom, bottom + 40), kind: 'shelf' }]),
        }),
      ).findings.find((f) => f.code === 'lift-on-short');
    expect(under(1430)!.values).toEqual({ object: 's', haveMm: 10, needMm: 25 });
    expect(under(1444)!.values).toEqual({ object: 's', haveMm: 24, needMm: 25 });
    expect(under(1445)).toBeUndefined();
  });
});
