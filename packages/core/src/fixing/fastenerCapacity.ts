import type { Build, Mount } from '@steddo/contract';
import type { FindingCode } from '../primitives/findings';
import { isRatedFor, type Fastener } from './kit';
import { overAt, type Fronted } from '../room/wallAt';
import { gravityOf, lagSizeOf, LEAST_PENETRATION_D, ROW_SPACING_D, usualThread, type LagSize } from './lagTables';
import { NUMBERS, type Arithmetic } from '../primitives/arithmetic';
import { lagHold, pullCapacity, type LagHold } from './lagWithdrawal';
import { boardBears, leastYield, yieldTable, type TimberSide, type YieldInput, type YieldRow } from './lagYield';
import { SAME_MM } from '../primitives/epsilons';
import { edgeShares, freeEdges, type EdgeShare } from '../room/freeEdges';
import { isHollow } from './fixingKinds';

/** A pack's ultimate rating is divided by this. Common practice for hollow-wall and masonry anchors. */
export const RATING_FACTOR = 4;

/** A pack's rating is for its board; one thinner by more is another rating, mm. Ours. */
export const RATED_BOARD_MM = 1;

/** Sheet steel of a plate, and depth of a stud, when nobody has measured them, mm. Ours; 2 x 4, common practice. */
export const PLATE_THICKNESS_MM = 3;
export const STUD_DEPTH_MM = 89;

/** A sheet of wood behind the board holds a lag from this thickness on, and half of what the tables for timber say, mm. Ours. */
export const LEAST_SHEET_MM = 15;
const SHEET_SHARE = 0.5;

/** What one fastener may hold where it sits, N, and how pull and shear go together; a lag's before its duration factor. */
export type Capacity =
  | {
      by: 'lag';
      tension: number;
      input: Omit<YieldInput, 'angleDeg'>;
      hold: LagHold;
      gravity: number;
      size: LagSize;
      rows: number;
      /** What a sheet takes from it; 1 in a stud. */
      sheet: number;
      /** Its least yield at each whole degree, worked out when it is first asked for. */
      yields?: YieldRow;
    }
  | {
      by: 'rating';
      tension: number;
      shear: number;
      ultimate: { tension: number; shear: number };
      /** What free edges of masonry, or thin steel, take from it; absent: nothing. */
      less?: { pull: number; shear: number; edges: readonly EdgeShare[] };
    };

/** Why nothing can be said about what it holds. */
export type NoCapacity = Extract<
  FindingCode,
  | 'no-rating'
  | 'lag-off-table'
  | 'lag-too-short'
  | 'rated-for-board'
  | 'grip-outside'
  | 'head-through-slot'
  | 'never-in-board'
  | 'board-unsound'
  | 'lags-too-close'
  | 'sheet-too-thin'
  | 'masonry-too-short'
  | 'unrated-on-lath'
>;

export interface ScrewSeat extends Fronted {
  /** Thickness of the plate, mm. */
  plateMm: number;
  fastener: Fastener;
  into: 'stud' | 'board' | 'masonry' | 'metal-stud' | 'backing';
  /** What is screwed on is a timber, not a plate of steel. */
  timberSide?: TimberSide | undefined;
  at: { x: number; y: number };
  slot: { height: number };
  /** A wall of metal studs that the mount's label does not name. */
  unnamedSteel?: boolean;
  /** To the nearest lag in the same stud, mm; infinite for a lone one. */
  apart: number;
}

/**
 * What a fastener may hold, or why nothing can be said: a lag by the tables for timber, everything else by its
 * pack's ultimate rating over four, a lag in a sheet too where its pack rates it, and in a vehicle never otherwise.
 * Nothing without a rating; nothing in patched or wet board.
 */
export function fastenerCapacity(seat: ScrewSeat): Capacity | NoCapacity {
  const { fastener, into } = seat;
  if (headSlips(seat)) return 'head-through-slot';
  if (into === 'board' || (into === 'metal-stud' && isHollow(fastener.kind))) return inSteel(seat, boardCapacity(seat));
  if (into === 'masonry' && masonryHold(seat).left < -SAME_MM) return 'masonry-too-short';
  const byPack = seat.vehicle || (into === 'backing' && Boolean(fastener.tension && fastener.shear));
  if (fastener.kind === 'lag' && !byPack) return lagCapacity(seat);
  return into === 'masonry' ? nearEdges(seat, rated(fastener)) : rated(fastener);
}

/** On metal studs that the label does not name half of it, in the flanges as in the board between them. Assumption. */
const STEEL_SHARE = 0.5;

function inSteel(seat: ScrewSeat, capacity: Capacity | NoCapacity): Capacity | NoCapacity {
  if (!seat.unnamedSteel || typeof capacity === 'string' || capacity.by === 'lag') return capacity;
  const less = { pull: STEEL_SHARE, shear: STEEL_SHARE, edges: [] };
  return { ...capacity, tension: capacity.tension * STEEL_SHARE, shear: capacity.shear * STEEL_SHARE, less };
}

/** A rating in masonry with what the free edges about it leave: of the pull always, of the shear towards each of them. */
function nearEdges(seat: ScrewSeat, capacity: Capacity | NoCapacity): Capacity | NoCapacity {
  if (typeof capacity === 'string' || capacity.by === 'lag') return capacity;
  const { wall, things = [], at } = seat;
  const edges = edgeShares(freeEdges(wall, things, at.x, at.y), masonryHold(seat).have);
  if (edges.length === 0) return capacity;
  const pull = edges.reduce((share, e) => share * e.pull, 1);
  return { ...capacity, tension: capacity.tension * pull, less: { pull, shear: 1, edges } };
}

/** What a fastener's shear is left of where it points at free edges: to the right and up, N. */
export const edgeShare = (capacity: Capacity, right: number, up: number): number =>
  capacity.by === 'rating' && capacity.less
    ? capacity.less.edges.reduce((share, e) => (e.x * right + e.y * up > TOWARDS_N ? share * e.shear : share), 1)
    : 1;

/** Less than this points nowhere, N: rounding. */
const TOWARDS_N = 1e-6;

/** A rating in masonry is taken to be for so many of its screw's diameters in the unit. Ours. */
const MASONRY_DIAMETERS = 5;

/** How deep a masonry fixing is in its unit, how deep it has to be, and what is left of that, mm. */
export function masonryHold(seat: ScrewSeat): { have: number; need: number; left: number } {
  const { fastener, plateMm } = seat;
  const need = MASONRY_DIAMETERS * fastener.diameter;
  if (fastener.length === undefined) return { have: need, need, left: 0 };
  const { board, gap, packing } = overAt(seat, seat.at);
  const have = fastener.length - plateMm - (fastener.washer ?? 0) - board - gap - packing;
  return { have, need, left: have - need };
}

/** A head no larger than the slot is high goes through it, unless a washer lies under it. */
const headSlips = ({ fastener, slot }: ScrewSeat): boolean =>
  fastener.head !== undefined && !fastener.washer && fastener.head <= slot.height;

function rated({ tension, shear }: Fastener): Capacity | NoCapacity {
  if (!tension || !shear) return 'no-rating';
  return {
    by: 'rating',
    tension: tension / RATING_FACTOR,
    shear: shear / RATING_FACTOR,
    ultimate: { tension, shear },
  };
}

function boardCapacity(seat: ScrewSeat): Capacity | NoCapacity {
  const { plateMm, fastener, at } = seat;
  if (!isHollow(fastener.kind)) return 'never-in-board';
  const { board, packing, build } = overAt(seat, at);
  if (build.state === 'patched' || build.state === 'wet' || board <= 0) return 'board-unsound';
  if (!isRatedFor(fastener, build)) return 'unrated-on-lath';
  // thicker board than the pack was tested in is on the safe side, as far as the grip goes
  if (fastener.board !== undefined && fastener.board - board > RATED_BOARD_MM) return 'rated-for-board';
  const clamped = board + packing + plateMm + (fastener.washer ?? 0);
  const { grip } = fastener;
  if (grip && (clamped < grip.min - SAME_MM || clamped > grip.max + SAME_MM)) return 'grip-outside';
  return rated(fastener);
}

export const plateOf = (mount: Mount): number => mount.plate?.thickness ?? PLATE_THICKNESS_MM;

/** Plate, washer, packing, board and the hollow behind it: what a lag goes through before it meets wood, mm. */
export function overLag(seat: ScrewSeat): number {
  const { board, gap, packing } = overAt(seat, seat.at);
  return seat.plateMm + (seat.fastener.washer ?? 0) + board + gap + packing;
}

function lagCapacity(seat: ScrewSeat): Capacity | NoCapacity {
  const { plateMm, fastener, at, into, apart } = seat;
  const size = lagSizeOf(fastener.diameter);
  if (!size || fastener.length === undefined) return 'lag-off-table';
  const { board, gap, packing, build } = overAt(seat, at);
  const sheet = into === 'backing';
  const woodMm = sheet ? build.thickness : (build.studDepth ?? STUD_DEPTH_MM);
  if (woodMm === undefined) return 'no-rating';
  if (sheet && woodMm < LEAST_SHEET_MM) return 'sheet-too-thin';
  const thread = fastener.threadLength ?? usualThread(fastener.length);
  const over = overLag(seat);
  const hold = lagHold({ length: fastener.length, thread, tip: size.tipMm }, over, woodMm);
  const least = sheet ? 0 : LEAST_PENETRATION_D * size.shankMm - SAME_MM;
  if (hold.thread < least || hold.thread === 0) return 'lag-too-short';
  if (apart < ROW_SPACING_D.least * size.shankMm) return 'lags-too-close';
  const gravity = gravityOf(build);
  const share = sheet ? SHEET_SHARE : 1;
  return {
    by: 'lag',
    tension: pullCapacity(NUMBERS, size, gravity, hold.thread) * share,
    hold,
    gravity,
    size,
    sheet: share,
    rows: Math.min(1, apart / (ROW_SPACING_D.full * size.shankMm)),
    input: {
      // a hollow is no more to lean on than packing is
      ...{ lag: size, gravity, plate: plateMm, board, packing: packing + gap, penetration: hold.penetration },
      boardBears: bearsUnder(build) && gap === 0 ? boardBears(size, board) : 0,
      through: sheet && fastener.length - over > woodMm,
      timberSide: seat.timberSide,
    },
  };
}

/** Gypsum or plaster that is sound bears on a lag; lath, panel, tile, wet and patched board do not. */
const bearsUnder = ({ cover = 'gypsum', state = 'sound' }: Build): boolean => cover === 'gypsum' && state === 'sound';

/** A lag's least yield at each whole degree; kept by whoever asks for many. */
export type YieldTable = typeof yieldTable;

function yieldsOf(capacity: Extract<Capacity, { by: 'lag' }>, table: YieldTable): YieldRow {
  const { lag, gravity, plate, board, packing, boardBears: bears, penetration, through, timberSide } = capacity.input;
  capacity.yields ??= table(lag, gravity, plate, board, packing, bears, penetration, through, timberSide);
  return capacity.yields;
}

/** The next whole degree further across the grain, where a lag holds no more. */
const degreeOf = (angleDeg: number): number => Math.min(90, Math.ceil(angleDeg));

/**
 * What a fastener may hold in the wall's plane, N, pulling at an angle to the grain: of a lag the next whole
 * degree further across it, before the duration factor.
 */
export const shearCapacity = (capacity: Capacity, angleDeg: number, table: YieldTable = yieldTable): number =>
  capacity.by === 'rating'
    ? capacity.shear
    : yieldsOf(capacity, table).held[degreeOf(angleDeg)]! * capacity.rows * capacity.sheet;

/**
 * How far above the tables a lag is from its first yield, at an angle to the grain: the reduction of the mode
 * that governs there. A rating has none, and is never gone beyond.
 */
export const reductionAt = (capacity: Capacity, angleDeg: number, table: YieldTable = yieldTable): number =>
  capacity.by === 'rating' ? 0 : yieldsOf(capacity, table).reduction[degreeOf(angleDeg)]!;

/** What a fastener may hold in the wall's plane at exactly that angle, and what gives way first. */
export function exactShear(capacity: Capacity, angleDeg: number): { allowable: number; mode: string } {
  if (capacity.by === 'rating') return { allowable: capacity.shear, mode: 'shear' };
  const least = leastYield({ ...capacity.input, angleDeg });
  return { allowable: (least.load / least.reduction) * capacity.rows * capacity.sheet, mode: least.mode };
}

/** What the duration of a load makes of what a fastener may hold; a pack's rating does not know it. */
export const durationOf = (capacity: Pick<Capacity, 'by'>, duration: number): number =>
  capacity.by === 'lag' ? duration : 1;

/**
 * How much of what it may hold a fastener has to hold: of a lag across and out as two sides of a right angle
 * (EC5 8.28, from memory; the NDS interaction falls when pull is added), of an anchor added:
 *
 *   lag     u = hypot(V / Z, T / W)
 *   anchor  u = T / T_a + V / V_a
 *
 * 300 N of 1200 out and 400 N of 1600 down: 0.354 on a lag, 0.5 on an anchor; nothing to hold: 0.
 */
export const utilisation = <N>(
  a: Arithmetic<N>,
  by: Capacity['by'],
  force: { tension: N; shear: N },
  may: { tension: N; shear: N },
): N =>
  a.node('utilisation', by === 'lag' ? 'hypot' : '+', 'ratio', [
    a.node('pull-share', '/', 'ratio', [force.tension, may.tension]),
    a.node('shear-share', '/', 'ratio', [force.shear, may.shear]),
  ]);
