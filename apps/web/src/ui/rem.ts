import { StyleSheet, type StyleProp, type TextStyle } from 'react-native';

const ROOT_PX = 16;

/**
 * A size of type, given in px at the usual root size, that grows with the reader's own: 24 is "1.5rem". React
 * Native's types know numbers alone; its web target passes words on.
 */
export const rem = (px: number): number => `${px / ROOT_PX}rem` as unknown as number;

/** A text's style with its sizes as the reader has them. */
export function readerSized(style: StyleProp<TextStyle>): TextStyle {
  const { fontSize, lineHeight, ...rest } = StyleSheet.flatten(style) ?? {};
  return {
    ...rest,
    ...(fontSize === undefined ? {} : { fontSize: rem(fontSize) }),
    ...(lineHeight === undefined ? {} : { lineHeight: rem(lineHeight) }),
  };
}
