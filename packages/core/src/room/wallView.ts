import type { Job, Side } from '@steddo/contract';
import { cornerSideOf, isCorner } from './roomKind';

/** A corner's other wall as wide as this when nobody has measured it, mm. Ours. */
export const SIDE_WALL_MM = 2000;

/** Holes of the other wall are s1, s2 … in the plan and the job; on their own wall they are holes like any. */
const FAR = /^s(?=\d)/;
const NEAR = /^h(?=\d)/;
export const holeThere = (id: string): string => id.replace(NEAR, 's');
const holeHere = (id: string): string => id.replace(FAR, 'h');

const of = <T extends { wall?: 'main' | Side | undefined }>(
  list: readonly T[] | undefined,
  side: Side,
): T[] | undefined =>
  list?.flatMap((entry) => {
    if (entry.wall !== side) return [];
    const { wall: _, ...rest } = entry;
    return [rest as T];
  });

/**
 * A job as seen by one who works at a corner's other wall: that wall, what is on it and what is known of it, x from the
 * shared corner, as if it were the room's only one. Its first stud stands at the corner.
 */
export const sideWallJob = (job: Job, side: Side, parts = sideWallParts): Job => ({
  ...job,
  ...parts(side, job.room, job.evidence, job.scans, job.looks, job.drilled),
});

/** What of a job is another at its side wall: by what that rests on alone, so that a caller may keep it. */
export function sideWallParts(
  side: Side,
  room: Job['room'],
  ...[evidence, scans, looks, drills]: [Job['evidence'], Job['scans'], Job['looks'], Job['drilled']]
): Pick<Job, 'room' | 'evidence' | 'scans' | 'looks' | 'drilled'> {
  const own = room.sideWalls?.[side];
  const { objects: _, floor: _f, viewers: _v, ...rest } = room;
  const zones = of(room.wall.zones, side);
  const drilled = of(drills, side)?.map((d) => ({ ...d, hole: holeHere(d.hole) }));
  const objects = of(room.objects, side);
  const behind = own?.behind;
  return {
    room: {
      ...rest,
      ...(objects ? { objects } : {}),
      wall: {
        width: own?.width ?? SIDE_WALL_MM,
        height: room.wall.height,
        build: { ...room.wall.build, ...own?.build },
        ...(zones ? { zones } : {}),
        ...(behind ? { behind } : {}),
        returns: { left: true },
      },
    },
    evidence: of(evidence, side) ?? [],
    scans: of(scans, side) ?? [],
    looks: of(looks, side) ?? [],
    drilled,
  };
}

/** The main wall of a corner job: the other wall stands at its end, and a stud there. Any other job is as it was. */
export function mainWallJob(job: Job): Job {
  if (!isCorner(job)) return job;
  const side = cornerSideOf(job);
  const { wall } = job.room;
  if (wall.returns?.[side]) return job;
  return { ...job, room: { ...job.room, wall: { ...wall, returns: { ...wall.returns, [side]: true } } } };
}
