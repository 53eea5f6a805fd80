import type { Fit, Job, Plan, Working } from '@steddo/contract';
import { findingText } from './findings';
import { fitText } from './fits';
import { wordingFor } from './wordingFor';
import { type Wording } from './wording';
import { termOf } from './terms';

/** The plan as a file: codes and values from the core, with the sentences beside them. */
export function planFile(plan: Plan, job: Job): Plan {
  const say = wordingFor(job);
  const worded = withWords(plan);
  return {
    ...worded,
    findings: worded.findings.map((f) => ({ ...f, message: findingText(f, say) })),
    ...(worded.fit ? { fit: worded.fit.map((f) => fitWithWords(f, say)) } : {}),
    ...(worded.ranking
      ? {
          ranking: worded.ranking.map((r) => ({
            ...r,
            reasons: r.reasons.map((f) => fitWithWords(f, say)),
            ...(r.nearest ? { nearest: fitWithWords(r.nearest, say) } : {}),
          })),
        }
      : {}),
  };
}

const fitWithWords = (fit: Fit, say: Wording): Fit => ({ ...fit, message: fitText(fit, say) });

/** Words for every label of every working in a section of the plan. */
function withWords<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withWords) as T;
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(([key, inner]) => [key, withWords(inner)]);
  const copy = Object.fromEntries(entries) as T;
  return isWorking(copy) ? ({ ...copy, label: termOf(copy.label) } as T) : copy;
}

const isWorking = (value: unknown): value is Working =>
  typeof value === 'object' && value !== null && 'label' in value && 'unit' in value && 'value' in value;
