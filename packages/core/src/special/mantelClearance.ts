import type { Finding, Item, Job, MantelPlan } from '@steddo/contract';
import { finding } from '../primitives/findings';
import { onMainWall, outOf } from '../room/roomThings';

/** Nothing that burns nearer than this to a masonry fireplace's opening, mm (6 in); free from the second on (12 in). IRC R1001.11, from memory. */
const LEAST_MM = 152.4;
const FREE_MM = 304.8;

/** Between them it may stand out by an eighth of its distance. IRC R1001.11, from memory. */
const DISTANCE_PER_PROJECTION = 8;

export const CLEARANCE_SOURCE = 'IRC R1001.11, from memory';

export type Clearance = NonNullable<MantelPlan['clearance']>;

/** Openings and stoves of a job's main wall. */
export const firesOf = ({ room }: Job): Item[] =>
  onMainWall(room.objects).filter((o) => o.kind === 'opening' || o.kind === 'stove');

/** What burns, unless somebody says that it does not. */
export const burns = ({ kind, combustible = true }: Item): boolean =>
  combustible && (kind === 'mantel' || kind === 'shelf');

/** A local figure, or a maker's; the last one said. */
export const ruleOf = ({ room }: Job, what: NonNullable<Job['room']['rules']>[number]['what']): number | undefined =>
  room.rules?.findLast((r) => r.what === what)?.value;

/** The nearest of a thing to the edge of an opening, above it or beside it, mm; undefined for what is below. */
export function distanceFrom(fire: Item, thing: Item): number | undefined {
  if (thing.top <= fire.bottom) return undefined;
  const aside = Math.max(0, fire.left - thing.right, thing.left - fire.right);
  return Math.hypot(aside, Math.max(0, thing.bottom - fire.top));
}

/**
 * Whether what burns is far enough from an opening:
 *
 *   under 152.4 mm (6 in), or the local figure   stop, whatever it is
 *   to 304.8 mm (12 in)                          it may stand out by d / 8
 *   beyond                                       free
 *
 * 10 in away and 1.25 in out: go; 1.26 in: stop. 6 in up and 6 aside: 8.485, 1.061 out. A stove asks for its maker's
 * figure; without one it is a stop. IRC R1001.11, from memory. Undefined for what is below the opening.
 */
export function clearanceOf(fire: Item, thing: Item, figure: number | undefined): Clearance | undefined {
  const distance = distanceFrom(fire, thing);
  if (distance === undefined) return undefined;
  const made = { from: fire.id, distance, projection: outOf(thing) };
  if (fire.kind === 'stove')
    return figure === undefined
      ? { ...made, verdict: 'stop' }
      : { ...made, least: figure, verdict: distance < figure ? 'stop' : 'go' };
  const least = figure ?? LEAST_MM;
  if (distance < least - SLACK_MM) return { ...made, least, allowed: 0, verdict: 'stop' };
  if (distance >= FREE_MM - SLACK_MM) return { ...made, least, verdict: 'go' };
  const allowed = distance / DISTANCE_PER_PROJECTION;
  if (thing.out === undefined) return { ...made, least, allowed, verdict: 'caution' };
  return { ...made, least, allowed, verdict: made.projection > allowed + SLACK_MM ? 'stop' : 'go' };
}

/** No tape tells a thousandth: an inch in millimetres is at its limit, not beyond. */
const SLACK_MM = 1e-3;

const ORDER = { stop: 0, caution: 1, go: 2 } as const;

/** The worst that a thing comes to over all the fires of its wall. */
export function worstClearance(job: Job, thing: Item): Clearance | undefined {
  const figure = ruleOf(job, 'mantel-clearance');
  return firesOf(job)
    .flatMap((fire) => clearanceOf(fire, thing, figure) ?? [])
    .sort((a, b) => ORDER[a.verdict] - ORDER[b.verdict] || a.distance - b.distance)[0];
}

/** What there is to say of everything that burns near a fire. */
export const clearanceFindings = (job: Job): Finding[] =>
  onMainWall(job.room.objects)
    .filter(burns)
    .flatMap((thing): Finding[] => {
      const clearance = worstClearance(job, thing);
      if (!clearance || clearance.verdict === 'go') return [];
      const { from, distance: distanceMm, projection: projectionMm, allowed, least } = clearance;
      if (clearance.verdict === 'caution')
        return [
          finding(
            'mantel-to-measure',
            'caution',
            'room',
            { object: thing.id, from, allowedMm: allowed ?? 0 },
            CLEARANCE_SOURCE,
          ),
        ];
      const values = {
        ...{ object: thing.id, from, distanceMm, projectionMm },
        ...(allowed === undefined ? {} : { allowedMm: allowed }),
        ...(least === undefined ? {} : { leastMm: least }),
      };
      return [finding('mantel-clearance', 'stop', 'room', values, CLEARANCE_SOURCE)];
    });
