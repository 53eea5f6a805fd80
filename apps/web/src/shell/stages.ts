import type { ComponentType } from 'react';
import type { Job, Plan } from '@steddo/contract';
import type { LabelSet } from '@steddo/drawing';
import {
  fitNumbers,
  hangNumbers,
  heightNumbers,
  holeNumbers,
  levelNumbers,
  setNumbers,
  wallNumbers,
  type BarNumber,
} from '../state/barNumbers';
import { STAGES, WALL_VIEWS, type BuiltStage, type ViewName } from '../state/stageIds';
import { Coming } from '../ui/Coming';
import { laterPart, type LaterPart } from '../ui/later';

/** All that is to be known of a stage; one that is missing here does not compile. */
interface StageEntry {
  /** Its inputs, which come when the stage is opened, or ahead of it. */
  body: LaterPart<object>;
  /** Its drawings, the first one shown. */
  views: readonly ViewName[];
  /** Which measures hang on the wall. */
  labels: LabelSet;
  /** The three numbers in the thumb's reach. */
  numbers: (job: Job, plan: Plan) => BarNumber[];
}

const FACE = ['face'] as const;

const later = (load: () => Promise<ComponentType>): LaterPart<object> => laterPart(load, Coming);

export const STAGE: Record<BuiltStage, StageEntry> = {
  set: {
    body: later(async () => (await import('../features/set/SetStage')).SetStage),
    views: ['back', 'front', 'screw'],
    labels: 'heights',
    numbers: setNumbers,
  },
  room: {
    body: later(async () => (await import('../features/room/RoomStage')).RoomStage),
    views: ['face', 'above', 'side'],
    labels: 'none',
    numbers: heightNumbers,
  },
  mount: {
    body: later(async () => (await import('../features/mount/MountStage')).MountStage),
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  fit: {
    body: later(async () => (await import('../features/fit/FitStage')).FitStage),
    views: ['staged', 'screw', 'side'],
    labels: 'heights',
    numbers: fitNumbers,
  },
  height: {
    body: later(async () => (await import('../features/height/HeightStage')).HeightStage),
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  reach: {
    body: later(async () => (await import('../features/reach/ReachStage')).ReachStage),
    views: ['above', 'face', 'side'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  wall: {
    body: later(async () => (await import('../features/wall/WallStage')).WallStage),
    views: WALL_VIEWS,
    labels: 'studs',
    numbers: wallNumbers,
  },
  holes: {
    body: later(async () => (await import('../features/holes/HolesStage')).HolesStage),
    views: ['face', 'section', 'side'],
    labels: 'holes',
    numbers: holeNumbers,
  },
  level: {
    body: later(async () => (await import('../features/level/LevelStage')).LevelStage),
    views: FACE,
    labels: 'holes',
    numbers: levelNumbers,
  },
  hang: {
    body: later(async () => (await import('../features/hang/HangStage')).HangStage),
    views: ['face', 'above', 'staged', 'side'],
    labels: 'leads',
    numbers: hangNumbers,
  },
};

/** The inputs of every stage, in the order of the work. */
export const BODIES = STAGES.map((stage) => STAGE[stage].body.later);
