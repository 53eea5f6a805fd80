import type { Job, Plan } from '@steddo/contract';
import type { PlanStep } from '@steddo/core';
import { LIMIT_MS, planApart, TooLong } from './plan';

const mockApi = { plan: jest.fn<Promise<Plan>, [Job, (step: PlanStep) => void]>() };
jest.mock('comlink', () => ({ wrap: () => mockApi, proxy: <T>(it: T) => it }));

const JOB = {} as Job;
const PLAN = {} as Plan;

describe('a worker that plans', () => {
  const terminate = jest.fn();
  let tell: (step: PlanStep) => void;
  beforeEach(() => {
    jest.useFakeTimers();
    terminate.mockClear();
    Object.assign(globalThis, { Worker: jest.fn(() => ({ terminate })) });
  });
  afterEach(() => jest.useRealTimers());
  const planning = (answer: Promise<Plan>) =>
    mockApi.plan.mockImplementationOnce((_, watch) => {
      tell = watch;
      return answer;
    });

  it('is ended, and what it was busy with is named, when its limit is over', async () => {
    planning(new Promise(() => undefined));
    const failed = planApart(JOB).catch((error: unknown) => error);
    await jest.advanceTimersByTimeAsync(0);
    tell('studs');
    await jest.advanceTimersByTimeAsync(LIMIT_MS);
    const error = await failed;
    expect(error).toBeInstanceOf(TooLong);
    expect((error as TooLong).step).toBe('studs');
    expect(terminate).toHaveBeenCalledTimes(1);
  });
  it('lives on when it tells of a step, or is called off, after it has answered', async () => {
    planning(Promise.resolve(PLAN));
    const unwanted = new AbortController();
    expect(await planApart(JOB, { limit: LIMIT_MS, unwanted: unwanted.signal })).toBe(PLAN);
    tell('studs');
    unwanted.abort();
    await jest.advanceTimersByTimeAsync(10 * LIMIT_MS);
    expect(terminate).not.toHaveBeenCalled();
  });
});
