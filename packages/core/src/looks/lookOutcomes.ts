import { density } from '../primitives/normal';
import type { Possible } from './possibleStuds';
import { CENTRE_SD_MM, EDGE_SD_MM, PROBE_WRONG, SPURIOUS } from '../primitives/wallFacts';

/** Where to look next: within this of the holes, every so often, mm; and the least that a look has to bring. */
export const NEXT_LOOK = { withinMm: 80, stepMm: 5, leastGain: 0.005, readingStepMm: 4 } as const;

/** What somebody could do next at one stud. */
export type LookKind = 'probe' | 'edge' | 'centre';

/** One outcome of a look: its chance, and how the ways in which the stud may stand are weighed after it. */
export interface Outcome {
  chance: number;
  ways: Possible[];
}

/**
 * What a look at one stud may show, with Bayes done for each: `chance` of an outcome is the sum of what
 * each way of the stud, and its not being there, give it; the ways after it are weighed accordingly.
 * Only the stud in reach is touched: cut at 5 sd a reading says nothing about any other.
 */
export function lookOutcomes(ways: readonly Possible[], kind: LookKind, x: number): Outcome[] {
  return kind === 'probe' ? probeOutcomes(ways, x) : passOutcomes(ways, SCANS[kind]);
}

function probeOutcomes(ways: readonly Possible[], x: number): Outcome[] {
  const inside = ({ type, n }: Possible) => x >= n - type.offset && x <= n - type.offset + type.width;
  const wood = (w: Possible) => (inside(w) ? 1 - PROBE_WRONG : PROBE_WRONG);
  return [outcome(ways, wood, PROBE_WRONG), outcome(ways, (w) => 1 - wood(w), 1 - PROBE_WRONG)];
}

/** A pass of the edge finder marks both edges, which is a middle with sd 4 / sqrt 2; both have to be right. */
const SCANS = {
  edge: { sd: EDGE_SD_MM / Math.SQRT2, wrong: 1 - (1 - SPURIOUS.edge) ** 2 },
  centre: { sd: CENTRE_SD_MM, wrong: SPURIOUS.centre },
} as const;

/** A middle read somewhere, in steps; or nothing that can be used. */
function passOutcomes(ways: readonly Possible[], { sd, wrong }: { sd: number; wrong: number }): Outcome[] {
  const middles = ways.map(({ type, n }) => n - type.offset + type.width / 2);
  const step = NEXT_LOOK.readingStepMm;
  const [least, most] = [Math.min(...middles) - 2 * sd, Math.max(...middles) + 2 * sd];
  const readings: Outcome[] = [];
  for (let z = Math.floor(least / step) * step; z <= most; z += step) {
    const read = outcome(ways, (_, i) => (1 - wrong) * step * density(z - middles[i]!, sd), 0);
    if (read.chance > 1e-4) readings.push(read);
  }
  return [...readings, outcome(ways, () => wrong, 1)];
}

/** `given` the chance of the outcome for each way that the stud may stand; `none` without a stud there. */
function outcome(ways: readonly Possible[], given: (way: Possible, i: number) => number, none: number): Outcome {
  const there = ways.reduce((s, w) => s + w.p, 0);
  const weighed = ways.map((w, i) => w.p * given(w, i));
  const chance = weighed.reduce((a, b) => a + b, 0) + Math.max(0, 1 - there) * none;
  return { chance, ways: chance > 0 ? ways.map((w, i) => ({ ...w, p: weighed[i]! / chance })) : [] };
}
