import { View } from 'react-native';
import { ProgressBar as PaperBar } from 'react-native-paper';
import { Tap } from './Tap';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** How far a long piece of work is, with a way to call it off. */
export function ProgressBar({ share, label, onCancel }: { share: number; label: string; onCancel?: () => void }) {
  const palette = usePalette();
  const percent = Math.round(Math.min(1, Math.max(0, share)) * 100);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 16 }}>
      <View style={{ flex: 1, gap: 4, paddingVertical: 8 }}>
        <Txt kind="small" soft>{`${label}, ${percent} in 100`}</Txt>
        <View
          role="progressbar"
          aria-label={label}
          aria-valuenow={percent}
          aria-valuemin={0}
          aria-valuemax={100}
          style={{ borderWidth: 1, borderColor: palette.hairline }}
        >
          <View aria-hidden>
            <PaperBar progress={percent / 100} color={palette.tapeEdge} style={{ height: 8 }} />
          </View>
        </View>
      </View>
      {onCancel ? (
        <Tap label={`stop: ${label}`} testID="cancel-work" onPress={onCancel} style={{ paddingHorizontal: 10 }}>
          <Txt style={{ textDecorationLine: 'underline' }}>stop</Txt>
        </Tap>
      ) : null}
    </View>
  );
}
