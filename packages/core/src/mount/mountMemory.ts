import type { Mount } from '@steddo/contract';
import { newReachMemory, type ReachMemory } from '../arm/reachModel';
import type { YieldTable } from '../fixing/fastenerCapacity';
import { yieldTable } from '../fixing/lagYield';
import { estimateUtilisation } from './estimateUtilisation';
import { memo, memoEach } from '../primitives/memo';
import { platedMount } from '../room/bracketPlate';
import { likePart } from '../room/wallAt';
import { armAtZero } from '../reach/roughReach';

/** What is kept with each mount of a long list, which is judged again whenever its room changes. */
export interface MountMemory {
  estimateUtilisation: typeof estimateUtilisation;
  armAtZero: typeof armAtZero;
  likePart: typeof likePart;
  platedMount: typeof platedMount;
  yieldTable: YieldTable;
  /** Where each arm of the list can go: it changes only when the room or the set does. */
  reachOf: (mount: Mount) => ReachMemory;
}

/** Lags through different plates and boards. */
const MOST_LAGS = 60;

/** Parts of a wall that a set hangs before. */
const MOST_PARTS = 8;

/** Two arms a mount: one for each fold. */
const FOLDS = 2;

export const newMountMemory = (): MountMemory => ({
  estimateUtilisation: memoEach(estimateUtilisation),
  armAtZero: memoEach(armAtZero, FOLDS),
  likePart: memo(likePart, MOST_PARTS),
  platedMount: memoEach(platedMount),
  yieldTable: memo(yieldTable, MOST_LAGS),
  reachOf: memoEach((_: Mount) => newReachMemory()),
});
