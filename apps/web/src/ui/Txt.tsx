import type { ReactNode } from 'react';
import type { TextStyle } from 'react-native';
import { Text } from 'react-native-paper';
import { readerSized } from './rem';
import { font, size, usePalette } from './tokens';

export interface TxtProps {
  children: ReactNode;
  kind?: 'text' | 'bold' | 'small' | 'title' | 'figure';
  soft?: boolean;
  color?: string;
  lines?: number;
  style?: TextStyle;
  level?: 1 | 2;
  testID?: string;
}

const STYLES: Record<NonNullable<TxtProps['kind']>, TextStyle> = {
  text: { ...font.text, fontSize: size.text, lineHeight: 22 },
  bold: { ...font.bold, fontSize: size.text, lineHeight: 22 },
  small: { ...font.text, fontSize: size.small, lineHeight: 19 },
  title: { ...font.bold, fontSize: size.title, lineHeight: 26 },
  figure: { ...font.figure, fontSize: size.figure, lineHeight: 26 },
};

/** Words in the app's type, in the reader's size. */
export function Txt({ children, kind = 'text', soft, color, lines, style, level, testID }: TxtProps) {
  const palette = usePalette();
  const heading = level ? ({ role: 'heading', 'aria-level': level } as const) : {};
  return (
    <Text
      {...heading}
      testID={testID}
      numberOfLines={lines}
      style={readerSized([STYLES[kind], { color: color ?? (soft ? palette.soft : palette.ink) }, style])}
    >
      {children}
    </Text>
  );
}
