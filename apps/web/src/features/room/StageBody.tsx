import type { LabelSet } from '@steddo/drawing';
import { HeightStage } from '../height/HeightStage';
import { HolesStage } from '../holes/HolesStage';
import { LevelStage } from '../level/LevelStage';
import { MountStage } from '../mount/MountStage';
import { ReachStage } from '../reach/ReachStage';
import { SetStage } from '../set/SetStage';
import { WallStage } from '../wall/WallStage';
import { RoomStage } from './RoomStage';
import type { BuiltStage } from './stages';

/** Which measures hang on the wall at a stage. */
export const labelsAt = (stage: BuiltStage): LabelSet =>
  stage === 'holes' || stage === 'level' ? 'holes' : stage === 'wall' ? 'studs' : stage === 'room' ? 'none' : 'heights';

/** The inputs of a stage. */
export function StageBody({ stage }: { stage: BuiltStage }) {
  switch (stage) {
    case 'set':
      return <SetStage />;
    case 'room':
      return <RoomStage />;
    case 'mount':
      return <MountStage />;
    case 'height':
      return <HeightStage />;
    case 'reach':
      return <ReachStage />;
    case 'wall':
      return <WallStage />;
    case 'holes':
      return <HolesStage />;
    case 'level':
      return <LevelStage />;
  }
}
