import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { router } from 'expo-router';
import { mutate } from 'swr';
import type { Units } from '@steddo/contract';
import { plan, withKit } from '@steddo/core';
import { findingText, wordingFor } from '@steddo/text';
import { newRoom } from '../../data/newRoom';
import { rooms } from '../../data/shared';
import { useKit } from '../../state/useKit';
import { useRoomList, type ListedRoom } from '../../data/useLists';
import { Action } from '../../ui/Action';
import { Choice } from '../../ui/Choice';
import { Tap } from '../../ui/Tap';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Verdict } from '../../ui/Verdict';

const UNITS: readonly { value: Units; name: string }[] = [
  { value: 'imperial', name: 'inches' },
  { value: 'metric', name: 'millimetres' },
];

/** Every room, what it is waiting for, and a new one in one tap. */
export function RoomsScreen() {
  const palette = usePalette();
  const list = useRoomList();
  const [units, setUnits] = useState<Units>('imperial');
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
            <Notice text="No server at the moment. What is on this device works; it is sent when the server is back." />
          ) : null}
          {list.rooms.map((r) => (
            <RoomRow key={r.id} room={r} />
          ))}
          {list.rooms.length === 0 ? (
            <Notice
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

function Notice({ text }: { text: string }) {
  return (
    <View style={{ padding: 16 }}>
      <Txt soft>{text}</Txt>
    </View>
  );
}

function RoomRow({ room }: { room: ListedRoom }) {
  const palette = usePalette();
  const { id } = room;
  const kit = useKit();
  const job = useMemo(() => withKit(room.job, kit), [room.job, kit]);
  const result = useMemo(() => plan(job), [job]);
  const say = wordingFor(job);
  const holes = result.holes?.length ?? 0;
  const lacks = result.findings.find((f) => f.level === 'stop') ?? (holes === 0 ? result.findings[0] : undefined);
  const line = lacks ? findingText(lacks, say) : `${holes} holes, in drilling order`;
  return (
    <Tap
      role="link"
      testID={`room-${id}`}
      label={`${job.title}: ${line}`}
      onPress={() => router.push(`/room/${id}/${holes > 0 ? 'holes' : 'room'}`)}
      style={{ padding: 16, borderTopWidth: 1, borderTopColor: palette.hairline }}
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
        <Verdict verdict={result.verdict} />
      </View>
    </Tap>
  );
}
