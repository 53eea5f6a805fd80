import { useEffect } from 'react';
import { useColorScheme } from 'react-native';
import { Slot } from 'expo-router';
import { PaperProvider } from 'react-native-paper';
import { keepSending } from '../src/data/shared';
import { Mishap } from '../src/shell/Mishap';
import { Icon, type IconName } from '../src/ui/Icon';
import { paperTheme } from '../src/ui/theme';
import { PaletteProvider, dark, light } from '../src/ui/tokens';

const settings = {
  icon: ({ name, size, color }: { name: string; size: number; color?: string }) => (
    <Icon name={name as IconName} size={size} {...(color ? { color } : {})} />
  ),
};

export default function Layout() {
  const isDark = useColorScheme() === 'dark';
  useEffect(keepSending, []);
  return (
    <PaletteProvider value={isDark ? dark : light}>
      <PaperProvider theme={paperTheme(isDark)} settings={settings}>
        <Mishap>
          <Slot />
        </Mishap>
      </PaperProvider>
    </PaletteProvider>
  );
}
