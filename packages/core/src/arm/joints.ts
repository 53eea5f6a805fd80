import type { Mount } from '@steddo/contract';

/** How a set comes onto its mount. */
export type Joint = NonNullable<Mount['joint']>;

export const jointOf = ({ joint = 'rail' }: Pick<Mount, 'joint'>): Joint => joint;

/** Its two arms sit on the set by screws of their own, and can be loosened one by one. */
const BY_ARMS: Record<Joint, boolean> = { rail: true, catch: true, 'slide-in': false, screws: false };

export const hasArms = (mount: Pick<Mount, 'joint'>): boolean => BY_ARMS[jointOf(mount)];
