import type { DrillStep, Fixing } from '@steddo/contract';

/** What is true of a kind of fixing, whoever made it. */
export interface FixingKind {
  /** What it is made to hold in. */
  holdsIn: 'wood' | 'hollow' | 'masonry' | 'steel';
  /** Among those that hold in the same, weakest first: the order in which the trade names them. */
  strength: number;
  /** How it is set into a hole that was made for it. */
  setBy: DrillStep;
  /** It makes its own hole in board. */
  selfDrilling: boolean;
}

const kind = (
  holdsIn: FixingKind['holdsIn'],
  strength: number,
  setBy: DrillStep,
  selfDrilling = false,
): FixingKind => ({
  holdsIn,
  strength,
  setBy,
  selfDrilling,
});

/** Every kind of fixing; one that is missing here does not compile. */
export const FIXING_KINDS: Record<Fixing['kind'], FixingKind> = {
  lag: kind('wood', 0, 'lag'),
  bolt: kind('wood', 1, 'drive-screw'),
  plug: kind('hollow', 0, 'insert-plug'),
  'winged-plug': kind('hollow', 1, 'insert-plug'),
  'screw-in': kind('hollow', 2, 'drive-screw', true),
  'splitting-screw': kind('hollow', 3, 'drive-screw', true),
  sleeve: kind('hollow', 4, 'insert-plug'),
  'spring-toggle': kind('hollow', 5, 'insert-toggle'),
  'strap-toggle': kind('hollow', 6, 'insert-toggle'),
  'masonry-sleeve': kind('masonry', 0, 'set-sleeve'),
  'masonry-screw': kind('masonry', 1, 'cut-thread'),
  'self-tapping': kind('steel', 0, 'drive-screw'),
};

/** On the back of a board: only these go into a hollow. */
export const isHollow = (name: Fixing['kind']): boolean => FIXING_KINDS[name].holdsIn === 'hollow';

export const isMasonry = (name: Fixing['kind']): boolean => FIXING_KINDS[name].holdsIn === 'masonry';
