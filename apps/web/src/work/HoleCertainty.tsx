import { View } from 'react-native';
import { holeState } from '@steddo/core';
import { certainText, holeName, lookedName } from '@steddo/text';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';

/** The planned holes by how sure they are, in words, and what is known of the wall behind them. */
export function HoleCertainty() {
  const { plan } = useRoomContext();
  const palette = usePalette();
  const holes = plan.holes ?? [];
  if (holes.length === 0) return null;
  return (
    <View>
      {holes.map((h) => (
        <View
          key={h.id}
          testID={`certainty-${h.id}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingHorizontal: 16,
            minHeight: 48,
            gap: 12,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt kind="bold">{holeName(h, holes)}</Txt>
            <Txt kind="small" soft>{`${certainText(h)}, ${lookedName[h.hazard]}`}</Txt>
          </View>
          <Verdict verdict={holeState(h)} />
        </View>
      ))}
    </View>
  );
}
