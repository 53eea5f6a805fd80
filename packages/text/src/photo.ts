import type { PhotoReference } from '@steddo/contract';
import type { CameraFault, MeasuredBox, PlaneFault } from '@steddo/core/photo';
import type { Wording } from './wording';

/** Corners of a reference by their names, as they are tapped. */
export const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'] as const;

export type ReferenceWhat = Exclude<PhotoReference['what'], 'thing'>;

const REFERENCES: Record<ReferenceWhat, string> = {
  wall: 'the wall',
  a4: 'an A4 sheet',
  letter: 'a letter sheet',
  taped: 'four marks',
};

export const referenceName = (what: ReferenceWhat): string => REFERENCES[what];

const FAULTS: Record<PlaneFault | CameraFault, string> = {
  'too-few': 'Lay each of the four crosses onto its own corner; then the set hangs there.',
  'in-a-line': 'Three of the corners lie in a line, and say nothing of the wall. Lay each cross onto its own corner.',
  crossed: 'Two corners have changed places. Each cross goes onto the corner that it is named after.',
  mirrored: 'Left and right have changed places: is the picture a mirror’s, or of the wall from behind?',
  'not-anchored':
    'Nothing says where on the wall that is. Tape its left edge from the wall’s left end and its lower edge from the floor, or lay a cross onto the floor and one onto an end of the wall.',
  'edge-through-middle':
    'The straight edge goes through the middle of the picture, where no lens bends it. Lay it along something nearer the picture’s rim: the ceiling, a skirting, a door.',
  'edge-too-short': 'The straight edge is too short to show how the lens bends. Lay its ends further apart.',
  'do-not-agree':
    'What was laid and what was taped do not agree. Look at each cross under the glass, and at what was typed: the sheet’s size, its place, the distance between the two.',
  'behind-the-wall': 'Seen so, the wall would be looked at from behind. Look at which cross is on which corner.',
};

export const photoFault = (why: PlaneFault | CameraFault): string => FAULTS[why];

/** What makes a picture useless for laying crosses onto: nothing to see in it, or no lens that saw it. */
export type PictureTrouble = 'no-contrast' | 'no-camera';

const TROUBLES: Record<PictureTrouble, string> = {
  'no-contrast':
    'This picture is nearly all of one brightness: no cross finds its corner in it. Take it again with the light on the wall, not behind it.',
  'no-camera':
    'This does not look like what a camera saw: a screenshot or a drawing has no lens’s perspective, and measures nothing. Take the picture of the wall itself.',
};

/** What is wrong with a picture before anything is laid onto it. */
export const photoTrouble = (trouble: PictureTrouble): string => TROUBLES[trouble];

/** More than this and the drawing sells a height that is another one, mm. Ours. */
const MUCH_MM = 40;
/** More than this and nothing is drawn: it could hang anywhere. Ours. */
export const MOST_DRAWN_DOUBT_MM = 400;
/** A thing that is known no better than this is none to plan by, mm. Ours. */
export const MOST_MEASURED_DOUBT_MM = 60;

const LARGER = 'Lay the wall’s own corners, or a second sheet further away and tape what is between the two.';

/** How far what is drawn may be out, and what would make it better. */
export function drawnDoubtText(mm: number, assumed: boolean, say: Wording): string {
  const depth = assumed
    ? ' The picture was taken straight on and does not tell its lens: how thick the set looks is a guess. From a little aside it tells.'
    : '';
  if (!(mm <= MOST_DRAWN_DOUBT_MM))
    return `These corners do not say where the set hangs: what was tapped is too small, or too far from it. ${LARGER}`;
  if (mm > MUCH_MM)
    return `What is drawn may be out by ${say.length(mm)}: what was tapped is too small, or too far from the set. ${LARGER}${depth}`;
  return `What is drawn may be out by about ${say.length(mm)}, nineteen times of twenty.${depth}`;
}

/** What a straight edge has told of the lens. */
export function bendText({ places, none, k1 }: { places: number; none: boolean; k1?: number }): string {
  if (none)
    return 'No edge was found along there. Lay both ends onto something that stands out against what is beside it.';
  if (places === 0) return 'Without one, what a lens may bend is in every doubt.';
  const bend =
    k1 === undefined
      ? ''
      : ` The lens bends by ${bendShare(k1)} of the way at the picture’s corner; that is taken out.`;
  return `Found at ${places} places along it.${bend}`;
}

const bendShare = (k1: number): string => `${(Math.abs(k1) * 100).toFixed(1)}\u00a0%`;

/** What was measured by the picture, each with what it may be out; or why it is none to plan by. */
export function measuredText(
  box: MeasuredBox,
  told: (mm: number, doubt: number) => { mm: number; doubt: number },
  say: Wording,
): string[] {
  const { left, right, bottom, top, doubt } = box;
  const line = (name: string, mm: number, by: number) => {
    const t = told(mm, by);
    return `${name} ${say.length(t.mm)} ± ${say.length(t.doubt)}`;
  };
  return [
    line('left edge, from the left', left, doubt.left),
    line('width', right - left, doubt.width),
    line('bottom, from the floor', bottom, doubt.bottom),
    line('height', top - bottom, doubt.height),
  ];
}

export const tooDoubtfulText = (mm: number, say: Wording): string =>
  Number.isFinite(mm)
    ? `Here the picture is sure only within ${say.length(mm)}: too far from what was laid. ${LARGER}`
    : `Here the picture says nothing of the wall. ${LARGER}`;

export const standsOutText = (offMm: number, sure: boolean, say: Wording): string =>
  `It stands out of the wall: taken for flat it may be off by ${say.length(offMm)}, ${sure ? 'which is in its doubt' : 'too much to plan by'}. Type how far its front stands out, and it is corrected.`;

/** Of a thing in a list: that a picture has measured it. */
export const fromPhotoText = (doubt: number, say: Wording): string => `from the photo, ± ${say.length(doubt)}`;
