import type { ComponentType } from 'react';
import { act, render, screen } from '@testing-library/react';
import { Later, inOrder, laterPart, useSoon } from './later';

/** Something that comes when it is told to, or fails to. */
function slow<T>() {
  const asked: { come: (what: T) => void; fail: () => void }[] = [];
  const load = () => new Promise<T>((come, fail) => asked.push({ come, fail: () => fail(new Error('no server')) }));
  return { asked, load };
}

describe('what comes after a page', () => {
  it('is brought once, however often it is asked for', async () => {
    const { asked, load } = slow<string>();
    const later = new Later(load);
    const [a, b] = [later.bring(), later.bring()];
    expect([asked.length, later.there]).toEqual([1, undefined]);
    asked[0]!.come('it');
    expect([await a, await b, later.there]).toEqual(['it', 'it', 'it']);
  });
  it('is asked for again until it can be had, after twice the wait each time, and half a minute at most', async () => {
    const waits: number[] = [];
    let fails = 7;
    const later = new Later(
      () => (fails-- > 0 ? Promise.reject(new Error('no server')) : Promise.resolve('it')),
      (ms) => Promise.resolve(void waits.push(ms)),
    );
    expect(await later.bring()).toBe('it');
    expect(waits).toEqual([1500, 3000, 6000, 12_000, 24_000, 30_000, 30_000]);
  });
  it('is asked for at once when the device is in a network again', async () => {
    const { asked, load } = slow<string>();
    const later = new Later(load);
    void later.bring();
    asked[0]!.fail();
    await act(() => Promise.resolve());
    expect(asked).toHaveLength(1);
    window.dispatchEvent(new Event('online'));
    await act(() => Promise.resolve());
    expect(asked).toHaveLength(2);
  });
  it('is brought in order, each when the one before is there', async () => {
    const [first, second] = [slow<string>(), slow<string>()];
    const all = inOrder([new Later(first.load), new Later(second.load)]);
    expect([first.asked.length, second.asked.length]).toEqual([1, 0]);
    first.asked[0]!.come('a');
    await act(() => Promise.resolve());
    expect(second.asked).toHaveLength(1);
    second.asked[0]!.come('b');
    await all;
  });
});

const Meanwhile = () => <p>not yet</p>;
const Word = ({ word }: { word: string }) => <p>{word}</p>;

describe('a part of a page that comes later', () => {
  it('is stood in for until it is there, and from then on drawn at once', async () => {
    const { asked, load } = slow<ComponentType<{ word: string }>>();
    const Part = laterPart(load, Meanwhile);
    const { unmount } = render(<Part word="one" />);
    expect(screen.getByText('not yet')).toBeTruthy();
    await act(async () => asked[0]!.come(Word));
    expect(screen.getByText('one')).toBeTruthy();
    unmount();
    render(<Part word="two" />);
    expect([screen.queryByText('two') !== null, screen.queryByText('not yet')]).toEqual([true, null]);
    expect(asked).toHaveLength(1);
  });
});

describe('a page with parts that come later', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  function open(parts: readonly Later<unknown>[]) {
    const Page = () => (useSoon(parts) ? <p>shown</p> : <p>opening</p>);
    render(<Page />);
  }
  const words = () => screen.getByText(/shown|opening/).textContent;
  it('waits a moment for all of them, to be shown whole', async () => {
    const { asked, load } = slow<string>();
    open([new Later(load)]);
    expect(words()).toBe('opening');
    await act(async () => asked[0]!.come('it'));
    expect(words()).toBe('shown');
  });
  it('is shown without them when they take longer', async () => {
    open([new Later(slow<string>().load)]);
    act(() => void jest.advanceTimersByTime(200));
    expect(words()).toBe('opening');
    act(() => void jest.advanceTimersByTime(100));
    expect(words()).toBe('shown');
  });
  it('is shown at once when they are there', async () => {
    const part = new Later(() => Promise.resolve('it'));
    await part.bring();
    open([part]);
    expect(words()).toBe('shown');
  });
});
