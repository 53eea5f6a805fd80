import type { Job, Side } from '@steddo/contract';
import { cornerSideOf } from '../room/roomKind';
import { sideWallJob, sideWallParts } from '../room/wallView';
import { inferStuds, readingsOf } from '../wall/inferStuds';
import { wallPart } from '../wall/wallPart';
import type { CornerWall } from './footWall';

/** A corner's other wall by itself: the job as it is seen from there, and what is known of it. */
export interface SideWall extends CornerWall {
  side: Side;
  sections: ReturnType<typeof wallPart>;
}

/** What a caller may keep of it from one plan to the next. */
export interface SideWallMeans {
  sideWallParts: typeof sideWallParts;
  inferStuds: typeof inferStuds;
}

export function sideWallOf(job: Job, means: SideWallMeans = { sideWallParts, inferStuds }): SideWall {
  const side = cornerSideOf(job);
  const there = sideWallJob(job, side, means.sideWallParts);
  const found = means.inferStuds(...readingsOf(there));
  const sections = wallPart(there, found);
  return { side, job: there, found, wall: sections.section, sections };
}
