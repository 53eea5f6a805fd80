import type { Job, Verdict } from '@steddo/contract';
import type { Hung } from '../arm/hung';
import {
  fastenerCapacity,
  plateOf,
  type Capacity,
  type NoCapacity,
  type ScrewSeat,
  type YieldTable,
} from '../fixing/fastenerCapacity';
import type { Screw } from '../fixing/screw';
import { bracketsAt } from '../room/bracketPlate';
import { overAt } from '../room/wallAt';
import { isUnnamedSteel } from '../room/wallKinds';
import { middleOf, type FastenerGroup } from './fastenerGroup';
import type { Fastening } from './fastening';
import { labelCovers } from './labelCover';
import { freePoses, heldWithin, type LoadPose } from './loadPoses';
import type { PushPlace } from './setPushes';
import { worstLoad, type LoadCase, type WorstLoad } from './worstLoad';

/** What carries, with what each may hold. */
export interface Carrying {
  screws: readonly Screw[];
  capacities: Capacity[];
  group: FastenerGroup;
  at: PushPlace;
}

/** What the worst fastener has to hold and what that means, or why nobody can say. */
export type Checked =
  | { ok: true; carrying: Carrying; worst: WorstLoad; verdict: Verdict }
  | { ok: false; code: NoCapacity | 'load-unknown'; seat?: ScrewSeat };

/** The fasteners that carry with what each may hold; or the first of which nothing can be said. */
export function carryingOf(fastening: Fastening): Carrying | { code: NoCapacity; seat: ScrewSeat } {
  const { hung, plate, plateBottom, front, carrying, pulling, beside, solid, timber } = fastening;
  const held = [...carrying, ...pulling, ...beside];
  const { mount } = hung;
  const capacities: Capacity[] = [];
  for (const screw of held) {
    const { fastener, into, slot } = screw;
    const apart = apartOf(screw, [...carrying, ...pulling]);
    const opening = plate.slots![slot]!;
    const seat: ScrewSeat = {
      ...front,
      plateMm: plateOf(mount),
      fastener,
      into,
      at: screw,
      slot: opening,
      apart,
      timberSide: timber,
      ...(isUnnamedSteel(mount, overAt(front, screw).build) ? { unnamedSteel: true } : {}),
    };
    const capacity = fastenerCapacity(seat);
    if (typeof capacity === 'string') return { code: capacity, seat };
    capacities.push(capacity);
  }
  const packings = [...carrying, ...pulling].map((s) => overAt(front, s).packing);
  const packing = Math.max(...carrying.map((s) => overAt(front, s).packing));
  const x = hung.plateX;
  return {
    screws: held,
    capacities,
    group: {
      points: carrying,
      pulling,
      beside: beside.length > 0 ? beside : undefined,
      apart: apartOn(fastening),
      solid: solid || packings.some((mm) => mm > 0),
      // known by its rows alone it has no edge to turn about
      plate:
        plate.width > 0
          ? {
              left: x - plate.width / 2,
              right: x + plate.width / 2,
              bottom: plateBottom,
              top: plateBottom + plate.height,
            }
          : undefined,
    },
    at: {
      middle: middleOf(carrying),
      plate: { x, y: plateBottom + plate.height / 2 },
      centreY: hung.centre.y,
      bottomY: hung.bottom,
      packing,
      chosen: front.chosen,
    },
  };
}

/** Of two brackets what each is screwed on by; undefined for one plate, and where all are on one of them. */
function apartOn({ hung, plateBottom, carrying, pulling, beside }: Fastening): FastenerGroup['apart'] {
  const brackets = bracketsAt(hung.mount, hung.plateX, plateBottom);
  if (!brackets || pulling.length + beside.length > 0) return undefined;
  const [a, b] = brackets.map(({ x, slots: [from, to], left, right, bottom, top }) => ({
    ...{ x, plate: { left, right, bottom, top } },
    own: carrying.flatMap((s, i) => (s.slot >= from && s.slot < to ? [i] : [])),
  }));
  return a!.own.length > 0 && b!.own.length > 0 ? [a!, b!] : undefined;
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
  const left = posesLeft(fastening.hung.job, poses, carrying);
  const worst = worstLoad(loadCaseOf(fastening.hung, carrying), left, table);
  if (!worst) return { ok: false, code: 'load-unknown' };
  const verdict = loadVerdict(worst, () => labelCovers(fastening), mostOf(fastening));
  return { ok: true, carrying, worst, verdict };
}

/** Where something holds the arm, no pose is further aside than that. */
export function posesLeft({ choices }: Job, poses: readonly LoadPose[], { at }: Carrying): readonly LoadPose[] {
  const { maxAside, asideHeld } = choices ?? {};
  return asideHeld && maxAside !== undefined ? heldWithin(poses, at.middle.x, maxAside) : poses;
}

/**
 * Go to 1; a caution above, as far as a maker's label that covers it may carry it in every case; else a stop, which
 * no acknowledgement lifts.
 */
export function loadVerdict({ utilisation, each }: WorstLoad, covered: () => boolean, most = 1): Verdict {
  if (utilisation <= most) return 'go';
  return most === 1 && Math.max(...each.beyond) <= 1 && covered() ? 'caution' : 'stop';
}

/** Where a stud's edge is open beside a screw no more than this of what it holds is taken, and no label counts. Assumption. */
export const EDGE_OPEN_MOST = 0.67;

/** What of its limit a fastening may take. */
export const mostOf = ({ screws }: Fastening): number => (screws.some((s) => s.edgeOpen) ? EDGE_OPEN_MOST : 1);
