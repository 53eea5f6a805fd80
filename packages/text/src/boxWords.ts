import type { BoxNeed, RecessPlan, TravelCheck, VehiclePlan } from '@steddo/contract';
import { capital, type Wording } from './wording';

const NEEDS: Record<BoxNeed, string> = {
  studs: 'where the wood is: mark both studs first',
  hazard: 'that no cable or pipe is where it is cut',
  'first-cut': 'the first, small cut',
  look: 'a look into the bay, as far as the box goes',
  power: 'how power gets there',
  faces: 'both faces, by tape through the first cut',
  place: 'a place that keeps off the wood',
  nogging: 'a place without a timber across it',
  depth: 'a box that the wall is deep enough for',
  flue: 'the distance to the flue or vent',
  saw: 'the outline to be sawn',
  wiring: 'the electrician’s work',
};
/** What is still lacking before a step of a box. */
export const boxNeedText = (need: BoxNeed): string => NEEDS[need];

/** What is lacking, said together; with nothing lacking nothing is said. */
export const boxNeedsLine = (needs: readonly BoxNeed[]): string | undefined =>
  needs.length === 0 ? undefined : `Not yet. Still lacking: ${needs.map(boxNeedText).join('; ')}.`;

/** What is sawn in one line: from where, how large, how deep. */
export function cutLine({ left, right, bottom, top }: RecessPlan['first'], say: Wording): string {
  return `${capital(say.length(left))} from the left and ${say.length(bottom)} up, ${say.length(right - left)} wide and ${say.length(top - bottom)} high.`;
}

const TRAVEL: Record<TravelCheck, string> = {
  fold: 'The arm folded, the set against the wall.',
  lock: 'Its catch closed or its strap on: it does not move when it is pulled.',
  tilt: 'The tilt tightened.',
  leads: 'Leads clipped, none across a joint, the plug out.',
  loose: 'Nothing standing on it or below it that can fall.',
  retighten: 'After the first drive, and each season: every screw tried by hand.',
};
/** What is seen to before it is driven. */
export const travelText = (check: TravelCheck): string => TRAVEL[check];

/** How the drill and the screw end before the skin: on every page that has to do with them. */
export function skinLine({ tip, flag }: VehiclePlan, say: Wording): string | undefined {
  if (flag === undefined) return undefined;
  const stop = `Flag on the bit at ${say.length(flag)} from the wall's face`;
  if (tip === undefined) return `${stop}; how far the skin is nobody has measured.`;
  return tip < 0
    ? `The screw would come through the skin by ${say.length(-tip)}. Do not drill.`
    : `${stop}; the screw's point stays ${say.length(tip)} before the skin.`;
}
