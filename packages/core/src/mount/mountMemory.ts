import { estimateUtilisation } from '../load/roughUse';
import { memoEach } from '../memo';
import { armAtZero } from '../reach/roughReach';

/** What is kept with each mount of a long list, which is judged again whenever its room changes. */
export interface MountMemory {
  estimateUtilisation: typeof estimateUtilisation;
  armAtZero: typeof armAtZero;
}

/** Two arms a mount: one for each fold. */
const FOLDS = 2;

export const newMountMemory = (): MountMemory => ({
  estimateUtilisation: memoEach(estimateUtilisation),
  armAtZero: memoEach(armAtZero, FOLDS),
});
