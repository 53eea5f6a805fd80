import { memo } from './primitives/memo';
import { plateVariants } from './mount/plateVariants';
import { newMountMemory, type MountMemory } from './mount/mountMemory';
import { newReachMemory, type ReachMemory } from './arm/reachModel';
import { sideWallParts } from './room/wallView';
import { inferStuds } from './wall/inferStuds';
import { sheetWall } from './wall/sheetBehind';

/**
 * What one caller keeps from one plan to the next: answers by the identity of what they rest on. A plan is the
 * same with an old memory, a new one or none; it only takes longer without.
 */
export interface Memory {
  inferStuds: typeof inferStuds;
  /** Of a corner job. */
  sideWallParts: typeof sideWallParts;
  plateVariants: typeof plateVariants;
  sheetWall: typeof sheetWall;
  mounts: MountMemory;
  reach: ReachMemory;
}

/** A corner has two; and one with a drill that the marks speak against is read twice. */
const WALLS = 3;

export const newMemory = (): Memory => ({
  inferStuds: memo(inferStuds, WALLS),
  sideWallParts: memo(sideWallParts),
  plateVariants: memo(plateVariants),
  sheetWall: memo(sheetWall),
  mounts: newMountMemory(),
  reach: newReachMemory(),
});
