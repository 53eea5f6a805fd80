import type { Job, Placement, Plan, Side } from '@steddo/contract';
import { toRad } from '../primitives/convert';
import { cornerAngleOf, cornerSideOf } from '../room/roomKind';
import { sideWallJob } from '../room/wallView';
import { footMount } from './footMount';

/** A corner's plan as it is seen from one of its two walls: that wall alone, its holes, and where the set hangs before it. */
export interface WallSeen {
  job: Job;
  plan: Plan;
}

/** Any other job has one wall, and is seen as it is. */
export function wallSeen(job: Job, plan: Plan, wall: 'main' | Side): WallSeen {
  if (!plan.corner) return { job, plan };
  return wall === 'main' ? mainSeen(job, plan) : sideSeen(job, plan, wall);
}

const ownHoles = (plan: Plan, wall: 'main' | Side) => plan.holes?.filter((h) => h.wall === wall);
const ownMarks = (plan: Plan, wall: 'main' | Side) => plan.marks?.filter((m) => m.wall === wall);

function mainSeen(job: Job, plan: Plan): WallSeen {
  const { placement } = plan;
  const [near, far] = coveredOf(job, plan, 'main');
  const { width } = job.room.wall;
  const span = cornerSideOf(job) === 'left' ? { left: near, right: far } : { left: width - far, right: width - near };
  return {
    job,
    plan: {
      ...plan,
      ...(placement ? { placement: placedOn(placement, span) } : {}),
      ...listed({ holes: ownHoles(plan, 'main'), marks: ownMarks(plan, 'main') }),
    },
  };
}

function sideSeen(job: Job, plan: Plan, side: Side): WallSeen {
  const { sideWall, placement } = plan;
  const seen = sideWallJob(job, side);
  // holes keep the names that they have for both walls
  const drilled = job.drilled?.filter((d) => d.wall === side);
  const {
    studs: _s,
    wood: _w,
    odd: _o,
    noggings: _n,
    backing: _b,
    courses: _c,
    hazards: _h,
    scheme: _sc,
    ...rest
  } = plan;
  const { packing: _p, loads: _l, timber: _t, nextLook: _nl, looking: _lk, holes: _ho, marks: _m, ...both } = rest;
  const { side: _side, plate, ...own } = sideWall ?? { side };
  const [left, right] = coveredOf(job, plan, side);
  return {
    job: { ...seen, ...(drilled ? { drilled } : {}) },
    plan: {
      ...both,
      ...own,
      ...(placement ? { placement: placedOn({ ...placement, plate }, { left, right }) } : {}),
      ...listed({ holes: ownHoles(plan, side), marks: ownMarks(plan, side) }),
    },
  };
}

const listed = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, v]) => (v as unknown[] | undefined)?.length)) as Partial<T>;

/** What of a wall the set hangs before, from the corner: as far as its own edges come to it. */
function coveredOf(job: Job, { corner }: Plan, wall: 'main' | Side): [number, number] {
  const angle = toRad(cornerAngleOf(job));
  const left = cornerSideOf(job) === 'left';
  const along = (corner?.outline ?? []).map(({ x, z }) => {
    const fromCorner = left ? x : job.room.wall.width - x;
    return wall === 'main' ? fromCorner : fromCorner * Math.cos(angle) + z * Math.sin(angle);
  });
  return [Math.max(0, Math.min(...along)), Math.max(0, ...along)];
}

function placedOn(placement: Placement, { left, right }: { left: number; right: number }): Placement {
  const { plate } = placement;
  return { ...placement, left, right, centre: { ...placement.centre, x: plate?.x ?? (left + right) / 2 } };
}

/** The same for whoever looks for wood there: of a rack one foot, in one column, with half of its screws. */
export function footSeen({ job, plan }: WallSeen): WallSeen {
  const { mount } = job;
  if (!plan.corner || !mount?.corner) return { job, plan };
  return { job: { ...job, mount: footMount(mount, 1 / 2, mount.depth.folded) }, plan };
}
