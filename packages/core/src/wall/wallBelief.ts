import type { Evidence, Job, Scan } from '@steddo/contract';
import { studBuildOf } from '../room/wallAt';
import { drilledEvidence } from './drilledHoles';
import { density } from '../primitives/normal';
import { pitchPrior, pitchTail, type PitchPrior, PITCH_RANGE_MM } from './pitchPrior';
import { logSum, renewal, type Ends } from './renewal';
import {
  leftFace,
  rightFace,
  saysOf,
  studTypes,
  studWeights,
  type Says,
  type StudType,
  type WallGrid,
} from './studWeights';
import { STUD_WIDTH_MM } from '../primitives/wallFacts';

/** Widths of a ply when nobody has measured it, mm, and how usual each is: 1 1/2 in, 45 and 50 mm. Ours. */
const PLY_WIDTHS_MM = [
  { width: STUD_WIDTH_MM, share: 0.85 },
  { width: 45, share: 0.1 },
  { width: 50, share: 0.05 },
] as const;

/** A stud stands in a corner against a return wall so often; how true it is set there, mm. Ours. */
const RETURN_STUD_SHARE = 0.6;
const RETURN_STUD_SD_MM = 6;

/** A wood probe this near to a nogging's middle may have met the nogging, mm: half of 38, and the hand. Ours. */
const NOGGING_HALF_MM = 25;

/** What the readings are of: one wall, with what is known of how it was built. Lengths mm. */
export interface WallInput {
  evidence: readonly Evidence[];
  scans: readonly Scan[];
  widthMm: number;
  /** Centre to centre, where somebody said so; a guess does not count. */
  spacingMm?: number;
  plyMm?: number;
  returns?: { left?: boolean | undefined; right?: boolean | undefined } | undefined;
}

/** One width that the plies may have, its chance, and for each type the chance of a stud at each place. */
export interface Layer {
  plyMm: number;
  weight: number;
  types: StudType[];
  /** P(a stud of that type has its layout ply's left face at grid place n), the layer's weight included. */
  chance: Float64Array[];
  logL: Float64Array;
}

/** Everything that the readings say about studs on one wall. */
export interface WallBelief {
  grid: WallGrid;
  widthMm: number;
  prior: PitchPrior;
  /** What spacing a reading's chance of being false is reckoned by, mm. */
  spacingMm: number;
  ends: Ends;
  says: { e: Evidence; says: Says }[];
  layers: Layer[];
  /** Log of how well studs explain the readings, against none of them being a stud's. */
  logZ: number;
}

/** A number of the build that somebody measured or said; one that is marked a guess does not count. */
export const saidOf = (
  { build, path }: ReturnType<typeof studBuildOf>,
  guessed: Job['guessed'],
  field: 'spacing' | 'studWidth',
): number | undefined => ((guessed ?? []).includes(`${path}.${field}`) ? undefined : build[field]);

const onMain = (e: { wall?: string | undefined }) => (e.wall ?? 'main') === 'main';

/** What was read of the main wall, and met by the drill. */
export function wallInputOf(
  evidence: Job['evidence'],
  scans: Job['scans'],
  drilled: Job['drilled'],
  wall: Job['room']['wall'],
  guessed: Job['guessed'],
): WallInput {
  const studs = studBuildOf(wall);
  const spacingMm = saidOf(studs, guessed, 'spacing');
  const plyMm = saidOf(studs, guessed, 'studWidth');
  return {
    evidence: [...(evidence ?? []).filter(onMain), ...drilledEvidence(drilled)],
    scans: (scans ?? []).filter(onMain),
    widthMm: wall.width,
    ...(spacingMm === undefined ? {} : { spacingMm }),
    ...(plyMm === undefined ? {} : { plyMm }),
    ...(wall.returns ? { returns: wall.returns } : {}),
  };
}

/**
 * The chance of a stud at every millimetre of a wall, from all its readings together.
 *
 *   for each width w that the plies may have:
 *     L(n)    = sum over stud types t of the share of t times what the readings weigh for t at n
 *     P(n, t) = renewal posterior(n) L_t(n) / L(n)
 *   mixed by P(w) Z(w), Z all the ways in which studs and readings can go together
 *
 * Linear in the wall's length; each reading adds a few dozen sums, whatever the others are. Nothing read:
 * every place alike, one stud in a mean pitch. A 5 m wall takes a few ms.
 */
export function wallBelief(input: WallInput): WallBelief {
  const prior = pitchPrior(input.spacingMm);
  const reach = PITCH_RANGE_MM.to;
  const grid = { from: -reach, size: Math.ceil(input.widthMm) + 2 * reach + 1 };
  const widths = input.plyMm === undefined ? PLY_WIDTHS_MM : [{ width: input.plyMm, share: 1 }];
  return beliefWith({
    grid,
    widthMm: input.widthMm,
    prior,
    spacingMm: input.spacingMm ?? pitchTail(prior).mean,
    ends: endsOf(input, grid, widths[0]!.width),
    says: readable(input.evidence),
    scans: input.scans,
    widths,
  });
}

/** What the inference works with, once the job's words are out of it. */
export interface BeliefSetting extends Omit<WallBelief, 'layers' | 'logZ'> {
  scans: readonly Scan[];
  widths: readonly { width: number; share: number }[];
}

/** The inference itself, for any grid, pitches and widths. */
export function beliefWith({ scans, widths, ...known }: BeliefSetting): WallBelief {
  const { grid, prior, ends, spacingMm } = known;
  const says = known.says.map((s) => s.says);
  const runs = widths.map(({ width, share }) => {
    const types = studTypes(width);
    const logs = types.map((t) => studWeights(says, scans, grid, t, spacingMm));
    const logL = anyOf(logs);
    const { posterior, logZ } = renewal(logL, prior, ends);
    return { plyMm: width, types, logs, logL, posterior, log: Math.log(share) + logZ };
  });
  const all = logSum(Float64Array.from(runs, (r) => r.log));
  const layers = runs.map(({ plyMm, types, logs, logL, posterior, log }): Layer => {
    const weight = Math.exp(log - all);
    const chance = logs.map((l) => l.map((v, n) => weight * posterior[n]! * Math.exp(v - logL[n]!)));
    return { plyMm, weight, types, chance, logL };
  });
  return { ...known, layers, logZ: all };
}

/** log of the sum of exponentials at each place. */
function anyOf(logs: readonly Float64Array[]): Float64Array {
  const [first, ...rest] = logs;
  const all = first!.slice();
  for (const l of rest)
    for (let n = 0; n < all.length; n++) {
      const [a, b] = [all[n]!, l[n]!];
      all[n] = a > b ? a + Math.log1p(Math.exp(b - a)) : b + Math.log1p(Math.exp(a - b));
    }
  return all;
}

/** What the readings say; wood at a nogging's height may be the nogging and says nothing about studs. */
function readable(evidence: readonly Evidence[]): { e: Evidence; says: Says }[] {
  const noggings = evidence.filter((e) => e.kind === 'nogging');
  return evidence.flatMap((e) => {
    const atNogging =
      e.kind === 'probe' && e.found === 'wood' && noggings.some((n) => Math.abs(n.y - e.y) <= NOGGING_HALF_MM);
    const says = atNogging ? undefined : saysOf(e);
    return says ? [{ e, says }] : [];
  });
}

/** A stud stands against a return wall: its left face at the wall's end, or its right face. */
function endsOf({ returns, widthMm }: WallInput, grid: WallGrid, plyMm: number): Ends {
  const against = (x: number) => ({
    share: RETURN_STUD_SHARE,
    at: (n: number) => density(n + grid.from - x, RETURN_STUD_SD_MM),
  });
  return {
    ...(returns?.left ? { left: against(0) } : {}),
    ...(returns?.right ? { right: against(widthMm - plyMm) } : {}),
  };
}

/** P(wood) at each whole millimetre of the wall, 0 to its width: a difference array over the studs. */
export function woodAlong({ grid, widthMm, layers }: WallBelief): Float64Array {
  const steps = new Float64Array(grid.size + 2);
  for (const { types, chance } of layers)
    types.forEach((t, k) => {
      const own = chance[k]!;
      const [l, r] = [Math.ceil(leftFace(t)), Math.floor(rightFace(t)) + 1];
      for (let n = 0; n < own.length; n++) {
        steps[Math.max(0, n + l)]! += own[n]!;
        steps[Math.min(grid.size, Math.max(0, n + r))]! -= own[n]!;
      }
    });
  const wood = new Float64Array(Math.ceil(widthMm) + 1);
  let sum = 0;
  for (let i = 0; i < grid.size; i++) {
    sum += steps[i]!;
    const x = i + grid.from;
    if (x >= 0 && x < wood.length) wood[x] = Math.min(1, Math.max(0, sum));
  }
  return wood;
}
