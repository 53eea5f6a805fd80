import { MM_PER_INCH } from '../units/convert';
import { N_PER_POUND } from './lagTables';

/**
 * What holds a lag against being pulled out, N per mm of thread in side grain:
 *
 *   W = 1800 G^1.5 D^0.75   lb per inch, D in inches     (NDS 2018, 12.2-1, from memory)
 *
 * A 3/8 in lag at G 0.50: 305 lb per inch, 53.4 N/mm.
 */
export const withdrawalPerMm = (gravity: number, diameterMm: number): number =>
  (1800 * gravity ** 1.5 * (diameterMm / MM_PER_INCH) ** 0.75 * N_PER_POUND) / MM_PER_INCH;

/** The part of a lag that holds: what is in the wood, the tip, and the thread between them. Lengths mm. */
export interface LagHold {
  /** Into the wood, tip included: length less plate, washer, board and packing. */
  penetration: number;
  /** Thread in the wood without its tip. */
  thread: number;
}

/**
 * How far a lag reaches into its stud and how much thread is there. A lag that comes out at the back of
 * the wood counts only as far as the wood is deep, and then its tip is outside.
 * 64 long with 45 of thread through 3 of plate, 2 of washer and 12.7 of board: 46.3 in the wood, of
 * which 40.2 thread without the 4.8 of tip.
 */
export function lagHold(lag: { length: number; thread: number; tip: number }, over: number, woodMm: number): LagHold {
  const reaches = lag.length - over;
  const penetration = Math.min(reaches, woodMm);
  const outside = Math.max(0, reaches - woodMm);
  const thread = Math.min(lag.thread - Math.max(lag.tip, outside), penetration - Math.max(0, lag.tip - outside));
  return { penetration, thread: Math.max(0, thread) };
}
