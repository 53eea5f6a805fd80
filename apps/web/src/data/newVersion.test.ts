import { takeOnce } from './newVersion';

describe('a newer app that is taken', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  it('is asked for until it is there, once at a time however often it is tapped; then the page is loaded', () => {
    const container = new EventTarget();
    const asked: unknown[] = [];
    const reload = jest.fn();
    const take = takeOnce(
      container as unknown as ServiceWorkerContainer,
      { postMessage: (m: unknown) => void asked.push(m) },
      reload,
    );
    take();
    take();
    expect(asked).toEqual([{ type: 'SKIP_WAITING' }]);
    jest.advanceTimersByTime(4500);
    expect(asked).toHaveLength(3);
    expect(reload).not.toHaveBeenCalled();
    container.dispatchEvent(new Event('controllerchange'));
    container.dispatchEvent(new Event('controllerchange'));
    expect(reload).toHaveBeenCalledTimes(1);
  });
});
