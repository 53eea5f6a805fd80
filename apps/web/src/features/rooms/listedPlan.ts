import { useMemo } from 'react';
import type { Job, Plan } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { findingText, stageName, wordingFor, type Wording } from '@steddo/text';
import { momentText } from '../../ui/moment';
import { nextStep, type NextStep } from '../../state/nextStep';
import { STAGES, type BuiltStage } from '../../state/stageIds';
import { LACKS, stageState } from '../../state/stageNeeds';
import { useKit } from '../../state/useKit';

/** A room as the list shows it: worked out as in the room itself, or not at all. */
export interface ListedPlan {
  job: Job;
  say: Wording;
  /** Absent where it cannot be worked out: no room takes another one off the list. */
  plan?: Plan;
  /** Where its work goes on. */
  stage: BuiltStage;
  /** What it waits for, in a few words and a sentence. */
  waits: string;
}

export function useListedPlan(document: Job): ListedPlan {
  const kit = useKit();
  return useMemo(() => listedPlan(withKit(document, kit)), [document, kit]);
}

export function listedPlan(job: Job): ListedPlan {
  const say = wordingFor(job);
  const made = planned(job);
  if (!made) return { job, say, stage: 'set', waits: 'It cannot be worked out; open it to see what it has.' };
  const stage = reached(job, made);
  return { job, say, plan: made, stage, waits: waitsFor(job, made, stage, say) };
}

function planned(job: Job): Plan | undefined {
  try {
    return plan(job);
  } catch {
    return undefined;
  }
}

const BEFORE_HOLES = STAGES.slice(0, STAGES.indexOf('holes') + 1);

/** Once all is drilled: the level, then the hanging, whichever is not done yet. */
function afterHoles(job: Job, made: Plan): NextStep {
  const next = nextStep('holes', job, made);
  if (next.to !== 'stage' || next.stage !== 'level' || LACKS.level(job, made)) return next;
  return LACKS.hang(job, made) ? { to: 'stage', stage: 'hang' } : { to: 'done' };
}

/** The first stage that lacks something or is stopped; the holes where none does. */
const reached = (job: Job, made: Plan): BuiltStage =>
  BEFORE_HOLES.find((s) => LACKS[s](job, made) || stageState(s, job, made).worst === 'stop') ?? 'holes';

function waitsFor(job: Job, made: Plan, stage: BuiltStage, say: Wording): string {
  if (job.record?.done !== undefined) return `done ${momentText(job.record.done)}`;
  const stop = made.findings.find((f) => f.level === 'stop' && !f.acknowledged);
  if (stop) return findingText(stop, say);
  return stage === 'holes' ? stepText(afterHoles(job, made)) : `next: ${stageName[stage]}`;
}

function stepText(next: NextStep): string {
  switch (next.to) {
    case 'ladder':
      return next.left === 1 ? 'one hole to drill' : `${next.left} holes to drill`;
    case 'box':
      return next.left === 1 ? 'one step at the box' : `${next.left} steps at the box`;
    case 'timber':
      return next.left === 1 ? 'one hole of the timber to drill' : `${next.left} holes of the timber to drill`;
    case 'stage':
      return `next: ${stageName[next.stage]}`;
    case 'done':
      return 'to hand over';
    default:
      return 'all drilled';
  }
}
