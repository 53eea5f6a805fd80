import { MM_PER_INCH } from '../primitives/convert';
import type { Arithmetic } from '../primitives/arithmetic';
import { N_PER_POUND, type LagSize } from './lagTables';
import type { Term } from '../primitives/terms';

/**
 * What holds a lag against being pulled out of side grain, N, before the duration factor: for each mm of thread
 *
 *   W = 1800 G^1.5 D^0.75   lb per inch, D in inches     (NDS 2018, 12.2-1, from memory)
 *
 * times the thread in the wood. A 3/8 in lag at G 0.50 and 40 mm of thread: 53.4 N/mm, 2136 N.
 */
export function pullCapacity<N>(a: Arithmetic<N>, { shankMm }: LagSize, gravity: number, threadMm: number): N {
  const ratio = (label: Term, value: number) => a.leaf(label, value, 'ratio');
  const inches = a.node('shank-inches', '/', 'ratio', [
    a.leaf('shank', shankMm, 'mm'),
    ratio('mm-per-inch', MM_PER_INCH),
  ]);
  const perMm = a.node('withdrawal', '*', 'N/mm', [
    ratio('withdrawal-constant', 1800),
    a.node('gravity-power', 'pow', 'ratio', [ratio('specific-gravity', gravity), ratio('power', 1.5)]),
    a.node('shank-power', 'pow', 'ratio', [inches, ratio('power', 0.75)]),
    a.node('pound-per-inch', '/', 'ratio', [
      ratio('newtons-per-pound', N_PER_POUND),
      ratio('mm-per-inch', MM_PER_INCH),
    ]),
  ]);
  return a.node('pull-held', '*', 'N', [perMm, a.leaf('thread-in-wood', threadMm, 'mm')]);
}

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
