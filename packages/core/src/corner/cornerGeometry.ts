import type { Point } from '../primitives/convex';
import { toRad } from '../primitives/convert';

/**
 * A set in a corner, from above. The corner is the origin; `ahead` runs from it into the room along the line that halves
 * the angle, `across` at a right angle to that, to the right of whoever looks into the corner.
 *
 *            corner
 *              ╱╲         left wall ╱    ╲ right wall, each half the angle off `ahead`
 *            ╱────╲       the set's back, its middle `standOff` ahead
 *          ╱   │    ╲
 *              ▼ ahead
 */
export interface InCorner {
  across: number;
  ahead: number;
}

export type WallSide = 'left' | 'right';

/** The set's outline: half its back and half its front, its thickness; its middle so far off the halving line, turned so many degrees to the right. */
export interface CornerSet {
  halfBack: number;
  halfFront: number;
  thickness: number;
  offset: number;
  turn: number;
}

export const SET_CORNERS = ['back-left', 'back-right', 'front-left', 'front-right'] as const;
export type SetCorner = (typeof SET_CORNERS)[number];

/** A corner of the set from the middle of its back, along the set and out of its face. */
export function cornerOfSet(set: Pick<CornerSet, 'halfBack' | 'halfFront' | 'thickness'>, corner: SetCorner) {
  const back = corner.startsWith('back');
  const half = back ? set.halfBack : set.halfFront;
  return { along: corner.endsWith('right') ? half : -half, out: back ? 0 : set.thickness };
}

/** A place on the set in the corner, the middle of its back so far ahead. */
export function onSet(
  { offset, turn }: Pick<CornerSet, 'offset' | 'turn'>,
  standOff: number,
  { along, out }: { along: number; out: number },
): InCorner {
  const [sin, cos] = [Math.sin(toRad(turn)), Math.cos(toRad(turn))];
  return { across: offset + along * cos + out * sin, ahead: standOff - along * sin + out * cos };
}

/** Where a place is to a wall: along it from the corner, and out of it. */
export function toWall(angle: number, wall: WallSide, { across, ahead }: InCorner): { along: number; out: number } {
  const half = toRad(angle / 2);
  const aside = wall === 'right' ? across : -across;
  return {
    along: ahead * Math.cos(half) + aside * Math.sin(half),
    out: ahead * Math.sin(half) - aside * Math.cos(half),
  };
}

/** The same the other way: from a wall into the corner's own axes. */
export function fromWall(angle: number, wall: WallSide, { along, out }: { along: number; out: number }): InCorner {
  const half = toRad(angle / 2);
  const aside = along * Math.sin(half) - out * Math.cos(half);
  return { ahead: along * Math.cos(half) + out * Math.sin(half), across: wall === 'right' ? aside : -aside };
}

export interface Touch {
  standOff: number;
  wall: WallSide;
  corner: SetCorner;
}

/**
 * How far ahead of the corner the middle of the set's back stands when the set keeps its gap from both walls: the corner
 * of the set that comes to a wall first decides. 957 wide, 90 degrees, no gap: 478.5; 20 of gap: 506.78; 100 degrees: 401.51.
 */
export function standOffOf(angle: number, set: CornerSet, gap: number): Touch {
  const touches = (['left', 'right'] as const).flatMap((wall) =>
    SET_CORNERS.map((corner): Touch => {
      const { out } = toWall(angle, wall, onSet(set, 0, cornerOfSet(set, corner)));
      return { standOff: (gap - out) / Math.sin(toRad(angle / 2)), wall, corner };
    }),
  );
  // of two that come to their walls at once the back one is named
  return touches.reduce((most, t) => (t.standOff > most.standOff + TOUCH_MM ? t : most));
}

const TOUCH_MM = 1e-9;

/** The set's outline in the corner, its corners in order. */
export const outlineIn = (set: CornerSet, standOff: number): InCorner[] =>
  (['back-left', 'back-right', 'front-right', 'front-left'] as const).map((corner) =>
    onSet(set, standOff, cornerOfSet(set, corner)),
  );

/**
 * Where the foot of a link may be on its wall, from the corner: outside or inside of its pivot. Undefined where the link
 * does not reach the wall, or the pivot would be behind it. A pivot 500 along and 217 out, a link of 300: 707 or 293.
 */
export function footOf(
  pivot: { along: number; out: number },
  link: number,
): { outer: number; inner: number } | undefined {
  if (pivot.out < 0 || pivot.out > link) return undefined;
  const aside = Math.sqrt(link ** 2 - pivot.out ** 2);
  return { outer: pivot.along + aside, inner: pivot.along - aside };
}

/**
 * Where along its wall the plate of an arm may be, from the corner, whose root is so far out of the wall and whose links
 * reach from `least` to `most`: the stretches either side of the pivot. Empty where nothing reaches.
 */
export function plateStretches(
  pivot: { along: number; out: number },
  root: number,
  { least, most }: { least: number; most: number },
): [number, number][] {
  const out = Math.abs(pivot.out - root);
  if (out > most) return [];
  const far = Math.sqrt(most ** 2 - out ** 2);
  const near = least > out ? Math.sqrt(least ** 2 - out ** 2) : 0;
  const { along } = pivot;
  return near > 0
    ? [
        [along - far, along - near],
        [along + near, along + far],
      ]
    : [[along - far, along + far]];
}

/** A place of the corner in a wall's own plan: x along the main wall from its left end, z out of it. */
export function onMainPlan(angle: number, main: WallSide, width: number, place: InCorner): Point {
  const { along, out } = toWall(angle, main, place);
  return { x: main === 'right' ? along : width - along, z: out };
}
