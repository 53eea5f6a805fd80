import type { Build, Evidence, Stud, Working } from '@steddo/contract';
import { density } from '../geometry/normal';
import { PROBE_WRONG, SAME_STUD_MM, STUD_SPACING_MM, STUD_WIDTH_MM } from '../tolerances';
import { leaf, node } from '../working';
import { readMark, type Estimate } from './readMark';

/**
 * Studs from marks, combined simply: each stud from the marks beside it alone, spacing unused.
 * The exact inference along the whole wall takes this function's place; nothing else knows how
 * studs come about.
 *
 *   centre = mean of the estimates, weighted by 1 / sd^2
 *   odds   = (1/S) prod c_i  integral prod phi(z_i - b) db     c = S (1 - spurious) / spurious
 *            times 49 for each probe that found wood in it, divided by 49 for each that found none
 */
export interface StudsFound {
  studs: Stud[];
  /** Ids of evidence that disagrees with the studs found. */
  odd: string[];
}

/**
 * `combineMarks([{ kind: 'edge-left', x: 1203 }, { kind: 'edge-right', x: 1241 }], build)`
 * gives one stud at 1222, sd 2.83, chance 0.9999.
 */
export function combineMarks(evidence: readonly Evidence[], build: Build): StudsFound {
  const here = evidence.filter((e) => (e.wall ?? 'main') === 'main');
  const width = studWidthOf(build);
  const estimates = here.flatMap((e) => readMark(e, width) ?? []);
  const sharp = cluster(estimates.filter((e) => !e.vague));
  const vague = estimates.filter((e) => e.vague);
  const beside = (e: Estimate, group: Estimate[]) =>
    Math.abs(e.centre.value - centreOf(group).value) <= width.value / 2;
  const lone = vague.filter((e) => !sharp.some((group) => beside(e, group)));
  const groups = [...sharp, ...cluster(lone)];
  const spacing = build.spacing ?? STUD_SPACING_MM;
  const studs = groups
    .map((group) => studOf(group, vague.filter((e) => sharp.includes(group) && beside(e, group)), here, width, spacing))
    .sort((a, b) => a.centre - b.centre); // prettier-ignore
  return { studs, odd: oddOnes(here, studs) };
}

export const studWidthOf = (build: Build): Working =>
  leaf('stud-width', build.studWidth ?? STUD_WIDTH_MM, 'mm', {
    path: 'room.wall.build.studWidth',
    guess: build.studWidth === undefined,
  });

/** Estimates within reach of the running mean belong to one stud. */
function cluster(estimates: readonly Estimate[]): Estimate[][] {
  const groups: Estimate[][] = [];
  for (const e of [...estimates].sort((a, b) => a.centre.value - b.centre.value)) {
    const last = groups.at(-1);
    if (last && e.centre.value - centreOf(last).value <= SAME_STUD_MM) last.push(e);
    else groups.push([e]);
  }
  return groups;
}

/** Weighted by 1 / sd^2; where all are equally good, the plain mean that anybody can check. */
function centreOf(group: readonly Estimate[]): Working {
  const sds = new Set(group.map((e) => e.sd));
  if (sds.size === 1)
    return node(
      'stud-centre',
      'mean',
      'mm',
      group.map((e) => e.centre),
    );
  const weight = (e: Estimate) => leaf('mark-weight', 1 / e.sd ** 2, 'ratio');
  return node('stud-centre', '/', 'mm', [
    node('weighted-marks', '+', 'mm', group.map((e) => node('weighted-mark', '*', 'mm', [weight(e), e.centre]))),
    node('mark-weights', '+', 'ratio', group.map(weight)),
  ]); // prettier-ignore
}

function studOf(
  group: Estimate[],
  support: Estimate[],
  evidence: readonly Evidence[],
  width: Working,
  spacing: number,
): Stud {
  const working = centreOf(group);
  const sd = Math.sqrt(1 / group.reduce((total, e) => total + 1 / e.sd ** 2, 0));
  const wrongProbes = hollowIn(evidence, working.value, width.value).length;
  const trust = (1 - PROBE_WRONG) / PROBE_WRONG;
  const odds =
    (oddsOf(group, working.value, sd, spacing) * trust ** support.length) / trust ** wrongProbes;
  return {
    centre: working.value,
    width: width.value,
    sd,
    probability: odds / (1 + odds),
    evidence: [...group, ...support].map((e) => e.id),
    working,
  };
}

/** Product of normal densities integrated over the stud's place, in closed form. */
function oddsOf(group: readonly Estimate[], mean: number, sd: number, spacing: number): number {
  const joint = group.reduce((p, e) => p * density(e.centre.value - mean, e.sd), 1);
  const overPlace = joint * sd * Math.sqrt(2 * Math.PI);
  const weights = group.reduce((p, e) => p * ((spacing * (1 - e.spurious)) / e.spurious), 1);
  return (weights * overPlace) / spacing;
}

const hollowIn = (evidence: readonly Evidence[], centre: number, width: number): Evidence[] =>
  evidence.filter(
    (e) => e.kind === 'probe' && e.found !== 'wood' && Math.abs(e.x - centre) < width / 2,
  );

/** Probes without wood inside a stud, and lone marks that such a probe contradicts. */
function oddOnes(evidence: readonly Evidence[], studs: readonly Stud[]): string[] {
  const odd = studs.flatMap((stud) => {
    const hollow = hollowIn(evidence, stud.centre, stud.width).map((e) => e.id);
    if (hollow.length === 0) return [];
    return stud.probability < 0.5 ? [...hollow, ...stud.evidence] : hollow;
  });
  return [...new Set(odd)];
}
