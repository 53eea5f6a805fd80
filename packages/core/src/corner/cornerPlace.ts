import type { Job, Side, Viewer, Working } from '@steddo/contract';
import { half, leaf, minus, node, sum } from '../primitives/working';
import { cornerAngleOf, cornerSideOf } from '../room/roomKind';
import { SET_THICKNESS_MM } from '../room/usualSizes';
import type { Facing } from '../sight/facing';
import { cornerOfSet, standOffOf, type CornerSet, type Touch, type WallSide } from './cornerGeometry';

/** Where a set stands in its corner, with the sums. */
export interface CornerPlace {
  /** Which side wall the corner is at, and so to which side of whoever looks into it the main wall lies. */
  side: Side;
  main: WallSide;
  angle: number;
  set: CornerSet;
  /** Half of its back and of its front. */
  halves: { back: Working; front: Working };
  touch: Touch;
  standOff: Working;
  front: Working;
  /** How far right of the halving line the middle of the set's back is. */
  offset: Working;
  facing: Facing;
}

const product = (label: 'across-part' | 'out-part' | 'offset-part' | 'turned-part', a: Working, b: Working): Working =>
  node(label, '*', 'mm', [a, b]);

const sine = (angle: Working): Working => node('sine', 'sin', 'ratio', [angle]);
const cosine = (angle: Working): Working => node('cosine', 'cos', 'ratio', [angle]);

/** Half of the corner's angle. */
export function halfCorner(job: Job): Working {
  const guess = job.room.cornerAngle === undefined || (job.guessed ?? []).includes('room.cornerAngle');
  return half('half-corner', leaf('corner-angle', cornerAngleOf(job), 'deg', { path: 'room.cornerAngle', guess }));
}

/** The set's turn as it counts for a wall: towards it positive; undefined where it is not turned. */
export function turnTo(job: Job, wall: WallSide): Working | undefined {
  const turn = job.choices?.cornerTurn;
  if (!turn) return undefined;
  return leaf('corner-turn', wall === 'right' ? turn : -turn, 'deg', { path: 'choices.cornerTurn' });
}

/** Between a wall and the set: half the corner less its turn towards that wall. */
export function setToWall(job: Job, wall: WallSide): Working {
  const turn = turnTo(job, wall);
  return turn ? node('set-to-wall', '-', 'deg', [halfCorner(job), turn]) : halfCorner(job);
}

/** Where the bracket's middle is off the set's own, along the set. */
export const bracketAside = ({ screen }: Job): Working =>
  leaf('pattern-right', screen.patternCentre?.right ?? 0, 'mm', { path: 'screen.patternCentre.right' });

/**
 * Where a set of a width stands in the job's corner, its bracket's middle on the line that halves the corner when a rack
 * carries it, its own middle when an arm does. 957 wide and 55 thick at 90 degrees: 478.5, its front 533.5.
 */
export function cornerPlace(job: Job, width: Working): CornerPlace {
  const { screen, choices, mount } = job;
  const side = cornerSideOf(job);
  const main = side === 'left' ? 'right' : 'left';
  const thick = thicknessOf(job);
  const wide = half('half-width', width);
  const back = minus('half-back', wide, leaf('slimmer', screen.slimmer ?? 0, 'mm', { path: 'screen.slimmer' }));
  const aside = mount?.corner && screen.patternCentre ? -screen.patternCentre.right || 0 : 0;
  const offset = leaf('set-off-middle', aside, 'mm', { path: 'screen.patternCentre.right' });
  const set: CornerSet = {
    halfBack: back.value,
    halfFront: width.value / 2,
    thickness: thick.value,
    offset: aside,
    turn: choices?.cornerTurn ?? 0,
  };
  const halves = { back, front: wide };
  const angle = cornerAngleOf(job);
  const touch = standOffOf(angle, set, choices?.cornerGap ?? 0);
  const standOff = standOffWorking(job, { touch, set, halves, thick, offset });
  const turn = turnTo(job, 'right');
  const front = sum('corner-front', standOff, turn ? product('turned-part', thick, cosine(turn)) : thick);
  return {
    side,
    main,
    angle,
    set,
    halves,
    touch,
    standOff,
    front,
    offset,
    facing: facingOf(job, { main, front, turn }),
  };
}

function thicknessOf({ screen, guessed = [] }: Job): Working {
  const path = 'screen.thickness';
  const guess = screen.thickness === undefined || guessed.includes(path);
  return leaf('set-thickness', screen.thickness ?? SET_THICKNESS_MM, 'mm', { path, guess });
}

interface StandOff {
  touch: Touch;
  set: CornerSet;
  halves: CornerPlace['halves'];
  thick: Working;
  offset: Working;
}

/** The corner of the set that touches first: (gap + half across x cosine - out x sine + off the middle x cosine) / sine of half the corner. */
function standOffWorking(job: Job, { touch, set, halves, thick, offset }: StandOff): Working {
  const { wall, corner } = touch;
  const { along, out } = cornerOfSet(set, corner);
  const towards = (wall === 'right') === along > 0;
  const to = setToWall(job, wall);
  const across = corner.startsWith('back') ? halves.back : halves.front;
  const reach = product('across-part', across, cosine(to));
  const gap = leaf('corner-gap', job.choices?.cornerGap ?? 0, 'mm', { path: 'choices.cornerGap' });
  const off = product('offset-part', offset, cosine(halfCorner(job)));
  const more = [...(towards ? [reach] : []), ...(offset.value && wall === 'right' ? [off] : [])];
  const less = [
    ...(towards ? [] : [reach]),
    ...(out > 0 ? [product('out-part', thick, sine(to))] : []),
    ...(offset.value && wall === 'left' ? [off] : []),
  ];
  const plus = sum('kept-off-wall', gap, ...more);
  const needed = less.length > 0 ? minus('kept-off-wall', plus, ...less) : plus;
  return node('stand-off', '/', 'mm', [needed, sine(halfCorner(job))]);
}

/** Viewers by the line that halves the corner: how far along it, and how far to the right of it. */
function facingOf(
  job: Job,
  { main, front, turn }: { main: WallSide; front: Working; turn: Working | undefined },
): Facing {
  const h = halfCorner(job);
  const at = (v: Viewer, field: 'x' | 'distance') => `room.viewers.${v.id}.${field}`;
  const out = (v: Viewer): Working =>
    leaf('eye-distance', v.distance ?? 0, 'mm', {
      path: at(v, 'distance'),
      guess: (job.guessed ?? []).includes(at(v, 'distance')),
    });
  const along = (v: Viewer): Working => {
    const x = leaf('eye-x', v.x ?? 0, 'mm', { path: at(v, 'x') });
    const width = leaf('wall-width', job.room.wall.width, 'mm', { path: 'room.wall.width' });
    return main === 'right' ? x : minus('eye-from-corner', width, x);
  };
  return {
    front,
    turn,
    ahead: (v) => {
      if (v.distance === undefined) return undefined;
      // somebody of whom nobody said where along the wall is taken to sit in the middle
      if (v.x === undefined) return node('eye-ahead', '/', 'mm', [out(v), sine(h)]);
      return sum('eye-ahead', product('across-part', along(v), cosine(h)), product('out-part', out(v), sine(h)));
    },
    across: (v) => {
      if (v.x === undefined || v.distance === undefined) return undefined;
      const [a, b] = [product('across-part', along(v), sine(h)), product('out-part', out(v), cosine(h))];
      return main === 'right' ? minus('eye-aside', a, b) : minus('eye-aside', b, a);
    },
  };
}
