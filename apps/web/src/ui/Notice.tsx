import type { ReactNode } from 'react';
import { View } from 'react-native';
import { usePalette } from './tokens';
import { Txt } from './Txt';

/** Something that has to be read before going on, with what can be done about it. */
export function Notice({
  title,
  text,
  tone = 'caution',
  testID,
  children,
}: {
  title?: string;
  text: string;
  tone?: 'caution' | 'stop' | 'note';
  testID?: string;
  children?: ReactNode;
}) {
  const palette = usePalette();
  const edge = tone === 'note' ? palette.soft : palette[tone];
  return (
    <View
      testID={testID}
      role={tone === 'note' ? undefined : 'alert'}
      style={{ padding: 12, gap: 8, backgroundColor: palette.sheet, borderLeftWidth: 5, borderLeftColor: edge }}
    >
      {title ? <Txt kind="bold">{title}</Txt> : null}
      <Txt kind="small">{text}</Txt>
      {children}
    </View>
  );
}

/** Two choices side by side, or one below the other where their words are long. */
export function Pair({ children }: { children: ReactNode }) {
  return <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>{children}</View>;
}

export function Half({ children }: { children: ReactNode }) {
  return <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 150 }}>{children}</View>;
}
