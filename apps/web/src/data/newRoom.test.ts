import { checkFile, job as jobFormat } from '@steddo/contract';
import { plan } from '@steddo/core';
import { newRoom } from './newRoom';

describe('a new room', () => {
  it.each(['imperial', 'metric'] as const)('is a valid job at once (%s)', (units) => {
    expect(checkFile(jobFormat, newRoom('Test', units))).toMatchObject({ ok: true });
  });
  it('names every number that it starts with as a guess', () => {
    const room = newRoom('Test', 'metric');
    const guess = plan(room).findings.find((f) => f.code === 'still-guessed')!;
    for (const path of [
      'screen.diagonal',
      'screen.mass',
      'screen.pattern',
      'room.wall.width',
      'room.wall.build.kind',
      'aim.height',
    ])
      expect(guess.values.paths).toContain(path);
    expect(plan(room).verdict).toBe('caution');
    expect(plan(room).holes).toBeUndefined();
  });
});
