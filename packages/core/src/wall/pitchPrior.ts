import { PITCH_PEAKS_MM } from '../primitives/wallFacts';

/** Pitches of studs: 16 and 24 in, 400 and 600 mm; how true they are set; the odd ones. Ours. */
const PITCH_SD_MM = 6;
export const PITCH_RANGE_MM = { from: 138, to: 800 } as const;
const ODD_PITCH_SHARE = 0.1;
const STATED_PITCH_SHARE = 0.7;

/**
 * How far from the left face of one layout ply to the next, in whole mm: some peaks, each a few taps,
 * and a flat part. What a pitch of p weighs is the taps at p plus the flat weight inside its range.
 */
export interface PitchPrior {
  taps: readonly { pitch: number; weight: number }[];
  flat: { from: number; to: number; weight: number };
}

/** A peak is cut off so many sd from its middle. */
const CUT_SD = 6;

/**
 * The pitches of a wall whose spacing is stated, or not: one in ten odd, anything from 138 to 800 mm;
 * the stated peak 0.7, the usual ones (406.4, 609.6, 400, 600) the rest alike. All of it sums to 1.
 * Stated 406.4: the mean pitch is 421 mm.
 */
export function pitchPrior(statedMm?: number): PitchPrior {
  const others = PITCH_PEAKS_MM.filter((p) => statedMm === undefined || Math.abs(p - statedMm) > 0.5);
  const left = 1 - ODD_PITCH_SHARE - (statedMm === undefined ? 0 : STATED_PITCH_SHARE);
  const peaks = [
    ...(statedMm === undefined ? [] : [{ at: statedMm, share: STATED_PITCH_SHARE }]),
    ...others.map((at) => ({ at, share: left / others.length })),
  ];
  const weights = new Map<number, number>();
  for (const { at, share } of peaks)
    for (const { pitch, weight } of peakTaps(at, share)) weights.set(pitch, (weights.get(pitch) ?? 0) + weight);
  const { from, to } = PITCH_RANGE_MM;
  return {
    taps: [...weights].map(([pitch, weight]) => ({ pitch, weight })).sort((a, b) => a.pitch - b.pitch),
    flat: { from, to, weight: ODD_PITCH_SHARE / (to - from + 1) },
  };
}

function peakTaps(at: number, share: number): { pitch: number; weight: number }[] {
  const from = Math.ceil(at - CUT_SD * PITCH_SD_MM);
  const to = Math.floor(at + CUT_SD * PITCH_SD_MM);
  const raw = Array.from({ length: to - from + 1 }, (_, i) => ({
    pitch: from + i,
    weight: Math.exp(-0.5 * ((from + i - at) / PITCH_SD_MM) ** 2),
  }));
  const total = raw.reduce((sum, t) => sum + t.weight, 0);
  return raw.map((t) => ({ pitch: t.pitch, weight: (share * t.weight) / total }));
}

/** The longest pitch that the prior knows, mm. */
export const longestPitch = ({ taps, flat }: PitchPrior): number =>
  Math.max(flat.weight > 0 ? flat.to : 0, ...taps.map((t) => t.pitch));

/** Weight of each pitch from 0 to the longest. */
export function pitchWeights(prior: PitchPrior): Float64Array {
  const weights = new Float64Array(longestPitch(prior) + 1);
  for (const { pitch, weight } of prior.taps) weights[pitch]! += weight;
  for (let p = prior.flat.from; p <= prior.flat.to && prior.flat.weight > 0; p++) weights[p]! += prior.flat.weight;
  return weights;
}

/** P(pitch > k) for k from 0 on, and the mean pitch, mm. */
export function pitchTail(prior: PitchPrior): { beyond: (k: number) => number; mean: number } {
  const weights = pitchWeights(prior);
  const tail = new Float64Array(weights.length);
  let mean = 0;
  for (let k = weights.length - 2; k >= 0; k--) tail[k] = tail[k + 1]! + weights[k + 1]!;
  weights.forEach((w, p) => (mean += w * p));
  return { beyond: (k) => (k < 0 ? 1 : (tail[k] ?? 0)), mean };
}

/** The taps as runs of neighbouring pitches, so that a loop over them need not look each pitch up. */
export function tapRuns({ taps }: PitchPrior): { from: number; weights: Float64Array }[] {
  const runs: { from: number; weights: number[] }[] = [];
  for (const { pitch, weight } of taps) {
    const last = runs.at(-1);
    if (last && pitch === last.from + last.weights.length) last.weights.push(weight);
    else runs.push({ from: pitch, weights: [weight] });
  }
  return runs.map(({ from, weights }) => ({ from, weights: Float64Array.from(weights) }));
}
