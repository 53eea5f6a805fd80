import type { Job, Mount, Plan } from '@steddo/contract';
import { platedMount } from '../room/bracketPlate';

/** A mount with each plate that it may have: its own first, then with wider ends screwed on. */
export function plateVariants(mount: Mount): Mount[] {
  const { plates, ...own } = mount;
  return plates ? [mount, ...plates.map((plate): Mount => ({ ...own, plate }))] : [mount];
}

const VERDICTS = { go: 0, caution: 1, stop: 2 } as const;

/** Stops that stand, and the verdict: another plate is more work, so it has to be better by one of them. */
const badness = ({ findings, verdict }: Plan): number =>
  3 * findings.filter((f) => f.level === 'stop' && !f.acknowledged).length + VERDICTS[verdict];

/** The plan with the best of a mount's plates; which one, where it is not its own. */
export function bestPlate(job: Job, mounts: readonly Mount[], planOf: (job: Job) => Plan): Plan {
  const [first, ...others] = mounts.map((mount) => planOf({ ...job, mount }));
  let best = first!;
  others.forEach((made, i) => {
    if (made.scheme && badness(made) < badness(best)) best = { ...made, scheme: { ...made.scheme, plate: i + 1 } };
  });
  return best;
}

/** The job with the plate that its plan is for. */
export function platedJob(job: Job, { scheme }: Plan): Job {
  if (job.mount?.brackets) return { ...job, mount: platedMount(job.mount) };
  const plate = scheme?.plate === undefined ? undefined : job.mount?.plates?.[scheme.plate - 1];
  return plate && job.mount ? { ...job, mount: { ...job.mount, plate } } : job;
}
