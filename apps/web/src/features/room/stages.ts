import type { Job, Plan, Stage, Verdict } from '@steddo/contract';
import { moves as mountMoves } from '@steddo/core';

/** The stages that are built, in the order of the work. */
export const STAGES = ['set', 'room', 'mount', 'height', 'reach', 'wall', 'holes', 'level'] as const satisfies Stage[];
export type BuiltStage = (typeof STAGES)[number];

export const isStage = (value: unknown): value is BuiltStage => STAGES.some((s) => s === value);

export interface StageState {
  /** Something that this stage is for has not been measured or chosen. */
  needs: boolean;
  /** The worst finding of the stage, if any is more than a note. */
  worst: Verdict;
}

/** The stage has something to do only for a mount that moves. */
const moves = ({ mount }: Job): boolean => mount !== undefined && mountMoves(mount);

/** Guesses that call the hand back; where a thing on the wall stands sideways is not one of them. */
const GUESSES: Partial<Record<BuiltStage, readonly string[]>> = {
  set: ['screen.'],
  room: ['room.wall.', 'room.viewers.'],
};

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
  const guessed = (...prefixes: readonly string[]) =>
    (job.guessed ?? []).some((g) => prefixes.some((prefix) => g.startsWith(prefix)));
  switch (stage) {
    case 'set':
      return guessed(...(GUESSES.set ?? [])) || plan.screen.outline.guessed;
    case 'room':
      return guessed(...(GUESSES.room ?? []));
    case 'mount':
      return !job.mount;
    case 'height':
      return guessed('aim.height') || !plan.placement || Boolean(plan.placement.conflict);
    case 'reach':
      return moves(job) && !plan.reach;
    case 'wall':
      return (plan.studs ?? []).length === 0;
    case 'holes':
      return (plan.holes ?? []).length === 0;
    case 'level':
      return !plan.level;
  }
}

/**
 * The stage that the hand goes to next: what has to be measured first, then the next stage on the
 * way to the holes that lacks something; after the height of a set on an arm its reach; after the holes the level.
 */
export function nextStage(current: BuiltStage, job: Job, plan: Plan): BuiltStage {
  const at = STAGES.indexOf(current);
  const holes = STAGES.indexOf('holes');
  if (at === holes) return 'level';
  // an arm is looked at where it moves before anything is drilled for it
  if (current === 'height' && plan.reach) return 'reach';
  if (at > holes) return STAGES.find((s) => lacks(s, job, plan)) ?? 'holes';
  const unmeasured = (['set', 'room'] as const).find((s) => s !== current && lacks(s, job, plan));
  if (at < STAGES.indexOf('mount') && unmeasured) return unmeasured;
  const ahead = STAGES.slice(Math.max(at + 1, STAGES.indexOf('mount')), holes);
  return ahead.find((s) => lacks(s, job, plan)) ?? 'holes';
}
