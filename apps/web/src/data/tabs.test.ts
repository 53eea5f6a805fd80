/** @jest-environment node */
import { memoryLocks } from '../testing/memoryLocks';
import { Turns } from './tabs';

const gate = () => {
  let open = () => {};
  return { shut: new Promise<void>((resolve) => (open = resolve)), open: () => open() };
};

describe('turns', () => {
  it('what one tab does with a room goes one after the other, and nothing of it is left out', async () => {
    const { alone } = new Turns(memoryLocks());
    const { shut, open } = gate();
    const done: string[] = [];
    const first = alone('a', async () => {
      await shut;
      done.push('sent');
    });
    const second = alone('a', async () => void done.push('taken back'));
    await alone('b', async () => void done.push('another room'));
    open();
    expect([await first, await second, done]).toEqual([true, true, ['another room', 'sent', 'taken back']]);
  });
  it('work that fails holds nothing up', async () => {
    const { alone } = new Turns(memoryLocks());
    const failing = alone('a', () => Promise.reject(new Error('full')));
    const next = alone('a', () => Promise.resolve());
    await expect(failing).rejects.toThrow('full');
    expect(await next).toBe(true);
  });
  it('another tab that has the room is not waited for, or as long as somebody has patience', async () => {
    const locks = memoryLocks();
    const [here, there] = [new Turns(locks), new Turns(locks)];
    const { shut, open } = gate();
    const held = there.alone('a', () => shut);
    const did: string[] = [];
    expect(await here.alone('a', async () => void did.push('at once'))).toBe(false);
    expect(await here.alone('a', async () => void did.push('too long'), 20)).toBe(false);
    const patient = here.alone('a', async () => void did.push('patient'), 5000);
    open();
    expect([await held, await patient, did]).toEqual([true, true, ['patient']]);
  });
});
