import type { HoleInto, Plate } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import {
  fastenerCapacity,
  plateOf,
  type Capacity,
  type NoCapacity,
  type ScrewSeat,
  type YieldTable,
} from '../fixing/fastenerCapacity';
import type { Fastener } from '../fixing/kit';
import { foremostOf, frontedBy } from '../room/wallAt';
import { middleOf, type FastenerGroup } from './fastenerGroup';
import { freePoses, type LoadPose } from './loadPoses';
import type { PushPlace } from './setPushes';
import { worstLoad, type LoadCase, type WorstLoad } from './worstLoad';

/** One screw of a plate: where, through which slot, into what. mm on the wall. */
export interface Screw {
  x: number;
  y: number;
  slot: number;
  into: HoleInto;
  fastener: Fastener;
  /** Of the studs found; only for a screw into one. */
  stud?: number;
}

/** A plate with the screws that fasten it, and the set that hangs on it. */
export interface Fastening {
  hung: Hung;
  plate: Plate;
  plateBottom: number;
  screws: readonly Screw[];
  /** Those that carry: lags beside anchors carry everything, because wood does not give and the board does. */
  carrying: readonly Screw[];
  /** What carries them bears under the whole plate. */
  solid: boolean;
}

/** What carries, with what each may hold. */
export interface Carrying {
  screws: readonly Screw[];
  capacities: Capacity[];
  group: FastenerGroup;
  at: PushPlace;
}

/** What the worst fastener has to hold, or why nobody can say. */
export type Checked =
  | { ok: true; carrying: Carrying; worst: WorstLoad }
  | { ok: false; code: NoCapacity | 'load-unknown'; seat?: ScrewSeat };

/** The fasteners that carry with what each may hold; or the first of which nothing can be said. */
export function carryingOf(fastening: Fastening): Carrying | { code: NoCapacity; seat: ScrewSeat } {
  const { hung, plate, plateBottom, screws, carrying, solid } = fastening;
  const { job, mount } = hung;
  const foremost = foremostOf(job.room.wall, screws);
  const front = frontedBy(job);
  const capacities: Capacity[] = [];
  for (const screw of carrying) {
    const { fastener, into, slot } = screw;
    const apart = apartOf(screw, carrying);
    const opening = plate.slots![slot]!;
    const seat: ScrewSeat = {
      ...front,
      plateMm: plateOf(mount),
      foremost,
      fastener,
      into,
      at: screw,
      slot: opening,
      apart,
    };
    const capacity = fastenerCapacity(seat);
    if (typeof capacity === 'string') return { code: capacity, seat };
    capacities.push(capacity);
  }
  const packing = front.packing + Math.max(0, foremost);
  const x = hung.plateX;
  return {
    screws: carrying,
    capacities,
    group: {
      points: carrying,
      solid: solid || packing > 0,
      plate: {
        left: x - plate.width / 2,
        right: x + plate.width / 2,
        bottom: plateBottom,
        top: plateBottom + plate.height,
      },
    },
    at: {
      middle: middleOf(carrying),
      plate: { x, y: plateBottom + plate.height / 2 },
      centreY: hung.centre.y,
      bottomY: hung.bottom,
      packing,
    },
  };
}

/** To the nearest other screw in the same stud, mm. */
function apartOf(screw: Screw, screws: readonly Screw[]): number {
  if (screw.stud === undefined) return Infinity;
  const beside = screws.filter((s) => s !== screw && s.stud === screw.stud);
  return Math.min(Infinity, ...beside.map((s) => Math.hypot(s.x - screw.x, s.y - screw.y)));
}

export const loadCaseOf = ({ job, mount }: Hung, { group, capacities, at }: Carrying): LoadCase => ({
  screen: job.screen,
  mount,
  group,
  capacities,
  at,
});

/** What the worst fastener has to hold, over the given poses; by default all that the arm could come to in an empty room. */
export function checkFastening(
  fastening: Fastening,
  poses: readonly LoadPose[] = freePoses(fastening.hung),
  table?: YieldTable,
): Checked {
  const carrying = carryingOf(fastening);
  if ('code' in carrying) return { ok: false, ...carrying };
  const worst = worstLoad(loadCaseOf(fastening.hung, carrying), poses, table);
  return worst ? { ok: true, carrying, worst } : { ok: false, code: 'load-unknown' };
}

/** It can be said what it holds, and that is enough. */
export const passes = (checked: Checked): boolean => checked.ok && checked.worst.utilisation <= 1;
