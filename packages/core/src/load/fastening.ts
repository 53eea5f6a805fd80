import type { HoleInto, Plate } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import type { Fastener } from '../fixing/kit';

/** One screw of a plate: where, through which slot, into what. mm on the wall. */
export interface Screw {
  x: number;
  y: number;
  slot: number;
  into: HoleInto;
  fastener: Fastener;
  /** That it meets what it is meant for. */
  chance: number;
  /** Of the studs found; only for a screw into one. */
  stud?: number;
}

/** A plate with the screws that fasten it, and the set that hangs on it. */
export interface Fastening {
  hung: Hung;
  plate: Plate;
  plateBottom: number;
  screws: readonly Screw[];
  /** Those that carry the weight: beside lags the anchors take the turning alone, because board gives and wood does not. */
  carrying: readonly Screw[];
  beside: readonly Screw[];
  /** What carries them bears under the whole plate. */
  solid: boolean;
}
