import type { Job } from '@steddo/contract';
import { outWorking, seatAxis, seatsOf, yawWorking } from '@steddo/core';
import { sideWord, type BarNumber } from './barNumbers';
import type { ArmState } from './armState';

/** How far out, turned how far, and the seat that has the worst of it. */
export function armNumbers(job: Pick<Job, 'room'>, { model, at }: ArmState): BarNumber[] {
  if (!model || !at) return [];
  const axes = seatsOf(job).map((s) => seatAxis(model, at, s));
  // with somebody whose place nobody has measured there is no worst
  const all = axes.length === (job.room.viewers ?? []).length;
  const worst = !all ? undefined : axes.sort((a, b) => Math.abs(b.value) - Math.abs(a.value))[0];
  const yaw = yawWorking(at);
  const turned = sideWord(Math.round(yaw.value * 10));
  return [
    { label: 'out', working: outWorking(model, at) },
    { label: 'turned', working: yaw, ...(turned ? { after: turned } : {}) },
    { label: 'worst seat', working: worst, ...(worst ? { after: 'off' } : {}) },
  ];
}
