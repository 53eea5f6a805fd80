import type { Mount } from '@steddo/contract';
import type { FindingCode } from '../primitives/findings';
import { type Fastener } from './kit';
import { overAt, type Fronted } from '../room/wallAt';
import {
  gravityOf,
  lagSizeOf,
  LEAST_PENETRATION_D,
  PERMANENT,
  ROW_SPACING_D,
  usualThread,
  type LagSize,
} from './lagTables';
import { NUMBERS, type Arithmetic } from '../primitives/arithmetic';
import { lagHold, pullCapacity, type LagHold } from './lagWithdrawal';
import { leastYield, yieldTable, type YieldInput } from './lagYield';
import { SAME_MM } from '../primitives/epsilons';
import type { Term } from '../primitives/terms';
import { isHollow } from './fixingKinds';

/** A pack's ultimate rating is divided by this. Common practice for hollow-wall and masonry anchors. */
export const RATING_FACTOR = 4;

/** A pack's rating is for its board; another thickness by more is another rating, mm. Ours. */
export const RATED_BOARD_MM = 1;

/** Sheet steel of a plate, and depth of a stud, when nobody has measured them, mm. Ours; 2 x 4, common practice. */
export const PLATE_THICKNESS_MM = 3;
export const STUD_DEPTH_MM = 89;

/** What one fastener may hold where it sits, N, and how pull and shear go together. */
export type Capacity =
  | {
      by: 'lag';
      tension: number;
      input: Omit<YieldInput, 'angleDeg'>;
      hold: LagHold;
      gravity: number;
      size: LagSize;
      rows: number;
      /** Its least yield at each whole degree, worked out when it is first asked for. */
      yields?: Float64Array;
    }
  | { by: 'rating'; tension: number; shear: number; ultimate: { tension: number; shear: number } };

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
>;

export interface ScrewSeat extends Fronted {
  /** Thickness of the plate, mm. */
  plateMm: number;
  fastener: Fastener;
  into: 'stud' | 'board' | 'masonry' | 'metal-stud' | 'backing';
  at: { x: number; y: number };
  slot: { height: number };
  /** The wall's foremost face under the plate: what stands back of it is packed. */
  foremost: number;
  /** To the nearest lag in the same stud, mm; infinite for a lone one. */
  apart: number;
}

/**
 * What a fastener may hold, or why nothing can be said: a lag by the tables for timber, everything else by its
 * pack's ultimate rating over four. Nothing without a rating; nothing in patched or wet board.
 */
export function fastenerCapacity(seat: ScrewSeat): Capacity | NoCapacity {
  const { fastener, into } = seat;
  if (headSlips(seat)) return 'head-through-slot';
  if (into === 'board') return boardCapacity(seat);
  if (fastener.kind === 'lag') return lagCapacity(seat);
  return rated(fastener);
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
  const { plateMm, fastener, at, foremost } = seat;
  if (!isHollow(fastener.kind)) return 'never-in-board';
  const { board, packing, build } = overAt(seat, at, foremost);
  if (build.state === 'patched' || build.state === 'wet' || board <= 0) return 'board-unsound';
  if (fastener.board !== undefined && Math.abs(fastener.board - board) > RATED_BOARD_MM) return 'rated-for-board';
  const clamped = board + packing + plateMm + (fastener.washer ?? 0);
  const { grip } = fastener;
  if (grip && (clamped < grip.min - SAME_MM || clamped > grip.max + SAME_MM)) return 'grip-outside';
  return rated(fastener);
}

export const plateOf = (mount: Mount): number => mount.plate?.thickness ?? PLATE_THICKNESS_MM;

/** Plate, washer, board and packing: what a lag goes through before it meets wood, mm. */
export function overLag(seat: ScrewSeat): number {
  const { board, packing } = overAt(seat, seat.at, seat.foremost);
  return seat.plateMm + (seat.fastener.washer ?? 0) + board + packing;
}

function lagCapacity(seat: ScrewSeat): Capacity | NoCapacity {
  const { plateMm, fastener, at, foremost, into, apart } = seat;
  const size = lagSizeOf(fastener.diameter);
  if (!size || fastener.length === undefined) return 'lag-off-table';
  const { board, packing, build } = overAt(seat, at, foremost);
  const woodMm = into === 'backing' ? build.thickness : (build.studDepth ?? STUD_DEPTH_MM);
  if (woodMm === undefined) return 'no-rating';
  const thread = fastener.threadLength ?? usualThread(fastener.length);
  const hold = lagHold({ length: fastener.length, thread, tip: size.tipMm }, overLag(seat), woodMm);
  if (hold.thread < LEAST_PENETRATION_D * size.shankMm - SAME_MM) return 'lag-too-short';
  if (apart < ROW_SPACING_D.least * size.shankMm) return 'lags-too-close';
  const gravity = gravityOf(build);
  return {
    by: 'lag',
    tension: pullCapacity(NUMBERS, size, gravity, hold.thread),
    hold,
    gravity,
    size,
    rows: Math.min(1, apart / (ROW_SPACING_D.full * size.shankMm)),
    input: { lag: size, gravity, plate: plateMm, gap: board + packing, penetration: hold.penetration },
  };
}

/** A lag's least yield at each whole degree; kept by whoever asks for many. */
export type YieldTable = typeof yieldTable;

/**
 * What a fastener may hold in the wall's plane, N, pulling at an angle to the grain: of a lag the next whole
 * degree further across it, where it holds no more.
 */
export function shearCapacity(capacity: Capacity, angleDeg: number, table: YieldTable = yieldTable): number {
  if (capacity.by === 'rating') return capacity.shear;
  const { lag, gravity, plate, gap, penetration } = capacity.input;
  capacity.yields ??= table(lag, gravity, plate, gap, penetration);
  return capacity.yields[Math.min(90, Math.ceil(angleDeg))]! * PERMANENT * capacity.rows;
}

/** What a fastener may hold in the wall's plane at exactly that angle, and what gives way first. */
export function exactShear(capacity: Capacity, angleDeg: number): { allowable: number; mode: string } {
  if (capacity.by === 'rating') return { allowable: capacity.shear, mode: 'shear' };
  const least = leastYield({ ...capacity.input, angleDeg });
  return { allowable: (least.load / least.reduction) * PERMANENT * capacity.rows, mode: least.mode };
}

/**
 * How much of what it may hold a fastener has to hold. A lag's pull and shear by NDS 12.4.1
 * (from memory) at the angle between them, an anchor's shares added:
 *
 *   lag     Z_a = W Z / (W cos^2 a + Z sin^2 a), u = R / Z_a = (V^2 / Z + T^2 / W) / R
 *   anchor  u = T / T_a + V / V_a
 *
 * 300 N of 1200 out and 400 N of 1600 down on an anchor: 0.5; nothing to hold: 0.
 */
export function utilisation<N>(
  a: Arithmetic<N>,
  by: Capacity['by'],
  force: { tension: N; shear: N },
  may: { tension: N; shear: N },
): N {
  const share = (label: Term, has: N, of: N) => a.node(label, '/', by === 'rating' ? 'ratio' : 'N', [has, of]);
  if (by === 'rating')
    return a.node('utilisation', '+', 'ratio', [
      share('pull-share', force.tension, may.tension),
      share('shear-share', force.shear, may.shear),
    ]);
  const squared = (label: Term, n: N) => a.node(label, '*', 'ratio', [n, n]);
  const top = a.node('use-top', '+', 'N', [
    share('shear-part', squared('shear-square', force.shear), may.shear),
    share('pull-part', squared('pull-square', force.tension), may.tension),
  ]);
  return a.node('utilisation', '/', 'ratio', [top, a.node('resultant', 'hypot', 'N', [force.tension, force.shear])]);
}
