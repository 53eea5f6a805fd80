import type { Job, Plan, Stage, Verdict } from '@steddo/contract';

/** The stages that are built, in the order of the work. */
export const STAGES = [
  'set',
  'room',
  'mount',
  'height',
  'wall',
  'holes',
  'level',
] as const satisfies Stage[];
export type BuiltStage = (typeof STAGES)[number];

export const isStage = (value: unknown): value is BuiltStage => STAGES.some((s) => s === value);

export interface StageState {
  /** Something that this stage is for has not been measured or chosen. */
  needs: boolean;
  /** The worst finding of the stage, if any is more than a note. */
  worst: Verdict;
}

const GUESSES: Partial<Record<BuiltStage, string>> = { set: 'screen.', room: 'room.' };

/** How far a stage is: what it lacks, and the worst that there is to say about it. */
export function stageState(stage: BuiltStage, job: Job, plan: Plan): StageState {
  const found = plan.findings.filter((f) => f.stage === stage && f.level !== 'info');
  const stop = found.some((f) => f.level === 'stop' && !f.acknowledged);
  return {
    needs: lacks(stage, job, plan),
    worst: stop ? 'stop' : found.length > 0 ? 'caution' : 'go',
  };
}

function lacks(stage: BuiltStage, job: Job, plan: Plan): boolean {
  const guessed = (prefix: string) => (job.guessed ?? []).some((g) => g.startsWith(prefix));
  switch (stage) {
    case 'set':
      return guessed(GUESSES.set ?? '') || plan.screen.outline.guessed;
    case 'room':
      return guessed(GUESSES.room ?? '');
    case 'mount':
      return !job.mount;
    case 'height':
      return !plan.placement || Boolean(plan.placement.conflict);
    case 'wall':
      return (plan.studs ?? []).length === 0;
    case 'holes':
      return (plan.holes ?? []).length === 0;
    case 'level':
      return !plan.level;
  }
}

/** The stage that the hand goes to next: the next one that lacks something, else simply the next. */
export function nextStage(current: BuiltStage, job: Job, plan: Plan): BuiltStage {
  const at = STAGES.indexOf(current);
  const after = [...STAGES.slice(at + 1), ...STAGES.slice(0, at)];
  const measuring = ['set', 'room'] as const;
  const unmeasured = measuring.find((s) => s !== current && lacks(s, job, plan));
  if (unmeasured && at < 2) return unmeasured;
  return after.find((s) => lacks(s, job, plan)) ?? STAGES[at + 1] ?? 'holes';
}
