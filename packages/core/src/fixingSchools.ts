import type { Finding, Job, Plan, Verdict } from '@steddo/contract';
import { verdictOf } from './findings';
import type { Memory } from './memory';
import { plan } from './plan';
import type { FixingSchool } from './scheme/ways';

export const FIXING_SCHOOLS: readonly FixingSchool[] = ['studs-only', 'stud-first', 'rated-anchors'];

/** What one school makes of a room: its scheme, and what it has to say of wall and holes. */
export interface SchoolSays {
  school: FixingSchool;
  verdict: Verdict;
  scheme?: Plan['scheme'];
  /** The worst of what it says, first. */
  findings: Finding[];
}

/** The same room under each school, side by side: the same arithmetic, another policy. */
export function fixingSchools(job: Job, memory?: Memory): SchoolSays[] {
  return FIXING_SCHOOLS.map((school) => {
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
