import type { Job, Plan, Working } from '@steddo/contract';
import { leaf, minus } from '../primitives/working';

/** The one number that is read on the staged set, and what it goes to. */
export interface StagedNumber {
  from: 'bottom' | 'top';
  /** `hook`, `plate-top`, `plate-bottom`, or a row of holes. */
  to: string;
  working: Working;
  /** Read on the set itself; else by the drawings of set and mount. */
  measured: boolean;
}

/**
 * Bottom edge to the top row of holes, or to the hook while there is no row: as it was read on the staged set, else
 * as set and mount give it, to be checked against. A set whose bottom hangs at 1000 with its top row at 1264: 264.
 */
export function stagedNumber({ measured = [], aim }: Job, { holes = [], marks = [] }: Plan): StagedNumber | undefined {
  const index = measured.findIndex((m) => m.from === 'bottom' || m.from === 'top');
  const read = measured[index];
  if (read) {
    const from = read.from === 'top' ? 'top' : 'bottom';
    const path = `measured.${read.id ?? index}.value`;
    return { from, to: read.to, working: leaf(`measured-${from}`, read.value, 'mm', { path }), measured: true };
  }
  const bottom = marks.find((m) => m.id === 'bottom')?.workings.fromFloor;
  const top = holes.find((h) => h.row === 'top') ?? holes[0];
  const at = top?.working ?? marks.find((m) => m.id === 'hook')?.workings.fromFloor;
  if (!bottom || !at) return undefined;
  // on the set nothing sags yet
  const sag = aim.sag ? [leaf('sag', aim.sag, 'mm', { path: 'aim.sag' })] : [];
  return {
    from: 'bottom',
    to: top ? 'top row' : 'hook',
    working: minus('one-number', at, bottom, ...sag),
    measured: false,
  };
}
