import { View } from 'react-native';
import { countText, saidWord } from '@steddo/text';
import { useShown } from '../state/roomState';
import { Txt } from '../ui/Txt';

/** For who cannot see the drawing: what the room comes to, said once each time that it changes. */
export function Announced() {
  const said = useShown((s) => saidWord(s.plan));
  const count = useShown((s) => countText(s.plan.findings.filter((f) => !f.acknowledged)));
  const holes = useShown((s) => s.plan.holes?.length ?? 0);
  const parts = [said, count === said ? undefined : count, holes > 0 ? `${holes} holes` : 'no holes'];
  return (
    <View
      role="status"
      aria-label="what it comes to"
      testID="announced"
      style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden' }}
    >
      <Txt kind="small">{parts.filter(Boolean).join(', ')}</Txt>
    </View>
  );
}
