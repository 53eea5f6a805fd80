import { useState } from 'react';
import { View } from 'react-native';
import type { RoomHead } from '@steddo/contract';
import { useFarRooms } from '../../data/useFarRooms';
import type { ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { Fold } from '../../ui/Fold';
import { SearchField } from '../../ui/SearchField';
import { Txt } from '../../ui/Txt';
import { RoomRow } from './RoomRow';

/** Rooms that stand on the list at once. */
const AT_ONCE = 200;
/** From so many on the list can be searched. */
const SEARCHED_FROM = 6;

interface RoomsListProps {
  rooms: readonly ListedRoom[];
  moreAfter: RoomHead | undefined;
  loading: boolean;
  onLook: (id: string) => void;
  onRemoved: (room: ListedRoom) => void;
}

/** What is open, the latest first, then what is done. */
export function RoomsList({ rooms: all, moreAfter, loading, onLook, onRemoved }: RoomsListProps) {
  const [sought, setSought] = useState('');
  const [most, setMost] = useState(AT_ONCE);
  const [going, setGoing] = useState<string>();
  const words = sought.trim().toLowerCase();
  const far = useFarRooms(words, all, moreAfter);
  const near = words === '' ? all : all.filter((r) => wordsOf(r).includes(words));
  const found = [...near, ...far.rooms];
  const isDone = (r: ListedRoom) => r.job?.record?.done !== undefined;
  const open = found.filter((r) => !isDone(r));
  const done = found.filter(isDone);
  const titles = all.map((r) => r.title);
  const row = (r: ListedRoom) => (
    <RoomRow
      key={r.id}
      room={r}
      titles={titles}
      onLook={onLook}
      onRemoved={onRemoved}
      going={r.id === going}
      onGoing={setGoing}
    />
  );
  return (
    <>
      {all.length >= SEARCHED_FROM ? (
        <SearchField label="look for a room" value={sought} onChange={setSought} testID="room-search" />
      ) : null}
      {open.slice(0, most).map(row)}
      {open.length > most ? (
        <View style={{ padding: 16 }}>
          <Action
            quiet
            testID="more-rooms"
            label={`show more of ${open.length}`}
            onPress={() => setMost(most + AT_ONCE)}
          />
        </View>
      ) : null}
      {open.length <= most && far.more ? (
        <View style={{ padding: 16 }}>
          <Action
            quiet
            disabled={far.asking}
            testID="far-rooms"
            label={far.asking ? 'fetching…' : 'older rooms from the server'}
            onPress={() => {
              setMost(most + AT_ONCE);
              far.loadMore();
            }}
          />
        </View>
      ) : null}
      {done.length > 0 ? (
        // what is looked for is shown, done or not
        <Fold name={`done, ${done.length}`} start={open.length === 0} hold={words !== ''}>
          {done.slice(0, most).map(row)}
        </Fold>
      ) : null}
      {all.length === 0 ? <Said text={loading ? 'Fetching the rooms…' : FIRST} /> : null}
      {all.length > 0 && found.length === 0 && !far.asking ? (
        <Said text={`No room has “${sought.trim()}” in its name, set or mount.`} />
      ) : null}
    </>
  );
}

const wordsOf = ({ title, job }: ListedRoom): string => `${title} ${job?.mount?.name ?? ''}`.toLowerCase();

const FIRST =
  'No rooms yet. One job is one room is one wall. Measure the set, then the room and who sits there; pick the mount and the height, find the studs. The marks to drill follow, each with its working.';

/** A sentence in the place of rooms. */
export function Said({ text }: { text: string }) {
  return (
    <View style={{ padding: 16 }}>
      <Txt soft>{text}</Txt>
    </View>
  );
}
