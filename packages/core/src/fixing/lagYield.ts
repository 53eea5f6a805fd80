import { MM_PER_INCH } from '../primitives/convert';
import { LANES, laneAt, NUMBERS, type Arithmetic } from '../primitives/arithmetic';
import { MPA_PER_PSI, STEEL_BEARING_PSI, type LagSize } from './lagTables';
import type { Term } from '../primitives/terms';

/** How a laterally loaded lag gives way: crushing at one side, turning, or bending at one or two places. */
export const YIELD_MODES = ['I-m', 'I-s', 'II', 'III-m', 'III-s', 'IV'] as const;
export type YieldMode = (typeof YIELD_MODES)[number];

/** How the grain of a timber lies that is screwed onto a stud. */
export type TimberSide = 'across' | 'along';

/** A lag through a plate of steel or a timber, the board, which bears on it with a steady force, and packing, which does not. Lengths mm. */
export interface YieldInput {
  lag: LagSize;
  gravity: number;
  plate: number;
  board: number;
  packing: number;
  /** What the board bears on the lag all along its thickness, N; 0 where it does not. */
  boardBears: number;
  penetration: number;
  /** It comes out of the wood at the back, so that its tip is outside. */
  through?: boolean;
  /** What it goes through first is no steel but a timber of the same wood, its grain across the stud's or along it. */
  timberSide?: TimberSide | undefined;
  /** Between the pull and the grain: 0 down the stud, 90 across it. */
  angleDeg: number;
}

export interface YieldPart {
  mode: YieldMode;
  /** Load at yield, N, before the reduction. */
  load: number;
  reduction: number;
}

/** How hard sound gypsum or plaster bears on a lag, psi of its root. 0.4 to 0.5 of what the German annex to EC5 gives, from memory; ours. */
const BOARD_BEARING_PSI = 450;

/** What board bears on a lag, N: 450 psi over root and thickness, where the board is sound. 5/16 in through 12.7: 227 N. */
export const boardBears = ({ rootMm }: LagSize, boardMm: number): number =>
  BOARD_BEARING_PSI * MPA_PER_PSI * rootMm * boardMm;

/** Where the lag bends in the wood's modes: in the wood or the plate, or within the board that bears on it. */
type Hinge = 'beyond' | 'in-board';

/**
 * The yield load of a lag in one mode, N, with the board as a layer that bears on it with a steady force R
 * (moments about the board's back face; AWC Technical Report 12 for the parts, from memory):
 *
 *   q = Fe Dr,  M = Fyb Dr^3 / 6;  a side that crushes: a = 1/4q, b = l/2, c = q l^2/4; one that bends: 1/2q, 0, M
 *   I-m   P = qm lm + R              I-s    P = qs ls
 *   II, III-m, III-s, IV             A P^2 + B P + C = 0 with
 *   A = as + am,  B = bs + bm + board + packing - 2 am R,  C = -(cs + cm + bm R - am R^2 + R board/2)
 *   III-s, IV below R: the hinge lies in the board,  A = as + board/2R,  B = bs + packing,  C = -(cs + M)
 *
 * `bearing` is how hard the wood bears, N/mm2, and `side` how hard the timber that is screwed on, where it is no
 * steel. Without a board, 1/4 in at G 0.42, plate 0.075 in, 8 D deep,
 * over its reduction of 2.23: 142 lb, mode III-s.
 */
export function yieldLoad<N>(
  a: Arithmetic<N>,
  input: Omit<YieldInput, 'angleDeg'>,
  bearing: N,
  mode: YieldMode,
  hinge: Hinge = 'beyond',
  side?: N,
): N {
  const { lag, plate, board, packing, penetration, through } = input;
  const times = (label: Term, unit: 'N' | 'Nmm' | 'N/mm' | 'ratio', ...terms: N[]) => a.node(label, '*', unit, terms);
  const count = (label: Term, n: number) => a.leaf(label, n, 'count');
  const root = a.leaf('root', lag.rootMm, 'mm');
  const steel = () => a.leaf('bearing', STEEL_BEARING_PSI * MPA_PER_PSI, 'ratio');
  const qs = side ? times('timber-bears', 'N/mm', side, root) : times('steel-bears', 'N/mm', steel(), root);
  const qm = times('wood-bears', 'N/mm', bearing, root);
  const ls = a.leaf('plate-thickness', plate, 'mm');
  const lm = a.leaf('bearing-length', bearingLength(lag, penetration, through), 'mm');
  const layer = input.boardBears > 0 ? a.leaf('board-bears', input.boardBears, 'N') : undefined;
  if (mode === 'I-m' && !layer) return times('yield-load', 'N', qm, lm);
  if (mode === 'I-m') return a.node('yield-load', '+', 'N', [times('wood-load', 'N', qm, lm), layer!]);
  if (mode === 'I-s') return times('yield-load', 'N', qs, ls);
  const cubed = a.node('root-cubed', 'pow', 'ratio', [root, a.leaf('power', 3, 'ratio')]);
  const strength = a.leaf('yield-strength', lag.yieldPsi * MPA_PER_PSI, 'ratio');
  const moment = a.node('bending-moment', '/', 'Nmm', [
    times('bending-strength', 'ratio', strength, cubed),
    count('six', 6),
  ]);
  const crush = (q: N, l: N) =>
    a.node('crush-part', '/', 'Nmm', [times('crush-square', 'ratio', q, l, l), count('four', 4)]);
  const soft = (q: N, by: number) =>
    a.node('softness', '/', 'ratio', [count('one', 1), times('softness-by', 'ratio', count('times', by), q)]);
  const half = (l: N) => a.node('half-length', '/', 'mm', [l, count('two', 2)]);
  const { s, m } = CRUSHES[mode];
  const [softS, softM] = [soft(qs, s ? 4 : 2), soft(qm, m ? 4 : 2)];
  const partS = s ? crush(qs, ls) : moment;
  const partM = m ? crush(qm, lm) : moment;
  const layers = [a.leaf('board', board, 'mm'), a.leaf('packing', packing, 'mm')];
  const levers = [...(s ? [half(ls)] : []), ...layers, ...(m ? [half(lm)] : [])];
  const solve = (under: N, b: N, c: N): N => {
    const square = a.node('yield-under', '+', 'ratio', [
      times('yield-b-square', 'ratio', b, b),
      times('yield-four-ac', 'ratio', count('four', 4), under, c),
    ]);
    return a.node('yield-load', '/', 'N', [
      a.node('yield-top', '-', 'ratio', [a.node('yield-root', 'sqrt', 'ratio', [square]), b]),
      times('yield-two-a', 'ratio', count('two', 2), under),
    ]);
  };
  const sum = (label: Term, unit: 'mm' | 'Nmm' | 'ratio', ...terms: N[]) => a.node(label, '+', unit, terms);
  if (!layer)
    return solve(
      sum('yield-a', 'ratio', softS, softM),
      sum('yield-b', 'mm', ...levers),
      sum('yield-c', 'Nmm', partS, partM),
    );
  if (hinge === 'in-board') {
    const inBoard = a.node('softness', '/', 'ratio', [
      a.leaf('board', board, 'mm'),
      times('softness-by', 'ratio', count('times', 2), layer),
    ]);
    const b = sum('yield-b', 'mm', ...(s ? [half(ls)] : []), a.leaf('packing', packing, 'mm'));
    return solve(sum('yield-a', 'ratio', softS, inBoard), b, sum('yield-c', 'Nmm', partS, moment));
  }
  const eased = a.node('board-eases', '*', 'mm', [count('two', 2), softM, layer]);
  const b = a.node('yield-b', '-', 'mm', [sum('yield-levers', 'mm', ...levers), eased]);
  const carried = [
    partS,
    partM,
    ...(m ? [times('board-part', 'Nmm', half(lm), layer)] : []),
    times('board-part', 'Nmm', layer, half(a.leaf('board', board, 'mm'))),
  ];
  const c = a.node('yield-c', '-', 'Nmm', [
    sum('yield-carried', 'Nmm', ...carried),
    times('board-part', 'Nmm', softM, layer, layer),
  ]);
  return solve(sum('yield-a', 'ratio', softS, softM), b, c);
}

/** Whether the steel side and the wood crush, where the lag turns, or make it bend. */
const CRUSHES: Record<Exclude<YieldMode, 'I-m' | 'I-s'>, { s: boolean; m: boolean }> = {
  II: { s: true, m: true },
  'III-m': { s: false, m: true },
  'III-s': { s: true, m: false },
  IV: { s: false, m: false },
};

/** Modes in which the lag bends in the wood: below what the board bears it bends within the board instead. */
const mayBendInBoard = (mode: YieldMode): boolean => mode === 'III-s' || mode === 'IV';

/** Where a lag bends that gives way in a mode at a load. */
const hingeAt = (mode: YieldMode, load: number, bears: number): Hinge =>
  mayBendInBoard(mode) && load < bears ? 'in-board' : 'beyond';

/** A root thinner than this has its own reduction, in. */
const SLIM_IN = 0.25;

/** 10 Dr + 0.5 (at least 2.2) for a root under 1/4 in, else 4, 3.6 and 3.2 for I, II and the rest; times 1 + angle/360. */
export function yieldReduction({ rootMm }: LagSize, mode: YieldMode, angleDeg: number): number {
  const root = rootMm / MM_PER_INCH;
  const straight =
    root < SLIM_IN ? Math.max(2.2, 10 * root + 0.5) : mode.startsWith('I-') ? 4 : mode === 'II' ? 3.6 : 3.2;
  return (1 + angleDeg / 360) * straight;
}

/** The greatest angle between the pull and any grain that it meets (NDS 2018, table 12.3.1B, from memory). */
const furthestAcross = (angleDeg: number, timberSide: TimberSide | undefined): number =>
  timberSide === 'across' ? Math.max(angleDeg, 90 - angleDeg) : angleDeg;

/** How hard the wood bears on a lag that is pulled at an angle to the grain, N/mm2. */
export const bearingMpa = ({ lag, gravity, angleDeg }: Pick<YieldInput, 'lag' | 'gravity' | 'angleDeg'>): number =>
  bearingPsi(gravity, lag.shankMm / MM_PER_INCH, angleDeg) * MPA_PER_PSI;

/** How hard a timber that is screwed on bears on a lag, N/mm2; across the studs its grain is at a right angle to theirs. */
export const sideMpa = ({ timberSide, angleDeg, ...input }: YieldInput): number | undefined =>
  timberSide && bearingMpa({ ...input, angleDeg: timberSide === 'across' ? 90 - angleDeg : angleDeg });

/** Every mode with its load and its reduction. */
export function yieldParts(input: YieldInput): YieldPart[] {
  const bearing = bearingMpa(input);
  const side = sideMpa(input);
  return YIELD_MODES.map((mode) => ({
    mode,
    load: yieldLoad(NUMBERS, input, bearing, mode, hingeOf(input, mode), side),
    reduction: yieldReduction(input.lag, mode, furthestAcross(input.angleDeg, input.timberSide)),
  }));
}

/** Where the lag bends in a mode. */
export const hingeOf = (input: YieldInput, mode: YieldMode): Hinge =>
  hingeAt(mode, yieldLoad(NUMBERS, input, bearingMpa(input), mode, 'beyond', sideMpa(input)), input.boardBears);

/** The mode with the least reduced load. The allowable load before the duration factor is load / reduction. */
export const leastYield = (input: YieldInput): YieldPart =>
  yieldParts(input).reduce((least, p) => (p.load / p.reduction < least.load / least.reduction ? p : least));

/** Whole degrees of a quarter turn. */
const ANGLES = Array.from({ length: 91 }, (_, deg) => deg);

/** At each whole degree between the pull and the grain: the least reduced load, N, and the reduction of the mode that gives it. */
export interface YieldRow {
  held: Float64Array;
  reduction: Float64Array;
}

/** A lag's least yields: every angle is gone through at once. */
export function yieldTable(
  lag: LagSize,
  gravity: number,
  plate: number,
  board: number,
  packing: number,
  bears: number,
  penetration: number,
  through = false,
  timberSide?: TimberSide,
): YieldRow {
  const bearing = Float64Array.from(ANGLES, (angleDeg) => bearingMpa({ lag, gravity, angleDeg }));
  const side = timberSide === 'across' ? bearing.slice().reverse() : timberSide && bearing;
  const input = { lag, gravity, plate, board, packing, boardBears: bears, penetration, through };
  const row: YieldRow = { held: new Float64Array(91).fill(Infinity), reduction: new Float64Array(91) };
  for (const mode of YIELD_MODES) {
    const beyond = yieldLoad(LANES, input, bearing, mode, 'beyond', side);
    const bends = bears > 0 && mayBendInBoard(mode);
    const inBoard = bends ? yieldLoad(LANES, input, bearing, mode, 'in-board', side) : beyond;
    for (const deg of ANGLES) {
      const far = laneAt(beyond, deg);
      const load = hingeAt(mode, far, bears) === 'in-board' ? laneAt(inBoard, deg) : far;
      const reduction = yieldReduction(lag, mode, furthestAcross(deg, timberSide));
      if (load / reduction >= row.held[deg]!) continue;
      row.held[deg] = load / reduction;
      row.reduction[deg] = reduction;
    }
  }
  return row;
}

/** What bears in the wood, mm: of a lag less than 10 diameters deep the tip counts half (NDS 12.3.5.3, from memory). */
export const bearingLength = (lag: LagSize, penetration: number, through = false): number =>
  through || penetration >= 10 * lag.shankMm ? penetration : Math.max(0, penetration - lag.tipMm / 2);

/**
 * How hard wood bears on a dowel, psi: 11200 G along the grain, 6100 G^1.45 / sqrt D across it, and between
 * them by Hankinson's formula (NDS 2018, 12.3.3 and 12.3.4, from memory). G 0.50 along: 5600.
 */
export function bearingPsi(gravity: number, diameterIn: number, angleDeg: number): number {
  const along = 11_200 * gravity;
  const across = (6100 * gravity ** 1.45) / Math.sqrt(diameterIn);
  const sin2 = Math.sin((angleDeg * Math.PI) / 180) ** 2;
  return (along * across) / (along * sin2 + across * (1 - sin2));
}
