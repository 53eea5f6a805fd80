import type { DrillStep, Fixing } from '@steddo/contract';

/** What is true of a kind of fixing, whoever made it. */
export interface FixingKind {
  /** What it is made to hold in. */
  holdsIn: 'wood' | 'hollow' | 'masonry' | 'steel';
  /** Among those that hold in the same, weakest first: the order in which the trade names them. */
  strength: number;
  /** What is done with it at its mark, the plate and its washer included, in order; the table of the trade. */
  steps: readonly DrillStep[];
}

const kind = (holdsIn: FixingKind['holdsIn'], strength: number, ...steps: DrillStep[]): FixingKind => ({
  holdsIn,
  strength,
  steps,
});

/** A hole in board is tried small first, and marked through the slot with the plate there. */
const IN_BOARD = ['test-hole', 'mark-through'] as const;

/** Every kind of fixing; one that is missing here does not compile. */
export const FIXING_KINDS: Record<Fixing['kind'], FixingKind> = {
  lag: kind('wood', 0, 'thin-bit', 'pilot', 'washer', 'lag'),
  bolt: kind('wood', 1, 'thin-bit', 'pilot', 'washer', 'drive-screw'),
  'tap-in': kind('hollow', 0, ...IN_BOARD, 'tap-in', 'plate-on', 'washer', 'drive-screw'),
  plug: kind('hollow', 1, ...IN_BOARD, 'drill-board', 'insert-plug', 'plate-on', 'washer', 'drive-screw'),
  'winged-plug': kind('hollow', 2, ...IN_BOARD, 'drill-board', 'insert-plug', 'plate-on', 'washer', 'drive-screw'),
  'screw-in': kind('hollow', 3, ...IN_BOARD, 'turn-in', 'plate-on', 'washer', 'drive-screw'),
  'splitting-screw': kind('hollow', 4, ...IN_BOARD, 'turn-in', 'plate-on', 'washer', 'drive-screw'),
  sleeve: kind('hollow', 5, ...IN_BOARD, 'drill-board', 'insert-plug', 'draw-sleeve', 'plate-on', 'washer', 'bolt'),
  'folding-wing': kind('hollow', 6, ...IN_BOARD, 'drill-board', 'fold-wing', 'plate-on', 'washer', 'drive-screw'),
  // the plate is on the bolt before the wings go in, and they fall when the bolt comes out
  'spring-toggle': kind(
    ...(['hollow', 7, ...IN_BOARD, 'plate-aside', 'drill-board'] as const),
    ...(['spring-on-bolt', 'insert-toggle', 'finger-tight', 'bolt-pulled'] as const),
  ),
  // its hole is bigger than the slot
  'strap-toggle': kind(
    ...(['hollow', 8, ...IN_BOARD, 'plate-aside', 'drill-board', 'insert-toggle'] as const),
    ...(['snap-strap', 'plate-on', 'washer', 'finger-tight', 'bolt'] as const),
  ),
  'masonry-sleeve': kind('masonry', 0, 'drill-masonry', 'clear-dust', 'set-sleeve', 'plate-on', 'washer', 'bolt'),
  'masonry-screw': kind('masonry', 1, 'drill-masonry', 'clear-dust', 'plate-on', 'washer', 'cut-thread'),
  'self-tapping': kind('steel', 0, 'thin-bit', 'drill-metal', 'washer', 'drive-screw'),
};

/** On the back of a board: only these go into a hollow. */
export const isHollow = (name: Fixing['kind']): boolean => FIXING_KINDS[name].holdsIn === 'hollow';

export const isMasonry = (name: Fixing['kind']): boolean => FIXING_KINDS[name].holdsIn === 'masonry';
