import type { Job, LevelReading, Mount } from '@steddo/contract';
import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { levelNumbers } from './barNumbers';

describe('the level in the bar', () => {
  const hung: LevelReading = { id: 'r1', instrument: 'digital', angle: 0.3, on: 'set', when: 'hung' };
  const shown = (trim: Mount['trim'], reading = hung) => {
    const job: Job = { ...guestRoom, mount: { ...guestRoom.mount!, trim }, levelReadings: [reading] };
    const [, correction] = levelNumbers(job, plan(job));
    return [correction!.label, correction!.working?.value, correction!.as];
  };
  // by hand: 0.3 degrees over 300 are 1.571, at 1.25 a turn 1.257
  it('shows the first correction that serves, in its own unit', () => {
    expect(shown({ height: 8, pitch: 1.25, screwSpan: 300 })).toEqual([
      'turns, left',
      expect.closeTo(1.257, 3),
      undefined,
    ]);
    // screws that give too little: the next in order
    expect(shown({ height: 0.5, pitch: 1.25, screwSpan: 300 })[0]).not.toBe('turns, left');
    expect(shown({ roll: 2 }, { ...hung, angle: 1 })).toEqual(['roll, left up', expect.closeTo(1, 9), undefined]);
    expect(shown({ roll: 2 }, { ...hung, angle: 0 })[1]).toBeUndefined();
  });
});
