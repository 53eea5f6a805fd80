import type { Fit, Job, Mount, MountType, Ranked } from '@steddo/contract';
import { fitContext, type FitContext } from './fitContext';
import { fitMount, shortfall } from './fitMount';
import { seatShortfall } from './seatRules';
import { toMeasure } from './toMeasure';

/** All that decides a mount's place in the list. */
export interface Place {
  mount: Mount;
  stops: number;
  cautions: number;
  seats: number;
  special: number;
  price: number;
}

/** A place with the rules that led to it. */
interface Judged extends Place {
  reasons: Fit[];
}

/**
 * Mounts for this set, wall and room, best first: stops, cautions, mounts for special places after
 * the rest, fitness for the seats, least depth, price, then name. Each says why it is where it is; each that
 * fails names the failed rule nearest to passing. Archived mounts are left out. With nothing in the
 * catalogue the list is empty.
 */
export function rankMounts(mounts: readonly Mount[], job: Job): Ranked[] {
  const context = fitContext(job);
  return mounts
    .filter((mount) => !mount.archived)
    .map((mount) => judgeMount(mount, job, context))
    .sort(comparePlaces)
    .map(rankedOf);
}

/**
 * The place of one mount among others, without its reasons: for long lists, of which only the first
 * are shown. `rankMounts` gives the same order.
 */
export function placeOf(mount: Mount, job: Job, context: FitContext): Place {
  const { reasons: _, ...place } = judgeMount(mount, job, context);
  return place;
}

/** One mount with its reasons, as it stands in the ranked list. */
export const rankOne = (mount: Mount, job: Job, context: FitContext): Ranked =>
  rankedOf(judgeMount(mount, job, context));

function judgeMount(mount: Mount, job: Job, context: FitContext): Judged {
  const reasons = fitMount(mount, job, context);
  let [stops, cautions] = [0, 0];
  for (const r of reasons) {
    if (r.ok) continue;
    if (r.level === 'stop') stops += 1;
    else cautions += 1;
  }
  return {
    mount,
    reasons,
    stops,
    cautions,
    seats: seatShortfall(reasons),
    special: Number(SPECIAL.includes(mount.type)),
    // a mount without a price comes after every priced one; finite, so that two of them tie
    price: mount.price ?? Number.MAX_SAFE_INTEGER,
  };
}

/** Made for a place of their own (a corner, a camper, a bench, a hole in the wall): after the rest. */
const SPECIAL: readonly MountType[] = ['corner', 'vehicle', 'monitor-arm', 'recess'];

export function comparePlaces(a: Place, b: Place): number {
  return (
    a.stops - b.stops ||
    a.cautions - b.cautions ||
    a.special - b.special ||
    a.seats - b.seats ||
    a.mount.depth.folded - b.mount.depth.folded ||
    a.price - b.price ||
    byText(a.mount.name, b.mount.name) ||
    byText(a.mount.id, b.mount.id)
  );
}

const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

function rankedOf({ mount, reasons, stops, cautions }: Judged): Ranked {
  const failed = reasons.filter((r) => !r.ok);
  const nearest = failed.sort((a, b) => shortfall(a) - shortfall(b))[0];
  return {
    id: mount.id,
    name: mount.name,
    type: mount.type,
    verdict: stops > 0 ? 'stop' : cautions > 0 ? 'caution' : 'go',
    reasons,
    ...(nearest ? { nearest } : {}),
    toMeasure: toMeasure(mount),
  };
}
