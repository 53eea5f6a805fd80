import type { Level, Plan, Verdict } from '@steddo/contract';
import { verdictWord } from './names';

/** A verdict as it is shown: what is only to do has a shape and words of its own. */
export type Said = Verdict | 'todo';

/** What a plan comes to: to-dos alone are no caution. */
export function saidOf({ verdict, findings }: Pick<Plan, 'verdict' | 'findings'>): Said {
  if (verdict !== 'caution') return verdict;
  const risky = findings.some((f) => f.level === 'caution' || (f.level === 'stop' && f.acknowledged));
  return !risky && findings.some((f) => f.level === 'todo') ? 'todo' : 'caution';
}

/** `3 to do`, or the verdict's word. */
export const saidWord = (plan: Pick<Plan, 'verdict' | 'findings'>): string => {
  const said = saidOf(plan);
  return said === 'todo' ? todoText(plan) : verdictWord[said];
};

const todoText = ({ findings }: Pick<Plan, 'findings'>): string =>
  `${findings.filter((f) => f.level === 'todo').length} to do`;

/** `1 to stop for, 2 to mind, 3 to do`; what there is none of is left out. */
export function countText(findings: readonly { level: Level }[]): string {
  const many = (level: Level) => findings.filter((f) => f.level === level).length;
  const parts = [
    { n: many('stop'), words: 'to stop for' },
    { n: many('caution'), words: 'to mind' },
    { n: many('todo'), words: 'to do' },
  ];
  return parts
    .filter((p) => p.n > 0)
    .map((p) => `${p.n} ${p.words}`)
    .join(', ');
}

/** `18 checks, all hold`; or how many do not. Each check counts once, whatever it is about. */
export function checksText({ checked = [] }: Pick<Plan, 'checked'>): string {
  const all = new Set(checked.map((c) => c.id));
  const open = new Set(checked.filter((c) => !c.holds).map((c) => c.id));
  const counted = `${all.size} ${all.size === 1 ? 'check' : 'checks'}`;
  return open.size === 0 ? `${counted}, all hold` : `${counted}, ${open.size} open`;
}
