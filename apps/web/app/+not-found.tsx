import { View } from 'react-native';
import { router } from 'expo-router';
import { Action } from '../src/ui/Action';
import { usePalette } from '../src/ui/tokens';
import { Txt } from '../src/ui/Txt';

export default function NotFound() {
  const palette = usePalette();
  return (
    <View style={{ flex: 1, padding: 24, gap: 16, backgroundColor: palette.ground }}>
      <Txt kind="title" level={1}>
        There is nothing at this address.
      </Txt>
      <Action label="all rooms" onPress={() => router.replace('/')} />
    </View>
  );
}
