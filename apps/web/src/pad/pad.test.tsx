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

const NONSENSE = ['abc', '12 34', '1,5', '3/7', '-99999', '99999999', '1e9', '58 9/8'];
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
        // every kind of nonsense on some, one kind on each
        const texts = at % 8 === 0 ? NONSENSE : [NONSENSE[at % 8]!];
        for (const text of texts) {
          fireEvent.change(screen.getByTestId('pad-text'), { target: { value: text } });
          fireEvent.click(screen.getByTestId('key-done'));
          expect(screen.getByTestId('pad-error').textContent).toMatch(/[Tt]akes|Write|write|go up to|cannot be less/);
          expect(screen.getByTestId<HTMLInputElement>('pad-text').value).toBe(text);
        }
        fireEvent.click(screen.getByLabelText(/close the pad/));
        fireEvent.click(opener());
        await settled();
        expect(screen.getByTestId<HTMLInputElement>('pad-text').value).toBe(texts.at(-1));
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
    expect(document.activeElement).toBe(screen.getByTestId('field-choices.centreY'));
  });
  it('closes where nothing was entered, and changes nothing', async () => {
    const room = openRoom(guestRoom, <HeightStage />);
    for (const text of ['', '  ', undefined]) {
      fireEvent.click(screen.getByTestId('field-aim.schools.above.gap'));
      await settled();
      if (text !== undefined) fireEvent.change(screen.getByTestId('pad-text'), { target: { value: text } });
      fireEvent.click(screen.getByTestId('key-done'));
      await settled();
      expect(screen.queryByTestId('pad')).toBeNull();
    }
    expect(room.commands).toEqual([]);
  });
  it('the unit goes round without a drift: 55 cm stays 55 cm, whatever it was shown as', async () => {
    const room = openRoom(guestRoom, <HeightStage />);
    const opened = async () => {
      fireEvent.click(screen.getByTestId('field-choices.centreY'));
      await settled();
    };
    const unit = () => fireEvent.click(screen.getByLabelText(/^unit .*, change$/));
    await opened();
    fireEvent.change(screen.getByTestId('pad-text'), { target: { value: '155 cm' } });
    for (let i = 0; i < 8; i++) unit();
    fireEvent.click(screen.getByTestId('key-done'));
    await settled();
    expect(room.job.choices?.centreY).toBe(1550);
    // opened again in inches and taken as it stands it is what it was
    await opened();
    expect(screen.getByTestId<HTMLInputElement>('pad-text').value).toBe('61');
    fireEvent.click(screen.getByTestId('key-done'));
    await settled();
    expect(room.job.choices?.centreY).toBe(1550);
  });
});
