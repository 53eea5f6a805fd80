import { View } from 'react-native';
import type { RoomSummary } from '@steddo/contract';
import { rooms } from '../data/shared';
import { Action } from '../ui/Action';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

/** Somebody saved the room in the meantime: both versions are kept, and one is to be worked on. */
export function TwoVersions({ id, theirs }: { id: string; theirs: RoomSummary }) {
  const palette = usePalette();
  return (
    <View
      testID="two-versions"
      role="alert"
      style={{
        padding: 12,
        gap: 8,
        backgroundColor: palette.sheet,
        borderLeftWidth: 5,
        borderLeftColor: palette.caution,
      }}
    >
      <Txt kind="bold">Two versions of this room</Txt>
      <Txt kind="small">
        {`Somebody saved version ${theirs.version} while this one was worked on. Nothing is lost: the other one stays on record, or comes back with undo.`}
      </Txt>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Action quiet label="keep mine" onPress={() => void rooms.keepMine(id)} />
        </View>
        <View style={{ flex: 1 }}>
          <Action quiet label="take theirs" onPress={() => void rooms.takeTheirs(id)} />
        </View>
      </View>
    </View>
  );
}
