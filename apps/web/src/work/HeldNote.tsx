import { View } from 'react-native';
import { findingText } from '@steddo/text';
import { hangHeld } from '../state/hangHeld';
import { useRoomContext } from '../state/roomState';
import { usePalette } from '../ui/tokens';
import { Txt } from '../ui/Txt';
import { Verdict } from '../ui/Verdict';

/** Why nothing is hung yet; nothing where it may be. */
export function HeldNote() {
  const { plan, say } = useRoomContext();
  const palette = usePalette();
  const held = hangHeld(plan);
  if (!held) return null;
  return (
    <View style={{ padding: 12, borderTopWidth: 2, borderColor: palette.stop, gap: 4 }} testID="hang-held">
      <Verdict verdict="stop" />
      <Txt>
        {held.by === 'stop'
          ? findingText(held.finding, say)
          : held.left === 0
            ? 'There are no holes yet: nothing is hung.'
            : `Not yet: ${held.left === 1 ? 'one hole is' : `${held.left} holes are`} still to be drilled.`}
      </Txt>
    </View>
  );
}
