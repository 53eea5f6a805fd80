import { useState } from 'react';
import { View } from 'react-native';
import { router } from 'expo-router';
import { mutate } from 'swr';
import type { Job } from '@steddo/contract';
import { isVehicle } from '@steddo/core';
import { freeTitle, newRoomFrom } from '../../data/newRoom';
import { rooms } from '../../data/shared';
import { copyRoom } from '../../state/roomArchive';
import type { ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { BottomSheet } from '../../ui/BottomSheet';
import { NameDialog } from '../../ui/NameDialog';
import { Txt } from '../../ui/Txt';

interface Props {
  room: ListedRoom;
  job: Job;
  /** Of all rooms, so that a new one gets another. */
  titles: readonly string[];
  onClose: () => void;
  onRemoved: (room: ListedRoom) => void;
}

/** What can be done with a whole room without opening it. */
export function RoomMenu({ room, job, titles, onClose, onRemoved }: Props) {
  const [naming, setNaming] = useState(false);
  const [busy, setBusy] = useState(false);
  const { id, title } = room;
  const after = async (work: Promise<unknown>) => {
    setBusy(true);
    await work;
    void mutate('local-rooms');
    onClose();
  };
  const create = (made: Promise<string>) => after(made.then((id) => router.push(`/room/${id}/room`)));
  const rename = async (wished: string) => {
    await rooms.open(id);
    rooms.dispatch(id, { do: 'put', path: 'title', value: wished });
  };
  const remove = async () => {
    await after(rooms.remove(id));
    onRemoved(room);
  };
  if (naming)
    return (
      <NameDialog
        title="name of the room"
        value={title}
        onClose={onClose}
        onTake={(wished) => void after(rename(wished))}
      />
    );
  return (
    <BottomSheet title={title} onClose={onClose} testID="room-menu">
      <View style={{ gap: 10 }}>
        <Action quiet icon="edit" label="another name" testID="rename-room" onPress={() => setNaming(true)} />
        <Action
          quiet
          icon="plus"
          label={isVehicle(job) ? 'a second place for this set' : 'new room from this one'}
          testID="room-from"
          disabled={busy}
          onPress={() => void create(rooms.create(newRoomFrom(job, freeTitle(title, titles))))}
        />
        <Txt kind="small" soft>
          {isVehicle(job)
            ? 'The same set and mount, with heights and clearances of its own: two small screws are loosened, it is slid out, and they are tightened again.'
            : 'The same set, mount and kit on another wall; nothing of this wall goes along.'}
        </Txt>
        <Action
          quiet
          icon="copy"
          label="copy of all of it"
          testID="copy-room"
          disabled={busy}
          onPress={() => void create(copyRoom(id, job, freeTitle(`${title}, copy`, titles)))}
        />
        <Action
          quiet
          icon="trash"
          label="take the room away"
          testID="remove-room"
          disabled={busy}
          onPress={() => void remove()}
        />
      </View>
    </BottomSheet>
  );
}
