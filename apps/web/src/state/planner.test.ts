import type { Job, Plan } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { plan } from '@steddo/core';
import { LIMIT_MS, TooLong, type Patience } from '../worker/plan';
import { earlyPlanner } from '../testing/earlyPlanner';
import { AGAIN, Planner, type Planned } from './planner';

const job = guestRoom;
const heavier: Job = { ...job, screen: { ...job.screen, mass: 40 } };
const heaviest: Job = { ...job, screen: { ...job.screen, mass: 50 } };

/** A planner whose page takes so long for a plan, and whose worker answers when told to. */
function planner(tookHere: number, last?: Plan) {
  let now = 0;
  const asked: (Patience & { job: Job; answer: (plan: Plan) => void; fail: (error: Error) => void })[] = [];
  const waits: { ms: number; then: () => void }[] = [];
  const made = new Planner(last, {
    here: () => (of) => {
      now += tookHere;
      return plan(of);
    },
    comes: () => Promise.resolve(),
    first: () => undefined,
    apart: (of, patience) => new Promise((answer, fail) => asked.push({ ...patience, job: of, answer, fail })),
    clock: () => now,
    after: (ms, then) => waits.push({ ms, then }),
  });
  return { made, asked, waits, pass: (ms: number) => (now += ms) };
}

const rest = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

describe('where a room is planned', () => {
  it('on the page, at once, while that is quick', () => {
    const { made, asked } = planner(30);
    for (const asIs of [job, heavier, job]) expect(made.plan(asIs, () => undefined)!.late).toBeUndefined();
    expect(asked).toEqual([]);
  });

  it('in the worker after a plan that took longer than a thumb waits, the last one standing meanwhile', async () => {
    const { made, asked } = planner(700);
    const first = made.plan(job, () => undefined)!;
    expect(first.late).toBeUndefined();
    const heard: Planned[] = [];
    expect(made.plan(heavier, (p) => heard.push(p))).toEqual({ plan: first.plan, late: { why: 'working' } });
    const answer = plan(heavier);
    asked[0]!.answer(answer);
    await rest();
    expect(heard).toEqual([{ plan: answer, late: undefined }]);
  });

  it('only the last of several that were asked for meanwhile, and the page hears of no other', async () => {
    const { made, asked, pass } = planner(700);
    made.plan(job, () => undefined);
    const heard: string[] = [];
    made.plan(heavier, () => heard.push('heavier'));
    made.plan(job, () => heard.push('back'));
    made.plan(heaviest, () => heard.push('heaviest'));
    pass(700);
    asked[0]!.answer(plan(heavier));
    await rest();
    expect(asked.map((a) => a.job.screen.mass)).toEqual([40, 50]);
    asked[1]!.answer(plan(heaviest));
    await rest();
    expect(heard).toEqual(['heaviest']);
  });

  it('on the page again when the worker was quick', async () => {
    const { made, asked, pass } = planner(700);
    made.plan(job, () => undefined);
    made.plan(heavier, () => undefined);
    pass(90);
    asked[0]!.answer(plan(heavier));
    await rest();
    expect(made.plan(job, () => undefined)!.late).toBeUndefined();
    expect(asked.length).toBe(1);
  });

  it('says what it was busy with when two seconds were not enough, and keeps the last good plan', async () => {
    const good = plan(job);
    const { made, asked, pass } = planner(0, good);
    const heard: Planned[] = [];
    expect(made.plan(heavier, (p) => heard.push(p))!.late).toEqual({ why: 'working' });
    pass(2000);
    asked[0]!.fail(new TooLong('reach'));
    await rest();
    expect(heard).toEqual([{ plan: good, late: { why: 'long', step: 'reach' } }]);
  });

  it('tries an ended plan again after a while, a few times, and not once another is asked for', async () => {
    const good = plan(job);
    const { made, asked, waits } = planner(0, good);
    const heard: Planned[] = [];
    const end = async () => {
      asked.at(-1)!.fail(new TooLong('reach'));
      await rest();
    };
    made.plan(heavier, (p) => heard.push(p));
    for (const { afterMs } of AGAIN) {
      await end();
      expect(waits.at(-1)!.ms).toBe(afterMs);
      waits.at(-1)!.then();
    }
    const answer = plan(heavier);
    asked.at(-1)!.answer(answer);
    await rest();
    expect(heard.map((p) => p.late?.why)).toEqual(['long', 'long', undefined]);
    expect(heard.at(-1)!.plan).toBe(answer);
    // each time with more time than the last
    expect(asked.map((a) => a.limit)).toEqual([LIMIT_MS, ...AGAIN.map((a) => a.limitMs)]);
    expect(asked.at(-1)!.limit).toBeGreaterThan(10 * LIMIT_MS);

    const other = planner(0, good);
    other.made.plan(heavier, () => undefined);
    other.asked[0]!.fail(new TooLong('reach'));
    await rest();
    other.made.plan(heaviest, () => undefined);
    other.asked[1]!.answer(plan(heaviest));
    await rest();
    other.waits[0]!.then();
    expect(other.asked.length).toBe(2);
  });

  it('ends what is tried again with more time once another job is asked for', async () => {
    const { made, asked, waits } = planner(0, plan(job));
    made.plan(heavier, () => undefined);
    asked[0]!.fail(new TooLong('reach'));
    await rest();
    waits[0]!.then();
    expect(asked[1]!.unwanted!.aborted).toBe(false);
    const heard: Planned[] = [];
    made.plan(heaviest, (p) => heard.push(p));
    expect(asked[1]!.unwanted!.aborted).toBe(true);
    asked[1]!.fail(new TooLong('reach'));
    await rest();
    expect([asked[2]!.job, asked[2]!.unwanted]).toEqual([heaviest, undefined]);
    const answer = plan(heaviest);
    asked[2]!.answer(answer);
    await rest();
    expect(heard.map((p) => p.plan)).toEqual([answer]);
  });

  it('gives up on a plan that is ended every time', async () => {
    const { made, asked, waits } = planner(0, plan(job));
    made.plan(heavier, () => undefined);
    for (let n = 0; n <= AGAIN.length; n += 1) {
      asked.at(-1)!.fail(new TooLong('reach'));
      await rest();
      waits[n]?.then();
    }
    expect([asked.length, waits.length]).toEqual([1 + AGAIN.length, AGAIN.length]);
  });

  it('when what does that has come, and then what was asked for last; nobody is given anything before', async () => {
    let come = () => {};
    let there = false;
    const [began, heard]: [string[], Planned[]] = [[], []];
    const made = earlyPlanner(
      { here: () => (there ? plan : undefined), comes: () => new Promise<void>((resolve) => (come = resolve)) },
      () => void began.push('first'),
    );
    expect(made.plan(job, (p) => heard.push(p))).toBeUndefined();
    expect(made.plan(heavier, (p) => heard.push(p))).toBeUndefined();
    expect([began, heard]).toEqual([[], []]);
    there = true;
    come();
    await rest();
    expect(heard).toEqual([{ plan: plan(heavier), late: undefined }]);
    // from then on at once
    expect(made.plan(heaviest, () => undefined)).toEqual({ plan: plan(heaviest), late: undefined });
    expect(began).toEqual(['first']);
  });

  it('of what was asked for last even if that could be had just before the one that waited', async () => {
    let there = false;
    const made = earlyPlanner({ here: () => (there ? plan : undefined), comes: () => Promise.resolve() });
    const heard: Planned[] = [];
    made.plan(job, (p) => heard.push(p));
    there = true;
    expect(made.plan(heavier, () => undefined)).toEqual({ plan: plan(heavier), late: undefined });
    await rest();
    expect(heard).toEqual([]);
  });

  it('says why where there will be none at all', async () => {
    let there = false;
    const made = earlyPlanner({
      here: () => (there ? broken : undefined),
      comes: () => Promise.resolve(void (there = true)),
    });
    const broken = () => {
      throw new Error('a mistake');
    };
    const heard: unknown[] = [];
    expect(
      made.plan(
        job,
        () => heard.push('a plan'),
        (error) => heard.push(error),
      ),
    ).toBeUndefined();
    await rest();
    expect(heard).toEqual([new Error('a mistake')]);
  });
});
