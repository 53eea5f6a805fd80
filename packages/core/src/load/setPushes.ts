import type { Mount, Screen } from '@steddo/contract';
import { moves } from '../arm/arm';
import type { Arithmetic } from '../primitives/arithmetic';
import type { Push } from './groupForces';
import { GRAVITY_N_PER_KG } from '../primitives/convert';
import type { Term } from '../primitives/terms';

/** Handling of a set on an arm, N: leaning on its front's lower edge, or pushing it sideways. Ours; 50 N aside as IEC 62368-1, from memory. */
const HANDLING = { downN: 100, sideN: 50 } as const;

/** Mass of a mount when nobody has weighed it, kg, by what it does. Ours. */
const MOUNT_MASS_KG = { still: 5, moving: 12 } as const;

/** What of a mount moves with the set, kg: all of it where nobody has said. */
export const movingMassOf = (mount: Mount): number =>
  Math.min(wholeMassOf(mount), mount.movingMass ?? wholeMassOf(mount));

/** A whole mount, kg. */
export const wholeMassOf = (mount: Mount): number =>
  mount.mass ?? (moves(mount) ? MOUNT_MASS_KG.moving : MOUNT_MASS_KG.still);

/** What hangs on the plate, N: with the set, and what of the mount stays at the plate (absent: nothing). */
export interface Weights<N> {
  hung: N;
  still?: N;
}

/** All of the mount moves with the set where nobody has said what does: the heavier case. */
export function weightsOf<N>(a: Arithmetic<N>, screen: Pick<Screen, 'mass'>, mount: Mount): Weights<N> {
  const whole = wholeMassOf(mount);
  const moving = movingMassOf(mount);
  const guess = mount.mass === undefined;
  const weight = (label: Term, kg: N) => a.node(label, '*', 'N', [kg, a.leaf('gravity', GRAVITY_N_PER_KG, 'ratio')]);
  const set = a.leaf('set-mass', screen.mass, 'kg', { path: 'screen.mass' });
  const given = mount.movingMass === undefined ? 'mass' : 'movingMass';
  const movingMass = a.leaf('mount-moving-mass', moving, 'kg', { path: `mount.${given}`, guess });
  const all = a.leaf('mount-mass', whole, 'kg', { path: 'mount.mass', guess });
  return {
    hung: a.node('hung-weight', '+', 'N', [weight('set-weight', set), weight('moving-weight', movingMass)]),
    ...(whole > moving
      ? { still: weight('still-weight', a.node('mount-still-mass', '-', 'kg', [all, movingMass])) }
      : {}),
  };
}

/** The same on the road: so many times of it; by hand nobody touches it there. */
export function onRoad<N>(a: Arithmetic<N>, { hung, still }: Weights<N>, times: N): Weights<N> {
  const more = (weight: N) => a.node('travel-weight', '*', 'N', [weight, times]);
  return { hung: more(hung), ...(still === undefined ? {} : { still: more(still) }) };
}

/** What a hand does to the set, one thing at a time. */
export type Handling = 'none' | 'down' | 'left' | 'right';

/** A mount with an arm is pushed about by hand; one that stays where it is carries its weight. */
export const handlingsOf = (mount: Mount): Handling[] => (moves(mount) ? ['none', 'down', 'left', 'right'] : ['none']);

/** The side that a hand pulls off the wall. */
export const pulledBy = (handling: Handling): 'left' | 'right' => (handling === 'left' ? 'right' : 'left');

/** A pose as its pushes need it: the set's heart and its front's lower edge, packing included in what is out. mm. */
export interface PushPose<N> {
  x: N;
  out: N;
  frontX: N;
  frontOut: N;
}

/** Where on the wall the pushes act: mm from its left end and the floor. */
export interface PushPlace {
  middle: { x: number; y: number };
  plate: { x: number; y: number };
  centreY: number;
  bottomY: number;
  packing: number;
  /** What was chosen to pack the plate out by, mm; absent: all of it. */
  chosen?: number;
}

/** The forces of a pose: weights, and a hand that leans on the middle of the front's lower edge or pushes it aside. */
export function pushesOf<N>(
  a: Arithmetic<N>,
  at: PushPlace,
  weights: Weights<N>,
  pose: PushPose<N>,
  handling: Handling,
): Push<N>[] {
  const mm = (label: Term, value: number) => a.leaf(label, value, 'mm');
  const aside = (x: N) => a.node('aside', '-', 'mm', [x, mm('fasteners-x', at.middle.x)]);
  const above = (label: Term, y: number) => a.node('above', '-', 'mm', [mm(label, y), mm('fasteners-y', at.middle.y)]);
  const pushes: Push<N>[] = [
    { down: weights.hung, right: aside(pose.x), up: above('set-centre', at.centreY), out: pose.out },
  ];
  if (weights.still !== undefined)
    pushes.push({
      down: weights.still,
      right: aside(mm('plate-x', at.plate.x)),
      up: above('plate-middle', at.plate.y),
      out: a.leaf(
        'packing',
        at.packing,
        'mm',
        (at.chosen ?? at.packing) === at.packing ? { path: 'choices.packing' } : {},
      ),
    });
  if (handling === 'none') return pushes;
  const nothing = () => a.leaf('handling-down', 0, 'N');
  const edge = { right: aside(pose.frontX), up: above('set-bottom', at.bottomY), out: pose.frontOut };
  if (handling === 'down') return [...pushes, { ...edge, down: a.leaf('handling-down', HANDLING.downN, 'N') }];
  const side = a.leaf('handling-side', handling === 'right' ? HANDLING.sideN : -HANDLING.sideN, 'N');
  return [...pushes, { ...edge, down: nothing(), side }];
}
