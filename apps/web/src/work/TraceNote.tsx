import { View } from 'react-native';
import { Action } from '../ui/Action';
import { Txt } from '../ui/Txt';

/** While something is traced over the drawing: what the thumb does, and how to let it go. */
export function TraceNote({ onLetGo }: { onLetGo: () => void }) {
  return (
    <View style={{ padding: 12, gap: 8 }} testID="trace-note" aria-live="polite">
      <Txt kind="bold">Drag over the wall, from corner to corner.</Txt>
      <Action quiet testID="trace-off" label="let it be" onPress={onLetGo} />
    </View>
  );
}
