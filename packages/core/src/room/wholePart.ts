import type { HoleInto, Zone } from '@steddo/contract';
import { isIn, mainZones, type Wall } from './wallAt';

type Build = NonNullable<Zone['build']>;

/** What has to be alike on both sides of an edge for a fixing not to mind it, besides the kind of wall. */
const MINDS: Record<HoleInto, readonly (keyof Build)[]> = {
  stud: [],
  'metal-stud': [],
  board: ['board', 'cover', 'state'],
  masonry: ['masonry', 'unit'],
  backing: ['thickness'],
};

/**
 * Whether what goes into a place, with `keep` mm about its middle, is wholly in one part of the wall: further than
 * that from every edge beyond which the wall is another for it, the doubt of that edge taken off. A part from 1300 up
 * whose edge is known to 5 mm, 19 kept: from 1276 to 1324 nothing.
 */
export function isWhole(wall: Wall, into: HoleInto, x: number, y: number, keep: number): boolean {
  if (!wall.zones?.length) return true;
  return mainZones(wall).every((z) => !differs(wall, z, into) || !isOnEdge(z, x, y, keep + (z.doubt ?? 0)));
}

const differs = ({ build: own }: Wall, { build, face }: Zone, into: HoleInto): boolean =>
  Boolean(face) ||
  (build?.kind !== undefined && build.kind !== own.kind) ||
  MINDS[into].some((field) => build?.[field] !== undefined);

function isOnEdge({ left, right, bottom, top }: Zone, x: number, y: number, off: number): boolean {
  const near = isIn({ left: left - off, right: right + off, bottom: bottom - off, top: top + off }, x, y);
  const inside = x > left + off && x < right - off && y > bottom + off && y < top - off;
  return near && !inside;
}
