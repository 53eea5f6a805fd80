import { plan } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { newRoom } from '../data/newRoom';
import { sideWord } from '../state/barNumbers';
import { isStage } from '../state/stageIds';
import { nextStage, STAGE, stageState } from './stages';

// the stages carry their screens, which a unit test has no page or workers for
jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));
jest.mock('../worker/catalogue', () => ({ catalogueWorker: () => undefined, proxy: undefined }));
jest.mock('../worker/wall', () => ({ wallWorker: () => undefined }));
jest.mock('../worker/reach', () => ({ reachWorker: () => undefined }));

const fresh = newRoom('Test', 'imperial');
const measured = {
  ...fresh,
  guessed: undefined,
  screen: { ...fresh.screen, width: 1100, height: 620 },
};

describe('stages', () => {
  it('a fresh room lacks everything that is a guess', () => {
    expect(stageState('set', fresh, plan(fresh)).needs).toBe(true);
    expect(stageState('room', fresh, plan(fresh)).needs).toBe(true);
  });
  it('after the room comes the set, then the mount', () => {
    expect(nextStage('room', fresh, plan(fresh))).toBe('set');
    expect(nextStage('room', measured, plan(measured))).toBe('mount');
    expect(nextStage('set', measured, plan(measured))).toBe('mount');
  });
  it('after the height a set on an arm is looked at where it moves, any other goes on to the wall', () => {
    expect(nextStage('height', atticSnug, plan(atticSnug))).toBe('reach');
    expect(nextStage('reach', atticSnug, plan(atticSnug))).toBe('wall');
    expect(stageState('reach', atticSnug, plan(atticSnug)).needs).toBe(false);
    const still = { ...atticSnug, mount: guestRoom.mount! };
    expect(nextStage('height', still, plan(still))).toBe('wall');
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
