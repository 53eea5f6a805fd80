import type { ComponentType } from 'react';
import type { Job, Plan, Verdict } from '@steddo/contract';
import { moves as mountMoves } from '@steddo/core';
import type { LabelSet } from '@steddo/drawing';
import { HeightStage } from '../features/height/HeightStage';
import { HolesStage } from '../features/holes/HolesStage';
import { LevelStage } from '../features/level/LevelStage';
import { MountStage } from '../features/mount/MountStage';
import { ReachStage } from '../features/reach/ReachStage';
import { RoomStage } from '../features/room/RoomStage';
import { SetStage } from '../features/set/SetStage';
import { WallStage } from '../features/wall/WallStage';
import { heightNumbers, holeNumbers, levelNumbers, setNumbers, wallNumbers, type BarNumber } from '../state/barNumbers';
import { STAGES, type BuiltStage, type ViewName } from '../state/stageIds';

/** All that is to be known of a stage; one that is missing here does not compile. */
interface StageEntry {
  /** Its inputs. */
  body: ComponentType;
  /** Its drawings, the first one shown. */
  views: readonly ViewName[];
  /** Which measures hang on the wall. */
  labels: LabelSet;
  /** The three numbers in the thumb's reach. */
  numbers: (job: Job, plan: Plan) => BarNumber[];
  /** Something that it is for has not been measured or chosen. */
  lacks: (job: Job, plan: Plan) => boolean;
}

const guessed = (job: Job, ...prefixes: readonly string[]): boolean =>
  (job.guessed ?? []).some((g) => prefixes.some((prefix) => g.startsWith(prefix)));

/** The stage has something to do only for a mount that moves. */
const moves = ({ mount }: Job): boolean => mount !== undefined && mountMoves(mount);

const FACE = ['face'] as const;

export const STAGE: Record<BuiltStage, StageEntry> = {
  set: {
    body: SetStage,
    views: ['back', 'front', 'screw'],
    labels: 'heights',
    numbers: setNumbers,
    lacks: (job, plan) => guessed(job, 'screen.') || plan.screen.outline.guessed,
  },
  room: {
    body: RoomStage,
    views: ['face', 'above', 'side'],
    labels: 'none',
    numbers: heightNumbers,
    // where a thing on the wall stands sideways does not call the hand back
    lacks: (job) => guessed(job, 'room.wall.', 'room.viewers.'),
  },
  mount: {
    body: MountStage,
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
    lacks: (job) => !job.mount,
  },
  height: {
    body: HeightStage,
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
    lacks: (job, plan) => guessed(job, 'aim.height') || !plan.placement || Boolean(plan.placement.conflict),
  },
  reach: {
    body: ReachStage,
    views: ['above', 'face', 'side'],
    labels: 'heights',
    numbers: heightNumbers,
    lacks: (job, plan) => moves(job) && !plan.reach,
  },
  wall: {
    body: WallStage,
    views: FACE,
    labels: 'studs',
    numbers: wallNumbers,
    lacks: (_, plan) => (plan.studs ?? []).length === 0,
  },
  holes: {
    body: HolesStage,
    views: FACE,
    labels: 'holes',
    numbers: holeNumbers,
    lacks: (_, plan) => (plan.holes ?? []).length === 0,
  },
  level: {
    body: LevelStage,
    views: FACE,
    labels: 'holes',
    numbers: levelNumbers,
    lacks: (_, plan) => !plan.level,
  },
};

export interface StageState {
  /** Something that this stage is for has not been measured or chosen. */
  needs: boolean;
  /** The worst finding of the stage, if any is more than a note. */
  worst: Verdict;
}

/** How far a stage is: what it lacks, and the worst that there is to say about it. */
export function stageState(stage: BuiltStage, job: Job, plan: Plan): StageState {
  const found = plan.findings.filter((f) => f.stage === stage && f.level !== 'info');
  const stop = found.some((f) => f.level === 'stop' && !f.acknowledged);
  return {
    needs: STAGE[stage].lacks(job, plan),
    worst: stop ? 'stop' : found.length > 0 ? 'caution' : 'go',
  };
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
  if (at > holes) return STAGES.find((s) => STAGE[s].lacks(job, plan)) ?? 'holes';
  const unmeasured = (['set', 'room'] as const).find((s) => s !== current && STAGE[s].lacks(job, plan));
  if (at < STAGES.indexOf('mount') && unmeasured) return unmeasured;
  const ahead = STAGES.slice(Math.max(at + 1, STAGES.indexOf('mount')), holes);
  return ahead.find((s) => STAGE[s].lacks(job, plan)) ?? 'holes';
}
