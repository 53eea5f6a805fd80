import type { Job, Mount, Side, Working } from '@steddo/contract';

/** What hangs where: the set on its mount, and the mount's plate on the wall. mm from the wall's left end and the floor. */
export interface Hung {
  job: Job;
  mount: Mount;
  centre: { x: number; y: number };
  /** The set's own edges. */
  left: number;
  right: number;
  bottom: number;
  top: number;
  /** The plate's middle. */
  plateX: number;
  fold: Side;
  /** Between bracket and set. */
  spacer: number;
  /** How far the plate's back is in front of the wall; absent where it lies on it. */
  plane?: number;
  /** Where its weight is by statics of its own: a rack's foot, an arm with its set in a corner. */
  carried?: readonly Carried[];
}

/** One way in which a plate carries the set: the set's middle, and its front's lower edge, mm along the wall and out of it. */
export interface Carried {
  x: number;
  standoff: number;
  frontX: number;
  frontStandoff: number;
  /** Of `standoff`. */
  working: Working;
}
