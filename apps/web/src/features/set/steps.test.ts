import type { Job } from '@steddo/contract';
import { applyCommand } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { setSteps } from './steps';

const IN = 25.4;
const step = (job: Job, id: string) => setSteps(job).find((s) => s.id === id)!;
const typed = (job: Job, id: string, value: number) => applyCommand(job, step(job, id).field!.command(value, job)).job;

describe('the measuring of a set', () => {
  it('asks for how far the plugs stick out only when they go straight back', () => {
    const ids = (ports: Job['screen']['ports']) =>
      setSteps({ ...guestRoom, screen: { ...guestRoom.screen, ports } }).map((s) => s.id);
    expect(ids('side')).not.toContain('plugs');
    expect(ids('back')).toContain('plugs');
  });
  it('a guess is not known; once typed it is, and off the list', () => {
    const guess = { ...guestRoom, guessed: ['screen.width', 'screen.mass'] };
    expect([step(guess, 'width').known, step(guess, 'height').known]).toEqual([false, true]);
    const after = typed(guess, 'width', 970);
    expect(step(after, 'width').known).toBe(true);
    expect(after.guessed).toEqual(['screen.mass']);
  });
  it('top edge to the upper holes becomes where the pattern sits, and reads back the same', () => {
    const after = typed(guestRoom, 'top', 6 * IN);
    // 21 3/4 in tall: the middle is 10 7/8 down; the pattern's middle 6 in and 100 mm
    expect(after.screen.patternCentre!.up).toBeCloseTo((10.875 - 6) * IN - 100, 9);
    expect(step(after, 'top').field!.value).toBeCloseTo(6 * IN, 9);
    // what was known sideways stays
    expect(after.screen.patternCentre!.right).toBe(guestRoom.screen.patternCentre!.right);
  });
  it('every step says how, and every measure has its line or its words', () => {
    for (const s of setSteps(guestRoom)) {
      expect(s.how.length).toBeGreaterThan(20);
      if (s.id !== 'lay') expect([Boolean(s.field), Boolean(s.choice)]).toContain(true);
    }
  });
});
