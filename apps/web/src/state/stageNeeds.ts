import type { Job, Plan, Side } from '@steddo/contract';
import type { Said } from '@steddo/text';
import { isCorner, moves as mountMoves } from '@steddo/core';
import { STAGES, type BuiltStage } from './stageIds';

const guessed = (job: Job, ...prefixes: readonly string[]): boolean =>
  (job.guessed ?? []).some((g) => prefixes.some((prefix) => g.startsWith(prefix)));

/** The stage has something to do only for a mount that moves, and in a corner. */
const moves = (job: Job): boolean => isCorner(job) || (job.mount !== undefined && mountMoves(job.mount));

/** Steps of a part of the day that nobody has ticked. */
const stepsLeft = ({ day }: Plan, part: string): number =>
  (day?.steps ?? []).filter((s) => s.id.startsWith(part) && !s.done).length;

/** The walls of a corner that something is fastened to: an arm has its plate on the first alone. */
const cornerWalls = ({ mount }: Job, { corner }: Plan) =>
  corner && mount?.corner ? (['main', corner.side] as const) : (['main'] as const);

/** That a wall ends at a corner says of a stud there, and of nothing where a foot comes. */
const isMarked = ({ evidence = [] }: Job, wall: 'main' | Side): boolean =>
  evidence.some((e) => (e.wall ?? 'main') === wall);

/** Whether something that a stage is for has not been measured or chosen; one that is missing here does not compile. */
export const LACKS: Record<BuiltStage, (job: Job, plan: Plan) => boolean> = {
  set: (job, plan) => guessed(job, 'screen.') || plan.screen.outline.guessed,
  // where a thing on the wall stands sideways does not call the hand back
  room: (job) => guessed(job, 'room.wall.', 'room.viewers.'),
  mount: (job) => !job.mount,
  // once something is drilled nobody is called back to the set
  fit: (_, plan) => stepsLeft(plan, 'fit.') > 0 && !(plan.holes ?? []).some((h) => h.done),
  height: (job, plan) => guessed(job, 'aim.height') || !plan.placement || Boolean(plan.placement.conflict),
  reach: (job, plan) => moves(job) && !plan.reach && !plan.corner?.feet,
  // a wall without studs lacks none, and is set out from a joint
  wall: (job, plan) =>
    isCorner(job)
      ? cornerWalls(job, plan).some((wall) => !isMarked(job, wall))
      : job.room.wall.build.kind === 'masonry'
        ? plan.findings.some((f) => f.code === 'mark-a-joint-first')
        : (plan.studs ?? []).length === 0,
  holes: (_, plan) => (plan.holes ?? []).length === 0,
  level: (_, plan) => !plan.level,
  hang: (_, plan) => !plan.hang || plan.hang.steps.some((s) => !s.done),
};

/** What a stage needs to be there at all. */
const ONLY: Partial<Record<BuiltStage, (job: Job) => boolean>> = {
  reach: moves,
  fit: ({ mount }) => mount !== undefined,
  hang: ({ mount }) => mount !== undefined,
};

/** The stages of a job: what cannot matter to it is not there, but where one is. */
export const stagesOf = (job: Job, current: BuiltStage): BuiltStage[] =>
  STAGES.filter((s) => s === current || (ONLY[s]?.(job) ?? true));

export interface StageState {
  /** Something that this stage is for has not been measured or chosen. */
  needs: boolean;
  /** The worst finding of the stage, if any is more than a note. */
  worst: Said;
}

/** How far a stage is: what it lacks, and the worst that there is to say about it. */
export function stageState(stage: BuiltStage, job: Job, plan: Plan): StageState {
  const found = plan.findings.filter((f) => f.stage === stage && f.level !== 'info');
  const stop = found.some((f) => f.level === 'stop' && !f.acknowledged);
  return {
    needs: LACKS[stage](job, plan),
    worst: stop ? 'stop' : found.some((f) => f.level !== 'todo') ? 'caution' : found.length > 0 ? 'todo' : 'go',
  };
}
