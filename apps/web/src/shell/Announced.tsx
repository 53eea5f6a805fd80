import { View } from 'react-native';
import { verdictWord } from '@steddo/text';
import { useShown } from '../state/roomState';
import { Txt } from '../ui/Txt';

/** For who cannot see the drawing: what the room comes to, said once each time that it changes. */
export function Announced() {
  const verdict = useShown((s) => s.plan.verdict);
  const stops = useShown((s) => s.plan.findings.filter((f) => f.level === 'stop' && !f.acknowledged).length);
  const minds = useShown((s) => s.plan.findings.filter((f) => f.level === 'caution').length);
  const holes = useShown((s) => s.plan.holes?.length ?? 0);
  const parts = [
    verdictWord[verdict],
    stops > 0 ? `${stops} to stop for` : undefined,
    minds > 0 ? `${minds} to mind` : undefined,
    holes > 0 ? `${holes} holes` : 'no holes',
  ];
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
