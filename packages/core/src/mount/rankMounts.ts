import type { Fit, Job, Mount, MountType, Ranked } from '@steddo/contract';
import { fitContext, type FitContext } from './fitContext';
import { fitMount, shortfall } from './fitMount';
import { seatShortfall } from './seatRules';
import { toMeasure } from './toMeasure';

/** A mount with all that decides its place in the list. */
interface Judged {
  mount: Mount;
  reasons: Fit[];
  stops: number;
  cautions: number;
  seats: number;
  special: number;
  price: number;
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
    .sort(compareJudged)
    .map(rankedOf);
}

/** One mount's place among others, without its words: for long lists, which are cut before they are worded. */
export function judgeMount(mount: Mount, job: Job, context: FitContext): Judged {
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

export function compareJudged(a: Judged, b: Judged): number {
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

export function rankedOf({ mount, reasons, stops, cautions }: Judged): Ranked {
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
