import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { mutate } from 'swr';
import { askStoring, type Storing } from '../../data/device';
import { crewState } from '../../data/crewState';
import { useFollowed } from '../../data/followed';
import { device, localStore, renameDevice, rooms } from '../../data/shared';
import { useRoomList, type RoomLists } from '../../data/useLists';
import { chooseHand, hand, type Hand } from '../../data/hand';
import { Action, IconTap } from '../../ui/Action';
import { download } from '../../ui/download';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { NameDialog } from '../../ui/NameDialog';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { momentText } from '../../ui/moment';
import { sizeText } from '../../ui/sizeText';
import { usePictureHeads } from '../../state/usePictures';
import { RoomFiles } from './RoomFiles';

/** What is on this device: its name, how much room it has, files in and out, what was taken away, what cannot be read. */
export function DevicePage() {
  const palette = usePalette();
  const lists = useRoomList();
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, alignItems: 'center' }}>
      <View style={{ flex: 1, width: '100%', maxWidth: 760 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <IconTap icon="back" label="all rooms" onPress={() => router.replace('/')} />
          <Txt kind="title" level={1}>
            This device
          </Txt>
        </View>
        <ScrollView style={{ flex: 1 }} tabIndex={0} testID="device">
          <NamePart />
          <CrewPart />
          <HandPart />
          <KeepingPart lists={lists} />
          <Fold name="rooms as files" start>
            <RoomFiles />
          </Fold>
          <Fold
            key={lists.deleted.length > 0 ? 'some' : 'none'}
            name={`taken away: ${lists.deleted.length === 0 ? 'none' : lists.deleted.length}`}
            start={lists.deleted.length > 0}
          >
            <DeletedPart deleted={lists.deleted} />
          </Fold>
          <AsidePart here={lists.asideHere} onServer={lists.aside} />
        </ScrollView>
      </View>
    </View>
  );
}

/** Who this device is to a crew's server; nothing of it where this machine alone is asked. */
function CrewPart() {
  const crew = useFollowed(crewState);
  if (crew.kind === 'none' || crew.kind === 'unasked') return null;
  return (
    <View style={{ paddingHorizontal: 16, paddingVertical: 8, gap: 8 }}>
      {crew.kind === 'in' ? <Txt>{`In the crew as ${crew.me.person}.`}</Txt> : null}
      <Action
        quiet
        testID="to-crew"
        label={crew.kind === 'in' ? 'the crew and its devices' : 'say who you are'}
        onPress={() => router.push('/crew')}
      />
    </View>
  );
}

const HANDS: readonly { value: Hand; name: string }[] = [
  { value: 'right', name: 'right' },
  { value: 'left', name: 'left' },
];

function HandPart() {
  const now = useFollowed(hand);
  return <Choice label="tapped with the hand on the" options={HANDS} value={now} onChoose={chooseHand} />;
}

function NamePart() {
  const name = useFollowed(device);
  const [naming, setNaming] = useState(false);
  // the crew's server has its own word for it, which is changed there
  if (useFollowed(crewState).kind === 'in') return null;
  return (
    <View style={{ padding: 16, gap: 8 }}>
      <Txt>{`Called “${name}”: that is who others see when you change what they change.`}</Txt>
      <Action quiet testID="name-device" label="call it something else" onPress={() => setNaming(true)} />
      {naming ? (
        <NameDialog
          title="name of this device"
          value={name}
          onClose={() => setNaming(false)}
          onTake={renameDevice}
          most={60}
        />
      ) : null}
    </View>
  );
}

/** What the browser grants and how full it is, as far as it says. */
function KeepingPart({ lists }: { lists: RoomLists }) {
  const [storing, setStoring] = useState<Storing>();
  const look = (ask: boolean) => void askStoring(ask).then(setStoring);
  useEffect(() => look(false), []);
  const waiting = lists.rooms.filter((r) => r.waiting).length;
  const used = storing?.usedBytes;
  const most = storing?.mostBytes;
  const pictures = usePictureHeads() ?? [];
  const unsent = pictures.filter((p) => !p.whole).length;
  return (
    <View style={{ padding: 16, paddingTop: 0, gap: 6 }} testID="keeping">
      <Txt>{`${lists.rooms.filter((r) => r.job).length} rooms here; ${waiting === 0 ? 'all of them are on the server' : `${waiting} not sent yet`}.`}</Txt>
      {pictures.length > 0 ? (
        <Txt testID="pictures-here">{`${pictures.length} picture${pictures.length === 1 ? '' : 's'} here, ${sizeText(pictures.reduce((n, p) => n + p.size, 0))}; ${unsent === 0 ? 'all on the server' : `not sent yet and never dropped: ${unsent}`}.`}</Txt>
      ) : null}
      {used !== undefined && most !== undefined ? (
        <Txt>{`${sizeText(used)} used of about ${sizeText(most)} that the browser allows.`}</Txt>
      ) : (
        <Txt>The browser does not say how much room there is.</Txt>
      )}
      {storing?.persisted ? (
        <Txt>The browser has promised not to clear it by itself.</Txt>
      ) : (
        <>
          <Txt>
            The browser has not promised to keep it: when the device is short of room, it may clear what is here. What
            is on the server stays.
          </Txt>
          <Action quiet testID="ask-persist" label="ask the browser to keep it" onPress={() => look(true)} />
        </>
      )}
    </View>
  );
}

function DeletedPart({ deleted }: { deleted: RoomLists['deleted'] }) {
  if (deleted.length === 0)
    return (
      <View style={{ padding: 16 }}>
        <Txt soft>A room that is taken away stands here for thirty days.</Txt>
      </View>
    );
  return deleted.map((r) => <DeletedRoom key={r.id} room={r} />);
}

function DeletedRoom({ room: { id, title, deletedAt } }: { room: RoomLists['deleted'][number] }) {
  const palette = usePalette();
  const [state, setState] = useState<'asked' | 'elsewhere'>();
  const takeBack = async () => {
    setState('asked');
    setState((await rooms.takeBack(id)) ? undefined : 'elsewhere');
  };
  return (
    <View
      testID={`deleted-${id}`}
      style={{ padding: 12, paddingLeft: 16, gap: 6, borderBottomWidth: 1, borderBottomColor: palette.hairline }}
    >
      <Txt kind="bold">{title}</Txt>
      <Txt kind="small" soft>{`taken away ${momentText(deletedAt)}`}</Txt>
      {state === 'elsewhere' ? (
        <Txt kind="small">It is open in another tab: close it there, then take it back.</Txt>
      ) : null}
      <Action
        quiet
        disabled={state === 'asked'}
        label={`take “${title}” back`}
        testID={`take-back-${id}`}
        onPress={() => void takeBack()}
      />
    </View>
  );
}

/** Records that cannot be read are in nobody's way, and not lost. */
function AsidePart({ here, onServer }: { here: RoomLists['asideHere']; onServer: RoomLists['aside'] }) {
  if (here.length === 0 && onServer.length === 0) return null;
  const forget = async (key: string) => {
    await localStore.forgetAside(key);
    await mutate('local-rooms');
  };
  return (
    <Fold name="records that cannot be read" start>
      {here.map((r) => (
        <Notice
          key={r.key}
          testID={`aside-${r.key}`}
          title={`${r.key}, on this device`}
          text={`${r.reason}. It is kept as it is; nothing else depends on it.`}
        >
          <Action
            quiet
            label="save the record as a file"
            onPress={() =>
              download(`${r.key.replace(':', '-')}.json`, JSON.stringify(r.record, null, 2), 'application/json')
            }
          />
          <Action quiet label="it is not needed any more" onPress={() => void forget(r.key)} />
        </Notice>
      ))}
      {onServer.map((r) => (
        <Notice
          key={r.id}
          title={`${r.id}, on the server`}
          text={`${r.reason}. It is kept as it is; nothing else depends on it.`}
        >
          <Action
            quiet
            label="save the record as a file"
            onPress={() => window.location.assign(`/api/rooms/${r.id}/record`)}
          />
        </Notice>
      ))}
    </Fold>
  );
}
