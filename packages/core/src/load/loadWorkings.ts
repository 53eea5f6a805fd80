import type { Job, Mount, Working } from '@steddo/contract';
import type { Carrying, Hanging } from '../scheme/judgeScheme';
import { GRAVITY_N_PER_KG, HANDLING, RATING_FACTOR, SET_THICKNESS_MM } from '../tolerances';
import { moves } from '../reach/arm';
import { leaf, minus, node, sum } from '../working';
import { leverArms, middleOf } from './fastenerForces';
import { massOf, type Handling, type WorstUse } from './groupUse';
import type { LoadPose } from './loadPoses';

/** The statics of the worst pose as trees of arithmetic: the same sums as in fastenerForces, with their names. */

export interface PushWorking {
  down: Working;
  side: Working;
  /** Right of the fasteners' middle, above it, and out of the wall. */
  x: Working;
  y: Working;
  e: Working;
}

const g = (): Working => leaf('gravity', GRAVITY_N_PER_KG, 'ratio');

const weight = (label: string, massLeaf: Working): Working => node(label, '*', 'N', [massLeaf, g()]);

export function weightWorkings(job: Job, mount: Mount) {
  const set = leaf('set-mass', job.screen.mass, 'kg', { path: 'screen.mass' });
  const whole = massOf(mount);
  const moving = Math.min(whole, mount.movingMass ?? whole);
  const guess = mount.mass === undefined;
  const path = (field: 'mass' | 'movingMass') => ({ path: `mount.${field}`, guess });
  const given = mount.movingMass === undefined ? 'mass' : 'movingMass';
  const movingLeaf = leaf('mount-moving-mass', moving, 'kg', path(given));
  const still = minusKg(leaf('mount-mass', whole, 'kg', path('mass')), movingLeaf);
  return {
    hung: node('hung-weight', '+', 'N', [weight('set-weight', set), weight('moving-weight', movingLeaf)]),
    still: weight('still-weight', still),
  };
}

const minusKg = (a: Working, b: Working): Working => node('mount-still-mass', '-', 'kg', [a, b]);

/** How far out the set's centre of mass is: what is known by parts for a set that stays, one figure for an arm's pose. */
function outOf({ job, mount, spacer }: Hanging, pose: LoadPose, packing: Working): Working {
  if (moves(mount)) return sum('mass-out', leaf('pose-out', pose.e, 'mm'), packing);
  const thickness = job.screen.thickness;
  const guess = thickness === undefined || (job.guessed ?? []).includes('screen.thickness');
  return sum(
    'mass-out',
    leaf('mount-depth', mount.depth.folded, 'mm', { path: 'mount.depth.folded' }),
    ...(spacer ? [leaf('set-spacer', spacer, 'mm')] : []),
    node('half-thickness', '/', 'mm', [
      leaf('set-thickness', thickness ?? SET_THICKNESS_MM, 'mm', { path: 'screen.thickness', guess }),
      leaf('two', 2, 'count'),
    ]),
    packing,
  );
}

export function pushWorkings(hanging: Hanging, carrying: Carrying, pose: LoadPose, handling: Handling): PushWorking[] {
  const { job, mount } = hanging;
  const { at, group } = carrying;
  const middle = middleOf(group.points);
  const mx = leaf('fasteners-x', middle.x, 'mm');
  const my = leaf('fasteners-y', middle.y, 'mm');
  const aside = (label: string, x: number) => minus('aside', leaf(label, x, 'mm'), mx);
  const above = (label: string, y: number) => minus('above', leaf(label, y, 'mm'), my);
  const packing = leaf('packing', at.packing, 'mm', { path: 'choices.packing' });
  const none = leaf('no-force', 0, 'N');
  const weights = weightWorkings(job, mount);
  const pushes: PushWorking[] = [
    {
      down: weights.hung,
      side: none,
      x: aside('mass-x', pose.x),
      y: above('set-centre', at.centreY),
      e: outOf(hanging, pose, packing),
    },
  ];
  if (at.weights.still > 0)
    pushes.push({
      down: weights.still,
      side: none,
      x: aside('plate-x', at.plateX),
      y: above('plate-middle', at.plateY),
      e: packing,
    });
  if (handling !== 'none')
    pushes.push({
      down: leaf('handling-down', HANDLING.downN, 'N'),
      side: leaf('handling-side', handling === 'right' ? HANDLING.sideN : -HANDLING.sideN, 'N'),
      x: aside('front-x', pose.frontX),
      y: above('set-bottom', at.bottomY),
      e: sum('front-out', leaf('pose-front', pose.frontE, 'mm'), packing),
    });
  return pushes;
}

const total = (label: string, unit: Working['unit'], terms: Working[]): Working => node(label, '+', unit, terms);
const times = (label: string, unit: Working['unit'], ...terms: Working[]): Working => node(label, '*', unit, terms);

export interface GroupWorkings {
  weight: Working;
  moment: Working;
  tension: (i: number) => Working;
  shear: (i: number) => Working;
}

/** What each fastener has to hold in the worst pose, from the tape's readings up. */
export function groupWorkings(hanging: Hanging, carrying: Carrying, worst: WorstUse): GroupWorkings {
  const { group } = carrying;
  const { points } = group;
  const pushes = pushWorkings(hanging, carrying, worst.pose, worst.handling);
  const middle = middleOf(points);
  const down = total(
    'all-down',
    'N',
    pushes.map((p) => p.down),
  );
  const over = total(
    'over-moment',
    'Nmm',
    pushes.map((p) => times('force-out', 'Nmm', p.down, p.e)),
  );
  const sides = pushes.filter((p) => p.side.value !== 0);
  const swing = total(
    'swing-moment',
    'Nmm',
    sides.map((p) => times('force-out', 'Nmm', p.side, p.e)),
  );
  const torque = total('torque', 'Nmm', [
    ...pushes.map((p) => times('turning', 'Nmm', leaf('down-sign', -1, 'ratio'), p.down, p.x)),
    ...sides.map((p) => times('turning', 'Nmm', leaf('down-sign', -1, 'ratio'), p.side, p.y)),
  ]);
  const polar = total(
    'spread-squares',
    'ratio',
    points.map((p) => leaf('fastener-spread', (p.x - middle.x) ** 2 + (p.y - middle.y) ** 2, 'ratio')),
  );
  const share = (label: string, moment: Working, arms: readonly number[], i: number) =>
    node(label, '/', 'N', [
      times('moment-arm', 'ratio', moment, leaf('lever', arms[i]!, 'mm')),
      total(
        'lever-squares',
        'ratio',
        arms.map((a) => times('lever-square', 'ratio', leaf('lever', a, 'mm'), leaf('lever', a, 'mm'))),
      ),
    ]);
  const ups = leverArms(group, 'up') ?? [];
  const asides = leverArms(group, swing.value >= 0 ? 'left' : 'right') ?? [];
  const n = leaf('fastener-count', points.length, 'count');
  const twist = (along: number, sign: 1 | -1) =>
    polar.value > 0
      ? [
          node('twist-share', '/', 'N', [
            times('turning', 'ratio', torque, leaf('from-middle', sign * along, 'mm')),
            polar,
          ]),
        ]
      : [];
  return {
    weight: down,
    moment: over,
    tension: (i) =>
      total('pull', 'N', [
        share('pull-over', over, ups, i),
        ...(swing.value === 0 ? [] : [share('pull-swing', node('swing-size', 'abs', 'Nmm', [swing]), asides, i)]),
      ]),
    shear: (i) => {
      const p = points[i]!;
      const across =
        sides.length > 0
          ? [
              node('side-share', '/', 'N', [
                total(
                  'all-side',
                  'N',
                  sides.map((s) => s.side),
                ),
                n,
              ]),
            ]
          : [];
      const right = [...across, ...twist(p.y - middle.y, -1)];
      const up = [
        node('down-share', '/', 'N', [times('down-force', 'N', leaf('down-sign', -1, 'ratio'), down), n]),
        ...twist(p.x - middle.x, 1),
      ];
      return node('shear', 'hypot', 'N', [
        ...(right.length > 0 ? [total('shear-right', 'N', right)] : []),
        total('shear-up', 'N', up),
      ]);
    },
  };
}

export const ratingWorking = (label: string, ultimate: number, path: string): Working =>
  node(label, '/', 'N', [leaf('pack-rating', ultimate, 'N', { path }), leaf('rating-factor', RATING_FACTOR, 'count')]);
