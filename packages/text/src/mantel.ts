import type { MantelHole, MantelPlan } from '@steddo/contract';
import { bitText, screwSize } from './bits';
import { fixingName } from './holds';
import type { Wording } from './wording';

/** What comes before the first hole of a mantel's timber. */
export const MANTEL_BEFORE: readonly string[] = [
  'Hold the timber below its line and see which bricks its holes will meet.',
  'Lift it to its line, level, and mark the middle hole through it.',
];

/** What comes when its last screw is in. */
export const MANTEL_AFTER: readonly string[] = [
  'Level once more; the last turns of every screw by hand.',
  'Two people lift the shell onto the timber, middle to middle.',
  'The first screw down through its top holds it; then the others.',
  'Nothing stands on it before all of them are in.',
];

/** One hole of the timber as it is said at the wall. */
export interface MantelWords {
  name: string;
  measures: string[];
  drill: string;
  steps: string[];
}

/** The middle one first; each of the others is drilled with the timber level on those before. */
export function mantelWords(mantel: MantelPlan, hole: MantelHole, say: Wording): MantelWords {
  const holes = mantel.holes ?? [];
  const first = holes.indexOf(hole) === 0;
  const { timber, fixing, clearanceBit } = mantel;
  const middle = timber ? (timber.left + timber.right) / 2 : hole.x;
  const off = hole.x - middle;
  const along =
    Math.abs(off) < 0.5
      ? "at the timber's middle"
      : `${say.length(Math.abs(off))} ${off < 0 ? 'left' : 'right'} of the timber's middle`;
  return {
    name: `Hole ${holes.indexOf(hole) + 1} of ${holes.length}, ${first ? 'the middle one' : off < 0 ? 'left end' : 'right end'}`,
    measures: [`${say.length(hole.y)} up from the floor`, along],
    drill: fixing
      ? `${clearanceBit === undefined ? '' : `${bitText(clearanceBit, say)} through the timber; `}${bitText(fixing.bit, say)} masonry bit, ${say.length(fixing.depth)} deep in the wall`
      : 'nothing in the kit goes through it',
    steps: [
      ...(first ? MANTEL_BEFORE : ['Level the timber on the screws that are in, and mark through it.']),
      'Hammer drill, in a whole brick, not the joint; blow the dust out.',
      ...(fixing
        ? [`Drive the ${fixingName(fixing.kind)} ${screwSize(fixing.diameter, fixing.length, say)}, snug.`]
        : []),
      'Level again.',
    ],
  };
}
