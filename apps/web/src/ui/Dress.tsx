import { useMemo, type ReactNode } from 'react';
import { useColorScheme } from 'react-native';
import PaperProvider from 'react-native-paper/lib/module/core/PaperProvider';
import { Icon, type IconName } from './Icon';
import { paperTheme } from './theme';
import { PaletteProvider, dark, light } from './tokens';
import { useStill } from './useStill';

const icon = ({ name, size, color }: { name: string; size: number; color?: string }) => (
  <Icon name={name as IconName} size={size} {...(color ? { color } : {})} />
);

/** Colours, type and icons for everything below it, as the reader has set the device: light or dark, moving or still. */
export function Dress({ children }: { children: ReactNode }) {
  const isDark = useColorScheme() === 'dark';
  const still = useStill();
  const theme = useMemo(() => paperTheme(isDark, still), [isDark, still]);
  const settings = useMemo(() => ({ icon, rippleEffectEnabled: !still }), [still]);
  return (
    <PaletteProvider value={isDark ? dark : light}>
      <PaperProvider theme={theme} settings={settings}>
        {children}
      </PaperProvider>
    </PaletteProvider>
  );
}
