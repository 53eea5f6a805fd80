import type { LevelReading } from '@steddo/contract';
import type { Run } from './hiddenWall';

/** Finders that are slid along the wall. */
export type FinderKind = 'edge' | 'centre' | 'magnet' | 'live';

/** What a finder shows at a place. */
export interface Signal {
  lit: boolean;
  /** Height of what a magnet has found; it is waved up and down as it goes. */
  y?: number;
  /** It is held all along: a sheet, no screw. */
  sheet?: boolean;
}

/** One pass of a finder along a line: ask it again at each place that it comes to. */
export interface Pass {
  at: (x: number) => Signal;
}

/** What a small drill met, and whether something was felt that is neither wood nor a hollow. */
export interface Poked {
  found: 'wood' | 'hollow' | 'backing';
  felt: boolean;
}

/** What a camera shows of one bay, as far up and down as it sees. */
export interface CameraView {
  /** Faces of the studs beside the bay. */
  left: number;
  right: number;
  bottom: number;
  top: number;
  runs: Run[];
  noggings: { y: number }[];
}

/**
 * The instruments of the trade, as the product asks them. A real device implements the part that it can
 * measure, over whatever link it has; lengths in mm from the wall's left end and the floor.
 * The simulated ones stand on a hidden wall; nothing else of the product knows which it is talking to.
 */
export interface Instruments {
  /** Begins a pass at a height: its errors hold until the next pass. */
  begin: (kind: FinderKind, y: number) => Pass;
  poke: (x: number, y: number) => Poked;
  /** The bay at x from a hole there; undefined where there is a stud and no bay. */
  look: (x: number, y: number, reachMm: number) => CameraView | undefined;
  /** Slope of what the level lies on, and its own error, degrees. */
  level: (on: 'plate' | 'set', trueDeg: number, turned: boolean) => LevelReading;
  /** Distance to the left end of the wall from x. */
  range: (x: number) => number;
}
