import fc from 'fast-check';
import {
  EMPTY_HISTORY,
  HISTORY_LIMIT,
  applyCommand,
  edit,
  measure,
  replaceJob,
  stepHistory,
  type Change,
  type Command,
  type JobPath,
} from '../src';
import { testJob } from './jobs';

const commands: fc.Arbitrary<Command> = fc.oneof(
  fc.record({
    do: fc.constant('put' as const),
    path: fc.constantFrom('title', 'screen.mass', 'choices.centreY', 'room.viewers.v1.eye'),
    value: fc.integer({ min: 1, max: 2000 }),
  }),
  fc
    .record({
      do: fc.constant('put' as const),
      id: fc.constantFrom('e1', 'l0', 'r1'),
      x: fc.integer({ min: 0, max: 3000 }),
    })
    .map(({ id, x, ...c }) => ({ ...c, path: `evidence.${id}` as const, value: { id, x } })),
  fc.record({
    do: fc.constant('drop' as const),
    path: fc.constantFrom(
      'choices.centreY',
      'evidence.l0',
      'evidence.r1',
      'mount',
      'room.objects.o1',
      'choices.at.all' as JobPath,
    ),
  }),
);

describe('commands', () => {
  it('leave the job that they were given alone', () => {
    const job = testJob();
    const before = JSON.stringify(job);
    applyCommand(job, { do: 'put', path: 'room.viewers.v1.eye', value: 1 });
    expect(JSON.stringify(job)).toBe(before);
  });
  it('share with it everything that they do not touch', () => {
    const job = testJob();
    const after = applyCommand(job, { do: 'put', path: 'room.viewers.v1.eye', value: 1 }).job;
    expect(after.evidence === job.evidence && after.mount === job.mount && after.room.wall === job.room.wall).toBe(
      true,
    );
    expect(after.room === job.room || after.room.viewers === job.room.viewers).toBe(false);
    expect(applyCommand(job, { do: 'drop', path: 'looks.at.all' }).job).toBe(job);
  });
  it('find list entries by id, and make what is missing on the way', () => {
    const { job } = applyCommand(testJob(), { do: 'put', path: 'choices.centreY', value: 1400 });
    expect(job.choices).toEqual({ centreY: 1400 });
    const scans = applyCommand(testJob(), {
      do: 'put',
      path: 'looks.k1',
      value: { id: 'k1', x: 1, y: 1, found: 'clear' },
    });
    expect(scans.job.looks).toHaveLength(1);
    expect(
      applyCommand(testJob(), { do: 'put', path: 'room.viewers.v1.eye', value: 5 }).job.room.viewers![0]!.eye,
    ).toBe(5);
  });
  it('refuse an entry whose id is not the one in the path', () => {
    expect(() => applyCommand(testJob(), { do: 'put', path: 'evidence.e1', value: { id: 'e2' } })).toThrow(TypeError);
  });
  it('refuse a path through a plain value', () => {
    expect(() => applyCommand(testJob(), { do: 'put', path: 'title.deeper' as JobPath, value: 1 })).toThrow(TypeError);
  });
  it('are undone by their inverse, whatever they were', () => {
    fc.assert(
      fc.property(fc.array(commands, { maxLength: 8 }), (list) => {
        const job = testJob();
        const { job: after, inverse } = applyCommand(job, { do: 'all', commands: list });
        const back = applyCommand(after, inverse).job;
        for (const key of Object.keys(job) as (keyof typeof job)[]) expect(back[key]).toEqual(job[key]);
      }),
      { seed: 8, numRuns: 300 },
    );
  });
  it('restore a dropped list entry to its place', () => {
    const job = testJob();
    const { job: after, inverse } = applyCommand(job, { do: 'drop', path: 'evidence.r0' });
    expect(after.evidence!.map((e) => e.id)).toEqual(['l0', 'l1', 'r1']);
    expect(applyCommand(after, inverse).job.evidence).toEqual(job.evidence);
  });
});

describe('measuring', () => {
  it('takes the path off the guesses', () => {
    const job = testJob({ guessed: ['screen.mass', 'room.wall.width'] });
    const { job: after } = applyCommand(job, measure(job, 'screen.mass', 9));
    expect(after.screen.mass).toBe(9);
    expect(after.guessed).toEqual(['room.wall.width']);
    expect(applyCommand(after, measure(after, 'room.wall.width', 3000)).job.guessed).toBeUndefined();
  });
});

describe('history', () => {
  it('takes back and does again', () => {
    const one = edit(testJob(), EMPTY_HISTORY, { do: 'put', path: 'screen.mass', value: 20 });
    const back = stepHistory(one.job, one.history, 'undo')!;
    expect(back.job.screen.mass).toBe(12);
    const again = stepHistory(back.job, back.history, 'redo')!;
    expect(again.job.screen.mass).toBe(20);
    expect(stepHistory(again.job, again.history, 'redo')).toBeUndefined();
  });
  it('keeps the last hundred', () => {
    let step = { job: testJob(), history: EMPTY_HISTORY, changes: [] as Change[] };
    for (let i = 1; i <= HISTORY_LIMIT + 20; i++)
      step = edit(step.job, step.history, { do: 'put', path: 'screen.mass', value: i });
    expect(step.history.undo).toHaveLength(HISTORY_LIMIT);
  });
  it('turns one version into another, and back', () => {
    const mine = testJob({ title: 'mine', choices: { centreY: 1 } });
    const theirs = testJob({ title: 'theirs', guessed: ['screen.mass'] });
    const taken = edit(mine, EMPTY_HISTORY, replaceJob(mine, theirs));
    expect(taken.job).toEqual(theirs);
    expect(stepHistory(taken.job, taken.history, 'undo')!.job).toEqual(mine);
  });
});
