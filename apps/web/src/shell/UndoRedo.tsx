import type { RoomState } from '../data/rooms';
import { rooms } from '../data/shared';
import { useRoomContext } from '../state/roomState';
import { IconTap } from '../ui/Action';

/** The last edit taken back, and put there again. */
export function UndoRedo({ state: { id, history } }: { state: RoomState }) {
  const { readOnly } = useRoomContext();
  return (
    <>
      <IconTap
        icon="undo"
        label="undo"
        disabled={readOnly || history.undo.length === 0}
        onPress={() => rooms.step(id, 'undo')}
      />
      <IconTap
        icon="redo"
        label="redo"
        disabled={readOnly || history.redo.length === 0}
        onPress={() => rooms.step(id, 'redo')}
      />
    </>
  );
}
