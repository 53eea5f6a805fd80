import { View } from 'react-native';
import { stopText } from '@steddo/text';
import { usePalette } from '../../ui/tokens';
import { Txt } from '../../ui/Txt';
import { VerdictShape } from '../../ui/Verdict';
import { useRoomContext } from '../../state/roomState';
import { useArm } from '../../state/armState';

/** What stopped the hand just now. */
export function StopLine() {
  const { say } = useRoomContext();
  const { at } = useArm();
  const palette = usePalette();
  if (!at?.stoppedBy) return null;
  return (
    <View
      testID="stop-line"
      role="status"
      style={{
        flexDirection: 'row',
        gap: 8,
        alignItems: 'center',
        paddingHorizontal: 16,
        paddingVertical: 6,
        backgroundColor: palette.sheet,
      }}
    >
      <VerdictShape verdict="caution" />
      <Txt kind="small">{stopText(at.stoppedBy, 0, say)}</Txt>
    </View>
  );
}
