import { router } from 'expo-router';
import { View } from 'react-native';
import { TROUBLE_TEXT } from '../../data/device';
import { syncOf, type RoomState } from '../../data/rooms';
import { obstacleText } from '../../data/sendResult';
import { rooms } from '../../data/shared';
import { useHelp } from '../../state/helpState';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { Txt } from '../../ui/Txt';
import { saveRoomFile } from './roomFile';

/** Where the room is kept, and what can be done with the whole of it. */
export function RoomSheet({ state, editable, onClose }: { state: RoomState; editable: boolean; onClose: () => void }) {
  const { id, job } = state;
  const { show } = useHelp();
  const help = () => {
    onClose();
    show();
  };
  const remove = async () => {
    onClose();
    await rooms.remove(id);
    router.replace('/');
  };
  return (
    <BottomSheet title="This room" onClose={onClose} testID="room-sheet">
      <View style={{ gap: 12 }}>
        <Txt>{whereText(state)}</Txt>
        <Action quiet icon="help" testID="to-help" label="words of this stage" onPress={help} />
        <Action
          quiet
          icon="camera"
          testID="to-pictures"
          label="pictures"
          onPress={() => router.push(`/room/${id}/pictures`)}
        />
        <Action quiet testID="to-history" label="earlier versions" onPress={() => router.push(`/room/${id}/history`)} />
        <Action quiet testID="room-file" label="save as a file" onPress={() => saveRoomFile(job)} />
        {editable ? (
          <Action quiet testID="remove-room" label="take the room away" onPress={() => void remove()} />
        ) : null}
        {editable ? (
          <Txt kind="small" soft>
            It can be taken back for thirty days, under “this device” on the list of rooms.
          </Txt>
        ) : null}
      </View>
    </BottomSheet>
  );
}

function whereText(state: RoomState): string {
  const sync = syncOf(state);
  switch (sync.kind) {
    case 'memory':
      return TROUBLE_TEXT[sync.trouble];
    case 'saving':
      return 'The last edit is being written to this device.';
    case 'sent':
      return 'Everything is on this device and on the server.';
    case 'sending':
      return 'Everything is on this device; the last edits are on their way to the server.';
    case 'waiting':
      return `Everything is on this device. ${obstacleText(sync.obstacle)}`;
    case 'disputed':
      return 'Everything is on this device. Where somebody else changed the same thing, you choose: both values stand above the stage’s inputs.';
    case 'lost':
      return 'Everything is on this device. The server has lost it; what to do stands above the stage’s inputs.';
  }
}
