import type { BuiltStage } from '../state/stageIds';
import { useNextPages } from '../ui/pages';
import { RoomFrame } from './RoomFrame';
import { RoomLayout } from './RoomLayout';

/** Where the stages lead: small, and not to be waited for on a ladder. */
const AT_THE_WALL = ['ladder', 'hanging', 'day', 'done'];

/**
 * One room at one stage: loads it, plans it, and hands it to the layout. Apart from the frame, which every page of a room
 * has: with the layout come all stages.
 */
export function RoomScreen({ id, stage }: { id: string; stage: BuiltStage }) {
  useNextPages(AT_THE_WALL.map((page) => `/room/${id}/${page}`));
  return <RoomFrame id={id}>{(parts) => <RoomLayout stage={stage} {...parts} />}</RoomFrame>;
}
