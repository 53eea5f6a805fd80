import { fireEvent, render, screen } from '@testing-library/react';
import { Dress } from './Dress';
import { Explained } from './Explained';
import { Txt } from './Txt';

describe('a word within a sentence', () => {
  const shown = () =>
    render(
      <Dress>
        <Txt>
          <Explained sentence="The plate hangs beside the nogging." />
        </Txt>
      </Dress>,
    );
  const meaning = () => screen.queryByTestId('word-meaning')?.textContent;
  it('opens what it means by a tap, and closes again', () => {
    const { container } = shown();
    expect(container.textContent).toContain('The plate hangs beside the nogging.');
    fireEvent.click(screen.getByTestId('word-nogging'));
    expect(meaning()).toContain('A short piece of wood across a bay');
    fireEvent.click(screen.getByLabelText('close'));
    expect(meaning()).toBeUndefined();
  });
  it.each(['Enter', ' '])('and by the key “%s”, and by no other', (key) => {
    shown();
    fireEvent.keyDown(screen.getByTestId('word-plate'), { key: 'a' });
    expect(meaning()).toBeUndefined();
    fireEvent.keyDown(screen.getByTestId('word-plate'), { key });
    expect(meaning()).toContain('screwed to the wall');
  });
});
