import { View } from 'react-native';
import { markName } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { Figure } from '../../work/Figure';
import { useRoomContext } from '../../state/roomState';

/** Marks as crews take them: up from the floor, or down from the set's top edge. */
export function MarksTable() {
  const { plan } = useRoomContext();
  const palette = usePalette();
  const marks = ['top', 'hook', 'plate-top', 'plate-bottom', 'centre', 'bottom'].flatMap((id) => {
    const mark = plan.marks?.find((m) => m.id === id);
    return mark ? [mark] : [];
  });
  const cell = { width: 110 } as const;
  return (
    <View testID="marks">
      <View style={{ flexDirection: 'row', paddingHorizontal: 16, paddingTop: 8 }}>
        <View style={{ flex: 1 }} />
        {['from the floor', 'below its top'].map((name) => (
          <View key={name} style={cell}>
            <Txt kind="small" soft>
              {name}
            </Txt>
          </View>
        ))}
      </View>
      {marks.map((m) => (
        <View
          key={m.id}
          testID={`mark-${m.id}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingHorizontal: 16,
            borderBottomWidth: 1,
            borderBottomColor: palette.hairline,
          }}
        >
          <View style={{ flex: 1 }}>
            <Txt>{markName(m.id)}</Txt>
          </View>
          <View style={cell}>
            <Figure label={`${markName(m.id)}, from the floor`} working={m.workings.fromFloor} size={18} hideLabel />
          </View>
          <View style={cell}>
            <Figure label={`${markName(m.id)}, below the top`} working={m.workings.belowTop} size={18} hideLabel />
          </View>
        </View>
      ))}
    </View>
  );
}
