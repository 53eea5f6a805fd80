import type { Plate } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import type { TimberSide } from '../fixing/lagYield';
import type { Fronted } from '../room/wallAt';
import type { Screw } from '../fixing/screw';

/** A plate with the screws that fasten it, and the set that hangs on it. */
export interface Fastening {
  hung: Hung;
  plate: Plate;
  plateBottom: number;
  front: Fronted;
  screws: readonly Screw[];
  /** Those that carry the weight: beside lags the anchors take the turning alone, because board gives and wood does not. */
  carrying: readonly Screw[];
  /** Screws in what gives more than the rest: they share the pull alone. */
  pulling: readonly Screw[];
  beside: readonly Screw[];
  /** What carries them bears under the whole plate. */
  solid: boolean;
  /** The plate is a timber, not steel. */
  timber?: TimberSide;
}
