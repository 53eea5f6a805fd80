import type { Build, Job, Stud, Working } from '@steddo/contract';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { likeliestStuds, type LaidStud } from './likeliestStuds';
import { studBuildOf, type Wall } from '../room/wallAt';
import { readMark, type Estimate } from './readMark';
import type { StudType } from './studWeights';
import { type Layer, type WallBelief, saidOf, woodAlong } from './wallBelief';
import { PITCH_RANGE_MM } from './pitchPrior';
import { SAME_MM } from '../primitives/epsilons';
import { STUD_WIDTH_MM } from '../primitives/wallFacts';

/** A stud less likely than this is not shown, and a reading less likely its stud's is odd. Ours. */
const STUD_SHOWN = 0.5;

/** Width of a ply as a number with its origin: the job's, or the usual one as a guess. */
export const studWidthOf = (build: Build, guess = build.studWidth === undefined, path = 'room.wall.build'): Working =>
  leaf('stud-width', build.studWidth ?? STUD_WIDTH_MM, 'mm', { path: `${path}.studWidth`, guess });

/** The same for a wall, where a width that is marked a guess stays one. */
export const studPly = (wall: Wall, guessed: Job['guessed']): Working => {
  const studs = studBuildOf(wall);
  return studWidthOf(studs.build, saidOf(studs, guessed, 'studWidth') === undefined, studs.path);
};

/** Mean and spread of where a stud's middle is, with the chance that one of that many plies is there. */
interface StudEstimate {
  centre: number;
  sd: number;
  chance: number;
}

/** Half the least pitch: within it there is one stud at most. */
const ALONE_MM = PITCH_RANGE_MM.from / 2;

const middleOf = (t: StudType): number => t.width / 2 - t.offset;

/**
 * The studs of the likeliest layout that are likely enough to be shown, left to right: each with the
 * mean and sd of its middle and P(wood) there, over everything that the readings leave possible.
 * Edges at 1203 and 1241 of a 38 mm stud: middle 1222, sd 2.8, P(wood) 0.99.
 */
export function studsOf(belief: WallBelief, plyWidth: Working, wood = woodAlong(belief)): Stud[] {
  const { layer, studs } = likeliestStuds(belief);
  const shown = studs.flatMap((laid) => {
    const spot = spotOf(belief, layer, laid);
    const probability = wood[Math.round(spot.centre)] ?? 0;
    const outside = spot.centre < 0 || spot.centre > belief.widthMm;
    return outside || probability < STUD_SHOWN ? [] : [{ laid, spot, probability }];
  });
  const estimates = belief.says.flatMap(({ e }) => readMark(e, plyWidth) ?? []);
  const owns = shown.map(({ spot, laid }) => {
    const reach = (layer.types[laid.type]!.width + layer.plyMm) / 2;
    return estimates.filter((e) => Math.abs(e.centre.value - spot.centre) <= reach);
  });
  const found = shown.map(({ spot }, i) => (owns[i]!.length > 0 ? spot.centre : undefined));
  return shown.map(({ laid, spot, probability }, i): Stud => {
    const type = layer.types[laid.type]!;
    const neighbour = nearestOf(found, i);
    const working = centreWorking(owns[i]!, spot.centre, neighbour, belief.spacingMm);
    return {
      centre: spot.centre,
      width: type.width,
      sd: spot.sd,
      probability: Math.min(1, probability),
      evidence: owns[i]!.map((e) => e.id),
      ...(type.plies === 2 ? { plies: 2, drillAt: doubleAt(working, plyWidth) } : {}),
      working,
    };
  });
}

/** Over all widths and both offsets of as many plies as the laid stud has, near where it was laid. */
function spotOf({ grid, layers }: WallBelief, layer: Layer, laid: LaidStud): StudEstimate {
  const { plies } = layer.types[laid.type]!;
  const about = laid.n + middleOf(layer.types[laid.type]!);
  let [chance, first, second] = [0, 0, 0];
  for (const { types, chance: p } of layers)
    types.forEach((t, k) => {
      if (t.plies !== plies) return;
      const shift = middleOf(t) + grid.from;
      const from = Math.max(0, Math.ceil(about - ALONE_MM - shift));
      const to = Math.min(grid.size - 1, Math.floor(about + ALONE_MM - shift));
      for (let n = from; n <= to; n++) {
        const off = n + shift - about;
        chance += p[k]![n]!;
        first += p[k]![n]! * off;
        second += p[k]![n]! * off * off;
      }
    });
  const mean = first / chance;
  return { centre: about + mean, sd: Math.sqrt(Math.max(0, second / chance - mean ** 2)), chance };
}

/** The nearest stud with marks of its own, to the left or the right. */
function nearestOf(found: readonly (number | undefined)[], i: number): number | undefined {
  const known = found.flatMap((x, j) => (x === undefined || j === i ? [] : [{ x, far: Math.abs(j - i) }]));
  return known.sort((a, b) => a.far - b.far)[0]?.x;
}

/**
 * How a hand would get there: the mean of the stud's own marks, weighted by 1 / sd^2, or whole spacings
 * from a stud that has some; and what all the other readings move it by.
 */
function centreWorking(own: readonly Estimate[], centre: number, from: number | undefined, spacingMm: number): Working {
  const base = own.length > 0 ? meanOf(own) : from === undefined ? undefined : steps(from, centre, spacingMm);
  if (!base) return leaf('stud-centre', centre, 'mm');
  const rest = centre - base.value;
  if (Math.abs(rest) <= SAME_MM) return base;
  return node('stud-centre', '+', 'mm', [base, leaf('rest-of-wall', rest, 'mm')]);
}

function meanOf(group: readonly Estimate[]): Working {
  const sharp = group.filter((e) => !e.vague);
  const used = sharp.length > 0 ? sharp : group;
  if (new Set(used.map((e) => e.sd)).size === 1)
    return node(
      'stud-by-marks',
      'mean',
      'mm',
      used.map((e) => e.centre),
    );
  const weight = (e: Estimate) => leaf('mark-weight', 1 / e.sd ** 2, 'ratio');
  return node('stud-by-marks', '/', 'mm', [
    node(
      'weighted-marks',
      '+',
      'mm',
      used.map((e) => node('weighted-mark', '*', 'mm', [weight(e), e.centre])),
    ),
    node('mark-weights', '+', 'ratio', used.map(weight)),
  ]);
}

function steps(from: number, to: number, spacingMm: number): Working {
  const count = Math.max(1, Math.round(Math.abs(to - from) / spacingMm));
  const away = node('spacings', '*', 'mm', [
    leaf('spacing-count', count, 'count'),
    // nobody has met this stud: where it stands is a guess, however well the spacing is known
    leaf('stud-spacing', spacingMm, 'mm', { path: 'room.wall.build.spacing', guess: true }),
  ]);
  const start = leaf('stud-beside', from, 'mm');
  return to > from ? sum('stud-by-spacing', start, away) : minus('stud-by-spacing', start, away);
}

/** Two plies have a seam in their middle: the hole goes into the middle of the left one. */
const doubleAt = (centre: Working, plyWidth: Working): Working =>
  minus('stud-ply', centre, half('half-stud', plyWidth));
