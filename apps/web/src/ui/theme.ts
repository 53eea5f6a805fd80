import { configureFonts, type MD3Theme } from 'react-native-paper';
import { MD3LightTheme } from 'react-native-paper/lib/module/styles/themes';
import { dark, font, light, type Palette } from './tokens';

/** Paper in Steddo's own clothes: square corners, no shadows, one accent, every colour from the tokens. */
export function paperTheme(isDark: boolean, still: boolean): MD3Theme {
  return {
    ...MD3LightTheme,
    dark: isDark,
    roundness: 0,
    animation: { scale: still ? 0 : 1 },
    fonts: configureFonts({ config: { fontFamily: font.text.fontFamily, letterSpacing: 0 } }),
    colors: coloursOf(isDark ? dark : light),
  };
}

/** Each of Paper's colours by name, so that none of its own can show. */
function coloursOf(p: Palette): MD3Theme['colors'] {
  return {
    primary: p.action,
    onPrimary: p.onAction,
    primaryContainer: p.raised,
    onPrimaryContainer: p.ink,
    secondary: p.ink,
    onSecondary: p.ground,
    secondaryContainer: p.tape,
    onSecondaryContainer: p.onTape,
    tertiary: p.wood,
    onTertiary: p.ink,
    tertiaryContainer: p.raised,
    onTertiaryContainer: p.ink,
    background: p.ground,
    onBackground: p.ink,
    surface: p.sheet,
    onSurface: p.ink,
    surfaceVariant: p.raised,
    onSurfaceVariant: p.soft,
    surfaceDisabled: p.raised,
    onSurfaceDisabled: p.soft,
    error: p.stop,
    onError: p.onVerdict,
    errorContainer: p.sheet,
    onErrorContainer: p.stop,
    outline: p.ink,
    outlineVariant: p.hairline,
    inverseSurface: p.ink,
    inverseOnSurface: p.ground,
    inversePrimary: p.ground,
    shadow: p.ink,
    scrim: p.shade,
    backdrop: p.shade,
    elevation: {
      level0: 'transparent',
      level1: p.sheet,
      level2: p.sheet,
      level3: p.sheet,
      level4: p.sheet,
      level5: p.sheet,
    },
  };
}
