import type { Job } from '@steddo/contract';
import type { Command } from './command';
import { measure } from './measure';

/** The set's centre by hand, mm; the height is then no longer a guess, whichever school was followed. */
export function chooseHeight(job: Job, centreY: number): Command {
  const said = measure(job, 'aim.height', job.aim.height);
  return { do: 'all', commands: [{ do: 'put', path: 'choices.centreY', value: centreY }, said] };
}
