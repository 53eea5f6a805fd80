import { guestRoom } from '@steddo/samples';
import { act, fireEvent, screen } from '@testing-library/react';
import { openRoom } from '../testing/openRoom';
import { useMoveSet } from './useMoveSet';

jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));

const AT_REST_MS = 1000;

function Nudged() {
  const { nudge } = useMoveSet();
  return (
    <>
      <button onKeyDown={() => nudge(-1, 0)}>sideways</button>
      <button onKeyDown={() => nudge(0, 1)}>up</button>
    </>
  );
}

describe('the set moved by keys', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const press = (name: string) => {
    fireEvent.keyDown(screen.getByText(name), { key: 'ArrowLeft' });
    act(() => void jest.advanceTimersByTime(AT_REST_MS));
  };
  it.each([false, true])('goes on from where it was moved to, though its plan be late (%s)', (slow) => {
    const job = {
      ...guestRoom,
      units: 'metric' as const,
      choices: { ...guestRoom.choices, centreX: 2100, centreY: 1400 },
    };
    const room = openRoom(job, <Nudged />, { slow });
    for (const name of ['sideways', 'sideways', 'up', 'up', 'sideways']) press(name);
    expect(room.job.choices).toMatchObject({ centreX: 2097, centreY: 1402 });
  });
});
