import { Redirect, useLocalSearchParams } from 'expo-router';
import { RoomScreen, bringRoom } from '../../../src/shell/RoomScreen';
import { isStage } from '../../../src/state/stageIds';

/** What comes after this page. */
export const bringRest = bringRoom;

export default function Room() {
  const { id, stage } = useLocalSearchParams<{ id: string; stage: string }>();
  if (!isStage(stage)) return <Redirect href={`/room/${id}/room`} />;
  return <RoomScreen key={id} id={id} stage={stage} />;
}
