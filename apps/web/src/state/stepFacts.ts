import type { Job, Plan, StepId } from '@steddo/contract';
import { armHoles, leadWay, type LeadWay } from '@steddo/core';
import type { StepFacts } from '@steddo/text';

const WHEN: Partial<Record<StepId, (lead: LeadWay) => boolean>> = {
  'leads.before': (l) => l.when === 'before' || l.later || l.route === 'arm',
  'leads.hooked': (l) => l.when === 'hooked' && !l.later,
  'leads.after': (l) => l.when === 'after' && !l.later,
};

/** What a step of this job names: the arm hole, the leads that go in then, how many lift. */
export function stepFacts(id: StepId, { mount, leads: given = [] }: Job, plan: Plan): StepFacts {
  const of = mount ? armHoles(mount).length : 0;
  const at = plan.placement?.armHole;
  const goesIn = WHEN[id];
  const leads =
    goesIn &&
    given
      .map((l) => leadWay(l, mount))
      .filter(goesIn)
      .map((l) => l.what);
  return {
    mount,
    people: plan.lift?.people,
    ...(of > 1 && at !== undefined ? { armHole: { at: at + 1, of } } : {}),
    ...(leads && leads.length > 0 ? { leads: leads.join(', ') } : {}),
  };
}
