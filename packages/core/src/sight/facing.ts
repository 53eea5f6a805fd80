import type { Viewer, Working } from '@steddo/contract';

/** How viewers see a set that does not face straight out of the wall that they are measured from: one in a corner. */
export interface Facing {
  /** From where viewers are measured from, along the way that the set faces, to its front's middle. */
  front: Working;
  /** The same to a viewer, and how far they are off that line, to the right; absent where nobody said. */
  ahead: (viewer: Viewer) => Working | undefined;
  across: (viewer: Viewer) => Working | undefined;
  /** How far the set is turned off that line, to the right; absent where it is not. */
  turn?: Working | undefined;
}
