import { Suspense, memo, useState } from 'react';
import { saidOf, saidWord, setLine } from '@steddo/text';
import { View } from 'react-native';
import { router } from 'expo-router';
import type { RoomState } from '../data/rooms';
import { IconTap } from '../ui/Action';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { sameContent } from '../ui/useSame';
import { Shown } from '../ui/Verdict';
import { NameDialog } from '../ui/NameDialog';
import { usePlan, useRoomContext } from '../state/roomState';
import { RoomSheet } from '../features/kept/RoomSheet';
import { SaveState } from './SaveState';
import { UndoRedo } from './UndoRedo';

/** Back, the room's name, where its edits are, undo and redo. */
export const Header = memo(function Header({ state, wide }: { state: RoomState; wide: boolean }) {
  const { say, dispatch, readOnly } = useRoomContext();
  const { job } = state;
  const palette = usePalette();
  const [naming, setNaming] = useState(false);
  const [sheet, setSheet] = useState(false);
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        backgroundColor: palette.ground,
        minHeight: 48,
      }}
    >
      <IconTap icon="back" label="all rooms" onPress={() => router.replace('/')} />
      <Tap
        label={`${job.title}, change its name`}
        disabled={readOnly}
        onPress={() => setNaming(true)}
        style={{ flexShrink: 1 }}
      >
        <Txt kind="title" level={1} lines={1} style={{ lineHeight: 24 }}>
          {job.title}
        </Txt>
        <SaveState state={state} />
      </Tap>
      {wide ? (
        <View style={{ marginLeft: 24, flexDirection: 'row', gap: 16, alignItems: 'center' }}>
          <Txt soft>{setLine(job, say)}</Txt>
        </View>
      ) : null}
      <View style={{ flex: 1 }} />
      {wide ? (
        <View style={{ marginRight: 12 }}>
          <Suspense>
            <RoomVerdict />
          </Suspense>
        </View>
      ) : null}
      <UndoRedo state={state} />
      <IconTap icon="more" label="this room: where it is kept, earlier versions, file" onPress={() => setSheet(true)} />
      {sheet ? <RoomSheet state={state} editable={!readOnly} onClose={() => setSheet(false)} /> : null}
      {naming ? (
        <NameDialog
          title="name of the room"
          value={job.title}
          onClose={() => setNaming(false)}
          onTake={(title) => dispatch({ do: 'put', path: 'title', value: title })}
        />
      ) : null}
    </View>
  );
});

function RoomVerdict() {
  const said = usePlan((p) => ({ said: saidOf(p), words: saidWord(p) }), sameContent);
  return <Shown {...said} />;
}
