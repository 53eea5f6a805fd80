import type { Finding, Plan } from '@steddo/contract';
import { finding } from '../primitives/findings';
import type { JudgedLift } from './judgeLift';

/** Who lifts the set onto its mount, and how heavy that is. */
export function liftPart(judged: JudgedLift): { section: NonNullable<Plan['lift']>; findings: Finding[] } {
  const { limit, mass, people, index, hands } = judged;
  return {
    section: {
      limit: limit.value,
      mass: mass.value,
      people,
      hands,
      ...(index ? { index: index.value } : {}),
      workings: { limit, mass, ...(index ? { index } : {}) },
    },
    findings: liftFindings(judged),
  };
}

const LIFT_SOURCE = 'revised NIOSH equation, EN 1005-2, from memory';

function liftFindings({ limit, mass, people, index, level }: JudgedLift): Finding[] {
  if (!index) return [finding('lift-out-of-reach', 'stop', 'mount', {}, LIFT_SOURCE)];
  const values = { people, massKg: mass.value };
  if (level === 'info') return people === 2 ? [finding('lift-people', 'info', 'mount', values, LIFT_SOURCE)] : [];
  const mayKg = mass.value / index.value;
  return [
    finding('lift-heavy', level, 'mount', { ...values, limitKg: limit.value, mayKg, index: index.value }, LIFT_SOURCE),
  ];
}
