import { memo } from './primitives/memo';
import { newMountMemory, type MountMemory } from './mount/mountMemory';
import { newReachMemory, type ReachMemory } from './arm/reachModel';
import { inferStuds } from './wall/inferStuds';

/**
 * What one caller keeps from one plan to the next: answers by the identity of what they rest on. A plan is the
 * same with an old memory, a new one or none; it only takes longer without.
 */
export interface Memory {
  inferStuds: typeof inferStuds;
  mounts: MountMemory;
  reach: ReachMemory;
}

export const newMemory = (): Memory => ({
  inferStuds: memo(inferStuds),
  mounts: newMountMemory(),
  reach: newReachMemory(),
});
