import type { Job, HeightRule } from '@steddo/contract';
import type { Command } from './command';
import { measure } from './measure';

/** Follows a school of height; what was chosen by hand gives way, and the height is no longer a guess. */
export const followHeightRule = (job: Job, school: HeightRule): Command => ({
  do: 'all',
  commands: [measure(job, 'aim.height', school), { do: 'drop', path: 'choices.centreY' }],
});
