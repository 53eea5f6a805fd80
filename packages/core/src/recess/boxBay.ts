import type { Item, Stud, Working } from '@steddo/contract';
import { cumulative } from '../primitives/normal';
import { half, leaf, minus, named, node, sum } from '../primitives/working';
import type { StudsFound } from '../wall/inferStuds';
import { TOGGLE_ROOM_MM } from '../wall/drilledHoles';

/** The bay that a box goes into: both faces, how sure each is, and what is left of it beside the box. mm. */
export interface BoxBay {
  left: Working;
  right: Working;
  sd: { left: number; right: number };
  margin: Working;
  /** The margin in its own standard deviations. */
  spreads: Working;
  /** That the box fits between the faces, wherever in between. */
  chance: number;
}

/**
 * Chance that a box fits between two faces, by what is left and how sure each face is:
 *
 *   P = Phi(margin / hypot(sd left, sd right))
 *
 * 3 mm to spare, both faces known to 3: 0.760; 6: 0.921; 12: 0.998.
 */
export const bayChance = (marginMm: number, sdLeft: number, sdRight: number): number =>
  cumulative(marginMm / Math.hypot(sdLeft, sdRight));

/**
 * The bay between the studs on both sides of a box; undefined where one of them is not known.
 * Studs 38.1 wide at 406.4, a box of 368.3: nothing to spare.
 */
export function boxBay({ id, left, right }: Item, { studs }: Pick<StudsFound, 'studs'>): BoxBay | undefined {
  const middle = (left + right) / 2;
  const before = studs.filter((s) => s.centre <= middle).at(-1);
  const after = studs.find((s) => s.centre > middle);
  if (!before || !after) return undefined;
  const [from, to] = [faceOf(before, 'right'), faceOf(after, 'left')];
  const width = minus('box-width', ...edges(id, { left, right }));
  const margin = minus('bay-margin', minus('bay-clear', to, from), width);
  const spread = node('bay-spread', 'hypot', 'mm', [
    leaf('face-spread', before.sd, 'mm'),
    leaf('face-spread', after.sd, 'mm'),
  ]);
  return {
    left: named('bay-left', from),
    right: named('bay-right', to),
    sd: { left: before.sd, right: after.sd },
    margin,
    spreads: node('bay-spreads', '/', 'ratio', [margin, spread]),
    chance: bayChance(margin.value, before.sd, after.sd),
  };
}

const edges = (id: string, { left, right }: Pick<Item, 'left' | 'right'>): [Working, Working] => [
  leaf('object-right', right, 'mm', { path: `room.objects.${id}.right` }),
  leaf('object-left', left, 'mm', { path: `room.objects.${id}.left` }),
];

function faceOf(stud: Stud, side: 'left' | 'right'): Working {
  const centre = stud.working ?? leaf('stud-centre', stud.centre, 'mm');
  const wide = half('half-stud', leaf('stud-width', stud.width, 'mm', { path: 'room.wall.build.studWidth' }));
  return side === 'right' ? sum('stud-face', centre, wide) : minus('stud-face', centre, wide);
}

/**
 * Chance that an opening meets no wood, over every place that the readings leave possible for a stud: those of which
 * nobody knows too. Nothing read: an opening as wide as a bay surely meets some.
 */
export function openChance({ chances }: Pick<StudsFound, 'chances'>, from: number, to: number): number {
  return Math.min(1, chances.clear((from + to) / 2, Math.max(0, to - from - 2 * TOGGLE_ROOM_MM)));
}
