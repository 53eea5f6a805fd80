import type { Fit, Job, Mount, Ranked } from '@steddo/contract';
import { SCHEMED, schemeRule } from './schemeRule';
import { fitContext, type FitContext } from './fitContext';
import { fitMount, shortfall } from './fitMount';
import { seatShortfall } from './seatRules';
import type { MountMemory } from './mountMemory';
import { hangsIn, roomKindOf } from '../room/roomKind';
import { toMeasure } from './toMeasure';
import { inferStuds, readingsOf, type StudsFound } from '../wall/inferStuds';

/** All that decides a mount's place in the list. */
export interface RankPlace {
  mount: Mount;
  stops: number;
  cautions: number;
  seats: number;
  /** What the worst fastener has of what it may hold, to the nearest tenth; 1 where it cannot be said. */
  utilisation: number;
  price: number;
  /** It was given the whole scheme search. */
  searched?: boolean;
}

/** A place with the rules that led to it. */
interface Judged extends RankPlace {
  reasons: Fit[];
}

/**
 * Mounts for this set, wall and room, best first: stops, cautions, fitness for the seats, what the worst fastener has to hold, least depth, price, then name. The first
 * twenty are given the whole scheme search, and rank by what it finds. Each says why it is where it is; each that
 * fails names the failed rule nearest to passing. Archived mounts and those for another
 * kind of room are left out. With nothing in the
 * catalogue the list is empty.
 */
export function rankMounts(
  mounts: readonly Mount[],
  job: Job,
  found: StudsFound = inferStuds(...readingsOf(job)),
  memory?: MountMemory,
): Ranked[] {
  const context = fitContext(job, memory);
  const judged = mounts
    .filter((mount) => isRanked(mount, job))
    .map((mount) => judgeMount(mount, job, context))
    .sort(comparePlaces);
  const first = judged.slice(0, SCHEMED).map((j) => searched(j, job, context, found));
  return [...first, ...judged.slice(SCHEMED)].sort(comparePlaces).map(rankedOf);
}

/** Only what hangs in this kind of room is in its list, and nothing that was put away. */
export const isRanked = (mount: Mount, job: Pick<Job, 'room' | 'mount'>): boolean =>
  !mount.archived && hangsIn(mount.type, roomKindOf(job));

/** What stops it is its load in closed form alone, which the whole search takes the place of. */
const mayHold = (reasons: readonly Fit[]): boolean =>
  reasons.every((r) => r.ok || r.level !== 'stop' || r.rule === 'holds');

/** With the whole scheme search, where nothing else stops it already. */
const searched = (judged: Judged, job: Job, context: FitContext, found: StudsFound): Judged =>
  !mayHold(judged.reasons)
    ? judged
    : judgeMount(judged.mount, job, context, schemeRule(judged.mount, job, found, context));

/** Places of the first of a long list once more, with the whole scheme search; in their new order. */
export function searchFirst(
  places: readonly RankPlace[],
  job: Job,
  context: FitContext,
  found: StudsFound,
): RankPlace[] {
  const first = places.slice(0, SCHEMED).map((p): RankPlace => {
    const { reasons: _, ...place } = searched(judgeMount(p.mount, job, context), job, context, found);
    return { ...place, searched: true };
  });
  return [...first, ...places.slice(SCHEMED)].sort(comparePlaces);
}

/**
 * The place of one mount among others, without its reasons: for long lists, of which only the first
 * are shown. `rankMounts` gives the same order.
 */
export function placeOf(mount: Mount, job: Job, context: FitContext): RankPlace {
  const { reasons: _, ...place } = judgeMount(mount, job, context);
  return place;
}

/** One mount with its reasons, as it stands in the ranked list; `search` for one of the first twenty. */
export const rankOne = (mount: Mount, job: Job, context: FitContext, search?: StudsFound): Ranked =>
  rankedOf(search ? searched(judgeMount(mount, job, context), job, context, search) : judgeMount(mount, job, context));

function judgeMount(given: Mount, job: Job, context: FitContext, more: readonly Fit[] = []): Judged {
  const mount = context.plated(given);
  const rules = fitMount(mount, job, context);
  // what the whole search finds takes the place of the closed form: one number for one thing
  const reasons = more.length > 0 ? [...rules.filter((r) => r.rule !== 'holds'), ...more] : rules;
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
    utilisation: utilisationOf(reasons),
    // a mount without a price comes after every priced one; finite, so that two of them tie
    price: mount.price ?? Number.MAX_SAFE_INTEGER,
  };
}

/** Tenths: nobody chooses between two mounts by a hundredth. */
function utilisationOf(reasons: readonly Fit[]): number {
  const value = reasons.find((r) => r.rule === 'scheme')?.value ?? reasons.find((r) => r.rule === 'holds')?.value;
  return typeof value === 'number' ? Math.round(value * 10) / 10 : 1;
}

export function comparePlaces(a: RankPlace, b: RankPlace): number {
  return (
    a.stops - b.stops ||
    a.cautions - b.cautions ||
    a.seats - b.seats ||
    a.utilisation - b.utilisation ||
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
