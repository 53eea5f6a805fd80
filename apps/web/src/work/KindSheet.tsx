import { View } from 'react-native';
import type { ItemKind } from '@steddo/contract';
import { ITEM_KINDS } from '@steddo/core';
import { itemName } from '@steddo/text';
import { BottomSheet } from '../ui/BottomSheet';
import { Tap } from '../ui/Tap';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';

/** Kinds of things on a wall, to pick one. */
export function KindSheet({ onClose, onPick }: { onClose: () => void; onPick: (kind: ItemKind) => void }) {
  const palette = usePalette();
  return (
    <BottomSheet title="what is on the wall?" onClose={onClose} testID="kinds">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {ITEM_KINDS.map((kind) => (
          <Tap
            key={kind}
            label={itemName(kind)}
            testID={`kind-${kind}`}
            onPress={() => onPick(kind)}
            style={{ paddingHorizontal: 14, borderWidth: 1, borderColor: palette.hairline }}
          >
            <Txt>{itemName(kind)}</Txt>
          </Tap>
        ))}
      </View>
    </BottomSheet>
  );
}
