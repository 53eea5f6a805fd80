import type { Job, Mount } from '@steddo/contract';
import { facesAt, hiddenWall, type HiddenWall } from '../instruments/hiddenWall';
import { plan } from '../plan';
import { plateSpots } from '../plate/planPlate';
import { lagSetting, plateOptions } from '../plate/plateSearch';
import { leaf } from '../primitives/working';

/** Seeds tried before a wall is given that this mount cannot be hung on. */
const TRIES = 40;

/** A job as it is before anybody has touched the wall. */
export function untouched({ evidence: _e, scans: _s, looks: _l, drilled: _d, ...job }: Job): Job {
  return job;
}

/**
 * A hidden wall for a job that its mount can be hung on: the first of this seed's walls whose studs come
 * under the slots. `practiceWall(job, 7)` is the same wall every time.
 */
export function practiceWall(job: Job, seed: number): HiddenWall {
  const bare = untouched(job);
  const placement = plan(bare).placement;
  const first = hiddenWall(job, seed * 1009);
  if (!placement || !job.mount) return first;
  for (let i = 0; i < TRIES; i++) {
    const wall = hiddenWall(job, seed * 1009 + i);
    if (hangs(bare, job.mount, wall, placement.centre)) return wall;
  }
  return first;
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
