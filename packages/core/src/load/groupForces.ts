import type { Arithmetic } from '../primitives/arithmetic';
import { leverArms, middleOf, type FastenerGroup, type Pulled } from './fastenerGroup';
import { SAME_MM } from '../primitives/epsilons';
import { present } from '../primitives/present';
import type { Term } from '../primitives/terms';

/** One force on the set: N down and, where a hand pushes, N to the right; mm from the fasteners' middle and out of the wall. */
export interface Push<N> {
  down: N;
  side?: N;
  right: N;
  up: N;
  out: N;
}

/** What of a group's load there is together, and what each fastener has to hold of it. N and N mm. */
export interface GroupForces<N> {
  down: N;
  /** Pulls the top off the wall. */
  over: N;
  tension: N[];
  /** The parts of the pull: of what pulls the top off, and of what pulls a side off; absent: nothing. */
  pulls: { over?: N; swing?: N }[];
  /** In the wall's plane: to the right (absent: nothing), up, and both together. */
  shear: { right?: N; up: N; size: N }[];
}

/**
 * What each fastener has to hold, all of them equal (elastic bolt group, common practice in mechanics):
 *
 *   in plane    W/n down, H/n across, torque * r / sum r^2 square to r
 *   over        T_i = M y_i / sum y^2, y above the line it turns about: the lowest row on board, the plate's
 *               bottom edge where the bearing is solid or all fasteners share one row
 *   pulling     fasteners in what gives more than the rest share the pull, and take nothing in the wall's plane
 *   swing       likewise from the outermost line on the pressed side, or the plate's edge there
 *
 * `pulled` is the side that the pushes aside pull off: left where they push to the right.
 * Two lags 130 apart in one line, 100 N at 300 out: the upper one is pulled with 100 * 300 / 130 = 231 N.
 * Undefined where nothing can hold it: no plate outline where its edge is needed, or a torque on one fastener.
 */
export function groupForces<N>(
  a: Arithmetic<N>,
  group: FastenerGroup,
  pushes: readonly Push<N>[],
  pulled: 'left' | 'right',
): GroupForces<N> | undefined {
  const { points, pulling = [] } = group;
  const { x, y } = middleOf(points);
  const sum = (label: Term, unit: 'N' | 'Nmm' | 'ratio', terms: N[]) => a.node(label, '+', unit, terms);
  const times = (label: Term, unit: 'N' | 'Nmm' | 'ratio', ...terms: N[]) => a.node(label, '*', unit, terms);
  const minus = a.leaf('down-sign', -1, 'ratio');
  const aside = pushes.flatMap((p) => (p.side === undefined ? [] : [{ ...p, side: p.side }]));
  const down = sum(
    'all-down',
    'N',
    pushes.map((p) => p.down),
  );
  const over = sum(
    'over-moment',
    'Nmm',
    pushes.map((p) => times('force-out', 'Nmm', p.down, p.out)),
  );
  const swing = sum(
    'swing-moment',
    'Nmm',
    aside.map((p) => times('force-out', 'Nmm', p.side, p.out)),
  );
  const torque = sum('torque', 'Nmm', [
    ...pushes.map((p) => times('turning', 'Nmm', minus, p.down, p.right)),
    ...aside.map((p) => times('turning', 'Nmm', minus, p.side, p.up)),
  ]);
  const pullOver = pullBy(a, group, 'up', over);
  const pullSwing = aside.length > 0 ? pullBy(a, group, pulled, a.node('swing-size', 'abs', 'Nmm', [swing])) : NOTHING;
  const twist = twistBy(a, points, torque);
  if (!pullOver || !pullSwing || !twist) return undefined;
  const n = a.leaf('fastener-count', points.length, 'count');
  const side =
    aside.length > 0
      ? a.node('side-share', '/', 'N', [
          sum(
            'all-side',
            'N',
            aside.map((p) => p.side),
          ),
          n,
        ])
      : undefined;
  const hung = a.node('down-share', '/', 'N', [times('down-force', 'N', minus, down), n]);
  const sheared = (p: { x: number; y: number }): GroupForces<N>['shear'][number] => {
    const across = [...(side === undefined ? [] : [side]), ...twist(y - p.y)];
    const up = sum('shear-up', 'N', [hung, ...twist(p.x - x)]);
    if (across.length === 0) return { up, size: a.node('shear', 'hypot', 'N', [up]) };
    const right = sum('shear-right', 'N', across);
    return { right, up, size: a.node('shear', 'hypot', 'N', [right, up]) };
  };
  const pulls = [...points, ...pulling].map((_, i) => ({
    over: pullOver('pull-over', i)[0],
    swing: pullSwing('pull-swing', i)[0],
  }));
  return {
    down,
    over,
    tension: pulls.map(({ over: top, swing: aside }) =>
      sum('pull', 'N', [...(top === undefined ? [] : [top]), ...(aside === undefined ? [] : [aside])]),
    ),
    pulls: pulls.map(present),
    shear: [
      ...points.map((p) => sheared(p)),
      ...pulling.map(() => ({ up: a.leaf('nothing', 0, 'N'), size: a.leaf('nothing', 0, 'N') })),
    ],
  };
}

type Share<N> = (label: Term, i: number) => N[];
const NOTHING = (): [] => [];

/** A moment's pull on each fastener; nothing where there is no moment, undefined where nothing holds it. */
function pullBy<N>(a: Arithmetic<N>, group: FastenerGroup, pulled: Pulled, moment: N): Share<N> | undefined {
  const none = a.most(moment) === 0;
  const arms = leverArms(group, pulled);
  const squares = (arms ?? []).reduce((s, arm) => s + arm * arm, 0);
  if (!arms) return undefined;
  if (squares < SAME_MM) return none ? NOTHING : undefined;
  if (none && pulled !== 'up') return NOTHING;
  const lever = (i: number) => a.leaf('lever', arms[i]!, 'mm');
  const all = a.node(
    'lever-squares',
    '+',
    'ratio',
    arms.map((_, i) => a.node('lever-square', '*', 'ratio', [lever(i), lever(i)])),
  );
  return (label, i) => [a.node(label, '/', 'N', [a.node('moment-arm', '*', 'ratio', [moment, lever(i)]), all])];
}

/** The torque's share by a distance from the fasteners' middle; none on a single fastener, which cannot hold any. */
function twistBy<N>(a: Arithmetic<N>, points: FastenerGroup['points'], torque: N): ((mm: number) => N[]) | undefined {
  const middle = middleOf(points);
  const spread = points.map((p) => (p.x - middle.x) ** 2 + (p.y - middle.y) ** 2);
  const polar = spread.reduce((s, v) => s + v, 0);
  if (polar < SAME_MM) return a.most(torque) > SAME_MM ? undefined : NOTHING;
  const squares = a.node(
    'spread-squares',
    '+',
    'ratio',
    spread.map((v) => a.leaf('fastener-spread', v, 'ratio')),
  );
  const turning = (mm: number) => a.node('turning', '*', 'ratio', [torque, a.leaf('from-middle', mm, 'mm')]);
  return (mm) => [a.node('twist-share', '/', 'N', [turning(mm), squares])];
}
