import type { CameraFault, PlaneFault } from '@steddo/core/photo';
import type { Wording } from './wording';

/** Corners of a reference by their names, as they are tapped. */
export const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'] as const;

const FAULTS: Record<PlaneFault | CameraFault, string> = {
  'too-few': 'Lay each of the four crosses onto its own corner; then the set hangs there.',
  'in-a-line': 'Three of the corners lie in a line, and say nothing of the wall. Lay each cross onto its own corner.',
  crossed: 'Two corners have changed places. Each cross goes onto the corner that it is named after.',
  mirrored: 'Left and right have changed places: is the picture a mirror’s, or of the wall from behind?',
  'behind-the-wall': 'Seen so, the wall would be looked at from behind. Look at which cross is on which corner.',
};

export const photoFault = (why: PlaneFault | CameraFault): string => FAULTS[why];

/** More than this and the drawing sells a height that is another one, mm. Ours. */
const MUCH_MM = 40;
/** More than this and nothing is drawn: it could hang anywhere. Ours. */
export const MOST_DRAWN_DOUBT_MM = 400;

/** How far what is drawn may be out, and what would make it better. */
export function drawnDoubtText(mm: number, assumed: boolean, say: Wording): string {
  const depth = assumed
    ? ' The picture was taken straight on and does not tell its lens: how thick the set looks is a guess. From a little aside it tells.'
    : '';
  if (!(mm <= MOST_DRAWN_DOUBT_MM))
    return 'These corners do not say where the set hangs: what was tapped is too small, or too far from it. Tap something larger, such as the wall’s own corners.';
  if (mm > MUCH_MM)
    return `What is drawn may be out by ${say.length(mm)}: what was tapped is too small, or too far from the set. Tap something larger, such as the wall’s own corners.${depth}`;
  return `What is drawn may be out by about ${say.length(mm)}, nineteen times of twenty; the lens’s own bending is not counted.${depth}`;
}
