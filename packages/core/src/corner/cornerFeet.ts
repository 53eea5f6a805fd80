import type { Job, Mount, Working } from '@steddo/contract';
import { leaf, minus, named, node, sum } from '../primitives/working';
import { cornerOfSet, footOf, onSet, type WallSide } from './cornerGeometry';
import { bracketAside, halfCorner, setToWall, type CornerPlace } from './cornerPlace';

/** A pivot of the mount, from the corner along its wall and out of it, with the sums. */
export interface Pivot {
  along: Working;
  out: Working;
}

/** A rack's feet stand outside of their pivots or inside; the wider carries better. */
export const STANCES = ['outer', 'inner'] as const;
export type Stance = (typeof STANCES)[number];

/** A foot of a rack: the outer and the inner of the two places to which its link reaches. */
export interface Feet {
  wall: WallSide;
  pivot: Pivot;
  outer?: Working;
  inner?: Working;
}

/** From the set's back to the pivots: the mount's head, and the spacers behind the set. */
export const headOf = ({ arm }: Mount, spacer: Working | undefined): Working =>
  sum('pivot-behind', leaf('arm-head', arm?.head ?? 0, 'mm', { path: 'mount.arm.head' }), ...(spacer ? [spacer] : []));

/**
 * A pivot behind the set's back as it stands to a wall, so far from the middle of the bracket towards that wall.
 * A bracket of 400, the back 506.78 ahead of a square corner: 499.77 along and 216.93 out.
 */
export function pivotAt(
  job: Job,
  place: CornerPlace,
  { wall, aside, head }: { wall: WallSide; aside: Working; head: Working },
): Pivot {
  const bracket = bracketAside(job);
  // on a set that is seen from the other wall right is left
  const make = wall === 'right' ? sum : minus;
  const own = bracket.value === 0 ? aside : make('pivot-aside', aside, bracket);
  return onSetTo(job, place, { wall, aside: own, behind: head });
}

/** The set's own middle, half its thickness in front of its back, as it stands to a wall: where its weight is. */
export function heartAt(job: Job, place: CornerPlace, wall: WallSide): Pivot {
  const behind = leaf('set-half-out', -place.set.thickness / 2, 'mm', { path: 'screen.thickness' });
  return onSetTo(job, place, { wall, aside: leaf('pivot-aside', 0, 'mm'), behind });
}

/** Where along its wall the corner of the set is that comes to it first. 957 wide in a square corner, no gap: 676.7. */
export function touchAlong(job: Job, place: CornerPlace): Working {
  const { wall, corner } = place.touch;
  const { along, out } = cornerOfSet(place.set, corner);
  const half = corner.startsWith('back') ? place.halves.back : place.halves.front;
  const towards = (wall === 'right') === along > 0;
  const aside = towards ? half : minus('touch-aside', leaf('touch-aside', 0, 'mm'), half);
  const behind = leaf('touch-out', -out, 'mm', { path: 'screen.thickness' });
  return named('touch-along', onSetTo(job, place, { wall, aside, behind }).along);
}

/** A place on the set, so far from its middle towards a wall and so far behind its back, as it stands to that wall. */
function onSetTo(
  job: Job,
  { standOff, offset }: CornerPlace,
  { wall, aside, behind }: { wall: WallSide; aside: Working; behind: Working },
): Pivot {
  const half = halfCorner(job);
  const to = setToWall(job, wall);
  const [sin, cos] = [node('sine', 'sin', 'ratio', [half]), node('cosine', 'cos', 'ratio', [half])];
  const [sinTo, cosTo] = [node('sine', 'sin', 'ratio', [to]), node('cosine', 'cos', 'ratio', [to])];
  const part = (a: Working, b: Working): Working => node('part', '*', 'mm', [a, b]);
  const right = wall === 'right';
  const off = offset.value !== 0;
  const more = (w: Working): Working[] => (off && right ? [w] : []);
  const less = (w: Working): Working[] => (off && !right ? [w] : []);
  const back = behind.value === 0 ? [] : [behind];
  return {
    along: minus(
      'pivot-along',
      sum('pivot-along', part(standOff, cos), part(aside, sinTo), ...more(part(offset, sin))),
      ...less(part(offset, sin)),
      ...back.map((h) => part(h, cosTo)),
    ),
    out: minus(
      'pivot-out',
      sum('pivot-out', part(standOff, sin), ...less(part(offset, cos))),
      part(aside, cosTo),
      ...more(part(offset, cos)),
      ...back.map((h) => part(h, sinTo)),
    ),
  };
}

/** The feet of a rack on both walls, the right wall's first. */
export function feetOf(
  job: Job,
  place: CornerPlace,
  { span, link }: { span: number; link: number },
  head: Working,
): Feet[] {
  const aside = node('half-span', '/', 'mm', [
    leaf('bracket-span', span, 'mm', { path: 'mount.corner.span' }),
    leaf('two', 2, 'count'),
  ]);
  return (['right', 'left'] as const).map((wall): Feet => {
    const pivot = pivotAt(job, place, { wall, aside, head });
    const reached = footOf({ along: pivot.along.value, out: pivot.out.value }, link);
    if (!reached) return { wall, pivot };
    const square = (w: Working): Working => node('square', 'pow', 'mm', [w, leaf('two', 2, 'count')]);
    const length = leaf('corner-link', link, 'mm', { path: 'mount.corner.link' });
    const by = node('foot-aside', 'sqrt', 'mm', [minus('foot-aside', square(length), square(pivot.out))]);
    return { wall, pivot, outer: sum('foot-x', pivot.along, by), inner: minus('foot-x', pivot.along, by) };
  });
}

/** How a foot holds the set: its share of the weight, and where that weight is to its wall. */
export interface Carry {
  share: number;
  /** The set's middle along the foot's wall, from the corner. */
  along: number;
  out: Working;
  /** How far out it pulls where the foot's own plate is free to turn on the wall. */
  freeOut: Working;
}

/**
 * What a rack's feet carry. Their shares are as the middle of the set is between the two pivots. A link carries its share as
 * a bracket does, turning its plate as well; where the plate turns it gives that up, and pulls by how far the set is in
 * front of the line of both feet instead. Which of the two it is nobody knows: each screw has to hold in both.
 * A square corner, the middle 560 ahead, feet 707 along: 396 out and 311 short of it; or 85 out with the plate free.
 */
export function carryOf(
  job: Job,
  place: CornerPlace,
  { wall, x, pivots }: { wall: WallSide; x: Working; pivots: { own: number; other: number } },
): Carry {
  const { set, standOff } = place;
  const heart = onSet(set, standOff.value, { along: 0, out: set.thickness / 2 });
  const { along, out } = heartAt(job, place, wall);
  const share = (heart.across - pivots.other) / (pivots.own - pivots.other);
  const slope = node('corner-slope', 'tan', 'ratio', [halfCorner(job)]);
  const freeOut = sum('heart-out', out, node('turn-given-up', '/', 'mm', [minus('along-to-foot', along, x), slope]));
  return { share, along: along.value, out, freeOut };
}
