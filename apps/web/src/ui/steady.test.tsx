import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { steady } from './steady';

let drawn = 0;
const Row = steady(function Row(props: { words: readonly string[]; onTap?: (word: string) => void }) {
  drawn += 1;
  const { words, onTap } = props;
  return (
    <button disabled={!onTap} onClick={() => onTap?.(words[0]!)}>
      {words.join(' ')}
    </button>
  );
});

const tapped: string[] = [];
function Page({ open }: { open: boolean }) {
  const [turn, setTurn] = useState(0);
  const [words, setWords] = useState(['one', 'two']);
  return (
    <>
      <Row words={[...words]} {...(open ? { onTap: (word) => tapped.push(`${word} at ${turn}`) } : {})} />
      <input aria-label="turn" onChange={() => setTurn(turn + 1)} />
      <input aria-label="words" onChange={() => setWords(['three'])} />
    </>
  );
}
const type = (name: string) =>
  fireEvent.change(screen.getByLabelText(name), { target: { value: String(drawn) + name } });

describe('a steady part', () => {
  beforeEach(() => {
    drawn = 0;
    tapped.length = 0;
  });
  it('is not drawn anew for functions that are new each time, and does what the latest do', () => {
    render(<Page open />);
    type('turn');
    fireEvent.change(screen.getByLabelText('turn'), { target: { value: 'again' } });
    expect(drawn).toBe(1);
    fireEvent.click(screen.getByRole('button'));
    expect(tapped).toEqual(['one at 2']);
  });
  it('is drawn anew when it shows something else, or can be tapped now and could not before', () => {
    const { rerender } = render(<Page open={false} />);
    expect(screen.getByRole('button').hasAttribute('disabled')).toBe(true);
    rerender(<Page open />);
    expect([drawn, screen.getByRole('button').hasAttribute('disabled')]).toEqual([2, false]);
    type('words');
    expect([drawn, screen.getByRole('button').textContent]).toEqual([3, 'three']);
    rerender(<Page open={false} />);
    expect(screen.getByRole('button').hasAttribute('disabled')).toBe(true);
  });
});
