import type { Finding, Job, Plan, Verdict } from '@steddo/contract';
import { verdictOf } from '../primitives/findings';
import type { Memory } from '../memory';
import { plan } from '../plan';
import type { FixingPolicy } from '../scheme/ways';

export const FIXING_POLICIES: readonly FixingPolicy[] = ['studs-only', 'stud-first', 'rated-anchors'];

/** What one school makes of a room: its scheme, and what it has to say of wall and holes. */
export interface PolicySays {
  school: FixingPolicy;
  verdict: Verdict;
  scheme?: Plan['scheme'];
  /** The worst of what it says, first. */
  findings: Finding[];
}

/** The same room under each school, side by side: the same arithmetic, another policy. */
export function fixingPolicies(job: Job, memory?: Memory): PolicySays[] {
  return FIXING_POLICIES.map((school) => {
    const made = plan({ ...job, fixing: { ...job.fixing, school } }, { memory });
    const findings = made.findings.filter((f) => f.stage === 'holes' || f.stage === 'wall');
    const none = made.holes === undefined && findings.every((f) => f.level === 'info');
    return {
      school,
      verdict: none ? 'stop' : verdictOf(findings),
      ...(made.scheme ? { scheme: made.scheme } : {}),
      findings: findings.filter((f) => f.level !== 'info'),
    };
  });
}
