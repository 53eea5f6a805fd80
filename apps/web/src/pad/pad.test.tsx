import { guestRoom } from '@steddo/samples';
import { fireEvent, screen } from '@testing-library/react';
import { HeightStage } from '../features/height/HeightStage';
import { LevelStage } from '../features/level/LevelStage';
import { RoomStage } from '../features/room/RoomStage';
import { SetStage } from '../features/set/SetStage';
import { openRoom, settled } from '../testing/openRoom';

jest.mock('../data/shared', () => jest.requireActual('../testing/memoryStore').memoryStore());
jest.mock('expo-router', () => ({ router: {} }));

jest.setTimeout(60_000);

const NONSENSE = ['', 'abc', '12 34', '1,5', '3/7', '-99999', '99999999', '1e9', '58 9/8'];
const STAGES = { set: SetStage, room: RoomStage, height: HeightStage, level: LevelStage };

describe('every field', () => {
  it.each(Object.keys(STAGES) as (keyof typeof STAGES)[])(
    'at %s refuses nonsense, says what it takes, and keeps what was typed',
    async (stage) => {
      const Body = STAGES[stage];
      const room = openRoom(guestRoom, <Body />);
      // by attribute and not by role: working out every role of a page is slow without a browser
      for (const fold of document.querySelectorAll('[aria-expanded=false]')) fireEvent.click(fold);
      const openers = stage === 'level' ? [screen.getByTestId('add-reading')] : screen.getAllByTestId(/^field-/);
      expect(openers.length).toBeGreaterThan(stage === 'level' ? 0 : 4);
      for (const [at, { dataset }] of openers.entries()) {
        const opener = () => screen.getByTestId(dataset.testid!);
        fireEvent.click(opener());
        await settled();
        // every kind of nonsense on some, two and the last on each
        for (const text of at % 4 === 0 ? NONSENSE : [...NONSENSE.slice(1, 3), NONSENSE.at(-1)!]) {
          fireEvent.change(screen.getByTestId('pad-text'), { target: { value: text } });
          fireEvent.click(screen.getByTestId('key-done'));
          expect(screen.getByTestId('pad-error').textContent).toMatch(/[Tt]akes|Write|write|go up to|cannot be less/);
          expect(screen.getByTestId<HTMLInputElement>('pad-text').value).toBe(text);
        }
        fireEvent.click(screen.getByLabelText(/close the pad/));
        fireEvent.click(opener());
        await settled();
        expect(screen.getByTestId<HTMLInputElement>('pad-text').value).toBe(NONSENSE.at(-1));
        fireEvent.click(screen.getByLabelText(/close the pad/));
        expect(screen.queryByTestId('pad')).toBeNull();
      }
      expect([room.commands, room.job]).toEqual([[], guestRoom]);
    },
  );
  it('takes what is sense: the number is in the job and the pad is gone', async () => {
    const room = openRoom(guestRoom, <HeightStage />);
    fireEvent.click(screen.getByTestId('field-choices.centreY'));
    await settled();
    fireEvent.change(screen.getByTestId('pad-text'), { target: { value: '60 1/2' } });
    fireEvent.click(screen.getByTestId('key-done'));
    await settled();
    expect(room.job.choices?.centreY).toBeCloseTo(60.5 * 25.4, 9);
    expect(screen.queryByTestId('pad')).toBeNull();
  });
});
