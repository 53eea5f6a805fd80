import type { Job, Working } from '@steddo/contract';
import type { Point } from '../primitives/convex';
import { minus, named, node } from '../primitives/working';
import { eyeAcross, eyeAhead, faceOut, type FurtherOut } from './viewerAngles';

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
    const ahead = eyeAhead(v, [], out);
    const aside = eyeAcross(v, centreX, out);
    if (!ahead || !aside) return [];
    const away = minus('eye-to-face', ahead, faceOut(job, out));
    if (away.value <= 0) return [];
    const at = { x: v.x, z: v.distance };
    const straight = node('seat-across', 'atan', 'deg', [aside, away]);
    const turn = out.facing?.turn;
    const across = turn ? node('seat-across', '-', 'deg', [named('off-middle-line', straight), turn]) : straight;
    return [{ viewer: v.id, across, at }];
  });
}
