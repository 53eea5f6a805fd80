import type { Job, Mount, Zone, Working } from '@steddo/contract';
import { fromMount, type Fastener } from '../fixing/kit';
import { aimsAt } from '../plate/planPlate';
import type { Outline } from '../room/platePlane';
import { studBuildOf } from '../room/wallAt';
import type { StudsFound } from '../wall/inferStuds';

/** What a timber that takes a plate is chosen by, and what comes of it: shared by the one across studs and the noggings. */

export type Timber = NonNullable<NonNullable<Job['choices']>['timber']>;

/** A timber goes so far beyond its studs and its plate, mm. Ours. */
export const BEYOND_MM = 45;

export interface TimberAsked {
  job: Job;
  mount: Mount;
  found: StudsFound;
  timber: Timber;
  /** Where the plate would be: its middle, and its bottom. */
  x: number;
  bottom: number;
}

/** Where two of its own screws go, one over the other. */
export interface ScrewLine {
  /** Of the piece that it holds. */
  piece: number;
  x: number;
  across: Working;
  chance: number;
}

/** A timber in its place, and the job with it: for the plate it is a part of the wall, of solid wood. */
export interface TimberPlaced {
  job: Job;
  mount: Mount;
  /** All of it. */
  box: Outline;
  /** Each piece from end to end. */
  pieces: readonly Outline[];
  lines: readonly ScrewLine[];
}

export const boxOf = ({ left, right, bottom, top }: Outline): Outline => ({ left, right, bottom, top });

/** The middle of a plate's rows on the wall; undefined for a plate that nobody has drawn. */
export function rowsMiddle({ plate }: Mount, bottom: number): number | undefined {
  if (!plate?.slots?.length || plate.width === 0) return undefined;
  const ys = plate.slots.map((s) => s.y);
  return bottom + (Math.min(...ys) + Math.max(...ys)) / 2;
}

/** The leaflet's lag for this wall's studs; undefined where it has none. */
export function studLag(mount: Mount, { room }: Job): Fastener | undefined {
  const own = fromMount(mount, studBuildOf(room.wall).build.kind);
  return own?.kind === 'lag' ? own : undefined;
}

/** Every stud that was found, with where its middle is drilled and the chance of that. */
export const studLines = (found: StudsFound, lag: Fastener) =>
  aimsAt(found, lag.diameter).map((a, index) => ({
    ...{ index, x: a.x.value, across: a.x, chance: a.chance, width: found.studs[index]!.width },
  }));

/** The job with the pieces on its wall, and the mount with its lags into them. */
export function withPieces(job: Job, mount: Mount, pieces: readonly Zone[]): { job: Job; mount: Mount } {
  const { wall } = job.room;
  const lag = mount.walls[studBuildOf(wall).build.kind]?.fixing;
  const walls = { ...mount.walls, 'timber-backing': mount.walls['timber-backing'] ?? { fixing: lag! } };
  const onTimber = { ...mount, walls };
  const zones = [...(wall.zones ?? []), ...pieces];
  return { mount: onTimber, job: { ...job, mount: onTimber, room: { ...job.room, wall: { ...wall, zones } } } };
}
