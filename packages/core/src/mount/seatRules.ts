import type { Fit, Mount, MountType } from '@steddo/contract';
import { roughOff, type RoughRoom } from '../reach/roughReach';
import { type Seats, ACROSS_TURN_DEG, TILT_PLAIN_DEG } from './typeAdvice';

/** Seats further across than this ask for a set that turns; from this on plainer mounts are a caution. */
const ACROSS_MIND_DEG = 20;

/** Tilt lacking by so much is a caution; less is a note, and never a stop, degrees. Comfort band, ergonomic practice. */
const TILT_MIND_DEG = 15;

/**
 * What the seats ask, of one mount: how far off straight its worst seat stays when the set is
 * brought and turned to it past the walls, and the tilt. Off straight: under 20 degrees fits, from 30 on it is a stop.
 * Tilt lacking: under 15 a note, from there a caution. Reach is comfort and can be acknowledged.
 */
export function seatRules(mount: Mount, seats: Seats, rough?: RoughRoom): Fit[] {
  return [...reachRule(mount, seats, rough), ...tiltRule(mount, seats)];
}

const TURNING: readonly MountType[] = ['full-motion', 'corner', 'vehicle', 'monitor-arm'];

/** A mount that is made to move, and whose label does not say how far, is not judged by it. */
const unsaid = (mount: Mount, what: 'turn' | 'tilt'): boolean =>
  what === 'turn'
    ? TURNING.includes(mount.type) && (!mount.swivel || mount.depth.extended === undefined)
    : mount.tilt === undefined && (mount.type === 'tilt' || TURNING.includes(mount.type));

function reachRule(mount: Mount, { seats }: Seats, rough: RoughRoom | undefined): Fit[] {
  if (unsaid(mount, 'turn')) return [];
  let worst: { off: number; viewer: string } | undefined;
  for (const { viewer, across, at } of seats) {
    const off = (rough && roughOff(mount, rough, at)) ?? Math.abs(across.value);
    if (!worst || off > worst.off) worst = { off, viewer };
  }
  if (!worst) return [];
  const level = worst.off >= ACROSS_TURN_DEG ? 'stop' : worst.off > ACROSS_MIND_DEG ? 'caution' : 'info';
  return [
    {
      rule: 'reach',
      ok: level === 'info',
      level,
      value: worst.off,
      limit: ACROSS_MIND_DEG,
      margin: ACROSS_MIND_DEG - worst.off,
      unit: 'deg',
      axis: worst.viewer,
    },
  ];
}

function tiltRule(mount: Mount, { tilt }: Seats): Fit[] {
  if (!tilt || unsaid(mount, 'tilt')) return [];
  const down = tilt.value >= 0;
  const limit = (down ? mount.tilt?.down : mount.tilt?.up) ?? 0;
  const value = Math.abs(tilt.value);
  const lacking = value - limit;
  const level = lacking >= TILT_MIND_DEG ? 'caution' : 'info';
  return [
    {
      rule: 'tilt',
      ok: level === 'info',
      level,
      value,
      limit,
      margin: limit - value,
      unit: 'deg',
      axis: down ? 'down' : 'up',
    },
  ];
}

/** How far past what fits the seats leave a mount, degrees: to rank among equals. */
export const seatShortfall = (reasons: readonly Fit[]): number =>
  reasons.reduce((sum, r) => {
    if (r.rule === 'reach') return sum + Math.max(0, -r.margin);
    if (r.rule === 'tilt') return sum + Math.max(0, -r.margin - TILT_PLAIN_DEG);
    return sum;
  }, 0);
