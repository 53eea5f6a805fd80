import { simulatedSlope, type LiveLevel } from '@steddo/core';
import { act, renderHook } from '@testing-library/react';
import { phoneLevel } from './phoneLevel';
import { useSteady } from './useSteady';

/** The stand-in for a phone: it tells its slope by the clock, and is taken up and turned by the test. */
function standIn(trueDeg: number, ownDeg: number) {
  const tell = simulatedSlope(trueDeg, ownDeg, 11);
  const hand = { turned: false, lifted: false };
  const level: LiveLevel = {
    follow: (told) => {
      const timer = setInterval(() => told(hand.lifted ? 40 : tell(hand.turned)), 60);
      return () => clearInterval(timer);
    },
  };
  return { level, hand };
}

describe('a phone that is held against a plate', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const pass = (ms: number) => act(() => jest.advanceTimersByTime(ms));

  it('reads once each time that it comes to rest', () => {
    const { level, hand } = standIn(0.5, 0.2);
    const read: number[] = [];
    renderHook(() => useSteady(level, (deg) => read.push(deg)));
    pass(1200);
    expect(read).toHaveLength(0);
    pass(4000);
    expect(read).toHaveLength(1);
    hand.lifted = true;
    pass(900);
    Object.assign(hand, { lifted: false, turned: true });
    pass(4000);
    expect(read).toHaveLength(2);
    // in its own frame: 0.5 + 0.2, and turned -0.5 + 0.2
    expect(read[0]).toBeCloseTo(0.7, 1);
    expect(read[1]).toBeCloseTo(-0.3, 1);
  });
  it('says that it hears nothing where there is no sensor', () => {
    const { result } = renderHook(() => useSteady({ follow: () => () => undefined }, () => undefined));
    expect(result.current.silent).toBe(false);
    pass(3000);
    expect(result.current.silent).toBe(true);
  });
});

describe('a device that cannot', () => {
  const set = (secure: boolean, event?: object) => {
    Object.defineProperty(window, 'isSecureContext', { value: secure, configurable: true });
    Object.defineProperty(window, 'DeviceOrientationEvent', { value: event, configurable: true, writable: true });
    if (!event) delete (window as { DeviceOrientationEvent?: unknown }).DeviceOrientationEvent;
  };
  it('is told apart: not secure, without a sensor, refused', async () => {
    set(false, {});
    expect(await phoneLevel()).toBe('not-secure');
    set(true);
    expect(await phoneLevel()).toBe('no-sensor');
    set(true, { requestPermission: () => Promise.resolve('denied') });
    expect(await phoneLevel()).toBe('refused');
    set(true, { requestPermission: () => Promise.reject(new Error('no tap')) });
    expect(await phoneLevel()).toBe('refused');
    set(true, { requestPermission: () => Promise.resolve('granted') });
    expect(await phoneLevel()).toMatchObject({ follow: expect.any(Function) as unknown });
  });
});
