import type { BuildKind, Job, Mount, Side } from '@steddo/contract';
import { facesAt, hiddenSheet, hiddenWall, type HiddenWall } from '../instruments/hiddenWall';
import { plan } from '../plan';
import { plateSpots } from '../plate/planPlate';
import { lagSetting, plateOptions } from '../plate/plateSearch';
import { leaf } from '../primitives/working';
import { isVehicle } from '../room/roomKind';
import { WALL_KINDS } from '../room/wallKinds';
import { sideWallJob } from '../room/wallView';
import { footMount } from '../twoWalls/footMount';

/** What is behind a room's wall; of a corner behind its other wall too, x from the corner. */
export interface PracticeWalls {
  main: HiddenWall;
  other?: { side: Side; wall: HiddenWall };
}

/** Seeds tried before a wall is given that this mount cannot be hung on: a foot in a corner has one place to be. */
const TRIES = 40;
const FOOT_TRIES = 400;
/** Seeds side by side give walls that are much alike; these do not. */
const FAR_STEP = 104_729;
/** A foot's stud is found no better than this, mm: further in under its slots it is still under them. */
const FOUND_MM = 4;

/** A job as it is before anybody has touched the wall: of a taped backing only what it is. */
export function untouched({ evidence: _e, scans: _s, looks: _l, drilled: _d, ...job }: Job): Job {
  const zones = job.room.wall.zones ?? [];
  const taped = zones.find((z) => z.build?.kind !== undefined && isSheet(z.build.kind));
  if (!isVehicle(job) || !taped) return job;
  const { zones: _, ...wall } = job.room.wall;
  const others = zones.filter((z) => z !== taped);
  const build = { ...wall.build, ...taped.build };
  return { ...job, room: { ...job.room, wall: { ...wall, build, ...(others.length > 0 ? { zones: others } : {}) } } };
}

const isSheet = (name: BuildKind): boolean => WALL_KINDS[name].main === 'backing';

/** Whether a room's wall has a sheet to be found instead of studs. */
export const hasSheet = ({ room }: Pick<Job, 'room'>): boolean => isSheet(room.wall.build.kind);

/** Pokes that find the upper and the lower edge of a sheet by halving, from where the plate is. Ours. */
export const SHEET_POKES = 8;

/**
 * A hidden wall for a job that its mount can be hung on: the first of this seed's walls whose studs come
 * under the slots. `practiceWall(job, 7)` is the same wall every time.
 */
export function practiceWall(job: Job, seed: number): HiddenWall {
  const bare = untouched(job);
  const { placement } = plan(bare);
  const { mount } = job;
  if (hasSheet(bare) && placement?.plate) return hiddenSheet(bare, seed * SEEDS_APART, placement.plate);
  if (!placement || !mount) return hiddenWall(job, seed * SEEDS_APART);
  return firstThatHangs(bare, { seed, mount, places: [placement.centre], tries: TRIES, step: 1 });
}

/** The walls of a seed, of a corner both: a stud comes under each foot where it stands. */
export function practiceWalls(job: Job, seed: number): PracticeWalls {
  const bare = untouched(job);
  const { corner, placement } = plan(bare);
  if (!corner) return { main: practiceWall(job, seed) };
  const { mount } = job;
  const { side, feet = [] } = corner;
  const of = (there: Job, wall: 'main' | Side, from: number): HiddenWall => {
    const foot = mount?.corner && feet.find((f) => f.wall === wall);
    if (!foot) return hiddenWall(there, from * SEEDS_APART);
    const { width } = there.room.wall;
    const x = wall === 'main' && side === 'right' ? width - foot.x : foot.x;
    const held = footMount(mount, foot.share, mount.depth.folded);
    const y = placement?.centre.y ?? there.room.wall.height / 2;
    const places = [-FOUND_MM, FOUND_MM].map((off) => ({ x: x + off, y }));
    return firstThatHangs(there, { seed: from, mount: held, places, tries: FOOT_TRIES, step: FAR_STEP });
  };
  // the other wall is no copy of the first
  const other = of(sideWallJob(bare, side), side, seed + OTHER_WALL);
  return { main: of(bare, 'main', seed), other: { side, wall: other } };
}
const OTHER_WALL = 500_000;
const SEEDS_APART = 1009;

interface Wanted {
  seed: number;
  mount: Mount;
  /** Where the set's middle may be, and each of them has to do. */
  places: readonly { x: number; y: number }[];
  tries: number;
  /** From one seed to the next. */
  step: number;
}

function firstThatHangs(job: Job, { seed, mount, places, tries, step }: Wanted): HiddenWall {
  for (let i = 0; i < tries; i++) {
    const wall = hiddenWall(job, seed * SEEDS_APART + i * step);
    if (places.every((at) => hangs(job, mount, wall, at))) return wall;
  }
  return hiddenWall(job, seed * SEEDS_APART);
}

/** Whether some plate's slots come over the studs as they really are, at the set's height. */
function hangs(job: Job, mount: Mount, wall: HiddenWall, { x, y }: { x: number; y: number }): boolean {
  const fixing = mount.walls[job.room.wall.build.kind]?.fixing;
  if (!fixing) return false;
  const aims = wall.studs.map((s) => {
    const { left } = facesAt(s, y, wall.height);
    return { x: leaf('stud-centre', left + s.ply / 2, 'mm'), chance: 1 };
  });
  const spots = plateSpots(job, mount, leaf('centre-chosen', x, 'mm'));
  return plateOptions(lagSetting(mount, fixing, { aims, spots })).length > 0;
}
