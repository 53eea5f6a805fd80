import type { Job, Side } from '@steddo/contract';
import { facesAt, type HiddenWall } from '../instruments/hiddenWall';
import { runAt } from '../instruments/simulated';
import { sideWallJob } from '../room/wallView';
import { EDGE_DIAMETERS } from '../wall/holeChance';
import type { PracticeWalls } from './practiceWall';

/** A place on a practice wall, mm; on a corner's other wall with its side, x from the corner. */
export interface PracticePlace {
  x: number;
  y: number;
  wall?: Side;
}

/** What somebody did at a practice wall. */
export interface PracticeLog {
  pokes: PracticePlace[];
  /** Small holes for the camera. */
  looks: PracticePlace[];
  holes: PracticePlace[];
}

export interface PracticeScore {
  /** Holes that are all in one ply, of how many drilled. */
  landed: number;
  holes: number;
  /** Cables and pipes that a drill met, and those that a camera showed first. */
  met: { what: string; by: 'poke' | 'hole' | 'look' }[];
  pokes: number;
  /** Pokes that following the advice took on the same wall. */
  advised: number;
  points: number;
}

const PER_HIT = 30;
const PER_POKE = 2;
const POKE_MM = 1.6;
const LOOK_MM = 8;

/**
 * Scores a practice wall: 100 for all holes in wood, less 30 for each cable or pipe that a drill met, less 2
 * for each poke more than the advice took; never below 0. Three of four holes, nothing met, as many
 * pokes as advised: 75.
 */
export function practiceScore(walls: PracticeWalls, job: Job, log: PracticeLog, advised: number): PracticeScore {
  const each = wallsOf(walls, job).map(({ wall, room, on }) => {
    const diameter = job.mount?.walls[room.wall.build.kind]?.fixing?.diameter ?? 0;
    const [pokes, looks, holes] = [log.pokes, log.looks, log.holes].map((places) =>
      places.filter((p) => p.wall === on),
    );
    return {
      landed: holes!.filter((h) => landsIn(wall, h, diameter)).length,
      met: [
        ...hits(wall, pokes!, POKE_MM, 'poke'),
        ...hits(wall, looks!, LOOK_MM, 'look'),
        ...hits(wall, holes!, diameter, 'hole'),
      ],
    };
  });
  const landed = each.reduce((all, { landed: n }) => all + n, 0);
  const met = each.flatMap((e) => e.met);
  const share = log.holes.length === 0 ? 0 : landed / log.holes.length;
  const extra = Math.max(0, log.pokes.length - advised);
  const points = Math.max(0, Math.round(100 * share - PER_HIT * met.length - PER_POKE * extra));
  return { landed, holes: log.holes.length, met, pokes: log.pokes.length, advised, points };
}

/** Each wall with the room as it is seen there. */
function wallsOf({ main, other }: PracticeWalls, job: Job) {
  const there = other && { wall: other.wall, room: sideWallJob(job, other.side).room, on: other.side };
  return [{ wall: main, room: job.room, on: undefined as Side | undefined }, ...(there ? [there] : [])];
}

function hits(
  wall: HiddenWall,
  at: readonly { x: number; y: number }[],
  diameter: number,
  by: 'poke' | 'hole' | 'look',
): PracticeScore['met'] {
  return at.flatMap(({ x, y }) => {
    const run = runAt(wall, x, y, diameter);
    return run ? [{ what: run.what, by }] : [];
  });
}

/** Wood of one ply for 1.5 diameters on both sides of the shank's middle; of a sheet as far inside its edges. */
export function landsIn(wall: HiddenWall, { x, y }: { x: number; y: number }, diameter: number): boolean {
  const by = EDGE_DIAMETERS * diameter;
  const { sheet } = wall;
  if (sheet) return x - by >= sheet.left && x + by <= sheet.right && y - by >= sheet.bottom && y + by <= sheet.top;
  return wall.studs.some((s) => {
    const { left } = facesAt(s, y, wall.height);
    return Array.from({ length: s.plies }, (_, i) => left + i * s.ply).some((a) => x - by >= a && x + by <= a + s.ply);
  });
}
