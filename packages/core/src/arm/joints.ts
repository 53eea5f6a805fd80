import type { Job, Mount } from '@steddo/contract';
import { moves } from './arm';

/** How a set comes onto its mount. */
export type Joint = NonNullable<Mount['joint']>;

export const jointOf = ({ joint = 'rail' }: Pick<Mount, 'joint'>): Joint => joint;

/** Its two arms sit on the set by screws of their own, and can be loosened one by one. */
const BY_ARMS: Record<Joint, boolean> = { rail: true, catch: true, 'slide-in': false, screws: false };

export const hasArms = (mount: Pick<Mount, 'joint'>): boolean => BY_ARMS[jointOf(mount)];

type Lead = NonNullable<Job['leads']>[number];

/** When a lead is plugged in: after the hanging on an arm, else while the set is hooked. */
export const leadWhen = (lead: Pick<Lead, 'when'>, mount: Mount | undefined): NonNullable<Lead['when']> =>
  lead.when ?? (mount && moves(mount) ? 'after' : 'hooked');
