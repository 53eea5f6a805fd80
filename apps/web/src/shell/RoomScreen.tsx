import type { BuiltStage } from '../state/stageIds';
import { RoomFrame } from './RoomFrame';
import { RoomLayout } from './RoomLayout';

/**
 * One room at one stage: loads it, plans it, and hands it to the layout. Apart from the frame, which every page of a room
 * has: with the layout come all stages.
 */
export function RoomScreen({ id, stage }: { id: string; stage: BuiltStage }) {
  return <RoomFrame id={id}>{(parts) => <RoomLayout stage={stage} {...parts} />}</RoomFrame>;
}
