import type { Arithmetic } from '../primitives/arithmetic';
import { bracketForces } from './bracketForces';
import { middleOf, type FastenerGroup } from './fastenerGroup';
import { groupForces, type GroupForces, type Push } from './groupForces';

/**
 * What lags in one stud and the anchors beside them have to hold, the lags first: wood does not give and board does, so
 * that lags carry all weight and pull, and anchors the turning alone.
 *
 *   lag     down W / n; (W + W b / d) / n where the set's middle lies beyond the lags as seen from the anchors
 *   anchor  up or down W b / (d n), d from the lags' line to the anchors'
 *
 * 19.82 kg in all, 203 aside of the lags, two anchors 366 from them: 53.9 N on each anchor. Never on an arm, so that
 * nothing pushes aside. Undefined where the lags cannot hold it.
 */
export function besideForces<N>(
  a: Arithmetic<N>,
  group: FastenerGroup,
  pushes: readonly Push<N>[],
): GroupForces<N> | undefined {
  const anchors = group.beside ?? [];
  const lags = groupForces(a, { ...group, beside: undefined }, straight(a, pushes), 'left');
  if (!lags || anchors.length === 0) return lags;
  const apart = middleOf(anchors).x - middleOf(group.points).x;
  const distance = a.leaf('anchors-aside', Math.abs(apart), 'mm');
  const turning = a.node(
    'beside-turning',
    '+',
    'Nmm',
    pushes.map((p) => a.node('turning', '*', 'Nmm', [p.down, p.right])),
  );
  const couple = a.node('beside-couple', '/', 'N', [turning, distance]);
  const away = a.node('beside-couple', '*', 'N', [a.leaf('down-sign', apart > 0 ? -1 : 1, 'ratio'), couple]);
  const more = a.node('beside-more', 'max', 'N', [away, a.leaf('nothing', 0, 'N')]);
  const lagCount = a.leaf('fastener-count', group.points.length, 'count');
  const lagUp = a.node('shear-up', '/', 'N', [a.node('down-force', '+', 'N', [lags.down, more]), lagCount]);
  const anchorUp = a.node('twist-share', '/', 'N', [couple, a.leaf('fastener-count', anchors.length, 'count')]);
  const upright = (up: N) => ({ up, size: a.node('shear', 'abs', 'N', [up]) });
  return {
    ...lags,
    tension: [...lags.tension, ...anchors.map(() => a.leaf('nothing', 0, 'N'))],
    pulls: [...lags.pulls, ...anchors.map(() => ({}))],
    shear: [...group.points.map(() => upright(lagUp)), ...anchors.map(() => upright(anchorUp))],
  };
}

/** The same weights right before the lags: their turning is the anchors'. */
const straight = <N>(a: Arithmetic<N>, pushes: readonly Push<N>[]): Push<N>[] =>
  pushes.map((p) => ({ ...p, right: a.leaf('nothing', 0, 'mm') }));

/** The forces of a group: of one plate or of two brackets, with anchors beside it or without. */
export const forcesOf = <N>(
  a: Arithmetic<N>,
  group: FastenerGroup,
  pushes: readonly Push<N>[],
  pulled: 'left' | 'right',
): GroupForces<N> | undefined =>
  group.apart
    ? bracketForces(a, group, pushes, pulled)
    : group.beside
      ? besideForces(a, group, pushes)
      : groupForces(a, group, pushes, pulled);
