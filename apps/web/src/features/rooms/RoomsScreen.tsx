import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { mutate } from 'swr';
import type { Job, Plan, Units } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { findingText, wordingFor, type Wording } from '@steddo/text';
import { useFollowed } from '../../data/device';
import { newRoom } from '../../data/newRoom';
import { newVersion } from '../../data/newVersion';
import { rooms } from '../../data/shared';
import { useKit } from '../../state/useKit';
import { bringSeen, useRoomList, type ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { Tap } from '../../ui/Tap';
import { useSeen } from '../../ui/useSeen';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';

const UNITS: readonly { value: Units; name: string }[] = [
  { value: 'imperial', name: 'inches' },
  { value: 'metric', name: 'millimetres' },
];

/** Rooms that stand on the list at once. */
const AT_ONCE = 200;

/** Every room, what it is waiting for, and a new one in one tap. */
export function RoomsScreen() {
  const palette = usePalette();
  const list = useRoomList();
  const [units, setUnits] = useState<Units>('imperial');
  const take = useFollowed(newVersion);
  const [shown, setShown] = useState(AT_ONCE);
  const create = async () => {
    const id = await rooms.create(newRoom(`Room ${list.rooms.length + 1}`, units));
    void mutate('local-rooms');
    router.push(`/room/${id}/room`);
  };
  return (
    <View style={{ flex: 1, backgroundColor: palette.ground, alignItems: 'center' }}>
      <View style={{ flex: 1, width: '100%', maxWidth: 760 }}>
        <View style={{ padding: 16, paddingBottom: 8 }}>
          <Txt kind="title" level={1} style={{ fontSize: 28, lineHeight: 34 }}>
            Steddo
          </Txt>
          <Txt soft>Where does the hole go, and will it hold?</Txt>
        </View>
        <View style={{ position: 'absolute', right: 8, top: 12, flexDirection: 'row' }}>
          <Tap
            role="link"
            label="this device: name, files, what was taken away"
            testID="to-device"
            onPress={() => router.push('/device')}
            style={{ paddingHorizontal: 10 }}
          >
            <Txt style={{ textDecorationLine: 'underline' }}>device</Txt>
          </Tap>
          <Tap
            role="link"
            label="practice wall"
            testID="to-practice"
            onPress={() => router.push('/practice')}
            style={{ paddingHorizontal: 10 }}
          >
            <Txt style={{ textDecorationLine: 'underline' }}>practice</Txt>
          </Tap>
          <Tap
            role="link"
            label="mounts: the catalogue"
            testID="to-mounts"
            onPress={() => router.push('/catalogue')}
            style={{ paddingHorizontal: 10 }}
          >
            <Txt style={{ textDecorationLine: 'underline' }}>mounts</Txt>
          </Tap>
        </View>
        <ScrollView style={{ flex: 1 }} tabIndex={0}>
          {list.noServer ? (
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
          {list.lost.length > 0 ? <LostRooms ids={list.lost} /> : null}
          {list.rooms.slice(0, shown).map((r) => (
            <RoomRow key={r.id} room={r} />
          ))}
          {list.rooms.length > shown ? (
            <View style={{ padding: 16 }}>
              <Action
                quiet
                testID="more-rooms"
                label={`show more of ${list.rooms.length}`}
                onPress={() => setShown(shown + AT_ONCE)}
              />
            </View>
          ) : null}
          {list.rooms.length === 0 ? (
            <Said
              text={
                list.loading
                  ? 'Fetching the rooms…'
                  : 'No rooms yet. One job is one room is one wall: start with the wall and where they sit, then the set, the mount, the height, the studs. The hole list follows.'
              }
            />
          ) : null}
        </ScrollView>
        <View
          style={{
            backgroundColor: palette.raised,
            borderTopWidth: 2,
            borderTopColor: palette.ink,
          }}
        >
          <Choice label="measured in" options={UNITS} value={units} onChoose={setUnits} />
          <View style={{ padding: 8 }}>
            <Action label="New room" icon="plus" testID="new-room" onPress={() => void create()} />
          </View>
        </View>
      </View>
    </View>
  );
}

function Said({ text }: { text: string }) {
  return (
    <View style={{ padding: 16 }}>
      <Txt soft>{text}</Txt>
    </View>
  );
}

/** The server has lost what it had: one choice for all of them. */
function LostRooms({ ids }: { ids: readonly string[] }) {
  const [busy, setBusy] = useState(false);
  const send = async () => {
    setBusy(true);
    for (const id of ids) await rooms.sendAgain(id);
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

/** A line of the list; it is worked out, or fetched, when it comes into sight. */
function RoomRow({ room }: { room: ListedRoom }) {
  const palette = usePalette();
  const ref = useRef<View>(null);
  const seen = useSeen(ref);
  const { id, job } = room;
  const missing = seen && !job;
  useEffect(() => {
    if (missing) bringSeen(id);
  }, [missing, id]);
  return (
    <View ref={ref} style={{ minHeight: ROW_PX, borderTopWidth: 1, borderTopColor: palette.hairline }}>
      {seen && job ? <PlannedRow room={room} document={job} /> : <NamedRow room={room} />}
    </View>
  );
}

const ROW_PX = 96;

function NamedRow({ room }: { room: ListedRoom }) {
  return (
    <Tap
      role="link"
      testID={`room-${room.id}`}
      label={room.title}
      onPress={() => router.push(`/room/${room.id}/room`)}
      style={{ padding: 16 }}
    >
      <Txt kind="bold" style={{ fontSize: 18, lineHeight: 24 }}>
        {room.title}
      </Txt>
      {room.job ? null : (
        <Txt kind="small" soft>
          on the server, not on this device yet
        </Txt>
      )}
    </Tap>
  );
}

/** A room that cannot be worked out takes no other one off the list. */
function planned(job: Job): Plan | undefined {
  try {
    return plan(job);
  } catch {
    return undefined;
  }
}

function lineOf({ holes = [], findings }: Plan, say: Wording): string {
  const lacks = findings.find((f) => f.level === 'stop') ?? (holes.length === 0 ? findings[0] : undefined);
  return lacks ? findingText(lacks, say) : `${holes.length} holes, in drilling order`;
}

function PlannedRow({ room, document }: { room: ListedRoom; document: Job }) {
  const { id } = room;
  const kit = useKit();
  const job = useMemo(() => withKit(document, kit), [document, kit]);
  const result = useMemo(() => planned(job), [job]);
  const say = wordingFor(job);
  const holes = result?.holes?.length ?? 0;
  const line = result ? lineOf(result, say) : 'It cannot be worked out; open it to see what it has.';
  return (
    <Tap
      role="link"
      testID={`room-${id}`}
      label={`${job.title}: ${line}`}
      onPress={() => router.push(`/room/${id}/${holes > 0 ? 'holes' : 'room'}`)}
      style={{ padding: 16 }}
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <Txt kind="bold" style={{ fontSize: 18, lineHeight: 24 }}>
            {job.title}
          </Txt>
          <Txt
            kind="small"
            soft
          >{`${say.length(job.screen.diagonal)} · ${say.mass(job.screen.mass)} · ${job.screen.pattern.width} x ${job.screen.pattern.height}${job.mount ? ` · ${job.mount.name}` : ''}`}</Txt>
          <Txt kind="small">{line}</Txt>
          {room.waiting ? (
            <Txt kind="small" soft>
              on this device, not sent yet
            </Txt>
          ) : null}
        </View>
        {result ? <Verdict verdict={result.verdict} /> : null}
      </View>
    </Tap>
  );
}
