import type { ComponentType } from 'react';
import type { Job, Plan } from '@steddo/contract';
import type { LabelSet } from '@steddo/drawing';
import { FitStage } from '../features/fit/FitStage';
import { HangStage } from '../features/hang/HangStage';
import { HeightStage } from '../features/height/HeightStage';
import { HolesStage } from '../features/holes/HolesStage';
import { LevelStage } from '../features/level/LevelStage';
import { MountStage } from '../features/mount/MountStage';
import { ReachStage } from '../features/reach/ReachStage';
import { RoomStage } from '../features/room/RoomStage';
import { SetStage } from '../features/set/SetStage';
import { WallStage } from '../features/wall/WallStage';
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
import { WALL_VIEWS, type BuiltStage, type ViewName } from '../state/stageIds';

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
}

const FACE = ['face'] as const;

export const STAGE: Record<BuiltStage, StageEntry> = {
  set: {
    body: SetStage,
    views: ['back', 'front', 'screw'],
    labels: 'heights',
    numbers: setNumbers,
  },
  room: {
    body: RoomStage,
    views: ['face', 'above', 'side'],
    labels: 'none',
    numbers: heightNumbers,
  },
  mount: {
    body: MountStage,
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  fit: {
    body: FitStage,
    views: ['staged', 'screw', 'side'],
    labels: 'heights',
    numbers: fitNumbers,
  },
  height: {
    body: HeightStage,
    views: ['face', 'side', 'above'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  reach: {
    body: ReachStage,
    views: ['above', 'face', 'side'],
    labels: 'heights',
    numbers: heightNumbers,
  },
  wall: {
    body: WallStage,
    views: WALL_VIEWS,
    labels: 'studs',
    numbers: wallNumbers,
  },
  holes: {
    body: HolesStage,
    views: ['face', 'section', 'side'],
    labels: 'holes',
    numbers: holeNumbers,
  },
  level: {
    body: LevelStage,
    views: FACE,
    labels: 'holes',
    numbers: levelNumbers,
  },
  hang: {
    body: HangStage,
    views: ['face', 'above', 'staged', 'side'],
    labels: 'leads',
    numbers: hangNumbers,
  },
};
