import type { Job, Mount } from '@steddo/contract';
import { usableSlots } from '../plate/usableSlots';
import type { PlateSpot } from '../plate/plateSearch';
import { EDGE_DIAMETERS } from '../wall/holeChance';
import type { StudsFound } from '../wall/inferStuds';
import { studPly } from '../wall/studsOf';
import { asideOf } from '../arm/arm';

/** What is known of the wood that some slot of a plate could come over. */
export interface WoodInReach {
  /** How many usable plies are to be expected there: at least the chance that there is one. */
  expected: number;
  /** Somebody probed or scanned there; what the spacing alone lets expect decides nothing. */
  lookedFor: boolean;
  /** The likeliest place for a stud that nobody has met yet. */
  likely?: number;
}

interface Reach {
  job: Job;
  mount: Mount;
  found: StudsFound;
  spots: readonly PlateSpot[];
  /** The installer's own plate centre. */
  fixed?: number | undefined;
}

/** Looked at every so many millimetres: a usable ply is several times as wide. */
const STEP_MM = 2;

/** So many times the mean of the reach, and a place stands out. Ours. */
const STANDS_OUT = 2;

/**
 * The wood within reach of a plate's slots, slide and fold included: the chance that a lag lands, summed along
 * the reach and taken by the width within a ply where it does.
 */
export function woodInReach({ job, mount, found, spots, fixed }: Reach, diameter: number): WoodInReach {
  const reach = reachOfSlots({ mount, spots, fixed }, diameter);
  const ply = studPly(job.room.wall, job.guessed).value;
  const usable = Math.max(STEP_MM, ply - 2 * EDGE_DIAMETERS * diameter);
  const met = found.studs.filter((s) => s.evidence.length > 0);
  let sum = 0;
  let likely: { x: number; lands: number } | undefined;
  for (const [from, to] of reach)
    for (let x = from; x <= to; x += STEP_MM) {
      const { lands } = found.chances.at(Math.round(x), diameter);
      sum += lands * STEP_MM;
      const known = met.some((s) => Math.abs(s.centre - x) <= s.width);
      if (!known && (!likely || lands > likely.lands)) likely = { x: Math.round(x), lands };
    }
  const length = reach.reduce((all, [from, to]) => all + to - from, 0);
  const within = (x: number) => reach.some(([from, to]) => x >= from && x <= to);
  const probed = (job.evidence ?? []).some((e) => e.kind === 'probe' && (e.wall ?? 'main') === 'main' && within(e.x));
  const drilled = (job.drilled ?? []).some((d) => within(d.x));
  const scanned = (job.scans ?? []).some((s) =>
    reach.some(([from, to]) => Math.min(s.from, s.to) <= from && Math.max(s.from, s.to) >= to),
  );
  return {
    expected: sum / usable,
    lookedFor: probed || drilled || scanned,
    // where every place is alike there is none to be named
    ...(likely && likely.lands > STANDS_OUT * (sum / Math.max(1, length)) ? { likely: likely.x } : {}),
  };
}

/** Where along the wall some slot can come, as intervals that do not overlap. */
function reachOfSlots(
  { mount, spots, fixed }: Pick<Reach, 'mount' | 'spots' | 'fixed'>,
  diameter: number,
): [number, number][] {
  const slide = fixed === undefined ? asideOf(mount) : 0;
  const middles = fixed === undefined ? spots.map((s) => s.nominal.value) : [fixed];
  const all = middles.flatMap((x) =>
    usableSlots({ mount, fixing: { diameter } }).map(({ slot, travel }): [number, number] => [
      x + slot.x - travel - slide,
      x + slot.x + travel + slide,
    ]),
  );
  const merged: [number, number][] = [];
  for (const [from, to] of all.sort((a, b) => a[0] - b[0])) {
    const last = merged.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else merged.push([from, to]);
  }
  return merged;
}
