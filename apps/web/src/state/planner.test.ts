import type { Job, Plan } from '@steddo/contract';
import { guestRoom } from '@steddo/samples';
import { plan } from '@steddo/core';
import { TooLong } from '../worker/plan';
import { Planner, type Planned } from './planner';

const job = guestRoom;
const heavier: Job = { ...job, screen: { ...job.screen, mass: 40 } };
const heaviest: Job = { ...job, screen: { ...job.screen, mass: 50 } };

/** A planner whose page takes so long for a plan, and whose worker answers when told to. */
function planner(tookHere: number, last?: Plan) {
  let now = 0;
  const asked: { job: Job; answer: (plan: Plan) => void; fail: (error: Error) => void }[] = [];
  const made = new Planner(last, {
    here: (of) => {
      now += tookHere;
      return plan(of);
    },
    apart: (of) => new Promise((answer, fail) => asked.push({ job: of, answer, fail })),
    clock: () => now,
  });
  return { made, asked, pass: (ms: number) => (now += ms) };
}

const rest = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

describe('where a room is planned', () => {
  it('on the page, at once, while that is quick', () => {
    const { made, asked } = planner(30);
    for (const asIs of [job, heavier, job]) expect(made.plan(asIs, () => undefined).late).toBeUndefined();
    expect(asked).toEqual([]);
  });

  it('in the worker after a plan that took longer than a thumb waits, the last one standing meanwhile', async () => {
    const { made, asked } = planner(700);
    const first = made.plan(job, () => undefined);
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
    expect(made.plan(job, () => undefined).late).toBeUndefined();
    expect(asked.length).toBe(1);
  });

  it('says what it was busy with when two seconds were not enough, and keeps the last good plan', async () => {
    const good = plan(job);
    const { made, asked, pass } = planner(0, good);
    const heard: Planned[] = [];
    expect(made.plan(heavier, (p) => heard.push(p)).late).toEqual({ why: 'working' });
    pass(2000);
    asked[0]!.fail(new TooLong('reach'));
    await rest();
    expect(heard).toEqual([{ plan: good, late: { why: 'long', step: 'reach' } }]);
  });
});
