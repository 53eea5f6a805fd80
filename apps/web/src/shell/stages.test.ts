import type { Job } from '@steddo/contract';
import { plan } from '@steddo/core';
import { atticSnug, breakfastBar, guestRoom } from '@steddo/samples';
import { newRoom } from '../data/newRoom';
import { sideWord } from '../state/barNumbers';
import { STAGES, isStage, type BuiltStage } from '../state/stageIds';
import { nextStep } from '../state/nextStep';
import { stageState } from '../state/stageNeeds';
import { STAGE } from './stages';

// the stages carry their screens, which a unit test has no page or workers for
jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../worker/catalogue', () => ({ catalogueWorker: () => undefined }));
jest.mock('../worker/wall', () => ({ wallWorker: () => undefined }));
jest.mock('../worker/reach', () => ({ reachWorker: () => undefined }));

const fresh = newRoom('Test', 'imperial');
const measured = {
  ...fresh,
  guessed: undefined,
  screen: { ...fresh.screen, width: 1100, height: 620 },
};

/** The mount is still in its box. */
const { ticks: _, ...unfitted } = guestRoom;

describe('the next step', () => {
  const to = (stage: BuiltStage, job: Job) => {
    const next = nextStep(stage, job, plan(job));
    return next.to === 'stage' ? next.stage : next.to;
  };
  const way = (job: Job, from: BuiltStage): string[] => {
    const stages: string[] = [from];
    for (let at = from; stages.length < 12;) {
      const next = to(at, job);
      stages.push(next);
      if (!isStage(next)) break;
      at = next;
    }
    return stages;
  };
  it('goes forward through all that a new room lacks', () => {
    expect(way(fresh, 'set').slice(0, 4)).toEqual(['set', 'room', 'mount', 'height']);
  });
  it('leaves out what is measured, and ends at the wall', () => {
    expect(way(measured, 'set').slice(0, 2)).toEqual(['set', 'mount']);
    expect(way(guestRoom, 'set')).toEqual(['set', 'holes', 'ladder']);
    expect(way(unfitted, 'set')).toEqual(['set', 'fit', 'holes', 'ladder']);
  });
  it('after the height of a set on an arm comes its reach; any other goes on', () => {
    expect([to('height', atticSnug), to('reach', atticSnug)]).toEqual(['reach', 'wall']);
    expect(stageState('reach', atticSnug, plan(atticSnug)).needs).toBe(false);
    expect(to('height', { ...atticSnug, mount: guestRoom.mount! })).toBe('wall');
  });
  it('a wall of units is set out from a joint first; once one is marked the way goes on to the holes', () => {
    expect(to('height', breakfastBar)).toBe('reach');
    const unmarked = { ...breakfastBar, mount: guestRoom.mount!, evidence: [] };
    expect(to('height', unmarked)).toBe('wall');
    expect(to('wall', unmarked)).toBe('holes');
  });
  it('never leads to where one is', () => {
    for (const job of [fresh, measured, guestRoom, atticSnug, breakfastBar])
      for (const stage of STAGES) expect(to(stage, job)).not.toBe(stage);
  });
  it('never leads to the wall or on from it past a stop: to the stop, or says that it is here', () => {
    const none = { ...guestRoom, evidence: [], scans: [], mount: undefined };
    expect([to('holes', none), to('level', none)]).toEqual(['mount', 'mount']);
    const heavy: Job = { ...guestRoom, screen: { ...guestRoom.screen, mass: 90 } };
    const stops = plan(heavy)
      .findings.filter((f) => f.level === 'stop')
      .map((f) => f.stage);
    expect(stops).toContain('mount');
    // from the stop itself nothing leads on, only to be led back
    expect(to('mount', heavy)).toBe('here');
    expect([to('wall', atticSnug), to('holes', atticSnug)]).toEqual(['here', 'wall']);
    expect(to('holes', heavy)).toBe('mount');
  });
  it('after the last hole the level, then the hanging, and at its end the end', () => {
    const holes = plan(guestRoom).holes!;
    const drilled = holes.map(({ id, x, y, into }) => ({ hole: id, x, y, into, result: 'good' as const }));
    const done: Job = { ...guestRoom, drilled };
    expect([to('holes', done), to('level', done), to('hang', done)]).toEqual(['level', 'hang', 'hanging']);
    const ticks = plan(done).hang!.steps.map(({ id }) => ({ step: id }));
    expect(to('hang', { ...done, ticks })).toBe('done');
    // nobody is called back to the set once something is drilled
    const begun: Job = { ...unfitted, drilled };
    expect([stageState('fit', unfitted, plan(unfitted)).needs, stageState('fit', begun, plan(begun)).needs]).toEqual([
      true,
      false,
    ]);
    const [, ...rest] = drilled;
    expect(nextStep('level', { ...guestRoom, drilled: rest }, plan({ ...guestRoom, drilled: rest }))).toEqual({
      to: 'ladder',
      left: 1,
    });
  });
});

describe('stages', () => {
  it('a fresh room lacks everything that is a guess', () => {
    expect(stageState('set', fresh, plan(fresh)).needs).toBe(true);
    expect(stageState('room', fresh, plan(fresh)).needs).toBe(true);
  });
  it('know their names', () => {
    expect([isStage('height'), isStage('hand-over'), isStage(undefined)]).toEqual([true, false, false]);
  });
  it('a number that is not known has no working', () => {
    expect(STAGE.height.numbers(measured, plan(measured)).map((n) => [n.label, n.working === undefined])).toEqual([
      ['bottom', false],
      ['centre', false],
      ['hook', true],
    ]);
  });
  it('sides have words', () => {
    expect([sideWord(-3), sideWord(3), sideWord(0)]).toEqual(['left', 'right', undefined]);
  });
});
