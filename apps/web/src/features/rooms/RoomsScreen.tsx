import { Suspense, lazy, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { mutate } from 'swr';
import { Snackbar } from 'react-native-paper';
import type { Units } from '@steddo/contract';
import { crewState, isStranger } from '../../data/crewState';
import { useFollowed } from '../../data/followed';
import { lastUnits } from '../../data/lastUnits';
import { freeTitle, newRoom } from '../../data/newRoom';
import { newVersion } from '../../data/newVersion';
import { localChoice, rooms } from '../../data/shared';
import { useRoomList, type ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { useNextPages } from '../../ui/pages';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { usePosture } from '../../ui/usePosture';
import { RoomsList, Said } from './RoomsList';

/** At a desk only; a phone has no use for its drawing. */
const RoomPreview = lazy(async () => ({ default: (await import('./RoomPreview')).RoomPreview }));

const UNITS: readonly { value: Units; name: string }[] = [
  { value: 'imperial', name: 'inches' },
  { value: 'metric', name: 'millimetres' },
];

const LIST_PX = 520;
/** What is tapped here is a room. */
const NEXT = ['/room/any/set'];
const UNDO_MS = 8000;

/** Every room, what it is waiting for, and a new one in one tap. */
export function RoomsScreen() {
  const palette = usePalette();
  const wide = usePosture() === 'wide';
  useNextPages(NEXT);
  const list = useRoomList();
  const [looked, setLooked] = useState<string>();
  const [removed, setRemoved] = useState<ListedRoom>();
  const shown = list.rooms.find((r) => r.id === looked && r.job) ?? list.rooms.find((r) => r.job);
  const [elsewhere, setElsewhere] = useState<string>();
  const takeBack = async ({ id, title }: ListedRoom) => {
    if (!(await rooms.takeBack(id))) setElsewhere(title);
    void mutate('local-rooms');
  };
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, flexDirection: 'row' }}>
      <View style={wide ? { width: LIST_PX } : { flex: 1 }}>
        <Heading />
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          <Notices noServer={list.noServer} lost={list.lost} />
          <RoomsList
            rooms={list.rooms}
            moreAfter={list.moreAfter}
            loading={list.loading}
            onLook={setLooked}
            onRemoved={setRemoved}
          />
        </ScrollView>
        <NewRoomBar titles={list.rooms.map((r) => r.title)} />
      </View>
      {wide && shown?.job ? (
        <Suspense>
          <RoomPreview key={shown.id} room={shown} document={shown.job} />
        </Suspense>
      ) : null}
      <Passing
        text={removed && `${removed.title} is taken away.`}
        onDismiss={() => setRemoved(undefined)}
        action={{ label: 'take it back', onPress: () => removed && void takeBack(removed) }}
      />
      <Passing
        text={elsewhere && `${elsewhere} is open in another tab: close it there, then take it back under “device”.`}
        onDismiss={() => setElsewhere(undefined)}
      />
    </View>
  );
}

interface PassingProps {
  text: string | undefined;
  onDismiss: () => void;
  action?: { label: string; onPress: () => void };
}

/** Said for a while, over the bar and not on it. */
function Passing({ text, onDismiss, action }: PassingProps) {
  return (
    <Snackbar
      visible={text !== undefined}
      elevation={0}
      duration={UNDO_MS}
      wrapperStyle={{ bottom: 130, maxWidth: LIST_PX }}
      onDismiss={onDismiss}
      {...(action ? { action } : {})}
    >
      {text ?? ''}
    </Snackbar>
  );
}

const PLACES = [
  { to: '/device', name: 'device', label: 'this device: name, files, what was taken away' },
  { to: '/practice', name: 'practice', label: 'practice wall' },
  { to: '/catalogue', name: 'mounts', label: 'mounts: the catalogue' },
] as const;

function Heading() {
  return (
    <View style={{ padding: 16, paddingBottom: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }}>
        <View style={{ flexGrow: 1 }}>
          <Txt kind="title" level={1} style={{ fontSize: 28, lineHeight: 34 }}>
            Steddo
          </Txt>
        </View>
        {PLACES.map(({ to, name, label }) => (
          <Tap
            key={to}
            role="link"
            label={label}
            testID={`to-${name}`}
            onPress={() => router.push(to)}
            style={{ paddingHorizontal: 6 }}
          >
            <Txt style={{ textDecorationLine: 'underline' }}>{name}</Txt>
          </Tap>
        ))}
      </View>
      <Txt soft>Where does the hole go, and will it hold?</Txt>
    </View>
  );
}

function Notices({ noServer, lost }: { noServer: boolean; lost: readonly string[] }) {
  const take = useFollowed(newVersion);
  const crew = useFollowed(crewState);
  return (
    <>
      {isStranger(crew.kind) ? <AskedWho takenOut={crew.kind === 'taken-out'} /> : null}
      {noServer ? (
        <Said text="No server at the moment. What is on this device works; it is sent when the server is back." />
      ) : null}
      {take ? (
        <Notice
          tone="note"
          testID="new-version"
          text="A newer Steddo has been fetched. Taking it loads the page again; all rooms stay."
        >
          <Action quiet label="take the newer one" onPress={take} />
        </Notice>
      ) : null}
      {lost.length > 0 ? <LostRooms ids={lost} /> : null}
      <Welcome />
    </>
  );
}

/** The server does not know this device: what is here works, and nothing goes to it or comes from it. */
function AskedWho({ takenOut }: { takenOut: boolean }) {
  return (
    <Notice
      tone={takenOut ? 'stop' : 'caution'}
      testID="asked-who"
      title={takenOut ? 'This device was taken out of the crew' : 'This server asks who you are'}
      text="What is on this device works and is kept. Nothing is sent or fetched until the crew lets it in."
    >
      <Action label="say who you are" testID="to-crew" onPress={() => router.push('/crew')} />
    </Notice>
  );
}

/** Three lines at the first visit, and never again. */
function Welcome() {
  const [seen, setSeen] = useState(() => localChoice.get('welcomed') !== undefined);
  if (seen) return null;
  const read = () => {
    localChoice.set('welcomed', 'yes');
    setSeen(true);
  };
  return (
    <Notice tone="note" testID="welcome" text={WELCOME[0]!}>
      {WELCOME.slice(1).map((line) => (
        <Txt key={line} kind="small">
          {line}
        </Txt>
      ))}
      <Action quiet label="good" testID="welcomed" onPress={read} />
    </Notice>
  );
}

const WELCOME = [
  'A room is one wall and one set: the stages along the tape go from measuring to the level.',
  'Tap any number to see how it came; a guess is marked as one until you measure.',
  'Everything is kept on this device first, and works without a signal.',
];

/** A new room in one tap, in the units of the last one. */
function NewRoomBar({ titles }: { titles: readonly string[] }) {
  const palette = usePalette();
  const [units, setUnits] = useState(lastUnits);
  const choose = (wished: Units) => {
    setUnits(wished);
    localChoice.set('units', wished);
  };
  const create = async () => {
    const id = await rooms.create(newRoom(freeTitle('Room 1', titles), units));
    void mutate('local-rooms');
    router.push(`/room/${id}/set`);
  };
  return (
    <View style={{ backgroundColor: palette.raised, borderTopWidth: 2, borderTopColor: palette.ink }}>
      <Choice label="measured in" options={UNITS} value={units} onChoose={choose} />
      <View style={{ padding: 8 }}>
        <Action label="New room" icon="plus" testID="new-room" onPress={() => void create()} />
      </View>
    </View>
  );
}

function heldText(held: number, of: number): string {
  if (held > 1) return `${held} of them are open in other tabs: choose there, or close them.`;
  return `${of === 1 ? 'It' : 'One of them'} is open in another tab: choose there, or close it.`;
}

/** The server has lost what it had: one choice for all of them. */
function LostRooms({ ids }: { ids: readonly string[] }) {
  const [busy, setBusy] = useState(false);
  const [elsewhere, setElsewhere] = useState(0);
  const send = async () => {
    setBusy(true);
    let held = 0;
    for (const id of ids) if (!(await rooms.sendAgain(id))) held++;
    setElsewhere(held);
    await mutate('rooms');
    setBusy(false);
  };
  const count = ids.length === 1 ? 'One room' : `${ids.length} rooms`;
  return (
    <Notice
      testID="lost-rooms"
      title="The server does not have what it had"
      text={`${count} of this device ${ids.length === 1 ? 'is' : 'are'} not there, or only as earlier: it is another server, its records were emptied, or a backup was put back.`}
    >
      {elsewhere > 0 ? <Txt kind="small">{heldText(elsewhere, ids.length)}</Txt> : null}
      <Action
        quiet
        disabled={busy}
        testID="send-all"
        label="send this device’s there again"
        onPress={() => void send()}
      />
    </Notice>
  );
}
