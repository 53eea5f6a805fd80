import type { Advice, Working } from '@steddo/contract';
import type { RoughRoom } from '../reach/roughReach';
import { reachNeeded } from '../reach/seatPose';
import type { SeatAngle } from '../sight/seatAngles';

/** Seats further across than this ask for a set that turns; from this on plainer mounts are a caution. */
export const ACROSS_TURN_DEG = 30;

/** Tilt that nobody misses, degrees; and tilt lacking by so much that the picture is past its comfort band. */
export const TILT_PLAIN_DEG = 5;

/** What the seats ask of any mount, worked out once for the whole catalogue. */
export interface Seats {
  seats: SeatAngle[];
  /** Weighted mean of how far up the viewers look to the set's centre, degrees. */
  tilt?: Working;
}

/**
 * The plainest type that serves every seat: full motion from 30 degrees across; else tilt where
 * five degrees or more of it are needed; else fixed. Where it has to turn, how far out its back has to
 * come for that, the joint at the back. Undefined while nobody's seat is known.
 * Seats at 8 and 34 degrees ask for full motion.
 */
export function typeAdvice({ seats, tilt }: Seats, rough?: RoughRoom): Advice | undefined {
  if (seats.length === 0 && !tilt) return undefined;
  const size = (s: SeatAngle) => Math.abs(s.across.value);
  const widest = [...seats].sort((a, b) => size(b) - size(a))[0];
  const turns = widest !== undefined && size(widest) >= ACROSS_TURN_DEG;
  const tilts = tilt !== undefined && Math.abs(tilt.value) >= TILT_PLAIN_DEG;
  const bare = rough && { width: rough.width, thickness: rough.thickness, head: 0, aside: 0 };
  const out = turns && bare ? reachNeeded(rough.centreX, bare, widest.at) : undefined;
  return {
    type: turns ? 'full-motion' : tilts ? 'tilt' : 'fixed',
    ...(widest ? { across: widest.across.value, viewer: widest.viewer } : {}),
    ...(tilt ? { tiltNeeded: tilt.value } : {}),
    ...(out === undefined ? {} : { reachNeeded: out }),
    workings: {
      ...(widest ? { across: widest.across } : {}),
      ...(tilt ? { tilt } : {}),
    },
  };
}
