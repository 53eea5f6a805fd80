import type { TimberPlan } from '@steddo/contract';
import { isIn } from '../room/wallAt';

/** Whether a place is where the board is cut out for noggings. */
export const isInOpening =
  (timber: TimberPlan | undefined) =>
  ({ x, y }: { x: number; y: number }): boolean =>
    timber?.opening !== undefined && isIn(timber.opening, x, y);

/** Whether the wall has been open there: noggings that are in were put in through it. */
export const wasOpened = (timber: TimberPlan | undefined): boolean =>
  timber?.opening !== undefined && timber.holes.length > 0 && timber.holes.every((h) => h.done);
