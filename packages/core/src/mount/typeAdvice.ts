import type { Advice, Working } from '@steddo/contract';
import type { SeatAngle } from '../sight/seatAngles';
import { ACROSS_TURN_DEG, TILT_PLAIN_DEG } from '../tolerances';

/** What the seats ask of any mount, worked out once for the whole catalogue. */
export interface Seats {
  seats: SeatAngle[];
  /** Weighted mean of how far up the viewers look to the set's centre, degrees. */
  tilt?: Working;
}

/**
 * The plainest type that serves every seat: full motion from 30 degrees across; else tilt where
 * five degrees or more of it are needed; else fixed. Undefined while nobody's seat is known.
 * Seats at 8 and 34 degrees ask for full motion.
 */
export function typeAdvice({ seats, tilt }: Seats): Advice | undefined {
  if (seats.length === 0 && !tilt) return undefined;
  const size = (s: SeatAngle) => Math.abs(s.across.value);
  const widest = [...seats].sort((a, b) => size(b) - size(a))[0];
  const turns = widest !== undefined && size(widest) >= ACROSS_TURN_DEG;
  const tilts = tilt !== undefined && Math.abs(tilt.value) >= TILT_PLAIN_DEG;
  return {
    type: turns ? 'full-motion' : tilts ? 'tilt' : 'fixed',
    ...(widest ? { across: widest.across.value, viewer: widest.viewer } : {}),
    ...(tilt ? { tiltNeeded: tilt.value } : {}),
    workings: {
      ...(widest ? { across: widest.across } : {}),
      ...(tilt ? { tilt } : {}),
    },
  };
}
