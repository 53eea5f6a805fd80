import type { Arithmetic } from '../primitives/arithmetic';
import { middleOf, type Bracket, type FastenerGroup } from './fastenerGroup';
import { groupForces, type GroupForces, type Push } from './groupForces';

/**
 * What the fasteners of two brackets have to hold that stand apart: each bracket half of the weight, and what is off
 * centre by the lever, as a beam on two supports; pulled off by its own share about its own edge.
 *
 *   share = (x - other) / (own - other)
 *
 * 200 N in the middle of brackets at -230 and 230: 100 N each; 46 to the right: 80 and 120.
 * Undefined where one of them cannot hold its own.
 */
export function bracketForces<N>(
  a: Arithmetic<N>,
  group: FastenerGroup,
  pushes: readonly Push<N>[],
  pulled: 'left' | 'right',
): GroupForces<N> | undefined {
  const [left, right] = group.apart!;
  const middle = middleOf(group.points);
  const each = [
    { own: left, other: right },
    { own: right, other: left },
  ].map(({ own, other }) => {
    const points = own.own.map((i) => group.points[i]!);
    const on = middleOf(points);
    const shared = pushes.map((p): Push<N> => {
      const share = shareOf(a, p, { own, other, middle: middle.x });
      return {
        ...p,
        down: a.node('bracket-down', '*', 'N', [p.down, share]),
        ...(p.side === undefined
          ? {}
          : { side: a.node('bracket-side', '/', 'N', [p.side, a.leaf('two', 2, 'count')]) }),
        right: a.leaf('bracket-aside', own.x - on.x, 'mm'),
        up: a.node('above', '+', 'mm', [p.up, a.leaf('fasteners-apart', middle.y - on.y, 'mm')]),
      };
    });
    const { apart: _, pulling: _p, ...rest } = group;
    return { own, forces: groupForces(a, { ...rest, points, plate: own.plate }, shared, pulled) };
  });
  const forces = each.flatMap(({ own, forces: f }) => (f ? [{ own, f }] : []));
  if (forces.length < each.length) return undefined;
  const of = <T>(pick: (f: GroupForces<N>, k: number) => T): T[] =>
    group.points.map((_, i) => {
      const { own, f } = forces.find((b) => b.own.own.includes(i))!;
      return pick(f, own.own.indexOf(i));
    });
  return {
    down: a.node(
      'all-down',
      '+',
      'N',
      forces.map(({ f }) => f.down),
    ),
    over: a.node(
      'over-moment',
      '+',
      'Nmm',
      forces.map(({ f }) => f.over),
    ),
    tension: of((f, k) => f.tension[k]!),
    pulls: of((f, k) => f.pulls[k]!),
    shear: of((f, k) => f.shear[k]!),
  };
}

function shareOf<N>(
  a: Arithmetic<N>,
  { right }: Push<N>,
  { own, other, middle }: { own: Bracket; other: Bracket; middle: number },
): N {
  const from = a.node('from-other', '+', 'mm', [right, a.leaf('fasteners-from-other', middle - other.x, 'mm')]);
  return a.node('bracket-share', '/', 'ratio', [from, a.leaf('brackets-apart', own.x - other.x, 'mm')]);
}
