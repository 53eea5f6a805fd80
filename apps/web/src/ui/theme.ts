import { MD3DarkTheme, MD3LightTheme, configureFonts, type MD3Theme } from 'react-native-paper';
import { dark, font, light, type Palette } from './tokens';

/** Paper in Steddo's own clothes: square corners, no shadows, one accent. */
export function paperTheme(isDark: boolean): MD3Theme {
  const base = isDark ? MD3DarkTheme : MD3LightTheme;
  const p: Palette = isDark ? dark : light;
  return {
    ...base,
    roundness: 0,
    fonts: configureFonts({ config: { fontFamily: font.text.fontFamily } }),
    colors: {
      ...base.colors,
      primary: p.action,
      onPrimary: p.onAction,
      background: p.ground,
      surface: p.sheet,
      surfaceVariant: p.raised,
      onSurface: p.ink,
      onSurfaceVariant: p.soft,
      outline: p.soft,
      error: p.stop,
      elevation: { ...base.colors.elevation, level3: p.sheet },
    },
  };
}
