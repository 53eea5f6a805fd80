import { checkFile, job as jobFormat, type Job } from '@steddo/contract';
import { plan } from '@steddo/core';
import { atticSnug, guestRoom } from '@steddo/samples';
import { freeTitle, newRoom, newRoomFrom } from './newRoom';

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

describe('a room from another', () => {
  it('has its set, mount, kit and what was measured on it, and nothing of its wall', () => {
    const from: Job = { ...atticSnug, choices: { armHole: 0, plateX: 900, centreY: 1100 }, lags: guestRoom.lags ?? [] };
    const made = newRoomFrom(from, 'Next door');
    expect(checkFile(jobFormat, made)).toMatchObject({ ok: true });
    const { screen, mount, measured, lags, choices, units } = made;
    expect({ screen, mount, measured, lags, units }).toEqual({
      screen: from.screen,
      mount: from.mount,
      measured: from.measured,
      lags: from.lags,
      units: from.units,
    });
    expect(choices).toEqual({ armHole: 0 });
    for (const part of ['evidence', 'scans', 'looks', 'drilled', 'levelReadings', 'record'] as const)
      expect(made[part]).toBeUndefined();
    expect([made.room, made.title]).toEqual([newRoom('', units).room, 'Next door']);
  });
  it('guesses its wall, and of the set what was a guess before', () => {
    const guessed = ['screen.mass', 'room.wall.height'];
    const made = newRoomFrom({ ...guestRoom, guessed }, 'Next door');
    expect(made.guessed).toContain('screen.mass');
    expect(made.guessed).not.toContain('screen.diagonal');
    expect(made.guessed).toEqual(expect.arrayContaining(['room.wall.width', 'room.wall.build.kind', 'aim.height']));
  });
});

it.each([
  ['Room 1', [], 'Room 1'],
  ['Room 1', ['Room 1', 'Room 2', 'Room 4'], 'Room 3'],
  ['Attic', ['Attic'], 'Attic 2'],
  ['Attic, copy', ['Attic', 'Attic, copy', 'Attic, copy 2'], 'Attic, copy 3'],
])('%s beside %j becomes %s', (wished, taken, title) => expect(freeTitle(wished, taken)).toBe(title));
