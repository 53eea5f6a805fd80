import type { Height, Job, HeightRule, Plan } from '@steddo/contract';
import { COMFORT_CENTRE_DEG } from '@steddo/core';
import { findingText } from './findings';
import { capital, type Wording } from './wording';

/** Heights in a customer's words. */
const TITLES: Record<HeightRule | 'chosen', string> = {
  eyes: 'at eye height',
  'bottom-band': 'a little higher',
  above: 'clear of the furniture',
  'line-up': 'in line',
  'fit-between': 'in the middle of the space',
  'top-at-eyes': 'top edge at eye height',
  vote: 'as you held it',
  standing: 'for standing',
  chosen: 'as it is now',
};

export const offerTitle = (index: number, heading: HeightRule | 'chosen'): string => `${index + 1}: ${TITLES[heading]}`;

/** Who looks up or down by how much, without numbers: for somebody on a sofa. */
export function comfortText(angles: Height['angles'], job: Job): string {
  if (angles.length === 0) return 'Where everybody sits has not been measured yet.';
  const nameOf = (id: string) => job.room.viewers?.find((v) => v.id === id)?.name ?? id;
  const far = angles.filter((a) => Math.abs(a.fromRest) > COMFORT_CENTRE_DEG);
  const some = angles.filter((a) => !far.includes(a) && Math.abs(a.fromRest) > SOME_DEG);
  const way = (a: { fromRest: number }) => (a.fromRest > 0 ? 'up' : 'down');
  if (far.length > 0)
    return `${far.map((a) => `For ${nameOf(a.viewer)} that is a long way ${way(a)}`).join('. ')}: tiring in a long film.`;
  if (some.length > 0)
    return `${capital(some.map((a) => `${nameOf(a.viewer)} looks a little ${way(a)}`).join(', '))}. Comfortable for everybody.`;
  return 'Everybody looks straight at it.';
}

const SOME_DEG = 5;

/** What concerns whoever lives with it: told here, and no caution of the work. */
export function customerNotes(plan: Plan, job: Job, say: Wording): string[] {
  const said = plan.findings.filter((f) => CUSTOMER_CODES.has(f.code)).map((f) => findingText(f, say));
  const { maxAside, asideHeld } = job.choices ?? {};
  if (maxAside === undefined) return said;
  const within = `no more than ${say.length(maxAside)} to either side of its plate`;
  return [
    ...said,
    asideHeld ? `The arm is stopped ${within}.` : `Please swing the arm ${within}: its screws are judged by that.`,
  ];
}

const CUSTOMER_CODES: ReadonlySet<string> = new Set(['sits-far', 'sits-near', 'over-walkway']);
