import type { Fit, Job, Mount, MountType, Ranked } from '@steddo/contract';
import { fitMount, shortfall } from './fitMount';
import { toMeasure } from './toMeasure';

/**
 * Mounts for this set and wall, best first: stops, cautions, mounts for
 * special places after the rest, least depth, price, then name.
 * Each says why it is where it is; each that fails names the failed rule nearest to passing.
 * Archived mounts are left out. With nothing in the catalogue the list is empty.
 */
export function rankMounts(mounts: readonly Mount[], job: Pick<Job, 'screen' | 'room'>): Ranked[] {
  return mounts
    .filter((mount) => !mount.archived)
    .map((mount) => ({ mount, entry: rankOne(mount, job) }))
    .sort((a, b) => compare(a.entry, b.entry) || byLabel(a.mount, b.mount))
    .map(({ entry }) => entry);
}

function rankOne(mount: Mount, job: Pick<Job, 'screen' | 'room'>): Ranked {
  const reasons = fitMount(mount, job);
  const failed = reasons.filter((r) => !r.ok);
  const nearest = [...failed].sort((a, b) => shortfall(a) - shortfall(b))[0];
  return {
    id: mount.id,
    name: mount.name,
    type: mount.type,
    verdict: failed.some((r) => r.level === 'stop') ? 'stop' : failed.length > 0 ? 'caution' : 'go',
    reasons,
    ...(nearest ? { nearest } : {}),
    toMeasure: toMeasure(mount),
  };
}

const count = (reasons: readonly Fit[], level: Fit['level']): number =>
  reasons.filter((r) => !r.ok && r.level === level).length;

function compare(a: Ranked, b: Ranked): number {
  return (
    count(a.reasons, 'stop') - count(b.reasons, 'stop') ||
    count(a.reasons, 'caution') - count(b.reasons, 'caution')
  );
}

/** Made for a place of their own (a corner, a camper, a bench, a hole in the wall): after the rest. */
const SPECIAL: readonly MountType[] = ['corner', 'vehicle', 'monitor-arm', 'recess'];
const isSpecial = (mount: Mount): number => Number(SPECIAL.includes(mount.type));

function byLabel(a: Mount, b: Mount): number {
  return (
    isSpecial(a) - isSpecial(b) ||
    a.depth.folded - b.depth.folded ||
    priceOf(a) - priceOf(b) ||
    a.name.localeCompare(b.name) ||
    a.id.localeCompare(b.id)
  );
}

/** A mount without a price comes after every priced one; a finite number, so that two of them tie. */
const priceOf = (mount: Mount): number => mount.price ?? Number.MAX_SAFE_INTEGER;
