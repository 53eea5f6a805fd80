import type { ViewStyle } from 'react-native';
import type { Palette } from './tokens';

/** A line of a list; the one that is chosen or open has a bar at its left and the sheet's ground. */
export const chosenRow = (palette: Palette, chosen: boolean): ViewStyle => ({
  borderBottomWidth: 1,
  borderBottomColor: palette.hairline,
  borderLeftWidth: 6,
  borderLeftColor: chosen ? palette.action : 'transparent',
  backgroundColor: chosen ? palette.sheet : 'transparent',
});
