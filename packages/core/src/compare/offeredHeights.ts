import type { Job, Plan, HeightRule } from '@steddo/contract';
import { applyCommand } from '../edit/command';
import { followHeightRule } from '../edit/followHeightRule';
import { newMemory } from '../memory';
import { plan } from '../plan';
import { heightRulesFor } from '../placement/heightRules';

/** One height that the customer may choose. */
export interface Offer {
  key: string;
  /** The school behind it; absent for a height that was chosen by hand. */
  school?: HeightRule;
  heading: HeightRule | 'chosen';
  chosen: boolean;
  job: Job;
  plan: Plan;
}

/** Heights nearer to each other than this look alike from the sofa, mm. Ours. */
const ALIKE_MM = 30;
/** More than three are no choice. */
const MOST = 3;

/**
 * Two or three heights for the customer to choose from: the one that stands now, then the schools
 * in their order, each only where it is possible and looks different from those before it.
 * Empty while nothing can be placed.
 */
export function offeredHeights(job: Job, memory = newMemory()): Offer[] {
  const offers: Offer[] = [];
  const add = (offer: Offer) => {
    const { placement } = offer.plan;
    if (!placement || placement.conflict || offers.length >= MOST) return;
    const y = placement.centre.y;
    if (offers.some((o) => Math.abs((o.plan.placement?.centre.y ?? 0) - y) < ALIKE_MM)) return;
    offers.push(offer);
  };
  const byHand = job.choices?.centreY !== undefined;
  const now = byHand
    ? { key: 'chosen', heading: 'chosen' as const }
    : { key: job.aim.height, heading: job.aim.height, school: job.aim.height };
  add({ ...now, chosen: true, job, plan: plan(job, { memory }) });
  for (const school of heightRulesFor(job)) {
    if (!byHand && school === job.aim.height) continue;
    const other = applyCommand(job, followHeightRule(job, school)).job;
    add({ key: school, school, heading: school, chosen: false, job: other, plan: plan(other, { memory }) });
  }
  return offers;
}
