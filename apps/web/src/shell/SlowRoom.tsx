import { View } from 'react-native';
import { router } from 'expo-router';
import { planStepName } from '@steddo/text';
import type { RoomState } from '../data/rooms';
import { rooms } from '../data/shared';
import { saveRoomFile } from '../features/kept/roomFile';
import { Action } from '../ui/Action';
import { Notice } from '../ui/Notice';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import type { FirstPlan } from './useFirstPlan';

/** A room that cannot be shown yet, because working it out holds the page up: what it is busy with, and ways out. */
export function SlowRoom({ state, first }: { state: RoomState; first: Exclude<FirstPlan, { is: 'ready' }> }) {
  const palette = usePalette();
  const { id, job, history } = state;
  return (
    <View style={{ flex: 1, padding: 16, gap: 12, maxWidth: 760, backgroundColor: palette.ground }}>
      <Txt kind="title" level={1}>
        {job.title}
      </Txt>
      {first.is === 'working' ? (
        <Txt>Working the room out. The last time this did not come to an end.</Txt>
      ) : (
        <Notice
          tone="stop"
          testID="too-long"
          title="This room takes too long to work out"
          text={`Two seconds were not enough; it was busy with ${planStepName(first.step)}. What was entered is kept.`}
        >
          {history.undo.length > 0 ? (
            <Action label="undo the last entry" onPress={() => rooms.step(id, 'undo')} />
          ) : null}
          <Action quiet label="save the room as a file" onPress={() => saveRoomFile(job)} />
          <Action quiet label="all rooms" onPress={() => router.replace('/')} />
        </Notice>
      )}
    </View>
  );
}
