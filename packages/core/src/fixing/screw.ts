import type { HoleInto } from '@steddo/contract';
import type { Fastener } from './kit';

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
  /** A pilot met wood there and nobody knows how near the stud's edge is. */
  edgeOpen?: boolean;
}
