import type { Job, Working } from '@steddo/contract';
import type { Point } from '../primitives/convex';
import { leaf, minus, node } from '../primitives/working';
import { faceOut, type FurtherOut } from './viewerAngles';

export interface SeatAngle {
  viewer: string;
  /** Degrees off straight ahead, positive to the right. */
  across: Working;
  /** Where the seat is from above, mm. */
  at: Point;
}

/**
 * How far across each viewer sits, seen from the set's middle, folded: atan(across / away).
 * A seat 1000 mm to the right and 2400 away from the face: 22.6 degrees.
 */
export function seatAngles(job: Job, centreX: Working, out: FurtherOut = {}): SeatAngle[] {
  return (job.room.viewers ?? []).flatMap((v) => {
    if (v.distance === undefined || v.x === undefined) return [];
    const path = (field: string) => `room.viewers.${v.id}.${field}`;
    const distance = leaf('eye-distance', v.distance, 'mm', { path: path('distance') });
    const away = minus('eye-to-face', distance, faceOut(job, out));
    if (away.value <= 0) return [];
    const aside = minus('eye-across', leaf('eye-x', v.x, 'mm', { path: path('x') }), centreX);
    const at = { x: v.x, z: v.distance };
    return [{ viewer: v.id, across: node('seat-across', 'atan', 'deg', [aside, away]), at }];
  });
}
