/** @jest-environment node */
import type { Job } from '@steddo/contract';
import { plan } from '@steddo/core';
import { guestRoom } from '@steddo/samples';
import { TooLong } from '../../worker/plan';
import { listedOf, type Listed } from '../../worker/listed';
import { ListedPlans } from './listedPlans';

jest.mock('../../data/shared', () => jest.requireActual('../../testing/memoryStore').memoryStore());

const named = (title: string): Job => ({ ...guestRoom, title });
const listed = listedOf(guestRoom, plan(guestRoom));
const rest = () => new Promise((resolve) => setTimeout(resolve));

function bench(make: (job: Job, limit: number) => Promise<Listed> = () => Promise.resolve(listed)) {
  const asked: string[] = [];
  const plans = new ListedPlans((job, limit) => {
    asked.push(job.title);
    return make(job, limit);
  });
  const want = (title: string) => plans.want(title, named(title));
  return { plans, asked, want };
}

describe('rooms of the list', () => {
  it('are worked out once each, however many rows and looks', async () => {
    const b = bench();
    const first = b.want('one');
    b.want('one');
    await rest();
    first();
    b.want('one');
    await rest();
    expect(b.asked).toEqual(['one']);
    expect(b.plans.get('one')).toMatchObject({ stage: 'holes', waits: '4 holes to drill' });
  });
  it('that nobody looks at any more are left out, and done when somebody does again', async () => {
    let come = () => {};
    const held = new Promise<void>((resolve) => (come = resolve));
    const b = bench(() => held.then(() => listed));
    b.want('one');
    const gone = b.want('two');
    b.want('three');
    gone();
    come();
    await rest();
    expect(b.asked).toEqual(['one', 'three']);
    b.want('two');
    await rest();
    expect(b.plans.get('two')).toBeDefined();
  });
  it('that cannot be worked out say so, and take no other with them', async () => {
    const b = bench(({ title }) =>
      title === 'endless'
        ? Promise.reject(new TooLong('plate'))
        : title === 'broken'
          ? Promise.reject(new Error('no'))
          : Promise.resolve(listed),
    );
    for (const title of ['endless', 'broken', 'sound']) b.want(title);
    await rest();
    expect(['endless', 'broken', 'sound'].map((t) => b.plans.get(t)!.waits)).toEqual([
      'It takes too long to be worked out here; open it to see what it has.',
      'It cannot be worked out; open it to see what it has.',
      '4 holes to drill',
    ]);
  });
  it('that took long are tried once more with more time, after all others', async () => {
    const b = bench(({ title }, limit) =>
      title === 'one' || (title === 'two' && limit < 5000)
        ? Promise.reject(new TooLong('plate'))
        : Promise.resolve(listed),
    );
    for (const title of ['one', 'two', 'three']) b.want(title);
    await rest();
    expect(b.asked).toEqual(['one', 'two', 'three', 'one', 'two']);
    expect(['one', 'two'].map((t) => b.plans.get(t)!.stage)).toEqual(['set', 'holes']);
    b.want('four');
    await rest();
    expect(b.asked.slice(5)).toEqual(['four']);
  });
  it('for which no worker came the first time are worked out when it is there', async () => {
    let there = false;
    const b = bench(() => (there ? Promise.resolve(listed) : Promise.reject(new Error('no worker answers'))));
    b.want('one');
    await Promise.resolve();
    there = true;
    await rest();
    expect(b.plans.get('one')!.stage).toBe('holes');
  });
  it('tell of each as it is there', async () => {
    const b = bench();
    const told: boolean[] = [];
    b.plans.subscribe(() => told.push(b.plans.get('two') !== undefined));
    b.want('one');
    b.want('two');
    await rest();
    expect(told).toEqual([false, true]);
  });
});
