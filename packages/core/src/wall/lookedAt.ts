import type { HoleHazard, Job, Look, Stud } from '@steddo/contract';
import { overlaps, type WallBox, LOOK_REACH_MM } from './hazardZones';
import { STUD_SPACING_MM } from '../room/usualSizes';

/** What looks have shown of a spot on the main wall. */
export interface Looked {
  /** Bays beside the spot's stud that were seen at its height; both for a spot between two studs. */
  left?: Look;
  right?: Look;
  state: Exclude<HoleHazard, 'seen'>;
}

/**
 * Which clear looks cover a spot: in the bays beside its stud, no further up or down than the camera saw.
 * A look beside a stud says which of the stud's bays it showed; without that it is the bay that it was
 * made in. Looked at in both bays it is clear; in one, only that side is known.
 */
export function lookedAt(job: Job, studs: readonly Stud[], spot: WallBox): Looked {
  const middle = (spot.left + spot.right) / 2;
  const wanted = baysOf(middle, studs);
  const clear = (job.looks ?? []).filter(
    (k) => (k.wall ?? 'main') === 'main' && k.found === 'clear' && covers(k, spot),
  );
  const by = (bay: number) => clear.find((k) => shownBays(k, studs).includes(bay) && isNear(k, middle));
  const [left, right] = [by(wanted.left), by(wanted.right)];
  const state = left && right ? 'clear' : left || right ? 'one-side' : 'nobody-looked';
  return { ...(left ? { left } : {}), ...(right ? { right } : {}), state };
}

const covers = (k: Look, spot: WallBox): boolean => {
  const reach = k.reach ?? LOOK_REACH_MM;
  return spot.bottom >= k.y - reach && spot.top <= k.y + reach;
};

/** A bay is no wider than this; further off, two places without a stud known between them are not one bay. */
const isNear = (k: Look, x: number): boolean => Math.abs(k.x - x) <= 1.5 * STUD_SPACING_MM;

/** Bays are counted from the left: bay i is left of stud i. */
const bayOf = (x: number, studs: readonly Stud[]): number => studs.filter((s) => s.centre < x).length;

/** The bays beside a spot: those of the stud that it is in, or the one bay that it is in, twice. */
function baysOf(x: number, studs: readonly Stud[]): { left: number; right: number } {
  const at = studs.findIndex((s) => Math.abs(s.centre - x) <= s.width / 2);
  if (at >= 0) return { left: at, right: at + 1 };
  const bay = bayOf(x, studs);
  return { left: bay, right: bay };
}

function shownBays(k: Look, studs: readonly Stud[]): number[] {
  const own = bayOf(k.x, studs);
  if (k.bay === undefined || studs.length === 0) return [own];
  const nearest = studs.reduce(
    (best, s, i) => (Math.abs(s.centre - k.x) < Math.abs(studs[best]!.centre - k.x) ? i : best),
    0,
  );
  if (k.bay === 'both') return [nearest, nearest + 1];
  return [k.bay === 'left' ? nearest : nearest + 1];
}

/** The last look or live mark that shows something at a spot. */
export const seenAt = <S extends WallBox>(seen: readonly S[], spot: WallBox): S | undefined =>
  seen.find((s) => overlaps(s, spot));
