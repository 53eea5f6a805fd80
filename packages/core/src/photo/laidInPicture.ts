import type { Job, PhotoPlane, PhotoReference as Written, PhotoTap } from '@steddo/contract';
import type { Laid, LaidReference } from './laid';
import type { PictureSize, Tap } from './pictures';
import { SHEETS } from './references';

/**
 * How far off a tap is, one standard deviation, pixels of a picture of 1600: a finger under the glass, and what was drawn to
 * a corner that the picture has there. Ours: a sheet's corner is round, and its edge stands off.
 */
const TAP_SD_PX = 2.5;
const SHARP_SD_PX = 1;
const OF_PX = 1600;
/** A lens whose bending a file brings and does not say how sure it is. */
const BROUGHT_SD = 0.005;

/** What was laid onto a picture, as it stands in the job, in its pixels and in what the room knows of it. */
export function laidInPicture(job: Job, plane: PhotoPlane, picture: PictureSize): Laid {
  const { references = [], points, k1, apart, level, floor, end, edges = [] } = plane;
  const at = (tap: PhotoTap): Tap => tapIn(tap, picture);
  const laid = references.flatMap((r): LaidReference[] => {
    const taps = r.taps.filter((t) => t !== null);
    const sized = sizedReference(job, r);
    return sized && taps.length === 4 ? [{ ...sized, taps: taps.map(at) }] : [];
  });
  // a file of another making has places and no references
  const known = references.length > 0 ? [] : points.map((p) => ({ ...at(p), x: p.x, y: p.y }));
  const both = laid.length === 2;
  return {
    picture,
    references: laid,
    known,
    ...(both && apart !== undefined ? { apart } : {}),
    ...(both && level !== undefined ? { level } : {}),
    ...(floor ? { floor: at(floor) } : {}),
    ...(end ? { end: { ...at(end), x: end.side === 'left' ? 0 : job.room.wall.width } } : {}),
    edges: edges.map((edge) => edge.map(at)),
    ...(known.length > 0 && k1 !== undefined ? { bend: { k1, sd: BROUGHT_SD } } : {}),
  };
}

/** How far off a tap is, one standard deviation, pixels: drawn to a corner of the picture or laid by a finger. */
export const tapSd = (sharp: boolean, { width, height }: PictureSize): number =>
  ((sharp ? SHARP_SD_PX : TAP_SD_PX) * Math.max(width, height)) / OF_PX;

const tapIn = ({ u, v, sharp = false }: PhotoTap, picture: PictureSize): Tap => ({
  u: u * picture.width,
  v: v * picture.height,
  sd: tapSd(sharp, picture),
});

/** How large a reference is and where; undefined while somebody has still to say so, or where the room has no such thing. */
export function sizedReference({ room }: Job, r: Omit<Written, 'taps'>): Omit<LaidReference, 'taps'> | undefined {
  const taped = {
    ...(r.left === undefined ? {} : { left: r.left }),
    ...(r.bottom === undefined ? {} : { bottom: r.bottom }),
  };
  switch (r.what) {
    case 'wall':
      return { width: room.wall.width, height: room.wall.height, left: 0, bottom: 0, fast: true };
    case 'thing': {
      const o = room.objects?.find(({ id, wall }) => id === r.thing && (wall ?? 'main') === 'main');
      return o && { width: o.right - o.left, height: o.top - o.bottom, left: o.left, bottom: o.bottom, fast: true };
    }
    case 'taped':
      return r.width && r.height ? { width: r.width, height: r.height, ...taped } : undefined;
    case 'a4':
    case 'letter':
      return { ...SHEETS[r.what], ...taped };
  }
}
