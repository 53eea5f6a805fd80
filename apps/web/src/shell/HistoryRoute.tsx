import { HistoryPage } from '../features/kept/HistoryPage';
import { RoomFrame } from './RoomFrame';

/** The earlier versions of a room that is open. */
export function HistoryRoute({ id }: { id: string }) {
  return <RoomFrame id={id}>{({ state, turn }) => <HistoryPage state={state} editable={turn === 'mine'} />}</RoomFrame>;
}
