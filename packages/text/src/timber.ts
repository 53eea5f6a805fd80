import type { TimberPlan } from '@steddo/contract';
import { bitText, screwSize } from './bits';
import { fixingName } from './holds';
import { holeNumber } from './names';
import type { Wording } from './wording';

/** One hole of a timber across studs, or of noggings between them, as it is said at the wall. */
export interface TimberWords {
  name: string;
  drill: string;
  steps: string[];
}

/** Size and number of the timber's own screws, and how they are drilled for. */
export function timberScrewText({ holes, fixing, way }: TimberPlan, say: Wording): string {
  if (!fixing) return 'nothing in the kit goes through it and far enough in';
  const { kind, diameter, length } = fixing;
  const more = way === 'noggings' ? ', and as many from each cleat into its stud' : '';
  return `${holes.length} ${fixingName(kind)}s ${screwSize(diameter, length, say)}${more}; ${drillText(fixing, way, say)}.`;
}

const drillText = ({ bit, depth }: NonNullable<TimberPlan['fixing']>, way: TimberPlan['way'], say: Wording): string =>
  `bit ${bitText(bit, say)}, ${say.length(depth)} deep ${way === 'noggings' ? 'in the cleat' : 'behind the timber'}`;

/** What is cut to what length; a nogging by its own bay, measured when the wall is open. */
export function timberSizeText(timber: TimberPlan, say: Wording): string {
  const { pieces, opening, left, right, bottom } = timber;
  if (!pieces || !opening)
    return `${say.length(right - left)} long, from ${say.length(left)} from the left and ${say.length(bottom)} up.`;
  const long = pieces.map((p) => say.length(p.right - p.left)).join(', ');
  return `Cut to the bay, about ${long}: measure it when the wall is open. The board is cut from ${say.length(opening.left)} to ${say.length(opening.right)} from the left, ${say.length(opening.bottom)} to ${say.length(opening.top)} up: to the middle of the studs.`;
}

/** What comes before its first hole. */
const BEFORE: Record<'across' | 'noggings', readonly string[]> = {
  across: ['Hold the timber to its line, level, and mark its first hole through it.'],
  noggings: [
    'Look into the bay through a small hole; then cut the board no deeper than it is thick.',
    'Screw a cleat to the side of each stud, as far back as the nogging is thick.',
    'Cut the nogging to the bay; it sits flush with the studs.',
  ],
};

/** What comes when its last screw is in. */
export const timberAfter = ({ way }: Pick<TimberPlan, 'way'>): readonly string[] =>
  way === 'noggings'
    ? [
        'Pull hard on each nogging; nothing gives.',
        'Close the board with a patch, screwed to studs and noggings; fill it when the set hangs.',
        "Draw the noggings' outline on the board: the plate's lags go between the cleats.",
      ]
    : [
        'Level once more; the last turns of every screw by hand.',
        'Pull hard on the timber; nothing gives.',
        'The plate is marked on the timber, not on the wall.',
      ];

/** The first with what comes before it; the timber is levelled on those that are in. */
export function timberWords(timber: TimberPlan, hole: TimberPlan['holes'][number], say: Wording): TimberWords {
  const { holes, fixing, way } = timber;
  const first = holes.indexOf(hole) === 0;
  const steps = [
    ...(first ? BEFORE[way ?? 'across'] : way === 'noggings' ? [] : ['Level the timber on the screws that are in.']),
    ...(fixing
      ? [`Drive the ${fixingName(fixing.kind)} ${screwSize(fixing.diameter, fixing.length, say)}, snug.`]
      : []),
  ];
  return {
    name: `Hole ${holeNumber(hole.id)}, ${holes.indexOf(hole) + 1} of ${holes.length}`,
    drill: fixing ? drillText(fixing, way, say) : 'nothing in the kit goes through it',
    steps,
  };
}
