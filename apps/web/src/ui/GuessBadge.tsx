import { View } from 'react-native';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** A guess is always visibly a guess. */
export function GuessBadge() {
  const palette = usePalette();
  return (
    <View
      style={{
        borderWidth: 1,
        borderStyle: 'dashed',
        borderColor: palette.caution,
        paddingHorizontal: 5,
      }}
    >
      <Txt kind="small" color={palette.caution}>
        guess
      </Txt>
    </View>
  );
}
