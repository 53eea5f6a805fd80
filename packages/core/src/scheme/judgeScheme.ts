import type { Job, Mount } from '@steddo/contract';
import type { FastenerGroup } from '../load/fastenerForces';
import { handlingsOf, weightsOf, worstUse, type PushPlace, type WorstUse } from '../load/groupUse';
import { holdsOf, plateOf, type Holds, type NoHold, type Seat } from '../load/holds';
import { freePoses, type LoadPlace, type LoadPose } from '../load/loadPoses';
import type { Place } from './chooseSlots';
import type { Candidate } from './schemeSearch';
import { foremostOf, frontedBy } from './wallAt';

/** Where the set hangs, as far as its load goes. mm. */
export interface Hanging {
  job: Job;
  mount: Mount;
  centre: { x: number; y: number };
  bottom: number;
  spacer: number;
}

/** The fasteners of a candidate that carry, with what each may hold; or the first that says nothing. */
export interface Carrying {
  places: Place[];
  seats: Seat[];
  holds: Holds[];
  group: FastenerGroup;
  at: PushPlace;
}

export type Judged =
  { ok: true; carrying: Carrying; worst: WorstUse } | { ok: false; code: NoHold | 'load-unknown'; seat?: Seat };

/** Lags beside anchors carry everything: wood does not give, and the board does. */
export const carriesOf = ({ places, way }: Candidate): Place[] =>
  way.main ? places.filter((p) => p.into === way.into) : places;

/** What carries and what each may hold. */
export function carryingOf(hanging: Hanging, candidate: Candidate): Carrying | { code: NoHold; seat: Seat } {
  const { job, mount, centre, bottom } = hanging;
  const places = carriesOf(candidate);
  const foremost = foremostOf(job.room.wall, candidate.places);
  const plate = mount.plate!;
  const seats = places.map((p): Seat => ({
    ...frontedBy(job),
    plateMm: plateOf(mount),
    foremost,
    fastener: p.fastener,
    into: p.into,
    at: p,
    slot: plate.slots![p.slot]!,
    apart: apartOf(p, places),
  }));
  const holds: Holds[] = [];
  for (const seat of seats) {
    const made = holdsOf(seat);
    if (typeof made === 'string') return { code: made, seat };
    holds.push(made);
  }
  const plateBottom = candidate.plate.bottom.value + candidate.lift;
  const x = candidate.x.value;
  const packing = (job.choices?.packing ?? 0) + Math.max(0, foremost);
  return {
    places,
    seats,
    holds,
    group: {
      points: places,
      solid: candidate.way.into === 'masonry' || candidate.way.into === 'backing' || packing > 0,
      plate: {
        left: x - plate.width / 2,
        right: x + plate.width / 2,
        bottom: plateBottom,
        top: plateBottom + plate.height,
      },
    },
    at: {
      weights: weightsOf(job.screen, mount),
      plateX: x,
      plateY: plateBottom + plate.height / 2,
      centreY: centre.y + candidate.lift,
      bottomY: bottom + candidate.lift,
      packing,
    },
  };
}

/** To the nearest other screw in the same stud, mm. */
function apartOf(place: Place, places: readonly Place[]): number {
  if (place.stud === undefined) return Infinity;
  const beside = places.filter((p) => p !== place && p.stud === place.stud);
  return Math.min(Infinity, ...beside.map((p) => Math.hypot(p.x - place.x, p.y - place.y)));
}

export const loadPlace = (
  { job, mount, centre, spacer }: Hanging,
  candidate: Pick<Candidate, 'x' | 'fold'>,
): LoadPlace => ({
  job,
  mount,
  spacer,
  plateX: candidate.x.value,
  centreX: centre.x,
  fold: candidate.fold ?? 'left',
});

/** What the worst fastener has to hold, over the given poses; by default all that the arm could come to in an empty room. */
export function judgeScheme(
  hanging: Hanging,
  candidate: Candidate,
  poses: readonly LoadPose[] = freePoses(loadPlace(hanging, candidate)),
): Judged {
  const carrying = carryingOf(hanging, candidate);
  if ('code' in carrying) return { ok: false, ...carrying };
  const worst = worstUse(carrying.group, carrying.holds, poses, handlingsOf(hanging.mount), carrying.at);
  return worst ? { ok: true, carrying, worst } : { ok: false, code: 'load-unknown' };
}

/** It can be said what it holds, and that is enough. */
export const passes = (judged: Judged): boolean => judged.ok && judged.worst.use <= 1;
